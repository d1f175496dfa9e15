import { materialOf } from '../materials';
import type { Outcome } from '../outcome';
import { planPasses, spindleSpeed, USUAL_PASSES, type Pass, type SpindleSpeed } from '../process';
import { depthLadder, setUpSequence, type Lathe, type Rung, type SetUp } from '../setups';
import { chooseBars, stockNeed, USUAL_ALLOWANCES, type Bar, type BarChoice, type StockAllowances, type StockNeed } from '../stock';
import { chosenPlan, type PlanChoice } from './choices';
import type { PartFinding, SegmentFinding } from './part-finding';
import type { JobSheet, Shop } from './records';

export interface SegmentPasses {
  readonly segment: SegmentFinding;
  readonly passes: Outcome<Pass[]>;
  /** For the first roughing cut on this segment and for its finish. */
  readonly roughSpeed: Outcome<SpindleSpeed>;
  readonly finishSpeed: Outcome<SpindleSpeed>;
}

export interface PlanFinding {
  /** The stored choice, or the proposal while nothing is chosen. */
  readonly plan: PlanChoice;
  readonly chosen: boolean;
  readonly lathe: Lathe;
  readonly need: StockNeed;
  readonly bars: Outcome<BarChoice[]>;
  readonly bar: Bar | null;
  readonly setUps: readonly { readonly setUp: SetUp; readonly ladder: readonly Rung[] }[];
  readonly passes: readonly SegmentPasses[];
  readonly problems: readonly string[];
}

const allowancesOf = (plan: PlanChoice): StockAllowances => ({ ...USUAL_ALLOWANCES, partingMm: plan.partingMm, grippedMm: plan.grippedMm });

/** What the plan is until somebody chooses: the first lathe, the bar with least waste, a left-edge touch. */
const proposal = (lathe: Lathe): PlanChoice => ({
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
): SegmentPasses[] {
  const material = materialOf(materialId);
  const speed = plan.tool === 'hss' ? (material?.speedHss ?? 0) : (material?.speedCarbide ?? 0);
  return segments.map((segment) => ({
    segment,
    passes: planPasses(barMm, segment.diameter.value, { ...USUAL_PASSES, finishes: plan.finishes }),
    roughSpeed: spindleSpeed(speed, barMm, lathe.gearsRpm),
    finishSpeed: spindleSpeed(speed, segment.diameter.value, lathe.gearsRpm),
  }));
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

/** Stock, set-ups, ladders and passes for the drawn part; null while there is no part or no lathe. */
export function planFinding(found: PartFinding | null, sheet: JobSheet, shop: Shop): PlanFinding | null {
  if (!found || found.part.segments.length === 0) return null;
  const stored = chosenPlan(sheet);
  const lathe = shop.lathes.find((l) => l.id === stored?.latheId) ?? shop.lathes[0];
  if (!lathe) return null;
  const plan = stored ?? proposal(lathe);
  const need = stockNeed(found.part, allowancesOf(plan));
  const bars = chooseBars(found.part, need, shop.rack, found.volumeMm3 ?? 0);
  const bar = shop.rack.find((b) => b.id === plan.barId) ?? (bars.ok ? bars.value[0]!.bar : null);
  const setUps = setUpSequence(found.part).map((setUp) => ({
    setUp,
    ladder: depthLadder(found.part, {
      fromFarEnd: setUp.fromFarEnd,
      partingMm: plan.partingMm,
      touched: plan.touched,
      lathe,
      partOff: setUp.partsOff,
    }),
  }));
  return {
    plan,
    chosen: stored !== null,
    lathe,
    need,
    bars,
    bar,
    setUps,
    passes: passesFor(found.segments, plan, lathe, bar?.diameterMm ?? need.diameter.value, found.part.materialId),
    problems: troubles(found, need, lathe, bar),
  };
}
