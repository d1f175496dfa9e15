import type { Side } from '../readings';

/** A wave on the radius: amplitude x cos(order (t - peak)). */
export interface TrueWave {
  readonly order: number;
  readonly amplitudeMm: number;
  readonly peakDeg: number;
}

/** A stretch of a hidden part whose size is known to nobody but the simulation. */
export interface TrueStretch {
  readonly name: string;
  readonly side: Side;
  readonly fromMm: number;
  readonly toMm: number;
  /** At 20 °C in the middle of the stretch. */
  readonly diameterMm: number;
  /** Change of diameter per mm of length. */
  readonly taperPerMm: number;
  /** Middle less ends, on the diameter, mm. */
  readonly bellyMm: number;
  readonly waves: readonly TrueWave[];
}

/** A hidden true part. It bows as a half sine between its ends. */
export interface TruePart {
  readonly name: string;
  readonly lengthMm: number;
  readonly alphaPerK: number;
  readonly stretches: readonly TrueStretch[];
  readonly bend: { readonly bowMm: number; readonly planeDeg: number } | null;
}

const radians = (deg: number): number => (deg * Math.PI) / 180;

/** The stretch at a station; null where there is none. */
export const stretchAt = (part: TruePart, stationMm: number, side: Side): TrueStretch | null =>
  part.stretches.find((s) => s.side === side && stationMm >= s.fromMm - 1e-9 && stationMm <= s.toMm + 1e-9) ?? null;

/** Mean diameter at a station, mm at 20 °C. */
function trueMeanMm(s: TrueStretch, stationMm: number): number {
  const half = (s.toMm - s.fromMm) / 2;
  const u = half === 0 ? 0 : (stationMm - (s.fromMm + half)) / half;
  return s.diameterMm + s.taperPerMm * u * half - s.bellyMm * u * u;
}

/** Radius at a station and clock angle, mm at 20 °C. */
export const trueRadiusMm = (s: TrueStretch, stationMm: number, clockDeg: number): number =>
  s.waves.reduce((r, w) => r + w.amplitudeMm * Math.cos(w.order * radians(clockDeg - w.peakDeg)), trueMeanMm(s, stationMm) / 2);

/** Distance of the middle of a section from the line through the part's ends, along a clock angle, mm. */
export const trueOffsetMm = (part: TruePart, stationMm: number, clockDeg: number): number =>
  part.bend === null
    ? 0
    : part.bend.bowMm * Math.sin((Math.PI * stationMm) / part.lengthMm) * Math.cos(radians(clockDeg - part.bend.planeDeg));
