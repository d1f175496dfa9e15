import { setOverMm } from './turned';

/** How a turned piece runs along its length. */
export interface Along {
  /** How far the tailstock goes towards the tool, away from it below nought, mm. */
  readonly shiftMm: number;
  /** By how much the middle is thicker than both ends in line, thinner below nought, mm on the diameter; null where it was not read. */
  readonly bellyMm: number | null;
}

/**
 * Taper and belly of a piece from diameters along one pass: the tailstock puts the taper right, not the belly.
 *
 * @param apartMm between the first and the last place; the middle one is half way
 * @param wholeMm from chuck or centre to the tailstock's centre
 * @example along(25.02, 25.05, 25.04, 200, 300) // tailstock 0.015 towards the tool, a belly of 0.02
 */
export function along(headMm: number, middleMm: number | null, tailMm: number, apartMm: number, wholeMm: number): Along {
  const taper = setOverMm(Math.max(headMm, tailMm), Math.min(headMm, tailMm), apartMm, wholeMm);
  return { shiftMm: tailMm >= headMm ? taper : -taper, bellyMm: middleMm === null ? null : middleMm - (headMm + tailMm) / 2 };
}
