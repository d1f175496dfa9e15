/** From this many times its diameter on a surface may be thicker in the middle than at both ends: it bent while it was turned. */
const SLENDER = 3;

/** Whether a turned surface may have a belly, so that its middle is read too. */
export const isSlender = ({ lengthMm, diameterMm }: { readonly lengthMm: number; readonly diameterMm: number }): boolean =>
  lengthMm > SLENDER * diameterMm;

/** How far from its ends a surface is read, as a share of its length. */
export const FROM_END = 0.15;
