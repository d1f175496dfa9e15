import { commonMm, scatterMm, type DiameterReading } from './diameter-reading';
import { curveAt, fitHarmonics, K95, ordersAllowed, type HarmonicFit, type Wave } from './harmonics';

/**
 * What diameters at one station say. Two points: d(t) = mean + waves of even order, of which the second is the oval; as many as
 * the directions allow. Three points 120° apart: waves of order 3, 6, 9 alone.
 * Ovality is largest less smallest diameter of the second wave, 2 sqrt(a² + b²).
 */
export interface Section {
  readonly stationMm: number;
  readonly readings: number;
  /** Different directions of two points, 0 where three-point heads alone were used. */
  readonly directions: number;
  readonly meanMm: number;
  /** Half width of the 95 % band of the mean, mm, without temperature. */
  readonly meanPlusMinusMm: number;
  readonly smallestMm: number;
  readonly largestMm: number;
  /**
   * `fitted` from three or more directions; `at-least` from two, a lower bound; `unknown` from one, or when every reading
   * averages three points and cannot see an oval.
   */
  readonly ovalityKind: 'fitted' | 'at-least' | 'unknown';
  readonly ovalityMm: number;
  /** Half width of its 95 % band, mm; null where it is not fitted. */
  readonly ovalityPlusMinusMm: number | null;
  /** Direction of the long axis, degrees in [0, 180), when fitted. */
  readonly longAxisDeg: number | null;
  /** Three-lobedness by a three-point head: highest less lowest radius, mm; null when no head turned through three directions. */
  readonly lobingMm: number | null;
  readonly lobingPlusMinusMm: number | null;
  /** Standard deviation of repeats at one direction, mm; null without repeats. */
  readonly repeatMm: number | null;
  /** Largest distance of an averaged direction from the fitted curve, mm; null unless there is one direction to spare. */
  readonly unexplainedMm: number | null;
  /** Waves of the diameter by two points: 2, 4 and 6 round the clock as far as the directions allow; empty where nothing is fitted. */
  readonly waves: readonly Wave[];
}

/** Even waves in the order in which they matter: two points see no other. */
const EVEN = [2, 4, 6] as const;
/** A wave beyond the oval is taken in only with this many directions more than it needs: it would explain the scatter away. */
const DIRECTIONS_TO_SPARE = 1;
const SCAN_DEG = 0.5;

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
    const there = groups.get(deg);
    if (there) there.push(r.valueMm);
    else groups.set(deg, [r.valueMm]);
  }
  return [...groups].map(([deg, values]) => {
    const meanMm = mean(values);
    return { deg, meanMm, count: values.length, squaresMm2: values.reduce((s, v) => s + (v - meanMm) ** 2, 0) };
  });
}

/** Root mean square of what scatters, and the largest of what is shared. */
function spread(readings: readonly DiameterReading[]): { readonly scatter: number; readonly common: number } {
  return {
    scatter: Math.sqrt(readings.reduce((s, r) => s + scatterMm(r) ** 2, 0) / readings.length),
    common: Math.max(...readings.map(commonMm)),
  };
}

/** The waves that the directions allow, the oval always, a higher one only with a direction to spare. */
function fitEven(readings: readonly DiameterReading[], directions: readonly Direction[], scatter: number): HarmonicFit | null {
  const possible = ordersAllowed(
    directions.map((d) => d.deg),
    EVEN,
  );
  const kept = possible.filter((order, i) => order === 2 || directions.length >= 3 + 2 * i + DIRECTIONS_TO_SPARE);
  return kept.length ? fitHarmonics(readings, kept, scatter) : null;
}

/** Smallest and largest of a fitted curve. */
function ends(fit: HarmonicFit): { readonly low: number; readonly high: number } {
  if (fit.waves.length === 1) return { low: fit.meanMm - fit.waves[0]!.amplitudeMm, high: fit.meanMm + fit.waves[0]!.amplitudeMm };
  const sizes = Array.from({ length: 180 / SCAN_DEG }, (_, i) => curveAt(fit, i * SCAN_DEG));
  return { low: Math.min(...sizes), high: Math.max(...sizes) };
}

/** Lobes by a three-point head: its size goes with 2 c cos 3t where the radius goes with c cos 3t. */
function lobing(readings: readonly DiameterReading[]): { readonly mm: number; readonly plusMinusMm: number } | null {
  const heads = readings.filter((r) => r.points === 3);
  const directions = new Set(heads.map((r) => Math.round((((r.clockDeg % 120) + 120) % 120) * 100)));
  const fit = directions.size >= 3 ? fitHarmonics(heads, [3], spread(heads).scatter) : null;
  return fit && { mm: fit.waves[0]!.amplitudeMm, plusMinusMm: fit.waves[0]!.plusMinusMm };
}

/** The fitted diameter at a clock angle, mm. */
export const diameterAt = (section: Pick<Section, 'meanMm' | 'waves'>, clockDeg: number): number => curveAt(section, clockDeg);

/**
 * Analyses the readings of one station.
 *
 * Smallest and largest are those of the fitted curve and of the averaged directions together: the long axis may lie
 * between two directions, and a direction may stand off the curve.
 *
 * @param readings at least one, all of one station
 */
export function analyseSection(stationMm: number, readings: readonly DiameterReading[]): Section {
  const twoPoint = readings.filter((r) => r.points === 2);
  // Sizes by three points are another thing than sizes by two: where both were taken, two points tell the section.
  const telling = twoPoint.length ? twoPoint : readings;
  const directions = byDirection(telling);
  const sizes = directions.map((d) => d.meanMm);
  const spare = telling.length - directions.length;
  const repeatMm = spare > 0 ? Math.sqrt(directions.reduce((s, d) => s + d.squaresMm2, 0) / spare) : null;
  const low = Math.min(...sizes);
  const high = Math.max(...sizes);
  const { scatter, common } = spread(telling);
  const lobes = lobing(readings);
  const plain = {
    stationMm,
    readings: readings.length,
    directions: twoPoint.length ? directions.length : 0,
    repeatMm,
    lobingMm: lobes?.mm ?? null,
    lobingPlusMinusMm: lobes?.plusMinusMm ?? null,
  };
  const fit = twoPoint.length && directions.length >= 3 ? fitEven(telling, directions, scatter) : null;
  if (fit === null) {
    const atLeast = twoPoint.length > 0 && directions.length >= 2;
    return {
      ...plain,
      meanMm: mean(sizes),
      meanPlusMinusMm: K95 * Math.hypot(common, scatter / Math.sqrt(telling.length)),
      smallestMm: low,
      largestMm: high,
      ovalityKind: atLeast ? 'at-least' : 'unknown',
      ovalityMm: atLeast ? high - low : 0,
      ovalityPlusMinusMm: null,
      longAxisDeg: null,
      unexplainedMm: null,
      waves: [],
    };
  }
  const curve = ends(fit);
  const oval = fit.waves[0]!;
  const off = directions.map((d) => Math.abs(d.meanMm - curveAt(fit, d.deg)));
  const unknowns = 1 + 2 * fit.waves.length;
  return {
    ...plain,
    meanMm: fit.meanMm,
    meanPlusMinusMm: Math.hypot(K95 * common, fit.meanPlusMinusMm),
    smallestMm: Math.min(curve.low, low),
    largestMm: Math.max(curve.high, high),
    ovalityKind: 'fitted',
    ovalityMm: 2 * oval.amplitudeMm,
    ovalityPlusMinusMm: 2 * oval.plusMinusMm,
    longAxisDeg: oval.amplitudeMm < 1e-9 ? null : oval.peakDeg,
    unexplainedMm: directions.length > unknowns ? Math.max(...off) : null,
    waves: fit.waves,
  };
}
