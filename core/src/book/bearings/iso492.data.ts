/**
 * ISO 492:2014, radial bearings: how far the mean bore and mean outside diameter may lie below nominal, micrometres. A step holds
 * sizes over its lower and up to and including its upper bound, mm.
 */
export const ISO492_SOURCE = 'ISO 492:2014';

/** Bore: upper bound of the step, Normal class, class 6. */
export const BORE_BELOW: readonly (readonly [upToMm: number, normal: number, class6: number])[] = [
  [2.5, 8, 7],
  [10, 8, 7],
  [18, 8, 7],
  [30, 10, 8],
  [50, 12, 10],
  [80, 15, 12],
  [120, 20, 15],
  [180, 25, 18],
  [250, 30, 22],
  [315, 35, 25],
];

/** Outside diameter: upper bound of the step, Normal class, class 6. */
export const OUTSIDE_BELOW: readonly (readonly [upToMm: number, normal: number, class6: number])[] = [
  [18, 8, 7],
  [30, 9, 8],
  [50, 11, 9],
  [80, 13, 11],
  [120, 15, 13],
  [150, 18, 15],
  [180, 25, 18],
  [250, 30, 20],
  [315, 35, 25],
  [400, 40, 28],
];

/** Width of either ring: upper bound of the bore's step, how far below nominal it may lie, µm; the same in Normal class and class 6. */
export const WIDTH_BELOW: readonly (readonly [upToMm: number, normal: number, class6: number])[] = [
  [2.5, 40, 40],
  [10, 120, 120],
  [18, 120, 120],
  [30, 120, 120],
  [50, 120, 120],
  [80, 150, 150],
  [120, 200, 200],
  [180, 250, 250],
  [250, 300, 300],
  [315, 350, 350],
];
