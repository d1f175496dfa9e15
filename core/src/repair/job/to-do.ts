import { actMinutes, COST_ACTS, tookBy, type CostAct, type Took } from '../../making/costing';
import type { IsoDay } from '../../terms/calendar';
import type { StationId, StationStanding } from '../../terms/stations';
import { inSentence } from '../../terms/words';
import { acted, waiting, type Draft, type RunChoice, type ToDoAct } from './to-do-act';
import { calledOff, choiceKey, sawnOf, valueOf, versionOfChoice } from './choices';
import { consideredRoutes, type ConsideredBuy } from './considered';
import { isCutToSize, type ItemFinding } from './item-finding';
import { ofMaking, ofRework, sizeOf } from './machine-acts';
import { quoteWaits } from './quote';
import type { JobSheet, Shop } from './records';
import type { RouteFinding } from './route-finding';
import type { StepAct } from './step-acts.data';

/** How a job stands among the others. */
export interface UrgencyChoice {
  /** Somebody stands still without it. */
  readonly urgent: boolean;
  readonly notBefore: IsoDay | null;
  readonly why: string;
}

/** What a job still takes, in its order. */
export interface ToDo {
  /** Its way was chosen; else it goes by its items, as far as they are known. */
  readonly decided: boolean;
  readonly urgency: UrgencyChoice;
  /** Version of the urgency; 0 while nobody said anything. */
  readonly urgencyVersion: number;
  readonly acts: readonly ToDoAct[];
}

const DAY_MIN = 1440;
/** Steps of an item as the acts they are; what is done elsewhere is waited for, days. Estimates of the shop. */
const STEP_DONE: Readonly<Record<StepAct, { readonly act: CostAct } | { readonly days: number }>> = {
  straighten: { act: 'straighten' },
  weld: { act: 'weld' },
  'heat-treat': { days: 5 },
  plate: { days: 15 },
  shrink: { act: 'press' },
  press: { act: 'press' },
  grind: { act: 'hone' },
  pin: { act: 'drill-ream' },
  other: { act: 'other' },
};
/** The station that an act is done with: what stands there says so, without anybody having to. */
const DONE_WITH: Readonly<Partial<Record<CostAct, StationId>>> = {
  open: 'strip',
  measure: 'measure',
  saw: 'cut',
  turn: 'cut',
  bore: 'cut',
  thread: 'cut',
  groove: 'cut',
  mill: 'cut',
  keyseat: 'cut',
  'bore-mill': 'cut',
  'drill-ream': 'cut',
  tap: 'cut',
};
/** Acts before which what was bought has to be here. */
const TAKES_BOUGHT: readonly (CostAct | null)[] = ['press', 'assemble'];

const plusDays = (at: string, days: number): IsoDay =>
  new Date(Date.parse(at) + Math.ceil(days) * DAY_MIN * 60_000).toISOString().slice(0, 10);

/** Bought things of a way that are not here yet. */
const stillToCome = (bought: readonly ConsideredBuy[], route: string, items: readonly ItemFinding[]): ConsideredBuy[] =>
  bought.filter((b) => {
    const own = items.find(
      ({ item }) => item.kind === 'buy' && item.route === route && item.name.toLowerCase().includes(b.what.toLowerCase()),
    );
    return !own?.item.here;
  });

/** Acts of a chosen way, one after another; what is ordered comes meanwhile, what is away holds up what follows. */
function ofWay({ route, acts }: RouteFinding, chosenAt: string, items: readonly ItemFinding[]): Draft[] {
  const drafts: Draft[] = [];
  const key = (what: string): string => `${route.id}:${what}`;
  const coming = stillToCome(route.value.bought, route.value.name, items);
  const away = coming.filter((b) => b.outside);
  const parts = coming.filter((b) => !b.outside);
  let last: string[] = [];
  let ordered: string[] | null = null;
  const counts = new Map<CostAct, number>();
  const waitsFor = (b: ConsideredBuy, k: number, after: readonly string[]): Draft => {
    const name = b.outside ? b.what : `${b.what} on its way`;
    const draft = waiting(key(`wait:${k}`), name, { after });
    if (b.leadDays === null) return { ...draft, open: true };
    return after.length ? { ...draft, aloneMin: b.leadDays * DAY_MIN } : { ...draft, dueOn: plusDays(chosenAt, b.leadDays) };
  };
  const takeParts = (after: readonly string[]): void => {
    parts.forEach((b, k) => drafts.push(waitsFor(b, k, after)));
    ordered = [...parts.keys()].map((k) => key(`wait:${k}`));
  };
  for (const { act, name, hands, aloneMin } of acts) {
    const n = counts.get(act.act) ?? 0;
    counts.set(act.act, n + 1);
    const own = key(`${act.act}:${n}`);
    if (act.act === 'order') {
      drafts.push(acted(own, 'order', name, hands, { after: last }));
      if (ordered === null) takeParts([own]);
      continue;
    }
    if (TAKES_BOUGHT.includes(act.act) && ordered === null) takeParts([]);
    const after = TAKES_BOUGHT.includes(act.act) ? [...last, ...(ordered ?? [])] : last;
    drafts.push(acted(own, act.act, name, hands, { after, aloneMin, machineId: act.machineId }));
    last = [own];
    if (act.act === 'send' && n === 0) {
      away.forEach((b, k) => drafts.push(waitsFor(b, parts.length + k, [own])));
      if (away.length) last = away.map((_, k) => key(`wait:${parts.length + k}`));
    }
  }
  return drafts;
}

/** What one item takes, one act after another. */
function ofItem(found: ItemFinding, sheet: JobSheet, took: Took): Draft[] {
  const { item } = found;
  const name = inSentence(item.name);
  const said = sheet.choices.find((c) => c.key === item.key)?.at;
  if (item.kind === 'buy') {
    if (item.here) return [];
    const dueOn = item.leadDays !== null && said ? plusDays(said, item.leadDays) : null;
    return [waiting(`${item.id}:wait`, `${name} on its way`, { dueOn, open: dueOn === null })];
  }
  const size = sizeOf(found);
  const minutes = (act: CostAct): Pick<Draft, 'hands' | 'aloneMin'> => actMinutes(act, size, item.quantity, took);
  const drafts: Draft[] = [];
  if (item.kind === 'make') {
    const { hands, aloneMin } = minutes('saw');
    drafts.push(acted(`${item.id}:saw`, 'saw', `saw ${name}`, hands, { aloneMin, fact: sawnOf(sheet, item.id).pieces >= item.quantity }));
    drafts.push(...ofMaking(found, took));
  } else if (isCutToSize(found) && item.kind === 'rework') drafts.push(...ofRework(found, took));
  item.steps.forEach((step, k) => {
    const how = STEP_DONE[step.act];
    const key = `${item.id}:step:${k}`;
    if ('days' in how) drafts.push(waiting(key, step.what, { aloneMin: how.days * DAY_MIN, fact: step.done }));
    else drafts.push(acted(key, how.act, `${step.what}: ${name}`, minutes(how.act).hands, { fact: step.done }));
  });
  return drafts.map((d, k) => (k > 0 ? { ...d, after: [drafts[k - 1]!.key] } : d));
}

/** What a job without a chosen way takes, as far as its items tell: look, measure, each item, put together. */
function ofItems(items: readonly ItemFinding[], sheet: JobSheet, took: Took): Draft[] {
  const bench = (act: CostAct, after: readonly string[]): Draft =>
    acted(`job:${act}`, act, COST_ACTS[act].name, actMinutes(act, null, 1, took).hands, { after });
  const first = [bench('open', []), bench('measure', ['job:open'])];
  const lasts = new Map<string, string>();
  const of = items.flatMap((found) => {
    const drafts = ofItem(found, sheet, took);
    const before = found.item.after.flatMap((id) => lasts.get(id) ?? []);
    if (drafts.length) lasts.set(found.item.id, drafts.at(-1)!.key);
    return drafts.map((d, k) => (k === 0 ? { ...d, after: [...(d.act === null ? [] : ['job:measure']), ...before] } : d));
  });
  return [...first, ...of, ...(of.length ? [bench('assemble', [...lasts.values()])] : [])];
}

/** What of a job the run order needs. */
export interface ToDoInputs {
  readonly sheet: JobSheet;
  readonly shop: Shop;
  readonly routes: readonly RouteFinding[];
  readonly items: readonly ItemFinding[];
  readonly stations: readonly StationStanding[];
}

/** The way that a job goes: since when, and whether the customer's yes to it is waited for. */
interface Going {
  readonly way: RouteFinding | null;
  readonly since: string;
  readonly asks: boolean;
}

/**
 * What a job would still take if a way were chosen now, and the customer had said yes to it.
 *
 * @param at now, ISO
 */
export const toDoIfChosen = (inputs: ToDoInputs, way: RouteFinding, at: string): ToDo => toDoGoing(inputs, { way, since: at, asks: false });

/**
 * What a job still takes: the acts of its chosen way, else of its items; what it waits for among them; nothing of one that is handed back.
 * What its stations show as done is done; the rest somebody says.
 */
export function toDoOf(inputs: ToDoInputs): ToDo {
  const { sheet, routes } = inputs;
  const way = routes.find((r) => r.route.value.state === 'chosen') ?? null;
  const since = sheet.choices.find((c) => c.key === way?.route.key)?.at ?? sheet.job.receivedAt;
  return toDoGoing(inputs, { way, since, asks: true });
}

function toDoGoing({ sheet, shop, items, stations }: ToDoInputs, { way: chosen, since: chosenAt, asks }: Going): ToDo {
  const state = new Map(stations.map((s) => [s.id, s.state]));
  const urgency = valueOf<UrgencyChoice>(sheet, choiceKey.urgency) ?? { urgent: false, notBefore: null, why: '' };
  const urgencyVersion = versionOfChoice(sheet, choiceKey.urgency);
  if (state.get('return') === 'done' || calledOff(sheet) !== null) return { decided: chosen !== null, urgency, urgencyVersion, acts: [] };
  const on = items.filter((i) => !i.item.off);
  let drafts = chosen ? ofWay(chosen, chosenAt, on) : ofItems(on, sheet, tookBy(shop.took));
  const yes = asks && consideredRoutes(sheet).length ? quoteWaits(sheet, chosen ? { id: chosen.route.id, at: chosenAt } : null) : null;
  if (yes) {
    const first: readonly (CostAct | null)[] = ['open', 'measure', null];
    drafts = [
      waiting('yes', yes, { open: true }),
      ...drafts.map((d) => (first.includes(d.act) ? d : { ...d, after: [...d.after, 'yes'] })),
    ];
  }
  const isDone = (d: Draft): boolean => {
    const station = d.act ? DONE_WITH[d.act] : undefined;
    return d.fact === true || (station !== undefined && ['done', 'not-needed'].includes(state.get(station) ?? ''));
  };
  return {
    decided: chosen !== null,
    urgency,
    urgencyVersion,
    acts: drafts.map(({ fact: _, ...d }, k) => {
      const said = valueOf<RunChoice>(sheet, choiceKey.run(d.key));
      return { ...d, said, version: versionOfChoice(sheet, choiceKey.run(d.key)), done: said?.state === 'done' || isDone(drafts[k]!) };
    }),
  };
}
