/** Overhang up to this many diameters stands in the chuck alone. */
export const CHUCK_ONLY_RATIO = 3;
/** Beyond this even the tailstock is not enough: a steady is needed. */
export const TAILSTOCK_RATIO = 10;

/** What has to help the chuck, by overhang over diameter. */
export type Support = 'none' | 'tailstock' | 'steady';

/** What a piece that stands out of the chuck needs at its far end, both in mm. */
export function supportFor(overhangMm: number, diameterMm: number): Support {
  const ratio = overhangMm / diameterMm;
  if (ratio <= CHUCK_ONLY_RATIO) return 'none';
  return ratio <= TAILSTOCK_RATIO ? 'tailstock' : 'steady';
}
