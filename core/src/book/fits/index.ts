export {
  zoneDeviations,
  toleranceWidth,
  isHoleZone,
  ISO286_MOST_MM,
  GRADES,
  ZONE_LETTERS,
  type Deviations,
  type ToleranceGrade,
} from './iso286';
export { ISO286_SOURCE } from './iso286.data';
export { inchFit, inchFitMm, INCH_CLASSES, B41_MOST_IN, type InchClass, type InchFit } from './ansi-b41';
export { ANSI_B41_SOURCE } from './ansi-b41.data';
export { fitPair, splitIsoFit, type FitPair } from './pair';
export { PREFERRED_FITS, type PreferredFit } from './preferred.data';
export { nearestFits, nearestZones, NAMED_FITS, type NearFit, type NearZone } from './nearest';
export { houseAllowanceMm, houseRuleWords, STARTING_HOUSE_RULES, type HouseRule } from './house-rule';
export { askSchool, schoolId, schoolName, schoolOfId, schoolsOf, type School, type SchoolAnswer } from './school';
export { pinForKeptHole, pinForTruedHole, truedSizeMm, TRUING, type MeasuredHole, type PinTarget } from './target';
export { boreForKeptShaft, boreForTruedShaft, truedShaftMm, type BoreTarget, type MeasuredShaft } from './bore-target';
export { fitOutlook, SLIDE_LEAST_MM, tapMostMm, type FitOutlook, type OutlookInput, type PlayBand } from './outlook';
export { generalAngleDeg, generalEdgeMm, generalToleranceMm, GENERAL_TOLERANCE_SOURCE } from './general-tolerance';
