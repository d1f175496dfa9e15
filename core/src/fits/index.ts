export {
  zoneDeviations,
  toleranceWidth,
  ZONES,
  ISO286_LEAST_MM,
  ISO286_MOST_MM,
  type Deviations,
  type ToleranceGrade,
  type Zone,
} from './iso286';
export { ISO286_SOURCE } from './iso286.data';
export { houseAllowanceMm, houseRuleWords, STARTING_HOUSE_RULES, type HouseRule } from './house-rule';
export { askSchool, schoolId, schoolName, schoolsOf, type School, type SchoolAnswer } from './school';
export { pinForKeptHole, pinForTruedHole, truedSizeMm, TRUING, type MeasuredHole, type PinTarget } from './target';
export { generalToleranceMm, GENERAL_TOLERANCE_SOURCE } from './general-tolerance';
