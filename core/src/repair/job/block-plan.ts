import { hssMMin } from '../../book/materials';
import { blockSetUps, type BlockSetUp, type BoringChoice } from '../../making/holdings';
import { EDGES, edgeSpeed } from '../../making/process';
import type { Lathe } from '../../making/setups';
import { USUAL_END_MILL_MM } from '../../making/schedule';
import { blockBars, blockStock, type BlockBar } from '../../making/stock';
import { placeWithUnit, type LengthUnit } from '../../terms/quantity';
import { ruled, workedOut, type Figure } from '../../terms/working';
import { millSpindle } from './bored-on';
import { boredPasses, type BoredPasses } from './bored-passes';
import type { PlanChoice } from './choices';
import { coolantOnBlock, coolantWords } from './coolant-in';
import { holeTable, type HoleRow } from './hole-table';
import type { PartFinding } from './part-finding';
import { drilledOnly, drillFigure } from './planned-passes';
import type { Shop } from './records';

/** One holding of a block, with what is put on the cut, a sentence for what is alike. */
export interface PlannedBlockSetUp extends BlockSetUp {
  readonly coolant: readonly string[];
}

/** What is planned of a block: what it is cut from, and face by face how. */
export interface BlockPlan {
  readonly stock: readonly Figure[];
  /** Of the rack, what it comes out of, the least waste first. */
  readonly bars: readonly BlockBar[];
  readonly setUps: readonly PlannedBlockSetUp[];
  readonly holes: readonly HoleRow[];
  /** Its bored holes from their drills; null where none is bored, or nobody has a plan for want of a lathe. */
  readonly bored: BoredPasses | null;
  /** What an ordinary end mill does in the metal; null where the book has no speed for it. */
  readonly milled: { readonly rpm: Figure; readonly feed: Figure } | null;
}

function milledAt(materialId: string, shop: Pick<Shop, 'machines'>, unit: LengthUnit): BlockPlan['milled'] {
  const hss = hssMMin(materialId);
  if (hss <= 0) return null;
  const { rpm, words } = edgeSpeed('end-mill', hss, USUAL_END_MILL_MM, millSpindle(shop));
  return {
    rpm: workedOut('block.end-mill.rpm', `an end mill of ${placeWithUnit(USUAL_END_MILL_MM, unit)} turns at`, rpm, words, [], {
      measure: 'rpm',
    }),
    feed: ruled('block.end-mill.feed', 'fed by, a tooth', EDGES['end-mill'].feed.mm(USUAL_END_MILL_MM), 'usual in high-speed steel'),
  };
}

/** Bored holes of a block, each from its drill. */
function boredOf(
  { part, segments }: PartFinding,
  way: BoringChoice | null,
  plan: PlanChoice,
  lathe: Lathe | null,
  shop: Pick<Shop, 'drillSets' | 'machines' | 'tools'>,
  unit: LengthUnit,
): BoredPasses | null {
  const bores = segments
    .filter((s) => part.block?.cuts.some((c) => c.id === s.segment.id && c.kind === 'hole' && c.made === 'bored'))
    .map((segment) => {
      const drill = drillFigure(segment.segment.id, segment.diameter.value, shop.drillSets);
      return { segment, from: drill, standing: 'the drilled hole', cannot: drilledOnly(part, segment.segment, drill.value) };
    });
  return bores.length ? boredPasses(bores, way?.id ?? null, plan, lathe, part, shop, unit) : null;
}

/**
 * The plan of a drawn block; null for anything else, and while the drawing has problems.
 *
 * @param boring how it is held where something is bored
 * @param plan as somebody chose, else the usual one; null where the shop has no lathe
 */
export function blockPlan(
  found: PartFinding | null,
  shop: Pick<Shop, 'drillSets' | 'machines' | 'rack' | 'tools'>,
  unit: LengthUnit,
  boring: BoringChoice | null = null,
  plan: PlanChoice | null = null,
  lathe: Lathe | null = null,
): BlockPlan | null {
  const block = found?.problems.length ? null : found?.part.block;
  if (!found || !block) return null;
  const stock = blockStock(block);
  const sizes = stock.map((f) => f.value) as [number, number, number];
  return {
    ...{ stock, bars: blockBars(sizes, found.part.materialId, shop.rack) },
    setUps: blockSetUps(block, boring, plan?.order ?? []).map((s) => ({
      ...s,
      coolant: coolantOnBlock(block, found.part.materialId, s).map(coolantWords),
    })),
    holes: holeTable(found, shop, unit),
    bored: plan && boredOf(found, boring, plan, lathe, shop, unit),
    milled: milledAt(found.part.materialId, shop, unit),
  };
}
