/** How a treatment changes a size: its layer stays as it comes, is cut back to size, or metal is left on for what cuts it afterwards. */
export type Changes = 'stays' | 'cut-back' | 'left-on';

/** A layer, or the metal left on, on one side, from and to, mm. */
export interface ASide {
  readonly fromMm: number;
  readonly toMm: number;
}

/** Limits of a diameter, mm. */
export interface DiameterLimits {
  readonly lowerMm: number;
  readonly upperMm: number;
}

/** How much larger an outside, and smaller a bore, gets on the way from before to finished: a layer a side twice; metal that comes off is less than nothing. */
const grows = (changes: Changes, { fromMm, toMm }: ASide): readonly [least: number, most: number] =>
  changes === 'left-on' ? [-2 * toMm, -2 * fromMm] : [2 * fromMm, 2 * toMm];

/**
 * What a diameter has to be before a treatment, so that it comes out as the drawing asks. A layer that stays takes the finished limits less its own
 * spread; what is cut back afterwards may be anywhere in them, and the layer, or the metal to come off, has to lie within its own limits all the same.
 *
 * @param finished limits on the drawing
 * @returns null where the spread of one is more than the other bears: no size before it is right
 * @example a rod 40.000 to 40.016, chromed 0.020 to 0.025 a side to size: 39.960 to 39.966 before
 */
export function beforeLimits(finished: DiameterLimits, side: 'outside' | 'inside', changes: Changes, layer: ASide): DiameterLimits | null {
  const [least, most] = grows(changes, layer);
  // What grows outwards makes a shaft thicker and a hole narrower.
  const [a, b] = side === 'outside' ? [least, most] : [-most, -least];
  const { lowerMm, upperMm } = finished;
  const [from, to] = changes === 'stays' ? [lowerMm - a, upperMm - b] : [upperMm - b, lowerMm - a];
  return to >= from - 1e-9 ? { lowerMm: Math.min(from, to), upperMm: Math.max(from, to) } : null;
}
