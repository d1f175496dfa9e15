/**
 * Pipe threads. G (ISO 228-1) and R (ISO 7-1) share major diameter and pitch, 55°; R is tapered 1:16 and its major is in the gauge
 * plane, `gaugeMm` from the small end. NPT (ASME B1.20.1) is 60°, tapered 1:16; outside diameter of the pipe and hand-tight
 * engagement L1, inch.
 */
export const PIPE_SOURCES = { G: 'ISO 228-1:2000', R: 'ISO 7-1:1994', NPT: 'ASME B1.20.1-2013' } as const;

export const PIPE_55: readonly (readonly [size: string, tpi: number, majorMm: number, gaugeMm: number | null])[] = [
  ['1/16', 28, 7.723, 4],
  ['1/8', 28, 9.728, 4],
  ['1/4', 19, 13.157, 6],
  ['3/8', 19, 16.662, 6.4],
  ['1/2', 14, 20.955, 8.2],
  ['5/8', 14, 22.911, null],
  ['3/4', 14, 26.441, 9.5],
  ['7/8', 14, 30.201, null],
  ['1', 11, 33.249, 10.4],
  ['1 1/8', 11, 37.897, null],
  ['1 1/4', 11, 41.91, 12.7],
  ['1 1/2', 11, 47.803, 12.7],
  ['1 3/4', 11, 53.746, null],
  ['2', 11, 59.614, 15.9],
  ['2 1/4', 11, 65.71, null],
  ['2 1/2', 11, 75.184, 17.5],
  ['2 3/4', 11, 81.534, null],
  ['3', 11, 87.884, 20.6],
  ['3 1/2', 11, 100.33, null],
  ['4', 11, 113.03, 25.4],
  ['5', 11, 138.43, 28.6],
  ['6', 11, 163.83, 28.6],
];

/** ISO 228-1 tolerances by threads per inch and size: pitch diameter (class A outside, and inside), minor of the inside thread, mm. */
export const G_TOLERANCES: readonly (readonly [majorUpToMm: number, pitchMm: number, minorMm: number])[] = [
  [10, 0.107, 0.282],
  [17, 0.125, 0.445],
  [31, 0.142, 0.541],
  [60, 0.18, 0.64],
  [170, 0.217, 0.64],
];

export const NPT_ROWS: readonly (readonly [size: string, tpi: number, outsideIn: number, handIn: number])[] = [
  ['1/16', 27, 0.3125, 0.16],
  ['1/8', 27, 0.405, 0.1615],
  ['1/4', 18, 0.54, 0.2278],
  ['3/8', 18, 0.675, 0.24],
  ['1/2', 14, 0.84, 0.32],
  ['3/4', 14, 1.05, 0.339],
  ['1', 11.5, 1.315, 0.4],
  ['1 1/4', 11.5, 1.66, 0.42],
  ['1 1/2', 11.5, 1.9, 0.42],
  ['2', 11.5, 2.375, 0.436],
  ['2 1/2', 8, 2.875, 0.682],
  ['3', 8, 3.5, 0.766],
  ['3 1/2', 8, 4, 0.821],
  ['4', 8, 4.5, 0.844],
  ['5', 8, 5.563, 0.937],
  ['6', 8, 6.625, 0.958],
];

/** Drills for NPT as tap charts have them: without a taper reamer, and before one, inch. */
export const NPT_DRILLS_IN: Readonly<Record<string, readonly [plain: number, reamed: number]>> = {
  '1/16': [0.246, 0.234],
  '1/8': [0.332, 21 / 64],
  '1/4': [7 / 16, 27 / 64],
  '3/8': [37 / 64, 9 / 16],
  '1/2': [45 / 64, 11 / 16],
  '3/4': [29 / 32, 57 / 64],
  '1': [1 + 9 / 64, 1 + 1 / 8],
  '1 1/4': [1 + 31 / 64, 1 + 15 / 32],
  '1 1/2': [1 + 23 / 32, 1 + 45 / 64],
  '2': [2 + 3 / 16, 2 + 5 / 32],
};

/** Drills for an inside R thread (Rc) as tap charts have them, mm. */
export const R_DRILLS_MM: Readonly<Record<string, number>> = {
  '1/16': 6.4,
  '1/8': 8.4,
  '1/4': 11.2,
  '3/8': 14.75,
  '1/2': 18.25,
  '3/4': 23.75,
  '1': 30,
  '1 1/4': 38.5,
  '1 1/2': 44.5,
  '2': 56,
};
