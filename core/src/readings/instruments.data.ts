/**
 * Default standard uncertainties (k = 1), mm, of common instruments in a skilled hand; an instrument's own record replaces them.
 * `decimals` is what it shows: mm, inch.
 */
export const INSTRUMENT_KINDS = {
  caliper: { name: 'Caliper', outsideMm: 0.013, insideMm: 0.02, decimals: { mm: 2, in: 3 }, points: 2 },
  micrometer: { name: 'Outside mic', outsideMm: 0.002, insideMm: 0.002, decimals: { mm: 3, in: 4 }, points: 2 },
  'bore-head': { name: 'Three-point bore head', outsideMm: 0.003, insideMm: 0.003, decimals: { mm: 3, in: 4 }, points: 3 },
  'telescoping-gauge': { name: 'Telescoping gauge and mic', outsideMm: 0.008, insideMm: 0.008, decimals: { mm: 3, in: 4 }, points: 2 },
  'dial-bore-gauge': { name: 'Dial bore gauge', outsideMm: 0.004, insideMm: 0.004, decimals: { mm: 3, in: 4 }, points: 2 },
} as const satisfies Record<string, InstrumentKindRow>;

export interface InstrumentKindRow {
  readonly name: string;
  readonly outsideMm: number;
  readonly insideMm: number;
  readonly decimals: { readonly mm: number; readonly in: number };
  /** Points of contact round the section: two opposite, or three at 120°. */
  readonly points: 2 | 3;
}

export type InstrumentKind = keyof typeof INSTRUMENT_KINDS;
