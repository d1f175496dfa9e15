import type { Block } from './block';
import type { Solid } from './block-kind';
import { cutKindOf } from './cuts';

/** Everything that is cut away, by cut. */
export const solidsOf = (block: Block): { readonly cut: Block['cuts'][number]; readonly solids: readonly Solid[] }[] =>
  block.cuts.map((cut) => ({ cut, solids: cutKindOf(cut.kind).solids(cut, block) }));

/** Volume of a valid block, mm³. Where two cuts cross, their common part counts twice. */
export const blockVolumeMm3 = (block: Block): number =>
  block.lengthMm * block.widthMm * block.heightMm -
  solidsOf(block).reduce((sum, { solids }) => sum + solids.reduce((s, x) => s + x.volumeMm3, 0), 0);
