import { commonMm, scatterMm, type DiameterReading, type Side } from './diameter-reading';
import { curveAt, fitHarmonics, K95, ordersAllowed, type HarmonicFit, type Wave } from './harmonics';
import { sectionEnds, type Interval } from './section-ends';

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
  /** Half widths of their 95 % bands, mm, without temperature: what the directions leave open between an oval and wear on one side. */
  readonly smallestPlusMinusMm: number;
  readonly largestPlusMinusMm: number;
  /**
   * `fitted` from three or more directions; `at-least` from two, a lower bound; `unknown` from one, or when every reading
   * averages three points and cannot see an oval.
   */
  readonly ovalityKind: 'fitted' | 'at-least' | 'unknown';
  readonly ovalityMm: number;
  /** Half width of its 95 % band, mm; null where it is not fitted. */
  readonly ovalityPlusMinusMm: number | null;
  /** Direction of the long axis, degrees in [0, 180), when fitted and told from none; and half width of its 95 % band. */
  readonly longAxisDeg: number | null;
  readonly longAxisPlusMinusDeg: number | null;
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
function fitEven(directions: readonly Direction[], scatter: number): HarmonicFit | null {
  const possible = ordersAllowed(
    directions.map((d) => d.deg),
    EVEN,
  );
  const kept = possible.filter((order, i) => order === 2 || directions.length >= 3 + 2 * i + DIRECTIONS_TO_SPARE);
  // A direction read twice counts once: where the section is no oval, its weight would shift the mean.
  const once = directions.map((d) => ({ clockDeg: d.deg, valueMm: d.meanMm }));
  return kept.length ? fitHarmonics(once, kept, scatter) : null;
}

/** Smallest and largest of a fitted curve. */
function curveEnds(fit: HarmonicFit): { readonly low: number; readonly high: number } {
  if (fit.waves.length === 1) return { low: fit.meanMm - fit.waves[0]!.amplitudeMm, high: fit.meanMm + fit.waves[0]!.amplitudeMm };
  const sizes = Array.from({ length: 180 / SCAN_DEG }, (_, i) => curveAt(fit, i * SCAN_DEG));
  return { low: Math.min(...sizes), high: Math.max(...sizes) };
}

/** An end of the section with its band. */
interface End {
  readonly mm: number;
  readonly plusMinusMm: number;
}

/** Of the fitted curve's end and the readings' own, the one that the belief lies nearer to; the band reaches as far as either side of it. */
function endIn(interval: Interval, fittedMm: number, readMm: number, sharedMm: number): End {
  const mm = Math.abs(fittedMm - interval.middleMm) <= Math.abs(readMm - interval.middleMm) ? fittedMm : readMm;
  return { mm, plusMinusMm: bandAbout(interval, mm, sharedMm) };
}

const directionSizes = (directions: readonly Direction[], scatter: number): { deg: number; meanMm: number; uMm: number }[] =>
  directions.map((d) => ({ deg: d.deg, meanMm: d.meanMm, uMm: scatter / Math.sqrt(d.count) }));

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
 * Smallest and largest are those of the fitted curve or of the averaged directions, whichever the readings make likelier: the long axis
 * may lie between two directions, and a curve is not believed beyond the readings where they may as well be wear on one side.
 *
 * @param readings at least one, all of one station
 * @param side a hole wears larger, a shaft smaller: it tells on which side one-sided wear lies
 */
export function analyseSection(stationMm: number, readings: readonly DiameterReading[], side: Side = 'inside'): Section {
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
  // Waves beyond the oval are measured only with directions to spare: then the curve is the section.
  const ends =
    twoPoint.length && directions.length >= 2 ? sectionEnds(side, directionSizes(directions, Math.max(scatter, LEAST_U_MM))) : null;
  const fit = twoPoint.length && directions.length >= 3 ? fitEven(directions, scatter) : null;
  if (fit === null) {
    const atLeast = twoPoint.length > 0 && directions.length >= 2;
    const single = K95 * Math.hypot(common, scatter);
    const band = K95 * Math.hypot(common, scatter / Math.sqrt(telling.length));
    return {
      ...plain,
      meanMm: mean(sizes),
      meanPlusMinusMm: ends
        ? Math.hypot(
            Math.max(band, bandAbout(ends.mean, mean(sizes), common)),
            K95 * Math.max(FOURTH_SHARE * (high - low), FOURTH_LEAST_MM),
          )
        : band,
      smallestMm: low,
      largestMm: high,
      smallestPlusMinusMm: ends ? bandAbout(ends.smallest, low, common) : single,
      largestPlusMinusMm: ends ? bandAbout(ends.largest, high, common) : single,
      ovalityKind: atLeast ? 'at-least' : 'unknown',
      ovalityMm: atLeast ? high - low : 0,
      ovalityPlusMinusMm: null,
      longAxisDeg: null,
      longAxisPlusMinusDeg: null,
      unexplainedMm: null,
      waves: [],
    };
  }
  const curve = curveEnds(fit);
  const oval = fit.waves[0]!;
  const off = directions.map((d) => Math.abs(d.meanMm - curveAt(fit, d.deg)));
  const unknowns = 1 + 2 * fit.waves.length;
  const smallest = endIn(ends!.smallest, Math.min(curve.low, low), low, common);
  const largest = endIn(ends!.largest, Math.max(curve.high, high), high, common);
  const told = oval.amplitudeMm > Math.max(oval.plusMinusMm, 1e-9);
  return {
    ...plain,
    meanMm: fit.meanMm,
    meanPlusMinusMm: Math.max(Math.hypot(K95 * common, fit.meanPlusMinusMm), bandAbout(ends!.mean, fit.meanMm, common)),
    smallestMm: smallest.mm,
    largestMm: largest.mm,
    smallestPlusMinusMm: smallest.plusMinusMm,
    largestPlusMinusMm: largest.plusMinusMm,
    ovalityKind: 'fitted',
    ovalityMm: 2 * oval.amplitudeMm,
    ovalityPlusMinusMm: 2 * oval.plusMinusMm,
    longAxisDeg: told ? oval.peakDeg : null,
    longAxisPlusMinusDeg: told ? axisBandDeg(oval) : null,
    unexplainedMm: directions.length > unknowns ? Math.max(...off) : null,
    waves: fit.waves,
  };
}

/** Half width of the band of an axis: the wave may turn until its tip leaves its own band. */
const axisBandDeg = (wave: Wave): number => (Math.asin(Math.min(wave.plusMinusMm / wave.amplitudeMm, 1)) * 180) / Math.PI / wave.order;

/** How far an interval reaches to either side of a value, with what all readings share. */
const bandAbout = (i: Interval, mm: number, sharedMm: number): number =>
  Math.hypot(Math.max(i.highMm - mm, mm - i.lowMm, 0), K95 * sharedMm);

/** Two directions at a right angle cannot see the fourth wave, which shifts both alike: so large a share of what they differ by,
 * and at least so many mm, k = 1. */
const FOURTH_SHARE = 0.4;
const FOURTH_LEAST_MM = 0.004;
/** Readings of an instrument that is said to have no scatter still have their last digit, mm. */
const LEAST_U_MM = 1e-4;
