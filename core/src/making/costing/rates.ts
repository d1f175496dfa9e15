import type { Family } from '../../book/materials';

/** Families of metal and plastic that a price a kilogram is kept for. */
export const PRICED_FAMILIES = [
  'steel',
  'stainless',
  'iron',
  'copper',
  'aluminium',
  'light',
  'plastic',
] as const satisfies readonly Family[];

/** What the shop asks for its work. Money is in the smallest coin, a hundredth; shares are in hundredths. */
export interface Rates {
  /** As it stands behind a sum: `crowns`. */
  readonly currency: string;
  readonly hourMinor: number;
  /** On top of the hour while that machine runs, by its id; none where it is in the hour. */
  readonly machineHourMinor: Readonly<Record<string, number>>;
  /** Stock, a kilogram, by family. */
  readonly kgMinor: Readonly<Partial<Record<Family, number>>>;
  /** Stock that is sawn off and turned away beside what is asked for. */
  readonly wastePercent: number;
  /** On what is bought and done elsewhere. */
  readonly markUpPercent: number;
  /** Cutters, oil, rags, of the hours. */
  readonly consumablesPercent: number;
  /** Nothing is done for less, before tax. */
  readonly minimumMinor: number;
  readonly taxPercent: number;
}

/** What the shop asks for its work, with the version that a change must name. */
export interface RatesRecord extends Rates {
  readonly version: number;
}

/** One version of what the shop asks, with who set it; nobody where it came with the shop. */
export interface RatesChange {
  readonly version: number;
  readonly rates: Rates;
  readonly personId: string | null;
  readonly at: string;
}
