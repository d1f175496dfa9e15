import { leastSquares, residualSd, type LeastSquares } from './least-squares';

/** One wave round the clock: amplitude x cos(order (t - peak)). */
export interface Wave {
  /** Waves round the full circle. */
  readonly order: number;
  readonly a: number;
  readonly b: number;
  readonly amplitudeMm: number;
  /** First crest, degrees in [0, 360/order). */
  readonly peakDeg: number;
  /** Half width of the 95 % band of the amplitude, mm. */
  readonly plusMinusMm: number;
}

/** Readings round the clock as a mean and waves of chosen orders. */
export interface HarmonicFit {
  readonly meanMm: number;
  /** Half width of the 95 % band of the mean from the scatter of single readings alone, mm. */
  readonly meanPlusMinusMm: number;
  readonly waves: readonly Wave[];
  /** Scatter of one reading, k = 1, mm: what the instrument should show or what the residuals do show, whichever is more. */
  readonly noiseMm: number;
  readonly spare: number;
  readonly solution: LeastSquares;
}

/** A number read at a clock angle. */
export interface ClockPoint {
  readonly clockDeg: number;
  readonly valueMm: number;
}

/** 95 % of a two-component normal vector lies within this many standard deviations of its middle (chi squared, 2 degrees: 5.991). */
export const K95_VECTOR = 2.448;
/** Coverage factor for one component (JCGM 100, 6.3.3). */
export const K95 = 2;
/** Residuals speak for the scatter from this many spare readings on. */
const LEAST_SPARE = 2;

const radians = (deg: number): number => (deg * Math.PI) / 180;

/** Crest of a cos nt + b sin nt, degrees, kept to a millionth so that rounding noise under 0° is not called a full turn. */
function peakDeg(a: number, b: number, order: number): number {
  const turn = 360 / order;
  const deg = Math.round(((Math.atan2(b, a) * 180) / Math.PI / order) * 1e6) / 1e6;
  return ((deg % turn) + turn) % turn;
}

const rowFor = (clockDeg: number, orders: readonly number[]): number[] => [
  1,
  ...orders.flatMap((n) => [Math.cos(n * radians(clockDeg)), Math.sin(n * radians(clockDeg))]),
];

/**
 * Fits a mean and waves of the given orders.
 *
 * @param noiseMm scatter of one reading that the instrument is known for, k = 1, mm
 * @returns null when the angles cannot tell these orders apart
 */
export function fitHarmonics(points: readonly ClockPoint[], orders: readonly number[], noiseMm: number): HarmonicFit | null {
  const solution = leastSquares(
    points.map((p) => rowFor(p.clockDeg, orders)),
    points.map((p) => p.valueMm),
  );
  if (solution === null) return null;
  const seen = solution.spare >= LEAST_SPARE ? residualSd(solution)! : 0;
  const noise = Math.max(noiseMm, seen);
  const waves = orders.map((order, i) => {
    const a = solution.coefficients[1 + 2 * i]!;
    const b = solution.coefficients[2 + 2 * i]!;
    const variance = Math.max(solution.unit[1 + 2 * i]![1 + 2 * i]!, solution.unit[2 + 2 * i]![2 + 2 * i]!);
    const amplitudeMm = Math.hypot(a, b);
    return { order, a, b, amplitudeMm, peakDeg: peakDeg(a, b, order), plusMinusMm: K95_VECTOR * noise * Math.sqrt(variance) };
  });
  return {
    meanMm: solution.coefficients[0]!,
    meanPlusMinusMm: K95 * noise * Math.sqrt(solution.unit[0]![0]!),
    waves,
    noiseMm: noise,
    spare: solution.spare,
    solution,
  };
}

/**
 * The most waves of a list, lowest first, that these angles can tell apart.
 *
 * @param orders candidates in the order in which they matter
 */
export function ordersAllowed(clocksDeg: readonly number[], orders: readonly number[]): number[] {
  const allowed: number[] = [];
  for (const order of orders) {
    const tried = [...allowed, order];
    const rows = clocksDeg.map((c) => rowFor(c, tried));
    if (
      leastSquares(
        rows,
        rows.map(() => 0),
      ) === null
    )
      return allowed;
    allowed.push(order);
  }
  return allowed;
}

/** The fitted curve at a clock angle, mm. */
export const curveAt = (fit: Pick<HarmonicFit, 'meanMm' | 'waves'>, clockDeg: number): number =>
  fit.waves.reduce((s, w) => s + w.a * Math.cos(w.order * radians(clockDeg)) + w.b * Math.sin(w.order * radians(clockDeg)), fit.meanMm);
