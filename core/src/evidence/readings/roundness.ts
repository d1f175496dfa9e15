import { fitHarmonics, K95, type ClockPoint } from './harmonics';

/** Roundness of a trace of the radius (ISO 1101; reference circles of ISO 12181-1). */
export interface Roundness {
  /** Highest less lowest from the least-squares circle, mm. */
  readonly leastSquaresMm: number;
  /** Distance of the two closest concentric circles that hold the trace, mm: never more than the other. */
  readonly minimumZoneMm: number;
  /** Centre of the least-squares circle, mm. */
  readonly centre: { readonly x: number; readonly y: number };
  /** Half width of the 95 % band, mm. */
  readonly plusMinusMm: number;
}

const GOLDEN = (Math.sqrt(5) - 1) / 2;
const STEPS = 60;

/** Smallest value of a convex function on an interval by golden section. */
function lowest(f: (x: number) => number, from: number, to: number): number {
  let [low, high] = [from, to];
  let x1 = high - GOLDEN * (high - low);
  let x2 = low + GOLDEN * (high - low);
  let [f1, f2] = [f(x1), f(x2)];
  for (let i = 0; i < STEPS; i++)
    if (f1 < f2) {
      [high, x2, f2] = [x2, x1, f1];
      x1 = high - GOLDEN * (high - low);
      f1 = f(x1);
    } else {
      [low, x1, f1] = [x1, x2, f2];
      x2 = low + GOLDEN * (high - low);
      f2 = f(x2);
    }
  return Math.min(f1, f2);
}

/**
 * Roundness of radius readings round the clock, taken on a spindle or between centres, where the part turns about its own axis.
 *
 * The limaçon r - x cos t - y sin t stands for the circle, good while the centre is off by a small share of the radius. The zone
 * width is convex in the centre, so that golden section over one axis inside the other finds the smallest.
 *
 * @param points at least four different angles, rise of the radius in mm
 */
export function roundness(points: readonly ClockPoint[], noiseMm: number): Roundness | null {
  const fit = fitHarmonics(points, [1], noiseMm);
  if (fit === null || fit.spare < 1) return null;
  const rows = points.map((p) => {
    const t = (p.clockDeg * Math.PI) / 180;
    return { c: Math.cos(t), s: Math.sin(t), r: p.valueMm };
  });
  const zone = (x: number, y: number): number => {
    let [low, high] = [Infinity, -Infinity];
    for (const p of rows) {
      const off = p.r - x * p.c - y * p.s;
      if (off < low) low = off;
      if (off > high) high = off;
    }
    return high - low;
  };
  const { a: x, b: y } = fit.waves[0]!;
  const leastSquaresMm = zone(x, y);
  const reach = leastSquaresMm + 1e-12;
  const minimumZoneMm = lowest((u) => lowest((v) => zone(x + u, y + v), -reach, reach), -reach, reach);
  return {
    leastSquaresMm,
    minimumZoneMm: Math.min(minimumZoneMm, leastSquaresMm),
    centre: { x, y },
    // Highest and lowest are single readings each; the residuals are form here, not scatter.
    plusMinusMm: K95 * noiseMm * Math.SQRT2,
  };
}
