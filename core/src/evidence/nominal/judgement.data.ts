import type { LengthUnit } from '../../terms/quantity';
import type { Side } from '../readings';

/**
 * Judgement, not measurement: how often makers draw which sizes, to which zones, how parts wear, and how sure is sure. Held by the bench
 * (`./iron-patch bench`: worn machines) and by the tests of how often a stated probability is right.
 */

/** What a place is for, as far as it is known: it decides which tables its size may come from and how it was made. */
export type Use = 'running' | 'seat' | 'thread' | 'any';

/** Weight of an inch size by the coarsest fraction that it is a multiple of. */
export const INCH_WEIGHTS = [
  { denominator: 8, weight: 1 },
  { denominator: 16, weight: 0.5 },
  { denominator: 32, weight: 0.2 },
  { denominator: 64, weight: 0.04 },
] as const;
/** Tenths and twentieths of an inch, drawn as decimals. */
export const INCH_DECIMAL_WEIGHT = 0.04;
export const METRIC_WEIGHTS = { whole: 0.5, five: 0.8, preferred: 1, half: 0.06, preferredHalf: 0.25 } as const;
/** A size that a table of the place's use holds weighs this many times more. */
export const TABLE_TIMES: Readonly<Record<Use, number>> = { seat: 12, thread: 12, running: 1.2, any: 1.5 };

export interface ZoneShare {
  readonly zone: string;
  /** Share of parts made to it; those of one use sum to 1. */
  readonly share: number;
}
const zones = (text: string): ZoneShare[] =>
  text.split(' ').map((pair) => {
    const [zone, share] = pair.split(':');
    return { zone: zone!, share: Number(share) };
  });

/** ISO 286 zones by side and use. */
export const METRIC_ZONES: Readonly<Record<Side, Readonly<Record<Use, readonly ZoneShare[]>>>> = {
  outside: {
    running: zones('f7:0.36 h7:0.2 g6:0.16 e8:0.1 h9:0.1 h11:0.08'),
    seat: zones('k6:0.45 j6:0.2 h6:0.25 m6:0.1'),
    thread: zones('h9:1'),
    any: zones('f7:0.29 h7:0.2 g6:0.13 k6:0.13 e8:0.08 h9:0.1 h11:0.07'),
  },
  inside: {
    running: zones('H7:0.63 H8:0.2 H11:0.07 F8:0.1'),
    seat: zones('H7:0.7 J7:0.1 M7:0.1 N7:0.1'),
    thread: zones('H9:1'),
    any: zones('H7:0.63 H8:0.17 M7:0.05 H11:0.07 F8:0.08'),
  },
};

/** A band of the inch shops, inch from the nominal, with the share of parts made to it. */
export type InchBand = readonly [from: number, to: number, share: number, words: string];

export const INCH_BANDS: Readonly<Record<Side, Readonly<Record<Use, readonly InchBand[]>>>> = {
  outside: {
    running: [
      [-0.002, -0.0005, 0.57, 'running size'],
      [-0.001, 0, 0.25, 'nominal, minus'],
      [-0.004, -0.002, 0.15, 'loose running size'],
      [-0.006, -0.004, 0.03, 'bright bar'],
    ],
    seat: [
      [0, 0.0006, 0.6, 'bearing seat'],
      [-0.0005, 0, 0.4, 'nominal, minus'],
    ],
    thread: [[-0.008, -0.001, 1, 'thread body']],
    any: [
      [-0.002, -0.0005, 0.48, 'running size'],
      [-0.001, 0, 0.3, 'nominal, minus'],
      [0, 0.0006, 0.1, 'bearing seat'],
      [-0.004, -0.002, 0.1, 'loose running size'],
      [-0.006, -0.004, 0.02, 'bright bar'],
    ],
  },
  inside: {
    running: [
      [0, 0.0015, 0.8, 'hole'],
      [0.0015, 0.003, 0.2, 'loose hole'],
    ],
    seat: [
      [-0.0006, 0.0006, 0.7, 'housing'],
      [0, 0.0015, 0.3, 'hole'],
    ],
    thread: [[0, 0.006, 1, 'hole']],
    any: [
      [0, 0.0015, 0.85, 'hole'],
      [0.0015, 0.003, 0.15, 'loose hole'],
    ],
  },
};

/** Wear on the diameter where a part did wear: most of it light, some of it heavy; mean of each, mm. */
export const WEAR_MIXTURE = [
  { share: 0.75, meanMm: 0.15 },
  { share: 0.25, meanMm: 0.6 },
] as const;
/**
 * Wear is seldom even: over the stations and directions of a worn place it differs by this share of itself, on average; fewer stations than
 * these, or one direction alone, do not show it.
 */
export const UNEVEN_WEAR = { meanShare: 0.5, stations: 3, directions: 2 } as const;
/** Share of lands that are not what they seem: plated, painted, burred, or made to no known practice; and how far they stray, mm. */
export const STRAY = { share: 0.01, sdMm: 0.12 } as const;

/** Share of sizes that are of the other system than the machine: repairs, bought-in parts; bearings are metric nearly everywhere. */
export const FOREIGN_SHARE: Readonly<Record<Use, number>> = { any: 0.06, running: 0.06, thread: 0.12, seat: 0.5 };
/** How sure it is that a pin and its hole, or two places that are told to be of one turned size, were drawn alike. */
export const TWIN_SHARE = 0.9;
/** The same where two places of a part only lie near in size: a shoulder may stand between them. */
export const NEAR_SHARE = 0.5;
/** Share of places that were made to no listed size, spread evenly over the millimetres about them. */
export const NONE_SHARE = 0.12;
/** A worn place tells less of it: its size lies anywhere under what it was. */
export const NONE_SHARE_WORN = 0.04;

/**
 * An original thread of one system is hardly found on a machine of the other; a key is, now and then. An inch bearing is hardly found on
 * a metric machine, a metric one on machines of any kind.
 */
export const WITNESS_TIMES = { thread: 12, key: 4, bearing: { in: 8, mm: 1.5 } } as const;
/** Before anything is measured: a job written in a unit is mostly of a machine of that unit. */
export const INCH_PRIOR: Readonly<Record<LengthUnit, number>> = { in: 0.6, mm: 0.4 };

/** What is called told must be right in 95 of 100. Without a land nothing is: how much a part wore is no witness. */
export const TOLD = 0.95;
/** From this on the first is said to be the most likely, not one of two that cannot be told apart. */
export const MOST_LIKELY = 0.75;
/** From this on the machine's system is named as a reason. */
export const INCH_TO_TELL = 0.9;
