import type { LengthUnit } from '../../terms/quantity';

/** What an instrument can be put to; a gap is between two walls that face each other: of a groove, a keyseat, a slot. */
export type Reads = 'outside' | 'inside' | 'gap' | 'length' | 'depth' | 'indicator' | 'pitch';

/**
 * Default standard uncertainties (k = 1), mm, of common instruments in a skilled hand; an instrument's own record replaces them.
 * `decimals` is what it shows: mm, inch.
 */
export const INSTRUMENT_KINDS = {
  caliper: {
    name: 'Caliper',
    outsideMm: 0.02,
    insideMm: 0.03,
    decimals: { mm: 2, in: 3 },
    points: 2,
    reads: ['outside', 'inside', 'gap', 'length', 'depth'],
  },
  micrometer: {
    name: 'Outside mic',
    outsideMm: 0.002,
    insideMm: 0.002,
    decimals: { mm: 3, in: 4 },
    points: 2,
    reads: ['outside', 'length'],
  },
  'bore-head': {
    name: 'Three-point bore head',
    outsideMm: 0.003,
    insideMm: 0.003,
    decimals: { mm: 3, in: 4 },
    points: 3,
    reads: ['inside'],
  },
  'telescoping-gauge': {
    name: 'Telescoping gauge and mic',
    carried: true,
    outsideMm: 0.012,
    insideMm: 0.012,
    decimals: { mm: 3, in: 4 },
    points: 2,
    reads: ['inside'],
  },
  'dial-bore-gauge': {
    name: 'Dial bore gauge',
    outsideMm: 0.004,
    insideMm: 0.004,
    decimals: { mm: 3, in: 4 },
    points: 2,
    reads: ['inside'],
  },
  'depth-mic': { name: 'Depth mic', outsideMm: 0.005, insideMm: 0.005, decimals: { mm: 3, in: 4 }, points: 2, reads: ['depth', 'length'] },
  'depth-rod': {
    name: 'Depth rod of a caliper',
    outsideMm: 0.03,
    insideMm: 0.03,
    decimals: { mm: 2, in: 3 },
    points: 2,
    reads: ['depth', 'length'],
  },
  rule: { name: 'Rule', outsideMm: 0.25, insideMm: 0.25, decimals: { mm: 1, in: 2 }, points: 2, reads: ['length', 'depth', 'pitch'] },
  indicator: {
    name: 'Dial indicator',
    outsideMm: 0.004,
    insideMm: 0.004,
    decimals: { mm: 3, in: 4 },
    points: 2,
    reads: ['indicator'],
  },
} as const satisfies Record<string, InstrumentKindRow>;

export interface InstrumentKindRow {
  readonly name: string;
  /** It has no scale of its own: its size is carried to whichever mic is at hand. */
  readonly carried?: true;
  readonly outsideMm: number;
  readonly insideMm: number;
  readonly decimals: Readonly<Record<LengthUnit, number>>;
  /** Points of contact round the section: two opposite, or three at 120°. */
  readonly points: 2 | 3;
  readonly reads: readonly Reads[];
}

export type InstrumentKind = keyof typeof INSTRUMENT_KINDS;

/** Unit of the numbers that it shows, which a bare number typed from it is in; null where another instrument shows them. */
export const unitShownBy = (i: { readonly kind: InstrumentKind; readonly unit: LengthUnit }): LengthUnit | null => {
  const kind: InstrumentKindRow = INSTRUMENT_KINDS[i.kind];
  return kind.carried ? null : i.unit;
};
