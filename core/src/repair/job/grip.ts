import type { Section } from '../../evidence/readings';
import type { PlaceFinding } from './place-finding';

/** How far along a hole that is not straight an interference fit holds. */
export interface Grip {
  /** Length over which the pin is larger than the hole, and of the whole hole, mm. */
  readonly holdsMm: number;
  readonly ofMm: number;
  /** How loose it is at its worst place, on the diameter, mm. */
  readonly looseMm: number;
  readonly why: 'bell-mouthed or tapered' | 'oval';
}

const STEPS = 200;

/**
 * What a press or tap fit holds in a hole as it was measured: the sizes of its stations joined by straight lines, run on to its ends.
 *
 * @example 1.2505, 1.2500, 1.2530 at 0.10, 0.75, 1.40 of 1.50 in: a bush of 1.2518 holds to 1.14, and is loose by 0.0012 at the mouth
 * @returns null where the pin is a clearance fit, or holds all over
 */
export function gripIn(hole: PlaceFinding, pinMm: number): Grip | null {
  const { shape, place } = hole;
  if (!shape || pinMm <= shape.smallestMm) return null;
  const stations = shape.sections;
  const sizeAt = (x: number, of: (s: Section) => number): number => {
    const next = stations.findIndex((s) => s.stationMm >= x);
    const [a, b] =
      stations.length === 1
        ? [stations[0]!, stations[0]!]
        : next <= 0
          ? next === 0
            ? [stations[0]!, stations[1]!]
            : stations.slice(-2)
          : [stations[next - 1]!, stations[next]!];
    const span = b!.stationMm - a!.stationMm;
    const share = span === 0 ? 0 : (x - a!.stationMm) / span;
    // Beyond the outermost stations the last slope is not run on: nothing was measured there.
    return of(a!) + Math.min(Math.max(share, 0), 1) * (of(b!) - of(a!));
  };
  const ofMm = place.lengthMm;
  const over = (of: (s: Section) => number): number[] =>
    Array.from({ length: STEPS }, (_, i) => sizeAt(place.startMm + ((i + 0.5) / STEPS) * ofMm, of) - pinMm);
  const holdsMm = (by: readonly number[]): number => (by.filter((mm) => mm < 0).length / STEPS) * ofMm;
  const { mostOval } = shape;
  const means = stations.map((s) => s.meanMm);
  const byMean = over((s) => s.meanMm);
  // An oval that is more than what the sizes differ along it is what lets the pin go: then it holds where its short way is tight.
  const along = Math.max(...means) - Math.min(...means);
  if (byMean.some((mm) => mm >= 0) && along > mostOval.ovalityMm)
    return { holdsMm: holdsMm(byMean), ofMm, looseMm: Math.max(...byMean), why: 'bell-mouthed or tapered' };
  const looseMm = Math.max(...stations.map((s) => s.largestMm)) - pinMm;
  return looseMm > 0 && mostOval.ovalityMm > (mostOval.ovalityPlusMinusMm ?? 0)
    ? { holdsMm: holdsMm(over((s) => s.smallestMm)), ofMm, looseMm, why: 'oval' }
    : null;
}
