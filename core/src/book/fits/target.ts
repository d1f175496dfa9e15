import { good, type Outcome } from '../../terms/outcome';
import type { LengthUnit } from '../../terms/quantity';
import { askSchool, type School } from './school';

/** The mate as it was measured, at 20 °C, mm. */
export interface MeasuredHole {
  readonly smallestMm: number;
  readonly largestMm: number;
  /** Largest ovality of any section, mm. */
  readonly ovalityMm: number;
  /** What it was made to, where that is known: picks the step of a standard's table. */
  readonly nominalMm?: number | undefined;
}

/** The new pin for a hole. */
export interface PinTarget {
  /** The hole it is for: as measured, or as it will be after truing. */
  readonly holeSmallestMm: number;
  readonly holeLargestMm: number;
  readonly clearanceMm: number;
  /** Largest the pin may be: the hole's smallest size less the clearance. */
  readonly upperMm: number;
  readonly lowerMm: number;
  /** Middle of the limits: what to turn to. */
  readonly aimMm: number;
  /** Play where the hole is smallest and where it is largest, with the pin at its upper limit. */
  readonly playAtSmallestMm: number;
  readonly playAtLargestMm: number;
  readonly mostPlayMm: number;
  /** The ovality eats more than half of the play that the school allows at most. */
  readonly trueTheHole: boolean;
  readonly words: string;
}

/** Least metal a truing cut must take on the diameter to clean up; sizes are then rounded up to the next step of the job's unit. */
export const TRUING = {
  mm: { cleanUpMm: 0.02, stepMm: 0.05, words: 'largest place plus 0.02 mm to clean up, rounded up to 0.05 mm' },
  in: { cleanUpMm: 0.0254, stepMm: 0.0508, words: 'largest place plus 0.001 in to clean up, rounded up to 0.002 in' },
} as const;

/** Size that a hole is bored to so that it cleans up all round, mm. */
export function truedSizeMm(largestMm: number, unit: LengthUnit): number {
  const { cleanUpMm, stepMm } = TRUING[unit];
  return Math.round(Math.ceil((largestMm + cleanUpMm) / stepMm - 1e-6) * stepMm * 1e6) / 1e6;
}

/**
 * The new pin for a measured hole that is kept: smallest size of the hole less the school's clearance.
 *
 * @example hole 40.16 to 40.31, house rule grease: pin 40.049, play at the largest place 0.261
 */
export function pinForKeptHole(hole: MeasuredHole, school: School): Outcome<PinTarget> {
  const answer = askSchool(school, hole.smallestMm, hole.nominalMm);
  if (!answer.ok) return answer;
  const { clearanceMm, toleranceMm, mostPlayMm, words } = answer.value;
  const upperMm = hole.smallestMm - clearanceMm;
  return good({
    holeSmallestMm: hole.smallestMm,
    holeLargestMm: hole.largestMm,
    clearanceMm,
    upperMm,
    lowerMm: upperMm - toleranceMm,
    aimMm: upperMm - toleranceMm / 2,
    playAtSmallestMm: clearanceMm,
    playAtLargestMm: hole.largestMm - upperMm,
    mostPlayMm,
    trueTheHole: clearanceMm > 0 && hole.ovalityMm > mostPlayMm / 2,
    words,
  });
}

/** The new pin for a hole that is first bored true to `sizeMm`; a problem where the school has no clearance for it. */
export const pinForTruedHole = (sizeMm: number, school: School): Outcome<PinTarget> =>
  pinForKeptHole({ smallestMm: sizeMm, largestMm: sizeMm, ovalityMm: 0 }, school);
