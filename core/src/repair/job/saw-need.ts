import { bad, good, type Outcome } from '../../terms/outcome';
import { formatLength, sawFraction, type LengthUnit } from '../../terms/quantity';
import { barsFor, blankOf, blockBars, isFlat, USUAL_ALLOWANCES, type Bar, type BlankNeed, type StockFit } from '../../making/stock';
import { choiceKey, sawnOf, versionOfChoice, type SawnChoice } from './choices';
import { alikeBlanks } from './held-once';
import type { ItemFinding } from './item-finding';
import type { JobSheet } from './records';
import { newestRelease } from './release';

/** Blanks that an item still has to have sawn. */
export interface SawNeed {
  readonly itemId: string;
  readonly name: string;
  readonly left: number;
  /** Pieces that are cut off each of them. */
  readonly each: number;
  /** What is on record as sawn, and the version of that record. */
  readonly sawn: Required<SawnChoice>;
  readonly version: number;
  readonly fit: StockFit;
  /** It is a disc that is cut out of plate. */
  readonly flat: boolean;
  /** Of a block: what it is sawn to at least, mm each way; null for what is turned. Which of them lies along the bar the rack decides: `onRack`. */
  readonly block: readonly [number, number, number] | null;
  /** Once it is released it comes out of such a bar alone, as its passes count from it; null for any that will do. */
  readonly only: Pick<Bar, 'shape' | 'diameterMm' | 'innerMm' | 'finish'> | null;
}

/** A piece of which anything was read has its blank. */
const begun = ({ pieces }: ItemFinding): number =>
  pieces.filter((p) => [...p.cuts, ...p.sizes, ...p.proofs].some((x) => x.readings.length > 0)).length;

/** Blanks for blocks that are released; one each. */
function blockNeed({ item, part, blockPlan }: ItemFinding, without: number, sheet: JobSheet): SawNeed[] {
  if (!part || !blockPlan || !newestRelease(sheet, item.id)) return [];
  const block = blockPlan.stock.map((f) => f.value) as [number, number, number];
  const lengthMm = Math.max(...block) + USUAL_ALLOWANCES.sawMm;
  const any = { ownSizeMm: null, boreMm: null, unknownBarId: null, cutsOff: false };
  return [
    {
      ...{ itemId: item.id, name: item.name, left: without, each: 1, flat: false, only: null, block },
      ...{ sawn: sawnOf(sheet, item.id), version: versionOfChoice(sheet, choiceKey.sawn(item.id)) },
      fit: { ...any, materialId: part.part.materialId, lengthMm, diameterMm: 0, thickMm: 0 },
    },
  ];
}

/** What is still to be sawn for the items of a job that are planned: for every piece a blank, also for those made again. */
export function sawNeeds(items: readonly ItemFinding[], sheet: JobSheet): SawNeed[] {
  return items.flatMap((found): SawNeed[] => {
    const { item, plan, pieces } = found;
    const without = pieces.length - Math.max(sawnOf(sheet, item.id).pieces, begun(found));
    if (item.off || without <= 0) return [];
    if (!plan?.chosen) return blockNeed(found, without, sheet);
    const { perBlank, forPieces } = plan.off;
    // What is made again is one alone; what is left of a batch may be less than a whole blank.
    const each = alikeBlanks(without, perBlank);
    const bar = newestRelease(sheet, item.id) ? plan.bar : null;
    const only = bar && { shape: bar.shape, diameterMm: bar.diameterMm, innerMm: bar.innerMm, finish: bar.finish };
    const version = versionOfChoice(sheet, choiceKey.sawn(item.id));
    const ofBar = { ...plan.fit, lengthMm: forPieces(each) };
    // Out of a plate that was chosen a disc is cut; else the saw's list is of what is sawn to length.
    const flat = plan.bar && isFlat(plan.bar) ? plan.bar : null;
    const fit = flat ? { ...ofBar, lengthMm: blankOf(flat, ofBar).alongMm } : ofBar;
    return [
      {
        itemId: item.id,
        name: item.name,
        left: Math.ceil(without / each),
        each,
        sawn: sawnOf(sheet, item.id),
        version,
        fit,
        flat: flat !== null,
        block: null,
        only,
      },
    ];
  });
}

/** Whether a blank may come out of such a bar. */
const isOfSection = (bar: Bar, only: NonNullable<SawNeed['only']>): boolean =>
  bar.shape === only.shape && bar.diameterMm === only.diameterMm && bar.innerMm === only.innerMm && bar.finish === only.finish;

/** Lengths that differ by less are the same, mm. */
const SAME_MM = 0.01;

/** A block lies in the rack's best bar for it as it wastes least: so long it is sawn off. Anything else is as it was. */
export function onRack(need: SawNeed, rack: readonly Bar[]): SawNeed {
  const best = need.block && blockBars(need.block, need.fit.materialId, rack)[0];
  return best ? { ...need, fit: { ...need.fit, lengthMm: best.sawMm } } : need;
}

function barsOfBlock(block: NonNullable<SawNeed['block']>, { lengthMm, materialId }: StockFit, rack: readonly Bar[]): Outcome<Bar[]> {
  const bars = blockBars(block, materialId, rack).filter((b) => Math.abs(b.sawMm - lengthMm) < SAME_MM);
  if (bars.length) return good(bars.map((b) => b.bar));
  const size = block.map((mm) => formatLength(mm, 'mm', 1)).join(' x ');
  return bad('no-bar', `The rack has no flat, plate or square of this material that ${size} mm comes out of. Order one.`, 'barId');
}

/** The bars of the rack that may be sawn for it; a reason where none will do. */
const barsOf = ({ fit, flat, only, block }: SawNeed, rack: readonly Bar[]): Outcome<Bar[]> =>
  block
    ? barsOfBlock(block, fit, rack)
    : barsFor(
        fit,
        rack.filter((b) => isFlat(b) === flat && (!only || isOfSection(b, only))),
      );

/** Whether a blank for it may be sawn off that bar. */
export const comesOutOf = (need: SawNeed, bar: Bar): boolean => barsOf(need, [bar]).ok;

/** Blanks as the saw's plan counts them: so many of a length, and the bars that they may come from. */
export function blankNeed(id: string, need: SawNeed, rack: readonly Bar[]): BlankNeed {
  const bars = barsOf(need, rack);
  return { id, lengthMm: need.fit.lengthMm, count: need.left, barIds: bars.ok ? bars.value.map((b) => b.id) : [] };
}

/** Why no bar of the rack will do; that others took them where one would. */
export function noBarWords(need: SawNeed, rack: readonly Bar[]): string {
  const { only } = need;
  if (only && !rack.some((b) => b.pieces > 0 && isOfSection(b, only)))
    return 'The bar that it was released for is gone. Order another, or release it again.';
  const bars = barsOf(need, rack);
  return bars.ok ? 'Other jobs of this list take what there is. Order a bar.' : bars.problems[0]!.message;
}

/** A rest that is shorter goes to the scrap, mm. */
export const SHORTEST_KEPT_MM = 50;

/** Where the stop of the saw is set for a blank, as a rule shows it: without the blade, and never short. */
export function sawStop({ fit }: Pick<SawNeed, 'fit'>, unit: LengthUnit): string {
  const mm = fit.lengthMm - USUAL_ALLOWANCES.sawMm;
  return unit === 'in' ? sawFraction(mm) : (Math.ceil(mm * 10 - 1e-6) / 10).toFixed(1);
}
