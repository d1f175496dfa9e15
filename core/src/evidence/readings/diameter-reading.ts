/** Which side of the metal the diameter is on. */
export type Side = 'outside' | 'inside';

/** One diameter, already at 20 °C and freed of the instrument's known bias, at a place along the axis and round the clock. */
export interface DiameterReading {
  /** From the component's zero face, mm. */
  readonly stationMm: number;
  /** Direction of the measured diameter, degrees: 0 on top, clockwise seen from the end far from the zero face. */
  readonly clockDeg: number;
  readonly valueMm: number;
  /** Standard uncertainty of the instrument, mm (k = 1). */
  readonly instrumentMm: number;
  /** The part of it that scatters from reading to reading, mm (k = 1); where its record does not say, see `scatterMm`. */
  readonly repeatMm?: number;
  readonly points: 2 | 3;
}

/** Share of an instrument's variance that scatters from one reading to the next where its record does not say: half. */
const SCATTER_SHARE = 0.5;

/** What scatters from reading to reading, k = 1, mm. */
export const scatterMm = (r: Pick<DiameterReading, 'instrumentMm' | 'repeatMm'>): number =>
  r.repeatMm ?? r.instrumentMm * Math.sqrt(SCATTER_SHARE);

/** What all readings by the instrument share, k = 1, mm: what its bias may still be. */
export const commonMm = (r: Pick<DiameterReading, 'instrumentMm' | 'repeatMm'>): number =>
  Math.sqrt(Math.max(r.instrumentMm ** 2 - scatterMm(r) ** 2, 0));
