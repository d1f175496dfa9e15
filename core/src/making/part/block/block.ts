import type { Box } from './box';
import type { BlockCut } from './cuts';

/** A box with what is cut into it: a jaw, a link, a cap. */
export interface Block extends Box {
  readonly cuts: readonly BlockCut[];
}
