import { meanOf3, type ThreePoint } from '../../making/costing';
import {
  dayAfter,
  firstOrder,
  hoursOf,
  runs,
  SHOP_COST,
  spansOf,
  worktimeOf,
  type MomentOf,
  type Order,
  type OrderAct,
  type OrderProblem,
  type WorkHours,
  type Worktime,
} from '../../making/run-order';
import type { Machine, MachineKind } from '../../making/setups';
import type { IsoDay } from '../../terms/calendar';
import type { PersonRecord, Shop, ToDo, ToDoAct } from '../job';

/** A job as the run order sees it. */
export interface RunJob {
  readonly id: string;
  readonly number: number;
  readonly title: string;
  readonly customerName: string;
  readonly promisedOn: IsoDay | null;
  readonly toDo: ToDo;
}

/** One act as it was put in order. */
export interface PlacedAct {
  readonly jobId: string;
  readonly key: string;
  /** Empty and null for what is only waited for. */
  readonly machineId: string;
  readonly personId: string | null;
  /** When it was to begin, ISO. */
  readonly beginsAt: string;
}

/** What somebody put in order. */
export interface RunOrder {
  readonly placed: readonly PlacedAct[];
}

export interface RunOrderRecord extends RunOrder {
  readonly version: number;
  readonly personId: string;
  readonly at: string;
}

/** An act of the shop's order, with whose it is. */
export interface ShopAct {
  readonly job: RunJob;
  readonly act: ToDoAct;
  /** Minutes of hands that are left, as a clock shows them. */
  readonly left: ThreePoint;
  /** It is under way. */
  readonly started: boolean;
}

/** A kind of machine, and how many acts ask for one. */
export interface AskedKind {
  readonly kind: MachineKind;
  readonly acts: number;
}

/** All open jobs as one problem: what is to be put in order, on which machines, by whom. */
export interface ShopProblem {
  readonly problem: OrderProblem;
  /** In the order of the problem's acts. */
  readonly acts: readonly ShopAct[];
  readonly jobs: readonly RunJob[];
  readonly machines: readonly Pick<Machine, 'id' | 'name' | 'kind' | 'backOn'>[];
  readonly people: readonly PersonRecord[];
  /** How many acts stand first and stay there: those that are under way, the first begun before the others. */
  readonly held: number;
  /** Where it stands as stored, with what came in since in its places; played by the clock of now. */
  readonly order: Order;
  /** Kinds of machines that are asked for and the shop has none of, with how many acts ask. */
  readonly missing: readonly AskedKind[];
  /** Kinds that the shop has and nobody who is at work runs: such acts are given to anybody, and that is said. */
  readonly unmanned: readonly AskedKind[];
}

/** How much longer an act takes of which nobody knows: a yes, a thing that was ordered without a date. Estimates of the shop, days. */
const YES_DAYS = 2;
const UNDATED_DAYS = 7;
/** An act that has taken its whole time already still takes this share of it. */
const LEAST_LEFT = 0.15;
/** An urgent job's lateness weighs so much more. */
const URGENT = 5;
const DAY_MIN = 1440;
/** When what comes on a day is there, min after midnight. */
const MORNING_MIN = 480;

export interface ShopOrderInputs {
  readonly jobs: readonly RunJob[];
  readonly shop: Pick<Shop, 'machines' | 'people'>;
  readonly hours: WorkHours;
  readonly stored: RunOrder | null;
  /** Minutes since 1970. */
  readonly now: number;
  readonly today: IsoDay;
  readonly momentOf: MomentOf;
}

const idOf = (job: RunJob, act: Pick<ToDoAct, 'key'>): string => `${job.id}/${act.key}`;
/** A moment as minutes since 1970, as the run order counts them; not a number for text that is no moment. */
export const minuteOf = (iso: string): number => Date.parse(iso) / 60_000;
/** The moment of a minute since 1970, as ISO text in UTC. */
export const isoOf = (minute: number): string => new Date(Math.round(minute * 60_000)).toISOString();

/** The end of the working day on which something is promised; of the day itself where nobody works then. */
function dueAt(job: RunJob, { hours, momentOf }: ShopOrderInputs): number {
  if (!job.promisedOn) return Infinity;
  const spans = spansOf(hours, hoursOf(hours, ''), job.promisedOn, momentOf, 1);
  return spans.length ? Math.max(...spans.map((s) => s.to)) : momentOf(job.promisedOn, DAY_MIN);
}

/** Minutes that somebody worked between two moments. */
export function workedBetween(work: Worktime | null, from: number, to: number): number {
  if (!work) return Math.max(0, to - from);
  let sum = 0;
  for (let k = 0; k < work.from.length; k++) sum += Math.max(0, Math.min(to, work.to[k]!) - Math.max(from, work.from[k]!));
  return sum;
}

/** What is still to be done of an act, in minutes of the clock: of the working time only a share is at the part. */
function leftOf(
  act: ToDoAct,
  work: Worktime | null,
  { hours, now }: ShopOrderInputs,
): { readonly left: ThreePoint; readonly setupMin: number } {
  const perClock = 100 / hours.handsOnPercent;
  const mean = meanOf3(act.hands);
  const begun = act.said?.state === 'started' && act.said.startedAt ? act.said.startedAt : null;
  const whole = (mean + act.setupMin) * perClock;
  const share = begun && whole > 0 ? Math.max(LEAST_LEFT, 1 - workedBetween(work, minuteOf(begun), now) / whole) : 1;
  const by = perClock * share * (begun && mean > 0 ? (mean + act.setupMin) / mean : 1);
  return {
    left: { low: act.hands.low * by, likely: act.hands.likely * by, high: act.hands.high * by },
    setupMin: begun ? 0 : act.setupMin * perClock,
  };
}

/** What is awaited, as it stands now: when it is here at the soonest, and how long it still takes of itself, min. */
function awaited(
  act: ToDoAct,
  job: RunJob,
  { now, today, momentOf }: ShopOrderInputs,
): { readonly from: number; readonly aloneMin: number } {
  const tomorrow = momentOf(today, DAY_MIN + MORNING_MIN);
  const { aloneMin } = act;
  if (act.act !== null) return { from: 0, aloneMin };
  if (act.open) return { from: now + (act.key === 'yes' ? YES_DAYS : UNDATED_DAYS) * DAY_MIN, aloneMin };
  // What should have come already may come tomorrow.
  if (act.dueOn) return { from: Math.max(momentOf(act.dueOn, MORNING_MIN), act.dueOn <= today ? tomorrow : 0), aloneMin };
  const before = act.after.map((key) => job.toDo.acts.find((a) => a.key === key));
  const since = before.map((a) => (a?.done && a.said?.doneAt ? minuteOf(a.said.doneAt) : null));
  if (!since.length || since.some((at) => at === null)) return { from: 0, aloneMin };
  // Ordered or sent then, not now.
  const left = aloneMin - (now - Math.max(...(since as number[])));
  return left > 0 ? { from: 0, aloneMin: left } : { from: tomorrow, aloneMin: 0 };
}

/** The day from which on hours are laid out: before whatever is under way was begun, so that what was worked on it is counted. */
function firstDay(begun: readonly { readonly act: ToDoAct }[], today: IsoDay): IsoDay {
  const days = begun.map((a) => dayAfter(a.act.said!.startedAt!.slice(0, 10), -1));
  return [today, ...days].sort()[0]!;
}

/** All that is to be done in the shop, as a problem, with the order that is stored put to it. */
export function shopProblem(inputs: ShopOrderInputs): ShopProblem {
  const { shop, hours, stored, now, momentOf } = inputs;
  const people = shop.people.filter((p) => !p.gone && !hoursOf(hours, p.id).notAtIt);
  const { machines } = shop;
  const jobs = inputs.jobs.filter((j) => j.toDo.acts.some((a) => !a.done));
  const rank = new Map((stored?.placed ?? []).map((p, k) => [`${p.jobId}/${p.key}`, k]));
  const all = jobs.flatMap((job) => job.toDo.acts.filter((a) => !a.done).map((act) => ({ job, act })));
  const started = (a: { readonly act: ToDoAct }): boolean => a.act.said?.state === 'started' && a.act.said.startedAt !== null;
  const place = (a: (typeof all)[number]): number => {
    const own = rank.get(idOf(a.job, a.act)) ?? Infinity;
    const pin = a.act.said?.pinnedAt;
    if (!pin || started(a)) return own;
    // Before whatever was to begin then or later; where nothing was, it goes by the rule.
    const later = (stored?.placed ?? []).findIndex(
      (p) => minuteOf(p.beginsAt) >= minuteOf(pin) && `${p.jobId}/${p.key}` !== idOf(a.job, a.act),
    );
    return later < 0 ? Infinity : later - 0.5;
  };
  const begun = all.filter(started).sort((a, b) => (a.act.said!.startedAt ?? '').localeCompare(b.act.said!.startedAt ?? ''));
  const open = all.filter((a) => !started(a));
  const from = firstDay(begun, inputs.today);
  const works = people.map((p) => worktimeOf(spansOf(hours, hoursOf(hours, p.id), from, momentOf)));
  const sorted = [...begun, ...open];
  const index = new Map(sorted.map((a, i) => [idOf(a.job, a.act), i]));
  const missing = new Map<MachineKind, number>();
  const unmanned = new Map<MachineKind, number>();
  const once = (of: Map<MachineKind, number>, kind: MachineKind): unknown => of.set(kind, (of.get(kind) ?? 0) + 1);
  const listed = (of: ReadonlyMap<MachineKind, number>): AskedKind[] => [...of].map(([kind, n]) => ({ kind, acts: n }));
  const acts: ShopAct[] = [];
  const asked = sorted.map(({ job, act }): OrderAct => {
    const { said } = act;
    const isStarted = started({ act });
    const person = people.findIndex((p) => p.id === said?.personId);
    const { left, setupMin } = leftOf(act, works[person] ?? null, inputs);
    acts.push({ job, act, left, started: isStarted });
    const ofKind = machines.flatMap((m, k) => (m.kind === act.at ? [k] : []));
    const named = machines.findIndex((m) => m.id === (said?.machineId || act.machineId));
    if (act.at !== 'bench' && act.at !== 'away' && !ofKind.length) once(missing, act.at);
    const can = people.flatMap((p, k) => (act.at === 'bench' || runs(hoursOf(hours, p.id)).includes(act.at as MachineKind) ? [k] : []));
    if (act.at !== 'bench' && act.at !== 'away' && ofKind.length && !can.length && person < 0) once(unmanned, act.at);
    const who = act.act === null ? [] : person >= 0 ? [person] : can.length ? can : people.map((_, k) => k);
    const pinned = !isStarted && said?.pinnedAt ? minuteOf(said.pinnedAt) : null;
    const { notBefore } = job.toDo.urgency;
    const wait = awaited(act, job, inputs);
    return {
      job: jobs.indexOf(job),
      handsMin: act.act === null ? 0 : meanOf3(left),
      setupMin,
      setup: act.setup,
      aloneMin: wait.aloneMin,
      machines: act.act === null ? [] : named >= 0 ? [named] : ofKind,
      people: who,
      // What is under way waits for nothing any more.
      after: isStarted ? [] : act.after.flatMap((key) => index.get(`${job.id}/${key}`) ?? []),
      notBefore: isStarted ? now : Math.max(now, pinned ?? 0, notBefore ? momentOf(notBefore, 0) : 0, wait.from),
      pinned: pinned !== null && who.length === 1,
    };
  });
  const problem: OrderProblem = {
    acts: asked,
    jobs: jobs.map((j) => ({ due: dueAt(j, inputs), weight: j.toDo.urgency.urgent ? URGENT : 1 })),
    machines: machines.map(({ backOn }) => ({ freeFrom: backOn ? Math.max(now, momentOf(backOn, 0)) : now })),
    people: works.map((work) => ({ work })),
    now,
    cost: SHOP_COST,
  };
  const held = begun.length;
  return {
    problem,
    acts,
    jobs,
    machines,
    people,
    held,
    order: orderAsStored(problem, held, sorted.map(place), inputs, people, sorted),
    missing: listed(missing),
    unmanned: listed(unmanned),
  };
}

/**
 * The stored order with what came in since: acts that it has keep their sequence, machine and person as far as these still can; the others
 * go where a rule puts them, after what is stored.
 */
function orderAsStored(
  problem: OrderProblem,
  held: number,
  ranks: readonly number[],
  { stored, shop }: ShopOrderInputs,
  people: readonly PersonRecord[],
  sorted: readonly { readonly job: RunJob; readonly act: ToDoAct }[],
): Order {
  const { acts } = problem;
  const placed = new Map((stored?.placed ?? []).map((p) => [`${p.jobId}/${p.key}`, p]));
  const machine = new Array<number>(acts.length).fill(-1);
  const person = new Array<number>(acts.length).fill(-1);
  acts.forEach((a, i) => {
    const p = placed.get(idOf(sorted[i]!.job, sorted[i]!.act));
    const m = shop.machines.findIndex((x) => x.id === p?.machineId);
    const w = people.findIndex((x) => x.id === p?.personId);
    machine[i] = a.machines.includes(m) ? m : (a.machines[0] ?? -1);
    person[i] = a.people.includes(w) ? w : (a.people[0] ?? -1);
  });
  // Those under way, then those that the stored order has, each after what it waits for.
  const known = acts.map((_, i) => i).filter((i) => i < held || ranks[i] !== Infinity);
  known.sort((a, b) => Number(b < held) - Number(a < held) || (a < held ? a - b : ranks[a]! - ranks[b]!));
  const isKnown = new Set(known);
  const sequence: number[] = [];
  const seen = new Set<number>();
  const take = (i: number): boolean => {
    if (seen.has(i)) return true;
    if (!isKnown.has(i)) return false;
    if (!acts[i]!.after.every(take)) return false;
    seen.add(i);
    sequence.push(i);
    return true;
  };
  known.forEach(take);
  return firstOrder(problem, { sequence, machine, person });
}
