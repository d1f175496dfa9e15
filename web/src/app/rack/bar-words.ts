import { barLine, countOf, FINISH_WORDS, type LengthUnit, type TypedBar } from '@iron-patch/core';

/** A bar in words, without its material: `38.1 x 350 round, black, 3 pieces, bin 3`. */
export const barText = (bar: TypedBar, unit: LengthUnit): string =>
  [barLine(bar, unit), FINISH_WORDS[bar.finish], bar.pieces === 1 ? '' : countOf(bar.pieces, 'piece'), bar.place]
    .filter(Boolean)
    .join(', ');

/** Money as it is written: 12.50. */
export const priceText = (minor: number | null): string => (minor === null ? '' : (minor / 100).toFixed(2));
