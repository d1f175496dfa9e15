import { bad, good, type Outcome } from '../../terms/outcome';

/** Spindle speed for a surface speed. */
export interface SpindleSpeed {
  /** 1000 V / (pi D), rpm. */
  readonly idealRpm: number;
  /** The nearest gear that is not faster, rpm. */
  readonly gearRpm: number;
  /** Surface speed in that gear, m/min. */
  readonly speedMMin: number;
}

/** rpm = 1000 V/(pi D), for a surface speed in m/min and a diameter in mm. */
export const idealRpm = (surfaceMMin: number, diameterMm: number): number => (1000 * surfaceMMin) / (Math.PI * diameterMm);

/**
 * rpm = 1000 V/(pi D), stepped down to a gear the machine has.
 *
 * @param surfaceMMin surface speed, m/min
 * @param gearsRpm the machine's speeds in any order
 * @example spindleSpeed(25, 46, [70, 115, 190, 300, 500]) // ideal 173, gear 115
 */
export function spindleSpeed(surfaceMMin: number, diameterMm: number, gearsRpm: readonly number[]): Outcome<SpindleSpeed> {
  if (!(diameterMm > 0)) return bad('no-diameter', 'A speed needs a diameter.');
  if (gearsRpm.length === 0) return bad('no-gears', 'The machine has no spindle speeds on record. Add them in its card.');
  const ideal = idealRpm(surfaceMMin, diameterMm);
  const slower = gearsRpm.filter((g) => g <= ideal);
  const gearRpm = slower.length ? Math.max(...slower) : Math.min(...gearsRpm);
  return good({ idealRpm: ideal, gearRpm, speedMMin: (Math.PI * diameterMm * gearRpm) / 1000 });
}

/** Gears that are not faster than what a holding bears, null where nothing says so; the slowest alone where all are. */
export function gearsUnder(gearsRpm: readonly number[], mostRpm: number | null): readonly number[] {
  const under = gearsRpm.filter((g) => mostRpm === null || g <= mostRpm);
  return under.length || !gearsRpm.length ? under : [Math.min(...gearsRpm)];
}
