import type { DiameterReading } from './diameter-reading';

/**
 * What two-point diameters at one station say: d(t) = mean + a cos 2t + b sin 2t.
 * Ovality is largest less smallest diameter of that curve, 2 sqrt(a² + b²).
 */
export interface Section {
  readonly stationMm: number;
  readonly readings: number;
  readonly meanMm: number;
  readonly smallestMm: number;
  readonly largestMm: number;
  /**
   * `fitted` from three or more directions; `at-least` from two, a lower bound; `unknown` from one, or when every reading
   * averages three points and cannot see an oval.
   */
  readonly ovalityKind: 'fitted' | 'at-least' | 'unknown';
  readonly ovalityMm: number;
  /** Direction of the long axis, degrees in [0, 180), when fitted. */
  readonly longAxisDeg: number | null;
  /** Standard deviation of repeats at one direction, mm; null without repeats. */
  readonly repeatMm: number | null;
  /** Largest distance of an averaged direction from the fitted curve, mm; null unless there is one direction to spare. */
  readonly unexplainedMm: number | null;
  /** Fourier terms of the curve, mm. */
  readonly a: number;
  readonly b: number;
}

interface Direction {
  readonly deg: number;
  readonly meanMm: number;
  readonly count: number;
  readonly squaresMm2: number;
}

const mean = (xs: readonly number[]): number => xs.reduce((s, x) => s + x, 0) / xs.length;
const modulo180 = (deg: number): number => ((deg % 180) + 180) % 180;

function byDirection(readings: readonly DiameterReading[]): Direction[] {
  const groups = new Map<number, number[]>();
  for (const r of readings) {
    const deg = Math.round(modulo180(r.clockDeg) * 100) / 100;
    groups.set(deg, [...(groups.get(deg) ?? []), r.valueMm]);
  }
  return [...groups].map(([deg, values]) => {
    const meanMm = mean(values);
    return { deg, meanMm, count: values.length, squaresMm2: values.reduce((s, v) => s + (v - meanMm) ** 2, 0) };
  });
}

/** Solves the symmetric 3 x 3 normal equations by Cramer's rule; null when the directions do not span them. */
function solve3(m: readonly number[][], v: readonly number[]): [number, number, number] | null {
  const det = (c: readonly (readonly number[])[]): number =>
    c[0]![0]! * (c[1]![1]! * c[2]![2]! - c[1]![2]! * c[2]![1]!) -
    c[0]![1]! * (c[1]![0]! * c[2]![2]! - c[1]![2]! * c[2]![0]!) +
    c[0]![2]! * (c[1]![0]! * c[2]![1]! - c[1]![1]! * c[2]![0]!);
  const whole = det(m);
  if (Math.abs(whole) < 1e-9) return null;
  const withColumn = (k: number): number => det(m.map((row, i) => row.map((x, j) => (j === k ? v[i]! : x)))) / whole;
  return [withColumn(0), withColumn(1), withColumn(2)];
}

function fitOval(directions: readonly Direction[]): { mean: number; a: number; b: number } | null {
  const rows = directions.map(({ deg, meanMm }) => {
    const t = (deg * Math.PI) / 90;
    return { basis: [1, Math.cos(t), Math.sin(t)], y: meanMm };
  });
  const normal = [0, 1, 2].map((i) => [0, 1, 2].map((j) => rows.reduce((s, r) => s + r.basis[i]! * r.basis[j]!, 0)));
  const right = [0, 1, 2].map((i) => rows.reduce((s, r) => s + r.basis[i]! * r.y, 0));
  const solved = solve3(normal, right);
  return solved && { mean: solved[0], a: solved[1], b: solved[2] };
}

/** Direction of the long axis to a millionth of a degree, so that rounding noise under 0° is not called 180°. */
const axisDeg = (a: number, b: number): number => modulo180(Math.round(((Math.atan2(b, a) * 90) / Math.PI) * 1e6) / 1e6);

/** The fitted diameter at a clock angle, mm. */
export const diameterAt = (section: Pick<Section, 'meanMm' | 'a' | 'b'>, clockDeg: number): number => {
  const t = (clockDeg * Math.PI) / 90;
  return section.meanMm + section.a * Math.cos(t) + section.b * Math.sin(t);
};

/**
 * Analyses the readings of one station.
 *
 * Smallest and largest are those of the fitted curve and of the averaged directions together: the long axis may lie
 * between two directions, and a direction may stand off the curve.
 *
 * @param readings at least one, all of one station
 */
export function analyseSection(stationMm: number, readings: readonly DiameterReading[]): Section {
  const directions = byDirection(readings);
  const sizes = directions.map((d) => d.meanMm);
  const spare = readings.length - directions.length;
  const repeatMm = spare > 0 ? Math.sqrt(directions.reduce((s, d) => s + d.squaresMm2, 0) / spare) : null;
  const low = Math.min(...sizes);
  const high = Math.max(...sizes);
  const plain = { stationMm, readings: readings.length, repeatMm, a: 0, b: 0, longAxisDeg: null, unexplainedMm: null };
  const twoPoint = directions.length > 0 && readings.every((r) => r.points === 2);
  const fit = twoPoint && directions.length >= 3 ? fitOval(directions) : null;
  if (fit === null) {
    const atLeast = twoPoint && directions.length >= 2;
    return {
      ...plain,
      meanMm: mean(sizes),
      smallestMm: low,
      largestMm: high,
      ovalityKind: atLeast ? 'at-least' : 'unknown',
      ovalityMm: atLeast ? high - low : 0,
    };
  }
  const half = Math.hypot(fit.a, fit.b);
  const curve = { meanMm: fit.mean, a: fit.a, b: fit.b };
  const off = directions.map((d) => Math.abs(d.meanMm - diameterAt(curve, d.deg)));
  return {
    ...plain,
    ...curve,
    smallestMm: Math.min(fit.mean - half, low),
    largestMm: Math.max(fit.mean + half, high),
    ovalityKind: 'fitted',
    ovalityMm: 2 * half,
    longAxisDeg: half < 1e-9 ? null : axisDeg(fit.a, fit.b),
    unexplainedMm: directions.length > 3 ? Math.max(...off) : null,
  };
}
