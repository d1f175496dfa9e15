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
  /** Share of the map that lies in the plane, 0 to 1: well below 1 means that it is bent twice, or corkscrewed. */
  readonly inPlane: number;
}

interface Vector {
  readonly at: number;
  readonly x: number;
  readonly y: number;
}

/** Stations that the line goes through, and how far from the first to the second each station lies; null for a line that is the axis itself. */
interface SupportLine {
  readonly a: number;
  readonly b: number;
  readonly shares: readonly number[];
}

/** The line through two supports; a chuck and centres turn about their own axis, which is that line already. */
function supportLine(stations: readonly Vector[], supportsMm: readonly number[]): SupportLine | null {
  if (supportsMm.length < 2) return null;
  const near = (at: number): number => stations.reduce((p, q, i) => (Math.abs(q.at - at) < Math.abs(stations[p]!.at - at) ? i : p), 0);
  const [a, b] = [near(Math.min(...supportsMm)), near(Math.max(...supportsMm))];
  const span = stations[b]!.at - stations[a]!.at;
  return span < 1e-9 ? null : { a, b, shares: stations.map((v) => (v.at - stations[a]!.at) / span) };
}

function offLine(stations: readonly Vector[], line: SupportLine | null): Vector[] {
  if (!line) return [...stations];
  const [a, b] = [stations[line.a]!, stations[line.b]!];
  return stations.map((v, i) => {
    const share = line.shares[i]!;
    return { at: v.at, x: v.x - a.x - share * (b.x - a.x), y: v.y - a.y - share * (b.y - a.y) };
  });
}

/**
 * Half width of the 95 % band of the plane, degrees. The axis turns by the bow-weighted mean of what stands square to it,
 * sum(bow x off) / sum(bow²); a station off a support line brings the scatter of both supports in.
 *
 * @param noiseMm scatter of one coordinate of one station, k = 1
 */
function planeBand(bows: readonly number[], square: readonly number[], line: SupportLine | null, noiseMm: number): number {
  const strength = bows.reduce((s, b) => s + b * b, 0);
  if (strength < 1e-18) return 180;
  const free = bows.length - 1 - (line ? 2 : 0);
  const seen = free > 0 ? Math.sqrt(square.reduce((s, o) => s + o * o, 0) / free) : 0;
  const noise = Math.max(noiseMm, seen);
  const weights = [...bows];
  if (line) {
    weights[line.a]! -= bows.reduce((s, b, i) => s + b * (1 - line.shares[i]!), 0);
    weights[line.b]! -= bows.reduce((s, b, i) => s + b * line.shares[i]!, 0);
  }
  const rad = (K95 * noise * Math.hypot(...weights)) / strength;
  return Math.min((rad * 180) / Math.PI, 180);
}

/** Top of the parabola through the largest station and its neighbours; the station itself at an end of the map. */
function crest(points: readonly { readonly at: number; readonly bow: number }[], k: number): { at: number; bow: number } {
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

/**
 * The bend of a shaft from an indicator map of several stations and clock angles.
 *
 * The plane is the main axis of the eccentricities (largest eigenvector of their second moments); the high spot is the crest of
 * the bow in that plane.
 *
 * @param supportsMm where the V-blocks stand when their stations are on the map; empty for centres or a chuck
 * @returns null with fewer than three stations of at least three angles
 */
export function fitBend(map: readonly RunOut[], supportsMm: readonly number[]): Bend | null {
  if (map.length < 3) return null;
  const stations = [...map].sort((p, q) => p.stationMm - q.stationMm).map((s) => ({ at: s.stationMm, x: s.x, y: s.y }));
  const line = supportLine(stations, supportsMm);
  const vectors = offLine(stations, line);
  const xx = vectors.reduce((s, v) => s + v.x * v.x, 0);
  const yy = vectors.reduce((s, v) => s + v.y * v.y, 0);
  const xy = vectors.reduce((s, v) => s + v.x * v.y, 0);
  const axis = 0.5 * Math.atan2(2 * xy, xx - yy);
  const bows = vectors.map((v) => ({ at: v.at, bow: v.x * Math.cos(axis) + v.y * Math.sin(axis) }));
  const k = bows.reduce((best, p, i) => (Math.abs(p.bow) > Math.abs(bows[best]!.bow) ? i : best), 0);
  const sign = bows[k]!.bow < 0 ? -1 : 1;
  const top = crest(
    bows.map((p) => ({ at: p.at, bow: sign * p.bow })),
    k,
  );
  const planeDeg = ((((axis * 180) / Math.PI + (sign < 0 ? 180 : 0)) % 360) + 360) % 360;
  const square = vectors.map((v) => v.y * Math.cos(axis) - v.x * Math.sin(axis));
  const inside = bows.reduce((s, p) => s + p.bow * p.bow, 0);
  const worst = map.reduce((p, q) => (q.plusMinusMm > p.plusMinusMm ? q : p));
  // The line through two supports brings their own scatter in.
  const widen = line ? Math.sqrt(1.5) : 1;
  const noiseMm = worst.plusMinusMm / 2 / K95_VECTOR;
  return {
    stations: map,
    planeDeg: Math.round(planeDeg * 1e6) / 1e6,
    planePlusMinusDeg: planeBand(
      bows.map((p) => p.bow),
      square,
      line,
      noiseMm,
    ),
    highAtMm: top.at,
    bowMm: top.bow,
    totalMm: 2 * top.bow,
    plusMinusMm: (worst.plusMinusMm * widen * 2) / K95_VECTOR,
    inPlane: xx + yy < 1e-15 ? 1 : inside / (xx + yy),
  };
}
