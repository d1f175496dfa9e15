import { blockSetUps, type ToldSetUp } from '../../making/holdings';
import { blockStock } from '../../making/stock';
import type { Figure } from '../../terms/working';
import type { PartFinding } from './part-finding';

/** What is planned of a block: what it is cut from, and face by face how. */
export interface BlockPlan {
  readonly stock: readonly Figure[];
  readonly setUps: readonly ToldSetUp[];
}

/** The plan of a drawn block; null for anything else, and while the drawing has problems. */
export const blockPlan = (found: PartFinding | null): BlockPlan | null =>
  found?.part.block && !found.problems.length ? { stock: blockStock(found.part.block), setUps: blockSetUps(found.part.block) } : null;
