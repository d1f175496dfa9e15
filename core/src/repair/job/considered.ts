import { ROUTES, type Lasts, type RouteId } from '../../evidence/diagnosis';
import { isDiameter } from '../../evidence/readings';
import { COST_ACTS, ROUTE_TAKES, type CostAct, type ThreePoint, type WorkSize } from '../../making/costing';
import { choiceOf, newItem, newStep, type ItemChoice, type JobItem } from './items';
import type { PlaceFinding } from './place-finding';
import type { ComponentRecord, JobSheet } from './records';
import { itemsOf, type Item } from './strip-records';

/** An act that a route takes. */
export interface ConsideredAct {
  readonly act: CostAct;
  /** In words of its own; empty for the usual ones. */
  readonly what: string;
  readonly times: number;
  /** Minutes of all of them, as somebody said; null as they are estimated. */
  readonly minutes: ThreePoint | null;
  /** The machine that it keeps; empty for whichever of its kind is there. */
  readonly machineId: string;
}

/** Stock that a route cuts up. */
export interface ConsideredStock {
  readonly what: string;
  readonly materialId: string;
  readonly diameterMm: number;
  readonly lengthMm: number;
  readonly pieces: number;
  /** Of all of it; null where its mass says it. */
  readonly priceMinor: number | null;
}

/** What a route buys, or has done elsewhere. */
export interface ConsideredBuy {
  readonly what: string;
  readonly count: number;
  /** Each; null while nobody asked. */
  readonly costMinor: number | null;
  readonly leadDays: number | null;
  /** It is an act of another shop, and the part is away. */
  readonly outside: boolean;
  /** The fewest that are sold at once; absent where any number is. */
  readonly least?: number | undefined;
}

export const CONSIDERED_STATES = ['considered', 'chosen', 'dropped'] as const;

/** An act as it was estimated: its minutes as they were told, and those of the model alone, before what earlier jobs taught or somebody said. */
export interface EstimatedAct {
  readonly act: CostAct;
  readonly minutes: number;
  readonly modelMin: number;
}

/** What was estimated when a route was chosen: what it really took is held against what was told, and the model learns against itself. */
export interface EstimatedThen {
  readonly acts: readonly EstimatedAct[];
  /** With tax; null where the shop had not said what an hour costs. */
  readonly priceMinor: number | null;
}

/** One way to put it right, as somebody weighs it. */
export interface ConsideredChoice {
  /** Of the list; null for one of their own. */
  readonly routeId: RouteId | null;
  readonly name: string;
  readonly componentId: string | null;
  readonly acts: readonly ConsideredAct[];
  readonly stock: readonly ConsideredStock[];
  readonly bought: readonly ConsideredBuy[];
  readonly postageMinor: number;
  readonly lasts: Lasts;
  readonly lastsWhy: string;
  readonly risk: string;
  /** Who else has to decide, or does it; empty where it is the shop's own. */
  readonly decides: string;
  readonly state: (typeof CONSIDERED_STATES)[number];
  /** Why it was chosen, or not. */
  readonly why: string;
  readonly estimated: EstimatedThen | null;
  readonly position: number;
  readonly removed: boolean;
}

/** Routes that are weighed for this job, in their order. */
export const consideredRoutes = (sheet: Pick<JobSheet, 'choices'>): Item<ConsideredChoice>[] =>
  itemsOf<ConsideredChoice>(sheet, 'considered').sort((a, b) => a.value.position - b.value.position);

/** How large a component is, by its measured places; null where none of them was. */
function sizeOfComponent({ id, materialId }: ComponentRecord, places: readonly PlaceFinding[]): WorkSize | null {
  const own = places.filter((f) => f.component.id === id);
  const across = own.flatMap((f) => (f.shape && isDiameter(f.place.kind) ? [f.shape.largestMm] : []));
  const along = own.map((f) => f.place.startMm + f.place.lengthMm);
  return across.length ? { diameterMm: Math.max(...across), lengthMm: Math.max(...along), materialId } : null;
}

/** Places that wore unevenly by as much as this alike are equally bad, mm. */
const SAME_WEAR_MM = 0.005;

/** How unevenly a place wore: what its sizes differ by, mm. */
const unevenMm = ({ shape }: PlaceFinding): number => shape!.largestMm - shape!.smallestMm;

/** The worst place of a component, where a bush, a ring, a pin or a sleeve goes; null where nothing round of it was measured. */
function sizeOfPlace({ id, materialId }: ComponentRecord, places: readonly PlaceFinding[]): WorkSize | null {
  const round = places.filter((f) => f.component.id === id && f.shape && isDiameter(f.place.kind));
  const ran = round.filter((f) => f.place.land === 'worn');
  const mostMm = Math.max(0, ...ran.map(unevenMm));
  // Of holes that wore alike the largest; where nothing wore unevenly, the first that was told.
  const alike = ran.filter((f) => unevenMm(f) >= mostMm - SAME_WEAR_MM);
  const worst = (mostMm > SAME_WEAR_MM ? alike.toSorted((p, q) => q.shape!.largestMm - p.shape!.largestMm)[0] : ran[0]) ?? round[0];
  return worst ? { diameterMm: worst.shape!.largestMm, lengthMm: worst.place.lengthMm, materialId } : null;
}

/** What a blank is larger than what is made of it: over the diameter of a whole part, of a ring on a place, and along. An estimate of the shop. */
const OVER_PART_MM = 3;
const OVER_PLACE_SHARE = 0.3;
const ALONG_MM = 10;
const tenth = (mm: number): number => Math.round(mm * 10) / 10;

/** How large the work of a route is: that of the worst place where something is made for it, else that of the whole component. */
export const sizeOfRoute = (routeId: RouteId | null, component: ComponentRecord, places: readonly PlaceFinding[]): WorkSize | null =>
  routeId && ROUTE_TAKES[routeId].stock === 'place' ? sizeOfPlace(component, places) : sizeOfComponent(component, places);

function proposedStock(routeId: RouteId, component: ComponentRecord, places: readonly PlaceFinding[], pieces: number): ConsideredStock[] {
  const { stock: takes, materialId } = ROUTE_TAKES[routeId];
  const size = takes === 'none' ? null : sizeOfRoute(routeId, component, places);
  if (!size) return [];
  const over = takes === 'part' ? OVER_PART_MM : Math.max(OVER_PART_MM, size.diameterMm * OVER_PLACE_SHARE);
  return [
    {
      what: takes === 'part' ? 'bar' : 'bar for it',
      materialId: materialId ?? size.materialId,
      diameterMm: tenth(size.diameterMm + over),
      lengthMm: tenth(size.lengthMm + ALONG_MM),
      pieces,
      priceMinor: null,
    },
  ];
}

/** What is done on every piece that is made. */
const EACH_PIECE: readonly string[] = ['saw', 'lathe', 'mill'];

/** The same act once, with how often; in the order in which they come first. */
function counted(acts: readonly CostAct[], pieces = 1): ConsideredAct[] {
  const times = new Map<CostAct, number>();
  for (const act of acts) times.set(act, (times.get(act) ?? 0) + 1);
  return [...times].map(([act, n]) => ({
    act,
    what: '',
    times: EACH_PIECE.includes(COST_ACTS[act].at) ? n * pieces : n,
    minutes: null,
    machineId: '',
  }));
}

/** A route of the list as it begins to be weighed: what it takes, of the sizes at hand. */
export function proposeRoute(
  routeId: RouteId,
  component: ComponentRecord | null,
  places: readonly PlaceFinding[],
  position: number,
  pieces: number,
): ConsideredChoice {
  const { name, lasts, lastsWhy, risk, decides } = ROUTES[routeId];
  const takes = ROUTE_TAKES[routeId];
  const buy = (what: string): ConsideredBuy => ({ what, count: 1, costMinor: null, leadDays: null, outside: false });
  return {
    routeId,
    name,
    componentId: component?.id ?? null,
    acts: counted(takes.acts, takes.stock === 'none' ? 1 : pieces),
    stock: component ? proposedStock(routeId, component, places, pieces) : [],
    bought: [...takes.bought.map(buy), ...takes.outside.map(({ what, days }) => ({ ...buy(what), leadDays: days, outside: true }))],
    postageMinor: 0,
    lasts,
    lastsWhy,
    risk,
    decides,
    state: 'considered',
    why: '',
    estimated: null,
    position,
    removed: false,
  };
}

/** A route of somebody's own as it begins. */
export const ownRoute = (component: ComponentRecord | null, position: number): ConsideredChoice => ({
  routeId: null,
  name: '',
  componentId: component?.id ?? null,
  acts: counted(['measure', 'other', 'assemble']),
  stock: [],
  bought: [],
  postageMinor: 0,
  lasts: 'as-new',
  lastsWhy: '',
  risk: '',
  decides: '',
  state: 'considered',
  why: '',
  estimated: null,
  position,
  removed: false,
});

/** What is stored of one item when a route is chosen. */
export interface LaidOut {
  readonly id: string;
  /** Null for one that is new. */
  readonly item: JobItem | null;
  readonly value: ItemChoice;
}

/**
 * Items that a chosen route lays out. One that it laid out before, called off or not, or that the component asks for already, is taken up
 * instead of a second; what is joined waits for what is made and bored for it; what is bought takes its days from the route.
 *
 * @param items what the job does already, and what was called off
 * @param freshId an id for each that is new
 */
export function layOut(
  route: ConsideredChoice,
  sheet: Pick<JobSheet, 'components' | 'job'>,
  items: readonly JobItem[],
  freshId: () => string,
): LaidOut[] {
  const component = sheet.components.find((c) => c.id === route.componentId) ?? null;
  const takes = route.routeId ? ROUTE_TAKES[route.routeId].items : [];
  const free = [...items];
  const laid: LaidOut[] = [];
  for (const { kind, name, steps } of takes) {
    const whole = name.startsWith('{part}');
    const words = name.replace('{part}', component?.name ?? sheet.job.title);
    const own = (x: JobItem): boolean => x.kind === kind && x.name === words && x.route === route.name;
    const asked = (x: JobItem): boolean => !x.off && whole && x.kind === kind && (!component || x.componentIds.includes(component.id));
    const at = free.some(own) ? free.findIndex(own) : free.findIndex(asked);
    const had = at >= 0 ? free.splice(at, 1)[0]! : null;
    const of = component && (whole || kind !== 'make') ? [component.id] : [];
    const value = had ? choiceOf(had) : newItem(kind, words, of, items.length + laid.length);
    const bought = kind === 'buy' ? route.bought.find((b) => words.toLowerCase().includes(b.what.toLowerCase())) : undefined;
    const known = new Set(value.steps.map((s) => s.what));
    const joined = laid.filter((l) => l.value.kind === 'make' || l.value.kind === 'rework').map((l) => l.id);
    laid.push({
      id: had?.id ?? freshId(),
      item: had,
      value: {
        ...value,
        off: false,
        route: route.name,
        leadDays: value.leadDays ?? bought?.leadDays ?? null,
        after: kind === 'join' ? [...new Set([...value.after, ...joined])] : value.after,
        steps: [...value.steps, ...steps.filter((s) => !known.has(s)).map((s) => newStep(s, kind))],
      },
    });
  }
  return laid;
}

/** Items that a route laid out and nobody touched since: they go with it where another is chosen. */
export const untouchedOf = (
  route: Pick<ConsideredChoice, 'name'>,
  sheet: Pick<JobSheet, 'choices'>,
  items: readonly JobItem[],
): JobItem[] =>
  items.filter(
    (i) => !i.off && i.route === route.name && i.version === 1 && !sheet.choices.some((c) => c.key === i.partKey && c.value !== null),
  );
