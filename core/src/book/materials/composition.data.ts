/** Share of mass in per cent: carbon, manganese, chromium, molybdenum, nickel. */
export type Composition = readonly [c: number, mn: number, cr: number, mo: number, ni: number];

/**
 * What a steel of the book is made of, towards the upper end of what its standard allows: EN 10025-2, EN 10083-2 and -3, EN 10084. Steels with sulphur
 * or lead, tool and bearing steels are missing on purpose: they are not welded.
 */
export const COMPOSITION: Readonly<Record<string, Composition>> = {
  'steel-mild': [0.17, 1.0, 0, 0, 0],
  'steel-1018-drawn': [0.18, 0.8, 0, 0, 0],
  'steel-s355': [0.2, 1.5, 0, 0, 0],
  'steel-c35': [0.38, 0.7, 0.1, 0, 0],
  'steel-c45': [0.48, 0.7, 0.1, 0, 0],
  'steel-c60': [0.63, 0.75, 0.1, 0, 0],
  'steel-4130': [0.29, 0.8, 1.1, 0.25, 0],
  'steel-4140-soft': [0.44, 0.8, 1.1, 0.25, 0],
  'steel-42crmo4': [0.44, 0.8, 1.1, 0.25, 0],
  'steel-34crnimo6': [0.37, 0.7, 1.6, 0.25, 1.6],
  'steel-16mncr5': [0.18, 1.2, 1.0, 0, 0],
  'steel-8620': [0.22, 0.9, 0.6, 0.25, 0.6],
  'steel-chrome-rod': [0.48, 0.7, 0.1, 0, 0],
};
