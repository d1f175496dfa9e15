import { hssMMin, UNKNOWN_MATERIAL } from '../../book/materials';
import { placeWithUnit, type LengthUnit } from '../../terms/quantity';
import { inSentence } from '../../terms/words';
import {
  heldPlan,
  rankedWays,
  WAYS,
  workOf,
  type AskedRunOut,
  type HeldPlan,
  type NoWay,
  type SetUp,
  type WayId,
} from '../../making/holdings';
import type { Part } from '../../making/part';
import { cutMinutes, missingTools, oneSetting, schedulesOf, type Schedule } from '../../making/schedule';
import { finderOf } from '../../making/tooling';
import { depthLadder, type Dial, type Lathe, type Rung } from '../../making/setups';
import {
  blankOf,
  blankWords,
  chooseBars,
  barsFor,
  isOwnSize,
  pieceMm,
  stockFit,
  stockNeed,
  USUAL_ALLOWANCES,
  type Bar,
  type BarChoice,
  type StockAllowances,
  type StockFit,
  type StockNeed,
} from '../../making/stock';
import type { Outcome } from '../../terms/outcome';
import { ruled, type Figure } from '../../terms/working';
import { piecesFromBar, piecesHeldOnce } from './held-once';
import { asBoughtFrom, otherStock, type AsBought } from './as-bought';
import { asAimed } from './as-aimed';
import { asCut } from './as-cut';
import { fromRawCrown, treatmentOf } from './before-treatment';
import { barBends } from './bar-bend';
import { millSpindle } from './bored-on';
import { bowsWords, unknownBarWords, willNotDo } from './chosen-bar';
import { coolantIn, coolantWords } from './coolant-in';
import { chosenPlan, sawnOf, type PlanChoice } from './choices';
import { behindWords, mostRpmIn } from './held-speed';
import { millDial } from './hole-table';
import type { JobItem } from './items';
import type { PartFinding, SegmentFinding } from './part-finding';
import { minutesOf, mostFigure, rungFigure } from './plan-figures';
import { againWords, piecesOf } from './pieces';
import { barFigure, passesFor, surfaceSpeed, tooFastWords, type MostRpm, type SegmentPasses } from './planned-passes';
import { pushedIn, type Pushed } from './pushed';
import type { JobSheet, Shop } from './records';
import { HOLDINGS_KEY } from './release';

/** One holding with the stops of what is cut in it, and how long it takes. */
export interface PlannedSetUp {
  readonly setUp: SetUp;
  readonly ladder: readonly Rung[];
  /** The slide that travels along the part there; null where nothing is dialled. */
  readonly dial: Dial | null;
  /** What has to be set by more than the drawing's own numbers. */
  readonly schedules: readonly Schedule[];
  /** What is put on the cut, a sentence for what is alike; empty where the metal is not known, or nothing is cut. */
  readonly coolant: readonly string[];
  /** How far the tool pushes away what is turned here, and its bar in what is bored. */
  readonly pushed: readonly Pushed[];
  /** Setting it up, turning the surfaces to size and what is cut into them. An estimate, min. */
  readonly minutes: Figure;
}

/** A run-out that the drawing asks for, with what it comes to as a figure; null where the holdings tell nothing of it. */
export interface PlannedRunOut {
  readonly asked: AskedRunOut;
  readonly most: Figure | null;
}

/** How many are made, and what of. */
export interface PlannedOff {
  readonly wanted: number;
  /** As come out of the chosen bar and others like it. */
  readonly fromBar: number;
  /** Cut off one after another from one blank. */
  readonly perBlank: number;
  /** Where it stands far out of the chuck; empty where it does not. */
  readonly mind: string;
  /** Length of a blank for so many, saw cut included, mm. */
  readonly forPieces: (pieces: number) => number;
  /** Blanks on record as sawn. */
  readonly sawn: number;
  /** Where pieces were scrapped and the bar does not give them again; empty where it does. */
  readonly again: string;
}

export interface PlanFinding {
  /** The stored choice, or the proposal while nothing is chosen. */
  readonly plan: PlanChoice;
  readonly chosen: boolean;
  readonly lathe: Lathe;
  readonly need: StockNeed;
  /** What the stock has to be. */
  readonly fit: StockFit;
  readonly bars: Outcome<BarChoice[]>;
  readonly bar: Bar | null;
  readonly off: PlannedOff;
  /** What is not turned because the bar has its size; null where all is. */
  readonly asBought: AsBought | null;
  /** What is to be minded of stock that is no bar, or that moves as it is cut; empty where nothing is. */
  readonly blankWords: string;
  /** What is to be minded of a bar whose metal nobody knows; null for one that is known. */
  readonly unknownBar: string | null;
  /** How it is held from beginning to end, as chosen or as is best here. */
  readonly held: HeldPlan;
  /** Every way to hold it, the best first, each as it is without what anybody moved. */
  readonly ways: readonly HeldPlan[];
  readonly noWays: readonly NoWay[];
  /** What the drawing asks of run-out, with what these holdings give at most. */
  readonly runOuts: readonly PlannedRunOut[];
  readonly setUps: readonly PlannedSetUp[];
  readonly passes: readonly SegmentPasses[];
  /** Tools to make or to get first, and in which set-up they are wanted. */
  readonly missing: readonly { readonly words: string; readonly setUp: number }[];
  readonly problems: readonly string[];
  /** What a release freezes of the plan: stock, tool, every stop. Passes follow from the bar and the sizes. */
  readonly frozen: readonly Figure[];
}

const allowancesOf = (plan: PlanChoice, way: WayId, pieces = 1): StockAllowances => ({
  ...USUAL_ALLOWANCES,
  cutsOff: WAYS[way].cutsOff,
  partingMm: plan.partingMm,
  grippedMm: plan.grippedMm,
  pieces,
});

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

function troubles(found: PartFinding, need: StockNeed, lathe: Lathe, largest: number, way: WayId, unit: LengthUnit): string[] {
  const said: string[] = [];
  if (largest > lathe.swingMm)
    said.push(`The bar is ${placeWithUnit(largest, unit)} thick and ${lathe.name} swings ${placeWithUnit(lathe.swingMm, unit)}.`);
  // Where it is sawn to length the way to hold it says so itself.
  if (WAYS[way].cutsOff && need.length.value > lathe.centresMm)
    said.push(
      `The work is ${placeWithUnit(need.length.value, unit)} long and ${lathe.name} takes ${placeWithUnit(lathe.centresMm, unit)}.`,
    );
  if (found.problems.length) said.push('The drawing has problems: put them right at Draw first.');
  return said;
}

/** The slide that travels along the part: the lathe's carriage, the table of the shop's mill; null where nothing is dialled, or no mill is known. */
function dialOf({ machine }: SetUp, lathe: Lathe, shop: Shop): Dial | null {
  if (machine === 'lathe') return lathe.carriage;
  return machine === 'mill' ? millDial(shop) : null;
}

/** The diameter that is reckoned with: of the bar that was chosen, or of the disc that is cut out of it; else the least that will do. */
function stockMm(outside: Pick<Part, 'outside'>, plan: PlanChoice | null, rack: readonly Bar[]): number {
  const least = stockNeed(outside, USUAL_ALLOWANCES).diameter.value;
  const bar = rack.find((b) => b.id === plan?.barId);
  return bar ? blankOf(bar, { diameterMm: least, lengthMm: 0 }).roundMm : least;
}

/** A diameter as it is cut, where a treatment changes it afterwards: what is hardened and ground is thicker before, what is plated thinner. */
const cutMmOf =
  ({ part }: PartFinding, segments: readonly SegmentFinding[]) =>
  (s: { readonly id: string; readonly diameterMm: number }): number =>
    (treatmentOf(part, s.id) && segments.find((x) => x.segment.id === s.id)?.diameter.value) || s.diameterMm;

/** Stock, set-ups, ladders and passes for the drawn part; null while there is no part or no lathe. */
export function planFinding(
  found: PartFinding | null,
  sheet: JobSheet,
  shop: Shop,
  item: Pick<JobItem, 'id' | 'planKey' | 'quantity'>,
): PlanFinding | null {
  if (!found || found.part.outside.length === 0) return null;
  const stored = chosenPlan(sheet, item.planKey);
  const lathe = shop.lathes.find((l) => l.id === stored?.latheId) ?? shop.lathes[0];
  if (!lathe) return null;
  const plan = stored ?? usualPlan(lathe);
  const segments = asCut(found);
  const cutMm = cutMmOf(found, segments);
  const outside = { outside: found.part.outside.map((s) => ({ ...s, diameterMm: cutMm(s) })) };
  const other = otherStock(found);
  const barChosen = shop.rack.find((b) => b.id === stored?.barId) ?? null;
  const firstNeed = stockNeed(outside, USUAL_ALLOWANCES);
  const unknownBarId = barChosen?.materialId === UNKNOWN_MATERIAL ? barChosen.id : null;
  const usual = chooseBars(stockFit(found.part, firstNeed, USUAL_ALLOWANCES, other), firstNeed, shop.rack, found.volumeMm3 ?? 0);
  const likely = barChosen ?? (usual.ok ? usual.value[0]!.bar : null);
  const asBought = asBoughtFrom(found, other, likely);
  const work = workOf(found.part, lathe, stockMm(outside, stored, shop.rack), sheet.job.unit, {
    asBought: new Set(asBought?.ids),
    afterHolds: stored?.afterHolds,
    hollow: likely !== null && blankOf(likely, { diameterMm: likely.diameterMm, lengthMm: 0 }).holeMm !== null,
  });
  const { plans: ways, no } = rankedWays(work);
  // Plans of before nobody was asked were all from the bar, and so is what cannot be held as it was chosen.
  const way = stored ? (stored.way ?? 'bar') : ways[0]!.way;
  const chosen = heldPlan(way, work, plan);
  const held = chosen.ok ? chosen.value : ways[0]!;
  const one = allowancesOf(plan, held.way);
  const forOne = barsFor(stockFit(found.part, stockNeed(outside, one), one, other, unknownBarId), shop.rack);
  const longest = forOne.ok ? forOne.value.reduce((p, q) => (q.lengthMm > p.lengthMm ? q : p)) : null;
  const from = barChosen ?? longest;
  const batch = from && { part: outside, wanted: item.quantity, lathe, bar: from };
  const once = batch && !WAYS[held.way].alone ? piecesHeldOnce(batch, one, sheet.job.unit) : { pieces: 1, mind: '', moreMm: 0 };
  const allowances = allowancesOf(plan, held.way, once.pieces);
  const need = stockNeed(outside, allowances);
  const fit = stockFit(found.part, need, allowances, other, unknownBarId);
  const bars = chooseBars(fit, need, shop.rack, found.volumeMm3 ?? 0);
  const proposed = bars.ok ? (bars.value.find((b) => isOwnSize(b.bar, other) === (asBought !== null)) ?? bars.value[0]!).bar : null;
  const bar = barChosen ?? proposed;
  const blank = bar ? blankOf(bar, fit) : { roundMm: need.diameter.value, holeMm: null };
  const sawn = sawnOf(sheet, item.id);
  const fromBar = bar ? piecesFromBar(bar, blankOf(bar, fit).alongMm, outside, allowances) : 0;
  const turned = segments.filter((s) => !asBought?.ids.includes(s.segment.id));
  const { unit } = sheet.job;
  // In a batch the first piece to be cut off stands out on all that come after it.
  const standing = held.setUps.map((s) => (s.partsOff ? { ...s, overhangMm: s.overhangMm + once.moreMm } : s));
  const mostRpm = (id: string): MostRpm | null => {
    const setUp = standing.find((s) => s.machine === 'lathe' && s.cuts.includes(id));
    return setUp ? mostRpmIn(setUp, found.part, lathe, unit) : null;
  };
  const passes = passesFor(turned, plan, lathe, blank, found.part, shop.drillSets, mostRpm);
  const fastest = Math.max(0, ...passes.map((x) => x.finishRpm?.value ?? 0));
  const behind = behindWords(blank.roundMm, need.length.value, fastest, lathe.spindleBoreMm ?? null, found.part.materialId, unit);
  const aimed = asAimed(found);
  const bench = {
    ...{ lathe, partingMm: plan.partingMm, finderMm: finderOf(shop.tools, sheet.job.unit).mm, unit: sheet.job.unit },
    ...{ drillSets: shop.drillSets, hssMMin: hssMMin(found.part.materialId), holeMm: blank.holeMm, cutMm },
    ...{ mostRpm: (id: string) => mostRpm(id)?.rpm ?? null, mill: millSpindle(shop) },
  };
  // Of a drawing that does not hold no number is told to be set.
  const schedules = found.problems.length
    ? []
    : schedulesOf(found.part, bench, aimed).map((s) => {
        const mind = fromRawCrown(found.part, s.id, sheet.job.unit);
        return mind ? { ...s, words: [mind, ...s.words] } : s;
      });
  const powerKw = shop.machines.find((m) => m.id === lathe.id)?.powerKw ?? null;
  const setUps = standing.map((setUp): PlannedSetUp => {
    const dial = dialOf(setUp, lathe, shop);
    const { fromFarEnd, partsOff: partOff, toLength, cuts } = setUp;
    const { partingMm, touched } = plan;
    const ladder = dial ? depthLadder(aimed, { fromFarEnd, partingMm, touched, dial, partOff, toLength, cuts }) : [];
    const { number, machine, holding } = setUp;
    const batch = {
      number,
      machine,
      partsOff: partOff && once.pieces > 1,
      toLength,
      betweenCentres: holding === 'centres',
      ladder,
      pieces: item.quantity,
    };
    const setOnce = found.problems.length ? null : oneSetting({ ...batch, pieceMm: pieceMm(outside, allowances) }, aimed);
    const own = cuts.flatMap((id) => schedules.filter((x) => x.id === id));
    return {
      setUp,
      dial,
      ladder,
      pushed: [...pushedIn(setUp, passes, found, powerKw, unit), ...barBends(setUp, passes, found, shop.tools, unit)],
      coolant: coolantIn(found.part, setUp, own, plan.tool === 'carbide').map(coolantWords),
      schedules: [...(setOnce ? [setOnce] : []), ...own],
      minutes: minutesOf(setUp, passes, found.problems.length ? 0 : cutMinutes(found.part, cuts, own, bench)),
    };
  });
  return {
    plan,
    chosen: stored !== null,
    lathe,
    need,
    fit,
    bars,
    bar,
    asBought,
    blankWords: [bar ? blankWords(bar) : '', bowsWords(found.part, bar), bar ? behind : ''].filter(Boolean).join(' '),
    unknownBar: unknownBarId ? unknownBarWords(found.part.materialId) : null,
    off: {
      ...{ wanted: item.quantity, fromBar },
      again: bar ? againWords(piecesOf(sheet, item), sawn.pieces, fromBar) : '',
      perBlank: once.pieces,
      mind: once.mind,
      forPieces: (n) => stockNeed(outside, allowancesOf(plan, held.way, n)).length.value,
      sawn: sawn.blanks,
    },
    held,
    ways,
    noWays: no,
    missing: missingTools(schedules, shop.tools, sheet.job.unit).flatMap((m) => {
      const setUp = held.setUps.find((s) => m.ids.some((id) => s.cuts.includes(id)))?.number;
      return setUp === undefined ? [] : [{ words: m.words, setUp }];
    }),
    runOuts: held.asked.map((asked) => ({ asked, most: mostFigure(asked, sheet.job.unit) })),
    setUps,
    passes,
    problems: [
      ...troubles(found, need, lathe, blank.roundMm, held.way, sheet.job.unit),
      ...(barChosen ? willNotDo(barChosen, fit, sheet.job.unit) : []),
      ...passes.map((x) => tooFastWords(x, mostRpm(x.segment.segment.id))).filter(Boolean),
      ...held.cannot,
      ...held.outOfOrder.map((o) => `Set-up ${o.setUp}: ${inSentence(o.words)}`),
      ...(chosen.ok ? [] : [`${WAYS[way].name}: ${chosen.problems[0]!.message}`]),
    ],
    frozen: [
      need.length,
      need.diameter,
      ...(bar ? [barFigure(blank.roundMm)] : []),
      surfaceSpeed(plan, found.part.materialId),
      ruled(HOLDINGS_KEY, 'holdings', setUps.length, WAYS[held.way].name, 'count'),
      ...setUps.flatMap(({ setUp, ladder }) => ladder.map((r) => rungFigure(r, setUp.number))),
    ],
  };
}
