import { good, type Outcome } from '../../terms/outcome';
import type { LengthUnit } from '../../terms/quantity';
import { askSchool, type School } from './school';
import { TRUING } from './target';

/** A shaft, tube or gland that stays, as it was measured, at 20 °C, mm. */
export interface MeasuredShaft {
  readonly smallestMm: number;
  readonly largestMm: number;
  /** Largest ovality of any section, mm. */
  readonly ovalityMm: number;
  /** What it was made to, where that is known: picks the step of a standard's table. */
  readonly nominalMm?: number | undefined;
}

/** The new hole for a shaft: a bush's bore, a hub's, a ring's inside. */
export interface BoreTarget {
  /** The shaft it is for: as measured, or as it will be once it is turned true. */
  readonly shaftSmallestMm: number;
  readonly shaftLargestMm: number;
  /** Hole's least less shaft's largest; negative is interference. */
  readonly clearanceMm: number;
  /** Smallest the hole may be: the shaft's largest size and the clearance. */
  readonly lowerMm: number;
  readonly upperMm: number;
  /** Middle of the limits: what to bore to. */
  readonly aimMm: number;
  /** Play where the shaft is largest and where it is smallest, with the hole at its lower limit. */
  readonly playAtLargestMm: number;
  readonly playAtSmallestMm: number;
  readonly mostPlayMm: number;
  /** The ovality eats more than half of the play that the school allows at most. */
  readonly trueTheShaft: boolean;
  readonly words: string;
}

/** Largest usual size at which a shaft cleans up all round, mm: the mirror of truing a hole. */
export function truedShaftMm(smallestMm: number, unit: LengthUnit): number {
  const { cleanUpMm, stepMm } = TRUING[unit];
  return Math.round(Math.floor((smallestMm - cleanUpMm) / stepMm + 1e-6) * stepMm * 1e6) / 1e6;
}

/**
 * The new hole for a measured shaft that is kept: its largest size and the school's clearance.
 *
 * @example tube 90.00 to 90.02, clearance 0.05: hole from 90.07 up
 */
export function boreForKeptShaft(shaft: MeasuredShaft, school: School): Outcome<BoreTarget> {
  const answer = askSchool(school, shaft.largestMm, shaft.nominalMm);
  if (!answer.ok) return answer;
  const { clearanceMm, boreToleranceMm, mostPlayMm, words } = answer.value;
  const lowerMm = shaft.largestMm + clearanceMm;
  return good({
    shaftSmallestMm: shaft.smallestMm,
    shaftLargestMm: shaft.largestMm,
    clearanceMm,
    lowerMm,
    upperMm: lowerMm + boreToleranceMm,
    aimMm: lowerMm + boreToleranceMm / 2,
    playAtLargestMm: clearanceMm,
    playAtSmallestMm: lowerMm - shaft.smallestMm,
    mostPlayMm,
    trueTheShaft: clearanceMm > 0 && shaft.ovalityMm > mostPlayMm / 2,
    words,
  });
}

/** The same for a shaft that is turned true first, to `truedMm`; a problem where the school has no clearance for it. */
export const boreForTruedShaft = (truedMm: number, school: School): Outcome<BoreTarget> =>
  boreForKeptShaft({ smallestMm: truedMm, largestMm: truedMm, ovalityMm: 0 }, school);
