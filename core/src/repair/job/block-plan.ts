import { blockSetUps, type ActOrder, type BlockSetUp, type BoringChoice } from '../../making/holdings';
import { blockBars, blockStock, type BlockBar } from '../../making/stock';
import type { LengthUnit } from '../../terms/quantity';
import type { Figure } from '../../terms/working';
import { coolantOnBlock, coolantWords } from './coolant-in';
import { holeTable, type HoleRow } from './hole-table';
import type { PartFinding } from './part-finding';
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
}

/**
 * The plan of a drawn block; null for anything else, and while the drawing has problems.
 *
 * @param boring how it is held where something is bored
 * @param order of acts as somebody put them
 */
export function blockPlan(
  found: PartFinding | null,
  shop: Pick<Shop, 'drillSets' | 'machines' | 'rack'>,
  unit: LengthUnit,
  boring: BoringChoice | null = null,
  order: readonly ActOrder[] = [],
): BlockPlan | null {
  const block = found?.problems.length ? null : found?.part.block;
  if (!found || !block) return null;
  const stock = blockStock(block);
  const sizes = stock.map((f) => f.value) as [number, number, number];
  return {
    ...{ stock, bars: blockBars(sizes, found.part.materialId, shop.rack) },
    setUps: blockSetUps(block, boring, order).map((s) => ({
      ...s,
      coolant: coolantOnBlock(block, found.part.materialId, s).map(coolantWords),
    })),
    holes: holeTable(found, shop, unit),
  };
}
