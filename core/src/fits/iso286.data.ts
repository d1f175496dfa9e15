/**
 * ISO 286-1:2010, tables 1, 4 and 5: standard tolerances and fundamental deviations, micrometres, for nominal sizes over 1
 * to 250 mm. A step holds sizes over its lower and up to and including its upper bound; the first also holds 1 mm.
 */
export const ISO286_SOURCE = 'ISO 286-1:2010';

/** Upper bound of each step, mm. */
export const STEP_UPPER_MM = [3, 6, 10, 18, 30, 50, 80, 120, 180, 250] as const;

export const IT_MICROMETRES = {
  IT5: [4, 5, 6, 8, 9, 11, 13, 15, 18, 20],
  IT6: [6, 8, 9, 11, 13, 16, 19, 22, 25, 29],
  IT7: [10, 12, 15, 18, 21, 25, 30, 35, 40, 46],
  IT8: [14, 18, 22, 27, 33, 39, 46, 54, 63, 72],
  IT9: [25, 30, 36, 43, 52, 62, 74, 87, 100, 115],
} as const;

/** Shaft letters: upper deviation for f, g, h; lower deviation for p. The hole letter H has lower deviation 0. */
export const DEVIATION_MICROMETRES = {
  f: [-6, -10, -13, -16, -20, -25, -30, -36, -43, -50],
  g: [-2, -4, -5, -6, -7, -9, -10, -12, -14, -15],
  h: [0, 0, 0, 0, 0, 0, 0, 0, 0, 0],
  p: [6, 12, 15, 18, 22, 26, 32, 37, 43, 50],
} as const;
