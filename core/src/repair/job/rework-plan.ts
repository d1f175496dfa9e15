import { coolantFor, materialOf, type Wetted } from '../../book/materials';
import { betweenBarMm } from '../../making/holdings';
import { isDiameterOfSurface } from '../../making/part';
import type { Lathe } from '../../making/setups';
import { formatWithUnit } from '../../terms/quantity';
import { plus, ruled, sumOf, workedOut, type Figure } from '../../terms/working';
import { bentBar, reaching, type BarHeld } from './bar-bend';
import { boredOn, type Dialled } from './bored-on';
import type { BoringFinding } from './boring-finding';
import type { PlanChoice } from './choices';
import { coolantWords } from './coolant-in';
import type { JobItem } from './items';
import type { PartFinding, SegmentFinding } from './part-finding';
import type { PlaceFinding } from './place-finding';
import { cuttingMin, surfacePasses, tooFastWords, type SegmentPasses, type Spindle } from './planned-passes';
import { pushedOff, type Pushed } from './pushed';
import type { JobSheet, ReadingRecord, Shop } from './records';
import { standingAt } from './rework-standing';
import { turnedAgain, type TurnedAgainFinding } from './turned-again';

/** How what is cut of a component that stays is brought to its size. */
export interface ReworkPlan {
  readonly plan: PlanChoice;
  /** How what is turned of it is held; null where nothing is. */
  readonly turned: TurnedAgainFinding | null;
  /** Whose dial sets a bore; null where nothing is bored, or no dial does it. */
  readonly bores: Dialled | null;
  /** Of what has limits, from what stands there. */
  readonly passes: readonly SegmentPasses[];
  readonly pushed: readonly Pushed[];
  /** What is put on the cut, a sentence for what is alike; empty where the metal is not known. */
  readonly coolant: readonly string[];
  /** Setting up and cutting, min; null where nothing is turned, or bored, and where some of it has no cuts yet. */
  readonly minutes: { readonly turned: Figure | null; readonly bored: Figure | null };
  readonly problems: readonly string[];
  /** What to mind beside what gives way. */
  readonly minds: readonly string[];
}

/** What the plan of a rework goes by. */
export interface ReworkGiven {
  readonly item: JobItem;
  readonly part: PartFinding;
  readonly boring: BoringFinding | null;
  readonly bores: Dialled | null;
  /** As they were before anything of the component was cut here. */
  readonly places: readonly PlaceFinding[];
  /** Of the item, those that count. */
  readonly readings: readonly ReadingRecord[];
  readonly plan: PlanChoice;
  readonly lathe: Lathe | null;
}

/** Setting up and cutting, as a figure; null where something has no cuts yet. */
function minutesOf(key: string, label: string, settingMin: number, passes: readonly SegmentPasses[]): Figure | null {
  if (!passes.length || !passes.every((x) => x.passes.ok)) return null;
  const setting = ruled(`rework.${key}.setting`, 'to set it up', settingMin, 'estimate of the shop', 'time');
  const cutting = workedOut(
    `rework.${key}.cutting`,
    'cutting to size',
    cuttingMin(passes),
    'passes at these feeds, back and measured between them',
    [],
    { measure: 'time' },
  );
  return sumOf(`rework.${key}.minutes`, label, [plus(setting), ...(cutting.value > 0 ? [plus(cutting)] : [])]);
}

const IN_LINE = 'Each bore is reckoned through its own mouth. One behind another in line takes a bar that reaches through all of them.';

/** What a reamer or a hone takes, and how it goes. */
const followWords = (takes: string): string =>
  `A reamer or a hone takes ${takes} off the diameter. A reamer at half the speed of a drill, with oil, never turned back; with a hone read it every few strokes and let it cool.`;

/** What is cut of a component that stays, from what stands there to its size; null where nothing of it has limits. */
export function reworkPlan(
  { item, part, boring, bores, places, readings, plan, lathe }: ReworkGiven,
  sheet: JobSheet,
  shop: Shop,
): ReworkPlan | null {
  const { unit } = sheet.job;
  const { materialId } = part.part;
  const cut = part.segments.filter((s) =>
    part.dimensions.some((d) => d.dimension.key === s.segment.id && isDiameterOfSurface(d.dimension)),
  );
  const of = (side: 'inside' | 'outside'): SegmentFinding[] => cut.filter((s) => s.segment.side === side);
  if (!cut.length) return null;
  const turned = turnedAgain(of('outside'), item, places, plan, lathe, materialId, unit);
  const mill = shop.machines.find((m) => m.mill) ?? null;
  const bored = boring?.chosen?.id ?? null;
  const borer = bored && boredOn(bored, lathe, mill);
  const passesOf = (s: SegmentFinding, on: Spindle | null): SegmentPasses => {
    const place = places.find((f) => f.place.id === s.segment.id) ?? null;
    const { figure, cannot } = standingAt(s, item, { place, readings }, sheet, shop);
    const follows = bored === 'follow' && s.segment.side === 'inside';
    const takes = figure && !cannot ? formatWithUnit(s.diameter.value - figure.value, unit) : 'the rest';
    const why = follows ? followWords(takes) : on ? cannot : 'Nothing here holds it, see above.';
    return surfacePasses(s, figure ?? s.diameter, 'what stands there', plan, part.part, on ?? { name: '', gearsRpm: [], most: null }, why);
  };
  const outside = of('outside').map((s) => passesOf(s, turned?.spindle ?? null));
  const inside = of('inside').map((s) => passesOf(s, borer));
  const m = materialOf(materialId);
  const powerKw = shop.machines.find((x) => x.id === lathe?.id)?.powerKw ?? null;
  const against = turned?.against;
  const barIn = (x: SegmentPasses): BarHeld => {
    const { lengthMm } = x.segment.segment;
    return bored === 'carriage-bar'
      ? { held: 'centres', freeMm: betweenBarMm(lengthMm), words: 'twice the bore, and room at both ends' }
      : reaching(lengthMm);
  };
  const told = [
    ...(m && against
      ? outside.map((x) => pushedOff({ surface: `rework.${x.segment.segment.id}`, holding: 'rework' }, x, against, m, powerKw, unit))
      : []),
    ...(m && borer ? inside.map((x) => bentBar(`rework.${x.segment.segment.id}`, x, barIn(x), m, shop.tools, unit)) : []),
  ];
  const works = new Set<Wetted>([...(outside.length || borer ? ['turn' as const] : []), ...(bored === 'follow' ? ['ream' as const] : [])]);
  return {
    ...{ plan, turned, bores: borer ? bores : null, passes: [...outside, ...inside] },
    pushed: told.filter((p) => p !== null),
    coolant: coolantFor(materialId, works, plan.tool === 'carbide').map(coolantWords),
    minutes: {
      turned: turned?.chosen ? minutesOf('turned', 'turning it again, about', turned.chosen.minutes, outside) : null,
      bored: boring?.chosen ? minutesOf('bored', 'boring it, about', boring.chosen.minutes, inside) : null,
    },
    minds: inside.length > 1 && bored === 'mill-head' ? [IN_LINE] : [],
    problems: [
      ...outside.map((x) => tooFastWords(x, turned?.spindle?.most ?? null)),
      ...inside.map((x) => tooFastWords(x, borer?.most ?? null)),
    ].filter(Boolean),
  };
}
