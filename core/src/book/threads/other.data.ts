/** Sizes as written with threads per inch, one line a series; diameters in inch. */
export const WHITWORTH_SOURCE = 'BS 84:1956';
export const WHITWORTH_SERIES = {
  BSW:
    '1/8-40 3/16-24 1/4-20 5/16-18 3/8-16 7/16-14 1/2-12 9/16-12 5/8-11 11/16-11 3/4-10 7/8-9 1-8 1_1/8-7 1_1/4-7 1_1/2-6 1_3/4-5 ' +
    '2-4.5 2_1/4-4 2_1/2-4 2_3/4-3.5 3-3.5',
  BSF:
    '3/16-32 7/32-28 1/4-26 9/32-26 5/16-22 3/8-20 7/16-18 1/2-16 9/16-16 5/8-14 11/16-14 3/4-12 13/16-12 7/8-11 1-10 1_1/8-9 1_1/4-9 ' +
    '1_3/8-8 1_1/2-8 1_5/8-8 1_3/4-7 2-7 2_1/4-6 2_1/2-6 2_3/4-6 3-5',
} as const;

/** BS 93: number, major and pitch, mm. The pitch is 0.9 to the power of the number, the major 6 x pitch^1.2, both rounded. */
export const BA_SOURCE = 'BS 93:1951';
export const BA_ROWS: readonly (readonly [number: number, majorMm: number, pitchMm: number])[] = [
  [0, 6.0, 1.0],
  [1, 5.3, 0.9],
  [2, 4.7, 0.81],
  [3, 4.1, 0.73],
  [4, 3.6, 0.66],
  [5, 3.2, 0.59],
  [6, 2.8, 0.53],
  [7, 2.5, 0.48],
  [8, 2.2, 0.43],
  [9, 1.9, 0.39],
  [10, 1.7, 0.35],
  [11, 1.5, 0.31],
  [12, 1.3, 0.28],
  [13, 1.2, 0.25],
  [14, 1.0, 0.23],
  [15, 0.9, 0.21],
  [16, 0.79, 0.19],
];

/** ISO 2902/2904: diameter and pitches, mm; the first is the preferred one. */
export const TRAPEZOIDAL_SOURCE = 'ISO 2904:2020';
export const TRAPEZOIDAL_ROWS: readonly (readonly [majorMm: number, ...pitchesMm: number[]])[] = [
  [8, 1.5],
  [9, 2, 1.5],
  [10, 2, 1.5],
  [11, 2, 3],
  [12, 3, 2],
  [14, 3, 2],
  [16, 4, 2],
  [18, 4, 2],
  [20, 4, 2],
  [22, 5, 3, 8],
  [24, 5, 3, 8],
  [26, 5, 3, 8],
  [28, 5, 3, 8],
  [30, 6, 3, 10],
  [32, 6, 3, 10],
  [34, 6, 3, 10],
  [36, 6, 3, 10],
  [38, 7, 3, 10],
  [40, 7, 3, 10],
  [42, 7, 3, 10],
  [44, 7, 3, 12],
  [46, 8, 3, 12],
  [48, 8, 3, 12],
  [50, 8, 3, 12],
  [52, 8, 3, 12],
  [55, 9, 3, 14],
  [60, 9, 3, 14],
  [65, 10, 4, 16],
  [70, 10, 4, 16],
  [75, 10, 4, 16],
  [80, 10, 4, 16],
  [85, 12, 4, 18],
  [90, 12, 4, 18],
  [95, 12, 4, 18],
  [100, 12, 4, 20],
];

/** ISO 2901: crest clearance by pitch, mm: upper bound of the pitch, clearance. */
export const TRAPEZOIDAL_CLEARANCE: readonly (readonly [pitchUpTo: number, clearanceMm: number])[] = [
  [1.5, 0.15],
  [5, 0.25],
  [12, 0.5],
  [44, 1],
];

export const ACME_SOURCE = 'ASME B1.5-1997';
export const ACME_SERIES =
  '1/4-16 5/16-14 3/8-12 7/16-12 1/2-10 5/8-8 3/4-6 7/8-6 1-5 1_1/8-5 1_1/4-5 1_3/8-4 1_1/2-4 1_3/4-4 2-4 2_1/4-3 2_1/2-3 2_3/4-3 3-2 ' +
  '3_1/2-2 4-2 4_1/2-2 5-2';

/** Cycle threads: 60°, depth 0.5327 P; sizes of BS 811 and the older ones of spokes and lamps. */
export const CYCLE_SOURCE = 'BS 811:1950';
export const CYCLE_SERIES =
  '0.056-62 0.064-62 0.072-62 0.08-62 0.092-56 0.104-44 1/8-40 0.154-40 5/32-32 0.175-32 3/16-32 7/32-26 1/4-26 0.266-26 9/32-26 5/16-26 ' +
  '3/8-26 7/16-26 1/2-26 9/16-26 9/16-20 5/8-26 11/16-26 3/4-26 1-26 1.29-24 1.37-24';

/** Model engineers' threads: Whitworth's form at 40 and 32 to the inch. */
export const MODEL_SERIES =
  '1/8-40 5/32-40 3/16-40 7/32-40 1/4-40 9/32-40 5/16-40 3/8-40 7/16-40 1/2-40 5/32-32 3/16-32 7/32-32 1/4-32 9/32-32 5/16-32 3/8-32 7/16-32 1/2-32';

/** BS 93: room of a nut's minor diameter over basic, as a share of the pitch. */
export const BA_NUT_MINOR_SHARE = 0.375;

/** ISO 2903: tolerance of the minor diameter of the inside trapezoidal thread, 4H, by pitch, mm. */
export const TRAPEZOIDAL_MINOR_4H: Readonly<Record<string, number>> = {
  1.5: 0.19,
  2: 0.236,
  3: 0.315,
  4: 0.375,
  5: 0.45,
  6: 0.5,
  7: 0.56,
  8: 0.63,
  9: 0.67,
  10: 0.71,
  12: 0.8,
  14: 0.9,
  16: 1,
  18: 1.12,
  20: 1.18,
};
