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

/** ISO 2768-1:1989, table 2, class m: external radii and chamfer heights. */
const EDGE_STEPS = [
  { upToMm: 3, plusMinusMm: 0.2 },
  { upToMm: 6, plusMinusMm: 0.5 },
] as const;
const LARGEST_EDGE_MM = 1;

/** Half width of the general tolerance for a radius or a chamfer, mm. */
export const generalEdgeMm = (sizeMm: number): number => EDGE_STEPS.find((s) => sizeMm <= s.upToMm)?.plusMinusMm ?? LARGEST_EDGE_MM;

/** ISO 2768-1:1989, table 3, class m: angles by the length of their shorter side, degrees. */
const ANGLE_STEPS = [
  { upToMm: 10, plusMinusDeg: 1 },
  { upToMm: 50, plusMinusDeg: 0.5 },
  { upToMm: 120, plusMinusDeg: 20 / 60 },
  { upToMm: 400, plusMinusDeg: 10 / 60 },
] as const;
const LONGEST_ANGLE_DEG = 5 / 60;

/** Half width of the general tolerance for an angle whose shorter side is that long, degrees. */
export const generalAngleDeg = (sideMm: number): number => ANGLE_STEPS.find((s) => sideMm <= s.upToMm)?.plusMinusDeg ?? LONGEST_ANGLE_DEG;
