/** ISO 2768-1:1989, table 1, class m: permissible deviations of linear sizes without their own tolerance. */
export const GENERAL_TOLERANCE_SOURCE = 'ISO 2768-1:1989 class m';

const STEPS = [
  { upToMm: 6, plusMinusMm: 0.1 },
  { upToMm: 30, plusMinusMm: 0.2 },
  { upToMm: 120, plusMinusMm: 0.3 },
  { upToMm: 400, plusMinusMm: 0.5 },
  { upToMm: 1000, plusMinusMm: 0.8 },
  { upToMm: 2000, plusMinusMm: 1.2 },
] as const;
const LARGEST_MM = 2;

/** Half width of the general tolerance for a size, mm. */
export const generalToleranceMm = (sizeMm: number): number => STEPS.find((s) => sizeMm <= s.upToMm)?.plusMinusMm ?? LARGEST_MM;
