import { leastSquares, residualSd } from './least-squares';
import type { Side } from './diameter-reading';
import { K95 } from './harmonics';

/** How the mean size goes along the axis. */
export type ProfileKind = 'straight' | 'taper' | 'barrel' | 'hourglass' | 'bell-mouth' | 'not known';

export interface Profile {
  readonly kind: ProfileKind;
  /** Change of diameter per mm of length, and half width of its 95 % band. */
  readonly taperPerMm: number;
  readonly taperPlusMinus: number;
  /** Middle less the line through the ends, on the diameter, mm: above 0 the middle is larger; null with fewer than three stations. */
  readonly bellyMm: number | null;
  readonly bellyPlusMinusMm: number | null;
}

export interface ProfilePoint {
  readonly stationMm: number;
  readonly sizeMm: number;
  /** Standard uncertainty of this mean from the scatter alone, mm. */
  readonly uMm: number;
}

const words = (side: Side, belly: number): ProfileKind => (belly > 0 ? 'barrel' : side === 'inside' ? 'bell-mouth' : 'hourglass');

/**
 * Straight line and second order of size along the axis. A quantity below its own 95 % band is called straight: it cannot be told
 * from none. A hole that is wider at its ends is bell-mouthed, a shaft that is thinner in the middle an hourglass.
 *
 * @param points one a station, at least two stations, else null
 */
export function fitProfile(side: Side, points: readonly ProfilePoint[]): Profile | null {
  const xs = points.map((p) => p.stationMm);
  const from = Math.min(...xs);
  const half = (Math.max(...xs) - from) / 2;
  if (points.length < 2 || half < 1e-6) return null;
  const sizes = points.map((p) => p.sizeMm);
  const known = Math.sqrt(points.reduce((s, p) => s + p.uMm ** 2, 0) / points.length);
  // On -1 to 1 along the axis, so that the terms are of one size.
  const z = xs.map((x) => (x - from) / half - 1);
  const bent =
    points.length >= 3
      ? leastSquares(
          z.map((u) => [1, u, u * u]),
          sizes,
        )
      : null;
  const straight = leastSquares(
    z.map((u) => [1, u]),
    sizes,
  );
  if (straight === null) return null;
  const fit = bent ?? straight;
  const noise = Math.max(known, (fit.spare >= 2 ? residualSd(fit) : null) ?? 0);
  // The slope of the quadratic is the same as the line's where the stations are even; elsewhere it is the truer one.
  const taperPerMm = fit.coefficients[1]! / half;
  const taperPlusMinus = (K95 * noise * Math.sqrt(fit.unit[1]![1]!)) / half;
  const bellyMm = bent === null ? null : -bent.coefficients[2]!;
  const bellyPlusMinusMm = bent === null ? null : K95 * noise * Math.sqrt(bent.unit[2]![2]!);
  const hasBelly = bellyMm !== null && Math.abs(bellyMm) > bellyPlusMinusMm!;
  const hasTaper = Math.abs(taperPerMm) > taperPlusMinus;
  const rise = Math.abs(taperPerMm) * half;
  const kind =
    hasBelly && Math.abs(bellyMm) > rise / 2 ? words(side, bellyMm) : hasTaper ? 'taper' : bent === null ? 'not known' : 'straight';
  return { kind, taperPerMm, taperPlusMinus, bellyMm, bellyPlusMinusMm };
}
