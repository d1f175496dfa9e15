import { blockSetUps, type BoringChoice, type ToldSetUp } from '../../making/holdings';
import { blockStock } from '../../making/stock';
import type { DrillSet } from '../../book/drills';
import type { Figure } from '../../terms/working';
import { holeTable, type HoleRow } from './hole-table';
import type { PartFinding } from './part-finding';

/** What is planned of a block: what it is cut from, and face by face how. */
export interface BlockPlan {
  readonly stock: readonly Figure[];
  readonly setUps: readonly ToldSetUp[];
  readonly holes: readonly HoleRow[];
}

/**
 * The plan of a drawn block; null for anything else, and while the drawing has problems.
 *
 * @param sets drills of the crib
 * @param boring how it is held where something is bored
 */
export const blockPlan = (
  found: PartFinding | null,
  sets: readonly DrillSet[] = [],
  boring: BoringChoice | null = null,
): BlockPlan | null =>
  found?.part.block && !found.problems.length
    ? { stock: blockStock(found.part.block), setUps: blockSetUps(found.part.block, boring), holes: holeTable(found, sets) }
    : null;
