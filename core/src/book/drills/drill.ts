export type DrillKind = 'fraction' | 'number' | 'letter' | 'metric';
export const DRILL_KINDS: readonly DrillKind[] = ['fraction', 'number', 'letter', 'metric'];

export interface Drill {
  /** As stamped: `5/16`, `7`, `F`, `6.8`. */
  readonly name: string;
  readonly kind: DrillKind;
  readonly diameterMm: number;
}
