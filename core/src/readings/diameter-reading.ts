/** Which side of the metal the diameter is on. */
export type Side = 'outside' | 'inside';

/** One diameter, already at 20 °C, at a place along the axis and round the clock. */
export interface DiameterReading {
  /** From the component's zero face, mm. */
  readonly stationMm: number;
  /** Direction of the measured diameter, degrees, 0 level to the right, turning left seen from the zero face. */
  readonly clockDeg: number;
  readonly valueMm: number;
  /** Standard uncertainty of the instrument, mm (k = 1). */
  readonly instrumentMm: number;
  readonly points: 2 | 3;
}
