/** Parallel keys. DIN 6885-1 sheet 1: shaft over, up to; key width b and height h; depth in shaft t1 from the crown, in hub t2, mm. */
export const DIN6885_SOURCE = 'DIN 6885-1:1968 (ISO/R 773)';
export const DIN6885_ROWS: readonly (readonly [over: number, upTo: number, b: number, h: number, t1: number, t2: number])[] = [
  [6, 8, 2, 2, 1.2, 1],
  [8, 10, 3, 3, 1.8, 1.4],
  [10, 12, 4, 4, 2.5, 1.8],
  [12, 17, 5, 5, 3, 2.3],
  [17, 22, 6, 6, 3.5, 2.8],
  [22, 30, 8, 7, 4, 3.3],
  [30, 38, 10, 8, 5, 3.3],
  [38, 44, 12, 8, 5, 3.3],
  [44, 50, 14, 9, 5.5, 3.8],
  [50, 58, 16, 10, 6, 4.3],
  [58, 65, 18, 11, 7, 4.4],
  [65, 75, 20, 12, 7.5, 4.9],
  [75, 85, 22, 14, 9, 5.4],
  [85, 95, 25, 14, 9, 5.4],
  [95, 110, 28, 16, 10, 6.4],
  [110, 130, 32, 18, 11, 7.4],
  [130, 150, 36, 20, 12, 8.4],
  [150, 170, 40, 22, 13, 9.4],
  [170, 200, 45, 25, 15, 10.4],
  [200, 230, 50, 28, 17, 11.4],
];

/** ASME B17.1: shaft over, up to; square key, flat key height, inch. */
export const B17_1_SOURCE = 'ASME B17.1-1967 (R2013)';
export const B17_1_ROWS: readonly (readonly [over: number, upTo: number, square: number, flat: number | null])[] = [
  [0.3125, 0.4375, 0.09375, null],
  [0.4375, 0.5625, 0.125, 0.09375],
  [0.5625, 0.875, 0.1875, 0.125],
  [0.875, 1.25, 0.25, 0.1875],
  [1.25, 1.375, 0.3125, 0.25],
  [1.375, 1.75, 0.375, 0.25],
  [1.75, 2.25, 0.5, 0.375],
  [2.25, 2.75, 0.625, 0.4375],
  [2.75, 3.25, 0.75, 0.5],
  [3.25, 3.75, 0.875, 0.625],
  [3.75, 4.5, 1, 0.75],
  [4.5, 5.5, 1.25, 0.875],
  [5.5, 6.5, 1.5, 1],
];

/**
 * ASME B17.2 Woodruff keys, full radius: number; the last two figures are the cutter's diameter in eighths of an inch, those before
 * them the width in thirty-seconds. The key's height by diameter, inch.
 */
export const B17_2_SOURCE = 'ASME B17.2-1967 (R2013)';
export const B17_2_NUMBERS: readonly number[] = [
  202, 202.5, 302.5, 203, 303, 403, 204, 304, 404, 305, 405, 505, 605, 406, 506, 606, 806, 507, 607, 707, 807, 608, 708, 808, 1008, 1208,
  609, 709, 809, 1009, 610, 710, 810, 1010, 1210, 811, 1011, 1211, 812, 1012, 1212,
];
/** Greatest height; the least is 0.005 in under it, and the seat is worked from the least. */
export const B17_2_HEIGHT: Readonly<Record<number, number>> = {
  2: 0.109,
  2.5: 0.14,
  3: 0.172,
  4: 0.203,
  5: 0.25,
  6: 0.313,
  7: 0.375,
  8: 0.438,
  9: 0.484,
  10: 0.547,
  11: 0.594,
  12: 0.641,
};
export const B17_2_HEIGHT_TOLERANCE = 0.005;
/** Width of the seat in the shaft, least and most, by the key's width in 32nds, in. The key is its nominal width to 0.001 over. */
export const B17_2_SEAT_WIDTH: Readonly<Record<number, readonly [least: number, most: number]>> = {
  2: [0.0615, 0.063],
  3: [0.0928, 0.0943],
  4: [0.124, 0.1255],
  5: [0.1553, 0.1568],
  6: [0.1863, 0.188],
  8: [0.2487, 0.2505],
  10: [0.3111, 0.313],
  12: [0.3735, 0.3755],
};
/** How much deeper the seat may be than its depth, in. */
export const B17_2_SEAT_DEEPER = 0.005;

/** DIN 6888 Woodruff keys, series A: width b, height h, cutter diameter d, depth in shaft t1 from the crown, in hub t2, mm. */
export const DIN6888_SOURCE = 'DIN 6888:1956';
export const DIN6888_ROWS: readonly (readonly [b: number, h: number, d: number, t1: number, t2: number])[] = [
  [2, 2.6, 7, 1.8, 1],
  [2, 3.7, 10, 2.9, 1],
  [2.5, 3.7, 10, 2.9, 1],
  [3, 3.7, 10, 2.5, 1.4],
  [3, 5, 13, 3.8, 1.4],
  [3, 6.5, 16, 5.3, 1.4],
  [4, 5, 13, 3.5, 1.7],
  [4, 6.5, 16, 5, 1.7],
  [4, 7.5, 19, 6, 1.7],
  [5, 6.5, 16, 4.5, 2.2],
  [5, 7.5, 19, 5.5, 2.2],
  [5, 9, 22, 7, 2.2],
  [6, 7.5, 19, 5.1, 2.6],
  [6, 9, 22, 6.6, 2.6],
  [6, 10, 25, 7.6, 2.6],
  [6, 11, 28, 8.6, 2.6],
  [8, 9, 22, 6.2, 3],
  [8, 11, 28, 8.2, 3],
  [8, 13, 32, 10.2, 3],
  [10, 11, 28, 7.8, 3.4],
  [10, 13, 32, 9.8, 3.4],
  [10, 16, 45, 12.8, 3.4],
];

/** DIN 6888: shafts for a key of width b, over and up to, mm: both ways of use together; null where there is no upper end. */
export const DIN6888_SHAFTS: Readonly<Record<number, readonly [over: number, upTo: number | null]>> = {
  2: [6, 10],
  2.5: [8, 12],
  3: [8, 17],
  4: [10, 22],
  5: [12, 30],
  6: [17, 38],
  8: [22, null],
  10: [30, null],
};
