import { coolantFor, materialOf, type Wetted } from '../../book/materials';
import type { Side } from '../../evidence/readings';
import { isDiameterOfSurface } from '../../making/part';
import type { Lathe } from '../../making/setups';
import { plus, ruled, sumOf, workedOut, type Figure } from '../../terms/working';
import type { Dialled } from './bored-on';
import { boredPasses } from './bored-passes';
import type { BoringFinding } from './boring-finding';
import type { PlanChoice } from './choices';
import { coolantWords } from './coolant-in';
import type { JobItem } from './items';
import type { PartFinding, SegmentFinding } from './part-finding';
import type { PlaceFinding } from './place-finding';
import { cuttingMin, surfacePasses, tooFastWords, type SegmentPasses } from './planned-passes';
import { pushedOff, type Pushed } from './pushed';
import type { JobSheet, ReadingRecord, Shop } from './records';
import { standingAt, type Standing } from './rework-standing';
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

const STANDS = 'what stands there';

/** What is cut of a component that stays, from what stands there to its size; null where nothing of it has limits. */
export function reworkPlan(
  { item, part, boring, places, readings, plan, lathe }: ReworkGiven,
  sheet: JobSheet,
  shop: Shop,
): ReworkPlan | null {
  const { unit } = sheet.job;
  const { materialId } = part.part;
  const cut = part.segments.filter((s) =>
    part.dimensions.some((d) => d.dimension.key === s.segment.id && isDiameterOfSurface(d.dimension)),
  );
  if (!cut.length) return null;
  const of = (side: Side): SegmentFinding[] => cut.filter((s) => s.segment.side === side);
  const stands = (s: SegmentFinding): Standing => {
    const place = places.find((f) => f.place.id === s.segment.id) ?? null;
    return standingAt(s, item, { place, readings }, sheet, shop);
  };
  const turned = turnedAgain(of('outside'), item, places, plan, lathe, materialId, unit);
  const spindle = turned?.spindle ?? null;
  const outside = of('outside').map((s) => {
    const { figure, cannot } = stands(s);
    return surfacePasses(s, figure ?? s.diameter, STANDS, plan, part.part, spindle, cannot ?? undefined);
  });
  const way = boring?.chosen?.id ?? null;
  const bores = of('inside').map((segment) => {
    const { figure, cannot } = stands(segment);
    return { segment, from: figure, standing: STANDS, cannot };
  });
  const bored = boredPasses(bores, way, plan, lathe, part.part, shop, unit);
  const m = materialOf(materialId);
  const powerKw = shop.machines.find((x) => x.id === lathe?.id)?.powerKw ?? null;
  const against = turned?.against;
  const off = outside.flatMap((x): Pushed[] => {
    const told = m && against && pushedOff({ surface: `rework.${x.segment.segment.id}`, holding: 'rework' }, x, against, m, powerKw, unit);
    return told ? [told] : [];
  });
  const works = new Set<Wetted>([
    ...(outside.length || bored.bores ? ['turn' as const] : []),
    ...(way === 'follow' && bores.length ? ['ream' as const] : []),
  ]);
  return {
    ...{ plan, turned, bores: bores.length ? bored.bores : null, passes: [...outside, ...bored.passes], pushed: [...off, ...bored.pushed] },
    coolant: coolantFor(materialId, works, plan.tool === 'carbide').map(coolantWords),
    minutes: {
      turned: turned?.chosen ? minutesOf('turned', 'turning it again, about', turned.chosen.minutes, outside) : null,
      bored: boring?.chosen ? minutesOf('bored', 'boring it, about', boring.chosen.minutes, bored.passes) : null,
    },
    problems: [...outside.map((x) => tooFastWords(x, spindle?.most ?? null)).filter(Boolean), ...bored.problems],
    minds: bored.minds,
  };
}
