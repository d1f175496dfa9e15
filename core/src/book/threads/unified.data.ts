/** ASME B1.1-2019, table 2: standard series of unified threads. Numbered sizes by their diameter, inch. */
export const UNIFIED_SOURCE = 'ASME B1.1-2019';

/** Machine screw number: major diameter, inch. */
export const SCREW_NUMBER: Readonly<Record<string, number>> = {
  '#0': 0.06,
  '#1': 0.073,
  '#2': 0.086,
  '#3': 0.099,
  '#4': 0.112,
  '#5': 0.125,
  '#6': 0.138,
  '#8': 0.164,
  '#10': 0.19,
  '#12': 0.216,
};

/** Size as written and threads per inch, as one line a series. */
export const UNIFIED_SERIES = {
  UNC:
    '#1-64 #2-56 #3-48 #4-40 #5-40 #6-32 #8-32 #10-24 #12-24 1/4-20 5/16-18 3/8-16 7/16-14 1/2-13 9/16-12 5/8-11 3/4-10 7/8-9 1-8 ' +
    '1_1/8-7 1_1/4-7 1_3/8-6 1_1/2-6 1_3/4-5 2-4.5 2_1/4-4.5 2_1/2-4 2_3/4-4 3-4 3_1/4-4 3_1/2-4 3_3/4-4 4-4',
  UNF:
    '#0-80 #1-72 #2-64 #3-56 #4-48 #5-44 #6-40 #8-36 #10-32 #12-28 1/4-28 5/16-24 3/8-24 7/16-20 1/2-20 9/16-18 5/8-18 3/4-16 7/8-14 ' +
    '1-12 1_1/8-12 1_1/4-12 1_3/8-12 1_1/2-12',
  UNEF:
    '#12-32 1/4-32 5/16-32 3/8-32 7/16-28 1/2-28 9/16-24 5/8-24 11/16-24 3/4-20 13/16-20 7/8-20 15/16-20 1-20 1_1/16-18 1_1/8-18 ' +
    '1_3/16-18 1_1/4-18 1_5/16-18 1_3/8-18 1_7/16-18 1_1/2-18 1_9/16-18 1_5/8-18 1_11/16-18',
  UNS:
    '#10-28 #10-36 #10-40 #10-48 #10-56 #12-36 #12-40 #12-48 #12-56 1/4-24 1/4-27 1/4-36 1/4-40 1/4-48 1/4-56 5/16-27 5/16-36 5/16-40 ' +
    '5/16-48 3/8-18 3/8-27 3/8-36 3/8-40 0.390-27 7/16-18 7/16-24 7/16-27 1/2-14 1/2-18 1/2-24 1/2-27 9/16-14 9/16-27 5/8-14 5/8-27 ' +
    '3/4-14 3/4-18 3/4-24 3/4-27 7/8-10 7/8-18 7/8-24 7/8-27 1-10 1-14 1-18 1-24 1-27 1_1/8-10 1_1/8-14 1_1/8-24 1_1/4-10 1_1/4-14 ' +
    '1_1/4-24 1_3/8-10 1_3/8-14 1_3/8-24 1_1/2-10 1_1/2-14 1_1/2-24',
} as const;

/** Constant-pitch series: threads per inch, and the sixteenths of an inch from and to which they run (every eighth above 1 1/2 in). */
export const CONSTANT_PITCH = [
  { series: '8-UN', tpi: 8, fromSixteenths: 16, toSixteenths: 64 },
  { series: '12-UN', tpi: 12, fromSixteenths: 9, toSixteenths: 64 },
  { series: '16-UN', tpi: 16, fromSixteenths: 6, toSixteenths: 64 },
] as const;

/** Series that people keep on the shelf; others exist but are rare. */
export const COMMON_UNIFIED: readonly string[] = ['UNC', 'UNF'];

/**
 * Where a sum of the standard series lies within rounding of a half ten-thousandth, the printed tables go either way. These are printed
 * lower than the sum would round: allowance, or tolerance of the pitch diameter by class, ten-thousandths of an inch.
 */
export const UNIFIED_AT_A_HALF: Readonly<Record<string, Readonly<Record<string, number>>>> = {
  '5/8-11 UNC': { allowance: 16 },
  '1 1/8-7 UNC': { '2A': 72 },
  '7/16-20 UNF': { '1A': 62 },
  '#6-32 UNC': { '3B': 27 },
};
