import type { LengthUnit } from '../quantity';

/** A hand dial: how far a full turn moves the slide, and what its lines mean. */
export interface Dial {
  readonly unit: LengthUnit;
  /** What the dial counts in one full turn, in `unit`: slide travel, or diameter on a diameter dial. */
  readonly perTurn: number;
  /** Travel or diameter of one line, in `unit`, as the dial is marked. */
  readonly perLine: number;
}

/** A lathe as the shop knows it. */
export interface Lathe {
  readonly id: string;
  readonly name: string;
  /** Cross slide: a radius dial shows the slide's travel, a diameter dial twice that. */
  readonly cross: Dial & { readonly reads: 'radius' | 'diameter' };
  /** Carriage or top slide, for depths along the part. */
  readonly carriage: Dial;
  readonly readout: { readonly unit: LengthUnit; readonly decimals: number } | null;
  /** Spindle speeds it has, rpm. */
  readonly gearsRpm: readonly number[];
  readonly swingMm: number;
  readonly centresMm: number;
}
