import { DRILLS, inCrib, type Drill, type DrillSet } from '../../book/drills';
import { inSentence } from '../../terms/words';
import { materialOf } from '../../book/materials';
import { bad, type Outcome } from '../../terms/outcome';
import {
  drillBeforeBoringMm,
  passesMin,
  planBorePasses,
  planPasses,
  spindleSpeed,
  USUAL_PASSES,
  type Pass,
  type SpindleSpeed,
} from '../../making/process';
import { heldPlan, rankedWays, workOf, type HeldPlan, type NoWay, type SetUp, type WayId, WAYS } from '../../making/holdings';
import { depthLadder, type Lathe, type Rung } from '../../making/setups';
import {
  chooseBars,
  stockNeed,
  USUAL_ALLOWANCES,
  type Bar,
  type BarChoice,
  type StockAllowances,
  type StockNeed,
} from '../../making/stock';
import { plus, ruled, sumOf, tabled, workedOut, type Figure } from '../../terms/working';
import { chosenPlan, type PlanChoice } from './choices';
import type { PartFinding, SegmentFinding } from './part-finding';
import type { JobSheet, Shop } from './records';
import { HOLDINGS_KEY } from './release';

/** Speed of the chosen tool in the part's material. */
function surfaceSpeed(plan: PlanChoice, materialId: string): Figure {
  const material = materialOf(materialId);
  const speed = plan.tool === 'hss' ? (material?.speedHss ?? 0) : (material?.speedCarbide ?? 0);
  const words = `${material?.name ?? 'material not known'}, ${plan.tool === 'hss' ? 'high-speed steel' : 'carbide'}, starting value`;
  return tabled('plan.surface-speed', 'surface speed', speed, words, 'speed');
}

const barFigure = (barMm: number): Figure => tabled('plan.bar-diameter', 'bar', barMm, 'the rack');

export interface SegmentPasses {
  readonly segment: SegmentFinding;
  /** The bar, or the hole that is drilled before boring, mm. */
  readonly fromMm: number;
  readonly passes: Outcome<Pass[]>;
  /** For the first roughing cut on this segment and for its finish. */
  readonly roughSpeed: Outcome<SpindleSpeed>;
  readonly finishSpeed: Outcome<SpindleSpeed>;
  /** Each pass as a figure: diameter after it, mm. */
  readonly passFigures: readonly Figure[];
  readonly roughRpm: Figure | null;
  readonly finishRpm: Figure | null;
}

/** One holding with the stops of what is cut in it, and how long it takes. */
export interface PlannedSetUp {
  readonly setUp: SetUp;
  readonly ladder: readonly Rung[];
  /** Setting it up and turning the surfaces to size; what is cut into them is not in it. An estimate, min. */
  readonly minutes: Figure;
}

export interface PlanFinding {
  /** The stored choice, or the proposal while nothing is chosen. */
  readonly plan: PlanChoice;
  readonly chosen: boolean;
  readonly lathe: Lathe;
  readonly need: StockNeed;
  readonly bars: Outcome<BarChoice[]>;
  readonly bar: Bar | null;
  /** How it is held from beginning to end, as chosen or as is best here. */
  readonly held: HeldPlan;
  /** Every way to hold it, the best first, each as it is without what anybody moved. */
  readonly ways: readonly HeldPlan[];
  readonly noWays: readonly NoWay[];
  readonly setUps: readonly PlannedSetUp[];
  readonly passes: readonly SegmentPasses[];
  readonly problems: readonly string[];
  /** What a release freezes of the plan: stock, tool, every stop. Passes follow from the bar and the sizes. */
  readonly frozen: readonly Figure[];
}

const allowancesOf = (plan: PlanChoice, way: WayId): StockAllowances => ({
  ...USUAL_ALLOWANCES,
  cutsOff: WAYS[way].cutsOff,
  partingMm: plan.partingMm,
  grippedMm: plan.grippedMm,
});

/** The drill before boring: one that hangs in the crib where one does, else as sold. */
function drillFigure(id: string, boreMm: number, sets: readonly DrillSet[]): Figure {
  const sizes = (drills: readonly Drill[]): number[] => drills.map((d) => d.diameterMm);
  const hanging = drillBeforeBoringMm(boreMm, sizes(DRILLS.filter((d) => inCrib(sets, d))));
  const source = hanging === null ? 'drills as sold' : 'drills of the crib';
  return tabled(`plan.drill.${id}`, 'drilled before boring', hanging ?? drillBeforeBoringMm(boreMm, sizes(DRILLS)) ?? 0, source);
}

/** What the plan is until somebody chooses: the first lathe, the bar with least waste, a left-edge touch. */
export const usualPlan = (lathe: Lathe): PlanChoice => ({
  latheId: lathe.id,
  barId: '',
  tool: 'carbide',
  partingMm: USUAL_ALLOWANCES.partingMm,
  touched: 'left',
  grippedMm: USUAL_ALLOWANCES.grippedMm,
  finishes: 2,
});

function passesFor(
  segments: readonly SegmentFinding[],
  plan: PlanChoice,
  lathe: Lathe,
  barMm: number,
  materialId: string,
  sets: readonly DrillSet[],
): SegmentPasses[] {
  const surface = surfaceSpeed(plan, materialId);
  const speed = surface.value;
  const bar = barFigure(barMm);
  const rpmFigure = (key: string, label: string, outcome: Outcome<SpindleSpeed>, over: Figure): Figure | null =>
    outcome.ok
      ? workedOut(
          key,
          label,
          outcome.value.gearRpm,
          `1000 V/(pi D) is ${Math.round(outcome.value.idealRpm)}, stepped down to a gear of ${lathe.name}`,
          [surface, over],
          { measure: 'rpm' },
        )
      : null;
  return segments.map((segment) => {
    const { id } = segment.segment;
    const inside = segment.segment.side === 'inside';
    const options = { ...USUAL_PASSES, finishes: plan.finishes };
    const drill = drillFigure(id, segment.diameter.value, sets);
    const from = inside ? drill : bar;
    const passes =
      inside && drill.value === 0
        ? bad('small', 'Too small to bore: drill and ream it.')
        : inside
          ? planBorePasses(drill.value, segment.diameter.value, options)
          : planPasses(barMm, segment.diameter.value, options);
    const roughSpeed = spindleSpeed(speed, inside ? segment.diameter.value : barMm, lathe.gearsRpm);
    const finishSpeed = spindleSpeed(speed, segment.diameter.value, lathe.gearsRpm);
    return {
      segment,
      fromMm: from.value,
      passes,
      roughSpeed,
      finishSpeed,
      passFigures: passes.ok
        ? passes.value.map((p, n) =>
            workedOut(
              `segment.${id}.pass.${n}`,
              `${p.kind} pass ${n + 1}`,
              p.toMm,
              `equal cuts from ${inside ? 'the drilled hole' : 'the bar'} to the wanted size, the last ones for finishing`,
              [from, segment.diameter],
            ),
          )
        : [],
      roughRpm: rpmFigure(`segment.${id}.rough-rpm`, 'roughing speed', roughSpeed, inside ? segment.diameter : bar),
      finishRpm: rpmFigure(`segment.${id}.finish-rpm`, 'finishing speed', finishSpeed, segment.diameter),
    };
  });
}

/** Where the tool stands at a stop: the depth on the part, and the tool's own width where it was touched on the far edge. */
export function rungFigure(rung: Rung, setUp: number): Figure {
  const key = `set-up.${setUp}.${rung.key}`;
  const depth = workedOut(`${key}.depth`, inSentence(rung.what), rung.depthMm, 'distance from the zero face on the drawing', []);
  const width = rung.toolMm - rung.depthMm;
  return sumOf(key, `tool at ${inSentence(rung.what)}`, [
    plus(depth),
    ...(width > 0 ? [plus(ruled(`${key}.width`, 'width of the parting tool', width, 'its left edge touched the face'))] : []),
  ]);
}

function troubles(found: PartFinding, need: StockNeed, lathe: Lathe, bar: Bar | null): string[] {
  const said: string[] = [];
  const largest = bar?.diameterMm ?? need.diameter.value;
  if (largest > lathe.swingMm) said.push(`The bar is ${largest} mm thick and ${lathe.name} swings ${lathe.swingMm} mm.`);
  if (need.length.value > lathe.centresMm)
    said.push(`The work is ${need.length.value.toFixed(0)} mm long and ${lathe.name} takes ${lathe.centresMm} mm.`);
  if (found.problems.length) said.push('The drawing has problems: put them right at Draw first.');
  return said;
}

/** Turning the surfaces of a holding to size, min. */
const cuttingMin = (setUp: SetUp, passes: readonly SegmentPasses[]): number =>
  passes
    .filter((x) => setUp.cuts.includes(x.segment.segment.id) && x.passes.ok && x.roughSpeed.ok && x.finishSpeed.ok)
    .reduce((sum, x) => {
      const { lengthMm } = x.segment.segment;
      const of = (kind: Pass['kind']): number => (x.passes.ok ? x.passes.value.filter((p) => p.kind === kind).length : 0);
      const [rough, finish] = [x.roughSpeed.ok ? x.roughSpeed.value.gearRpm : 0, x.finishSpeed.ok ? x.finishSpeed.value.gearRpm : 0];
      return sum + passesMin('rough', of('rough'), lengthMm, rough) + passesMin('finish', of('finish'), lengthMm, finish);
    }, 0);

function minutesOf(setUp: SetUp, passes: readonly SegmentPasses[]): Figure {
  const key = `set-up.${setUp.number}.minutes`;
  const setting = ruled(`${key}.setting`, 'to set it up', setUp.settingMin, 'estimate of the shop', 'time');
  const cutting = cuttingMin(setUp, passes);
  const cut = workedOut(`${key}.cutting`, 'turning to size', cutting, 'passes at the usual feeds, back and measured between them', [], {
    measure: 'time',
  });
  return sumOf(key, `set-up ${setUp.number}, about`, [plus(setting), ...(cutting > 0 ? [plus(cut)] : [])]);
}

/** The diameter that is reckoned with before a bar is chosen. */
const stockMm = (part: PartFinding['part'], plan: PlanChoice | null, rack: readonly Bar[]): number =>
  rack.find((b) => b.id === plan?.barId)?.diameterMm ?? stockNeed(part, USUAL_ALLOWANCES).diameter.value;

/** Stock, set-ups, ladders and passes for the drawn part; null while there is no part or no lathe. */
export function planFinding(found: PartFinding | null, sheet: JobSheet, shop: Shop, planKey: string): PlanFinding | null {
  if (!found || found.part.outside.length === 0) return null;
  const stored = chosenPlan(sheet, planKey);
  const lathe = shop.lathes.find((l) => l.id === stored?.latheId) ?? shop.lathes[0];
  if (!lathe) return null;
  const plan = stored ?? usualPlan(lathe);
  const work = workOf(found.part, lathe, stockMm(found.part, stored, shop.rack), plan.grippedMm);
  const { plans: ways, no } = rankedWays(work);
  // Plans of before nobody was asked were all from the bar, and so is what cannot be held as it was chosen.
  const way = stored ? (stored.way ?? 'bar') : ways[0]!.way;
  const chosen = heldPlan(way, work, plan.moved ?? []);
  const held = chosen.ok ? chosen.value : ways[0]!;
  const need = stockNeed(found.part, allowancesOf(plan, held.way));
  const bars = chooseBars(found.part, need, shop.rack, found.volumeMm3 ?? 0);
  const bar = shop.rack.find((b) => b.id === plan.barId) ?? (bars.ok ? bars.value[0]!.bar : null);
  const barMm = bar?.diameterMm ?? need.diameter.value;
  const passes = passesFor(found.segments, plan, lathe, barMm, found.part.materialId, shop.drillSets);
  const setUps = held.setUps.map((setUp): PlannedSetUp => ({
    setUp,
    ladder: depthLadder(found.part, {
      ...{ fromFarEnd: setUp.fromFarEnd, partingMm: plan.partingMm, touched: plan.touched, lathe },
      ...{ partOff: setUp.partsOff, toLength: setUp.toLength, cuts: setUp.cuts },
    }),
    minutes: minutesOf(setUp, passes),
  }));
  return {
    plan,
    chosen: stored !== null,
    lathe,
    need,
    bars,
    bar,
    held,
    ways,
    noWays: no,
    setUps,
    passes,
    problems: [
      ...troubles(found, need, lathe, bar),
      ...held.cannot,
      ...(chosen.ok ? [] : [`${WAYS[way].name}: ${chosen.problems[0]!.message}`]),
    ],
    frozen: [
      need.length,
      need.diameter,
      ...(bar ? [barFigure(bar.diameterMm)] : []),
      surfaceSpeed(plan, found.part.materialId),
      ruled(HOLDINGS_KEY, 'holdings', setUps.length, WAYS[held.way].name, 'count'),
      ...setUps.flatMap(({ setUp, ladder }) => ladder.map((r) => rungFigure(r, setUp.number))),
    ],
  };
}
