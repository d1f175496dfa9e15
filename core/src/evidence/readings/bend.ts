import { fitHarmonics, K95, K95_VECTOR, type ClockPoint } from './harmonics';

/** Run-out of one station: r(t) = e cos(t - f) + form. */
export interface RunOut {
  readonly stationMm: number;
  /** Distance of the middle of this section from the axis of turning, mm. */
  readonly eccentricMm: number;
  readonly highDeg: number;
  /** Highest less lowest reading, mm. */
  readonly totalMm: number;
  /** Total reading that the eccentricity alone explains, 2 e, mm, and half width of its 95 % band. */
  readonly fromEccentricMm: number;
  readonly plusMinusMm: number;
  /** What is left beside the eccentricity: form, or a flat, mm; null without readings to spare. */
  readonly formMm: number | null;
  readonly x: number;
  readonly y: number;
}

/**
 * Run-out of one station under an indicator.
 *
 * @param points at least three different angles, else null
 */
export function runOut(stationMm: number, points: readonly ClockPoint[], noiseMm: number): RunOut | null {
  const fit = fitHarmonics(points, [1], noiseMm);
  if (fit === null) return null;
  const wave = fit.waves[0]!;
  const values = points.map((p) => p.valueMm);
  const off = fit.solution.residuals;
  return {
    stationMm,
    eccentricMm: wave.amplitudeMm,
    highDeg: wave.peakDeg,
    totalMm: Math.max(...values) - Math.min(...values),
    fromEccentricMm: 2 * wave.amplitudeMm,
    plusMinusMm: 2 * wave.plusMinusMm,
    formMm: fit.spare > 0 ? Math.max(...off) - Math.min(...off) : null,
    x: wave.a,
    y: wave.b,
  };
}

/** How a shaft is held while it is turned under the indicator. */
export type Holding = 'v-blocks' | 'centres' | 'chuck';

/** A bent shaft: the plane of the bend, and where to press. */
export interface Bend {
  readonly stations: readonly RunOut[];
  /** Direction in which it bows out, degrees. */
  readonly planeDeg: number;
  /** Half width of its 95 % band, degrees; 180 where the bow is lost in the scatter. */
  readonly planePlusMinusDeg: number;
  /** Station of the largest bow, mm. */
  readonly highAtMm: number;
  /** Largest distance from the line through the supports, mm; the indicator shows twice this. */
  readonly bowMm: number;
  readonly totalMm: number;
  /** Half width of the 95 % band of `totalMm`. */
  readonly plusMinusMm: number;
  /** Where one station more would tell most, mm: a kink could stand there; null where none could. */
  readonly readNextMm: number | null;
  /** Share of the map that lies in the plane, 0 to 1: well below 1 means that it is bent twice, or corkscrewed. */
  readonly inPlane: number;
}

/**
 * Half width of the 95 % band of the plane, degrees. The axis turns by the bow-weighted mean of what stands square to it,
 * sum(bow x off) / sum(bow²).
 *
 * @param noiseMm scatter of one coordinate of one station, k = 1
 */
function planeBand(bows: readonly number[], square: readonly number[], noiseMm: number): number {
  const strength = bows.reduce((s, b) => s + b * b, 0);
  if (strength < 1e-18) return 180;
  const free = bows.length - 1;
  const seen = free > 0 ? Math.sqrt(square.reduce((s, o) => s + o * o, 0) / free) : 0;
  const rad = (K95 * Math.max(noiseMm, seen)) / Math.sqrt(strength);
  return Math.min((rad * 180) / Math.PI, 180);
}

interface BowPoint {
  readonly at: number;
  readonly bow: number;
}

/** Top of the parabola through the largest station and its neighbours; the station itself at an end of the map. */
function crest(points: readonly BowPoint[], k: number): BowPoint {
  const [p, q, r] = [points[k - 1], points[k]!, points[k + 1]];
  if (!p || !r) return q;
  const d1 = (q.bow - p.bow) / (q.at - p.at);
  const d2 = (r.bow - q.bow) / (r.at - q.at);
  const curve = (d2 - d1) / (r.at - p.at);
  if (curve >= -1e-15) return q;
  const at = (p.at + q.at) / 2 - d1 / (2 * curve);
  if (at <= p.at || at >= r.at) return q;
  return { at, bow: p.bow + d1 * (at - p.at) + curve * (at - p.at) * (at - q.at) };
}

/** Where two straight lines through pairs of points meet, if that lies between two places. */
function meeting(p: BowPoint, q: BowPoint, r: BowPoint, s: BowPoint): BowPoint | null {
  const [m1, m2] = [(q.bow - p.bow) / (q.at - p.at), (s.bow - r.bow) / (s.at - r.at)];
  if (Math.abs(m1 - m2) < 1e-15) return null;
  const at = (r.bow - m2 * r.at - q.bow + m1 * q.at) / (m1 - m2);
  return at > q.at && at < r.at ? { at, bow: q.bow + m1 * (at - q.at) } : null;
}

/**
 * The highest that a kink could stand between the largest station and its neighbours: a shaft bent at one spot is straight on both
 * sides of it, so the lines through the stations beside meet over it.
 */
function kinkBeside(points: readonly BowPoint[], k: number): BowPoint | null {
  const between = (a: number): BowPoint | null => {
    const [p, q, r, s] = [points[a - 1], points[a], points[a + 1], points[a + 2]];
    return p && q && r && s ? meeting(p, q, r, s) : null;
  };
  const found = [between(k - 1), between(k)].filter((m): m is BowPoint => m !== null);
  return found.reduce<BowPoint | null>((best, m) => (best === null || m.bow > best.bow ? m : best), null);
}

/**
 * The bend of a shaft from an indicator map of several stations and clock angles.
 *
 * The plane is the main axis of the eccentricities (largest eigenvector of their second moments); the high spot is the crest of
 * the bow in that plane. Readings on V-blocks are against the line of the blocks already, and readings between centres against that of
 * the centres: whatever is typed for the places of the blocks, the bow that the indicator shows is what is said. Between stations that
 * stand far apart a kink could stand higher than either: its height is in the band.
 *
 * @param supportsMm where the V-blocks stand: nothing bows there, which bounds a kink beyond the outermost stations
 * @returns null with fewer than three stations of at least three angles
 */
export function fitBend(map: readonly RunOut[], supportsMm: readonly number[] = []): Bend | null {
  if (map.length < 3) return null;
  const vectors = [...map].sort((p, q) => p.stationMm - q.stationMm).map((s) => ({ at: s.stationMm, x: s.x, y: s.y }));
  const xx = vectors.reduce((s, v) => s + v.x * v.x, 0);
  const yy = vectors.reduce((s, v) => s + v.y * v.y, 0);
  const xy = vectors.reduce((s, v) => s + v.x * v.y, 0);
  const axis = 0.5 * Math.atan2(2 * xy, xx - yy);
  const bows = vectors.map((v) => ({ at: v.at, bow: v.x * Math.cos(axis) + v.y * Math.sin(axis) }));
  const k = bows.reduce((best, p, i) => (Math.abs(p.bow) > Math.abs(bows[best]!.bow) ? i : best), 0);
  const sign = bows[k]!.bow < 0 ? -1 : 1;
  const upright = bows.map((p) => ({ at: p.at, bow: sign * p.bow }));
  const top = crest(upright, k);
  // The blocks are points of no bow: they stand in for stations beyond the map.
  const free = supportsMm.filter((at) => !upright.some((p) => Math.abs(p.at - at) < SAME_PLACE_MM)).map((at) => ({ at, bow: 0 }));
  const withBlocks = [...upright, ...free].sort((p, q) => p.at - q.at);
  const kink = kinkBeside(
    withBlocks,
    withBlocks.findIndex((p) => p.at === upright[k]!.at),
  );
  const planeDeg = ((((axis * 180) / Math.PI + (sign < 0 ? 180 : 0)) % 360) + 360) % 360;
  const square = vectors.map((v) => v.y * Math.cos(axis) - v.x * Math.sin(axis));
  const inside = bows.reduce((s, p) => s + p.bow * p.bow, 0);
  const worst = map.reduce((p, q) => (q.plusMinusMm > p.plusMinusMm ? q : p));
  const noiseMm = worst.plusMinusMm / 2 / K95_VECTOR;
  const scatterMm = (worst.plusMinusMm * 2) / K95_VECTOR;
  const openMm = kink ? Math.max(2 * (kink.bow - top.bow), 0) : 0;
  return {
    stations: map,
    planeDeg: Math.round(planeDeg * 1e6) / 1e6,
    planePlusMinusDeg: planeBand(
      bows.map((p) => p.bow),
      square,
      noiseMm,
    ),
    highAtMm: top.at,
    bowMm: top.bow,
    totalMm: 2 * top.bow,
    plusMinusMm: Math.hypot(scatterMm, openMm),
    readNextMm: kink && openMm > Math.max(scatterMm, WORTH_SHARE * 2 * top.bow) ? kink.at : null,
    inPlane: xx + yy < 1e-15 ? 1 : inside / (xx + yy),
  };
}

const SAME_PLACE_MM = 0.5;
/** A station more is worth while when it could show more than the scatter and this share of the bend: an even bow leaves an eighth open. */
const WORTH_SHARE = 0.15;
