export { INSTRUMENT_ALPHA_PER_K, sizeAt20, temperatureUncertaintyMm, type Temperatures } from './temperature';
export { INSTRUMENT_KINDS, unitShownBy, type InstrumentKind, type InstrumentKindRow, type Reads } from './instruments.data';
export { commonMm, scatterMm, type DiameterReading, type Side } from './diameter-reading';
export { curveAt, fitHarmonics, K95, K95_VECTOR, ordersAllowed, type ClockPoint, type HarmonicFit, type Wave } from './harmonics';
export { fitLobes, V_BLOCKS_DEG, vBlockFactor, vBlockSees, type LobeFit } from './v-block';
export { roundness, type Roundness } from './roundness';
export { fitProfile, type Profile, type ProfileKind, type ProfilePoint, type Step } from './profile';
export { fitBend, runOut, type Bend, type Holding, type RunOut } from './bend';
export { analyseSection, diameterAt, type Section } from './section';
export { fitTaper, type Taper } from './taper';
export { analyseShape, expand95, type Shape, type UncertaintyParts } from './shape';
export {
  FOUR_CLOCKS,
  openSpots,
  planFor,
  plannedSpots,
  SUSPICIONS,
  type MeasuringPlan,
  type PlanInput,
  type Spot,
  type Suspicion,
  sameSpot,
} from './measuring-plan';
export { planAdvice, type PlanAdvice } from './plan-advice';
export {
  PLACE_KIND_IDS,
  PLACE_KINDS,
  isDiameter,
  isIndicator,
  QUANTITIES,
  QUANTITY_IDS,
  readsFor,
  type PlaceKind,
  type PlaceKindRow,
  type Quantity,
} from './place-kinds.data';
export { doubtReading, type Doubt } from './doubt/plausible';
export { instrumentsFor, type Suggestable } from './suggest-instrument';
export { depthCheck, nearWallByRing, type DepthCheck, type DepthCheckInput } from './depth-check';
export { disputes, type Dispute, type InstrumentReading, type SideOfDispute } from './agreement';
export {
  grossError,
  grossErrors,
  othersShow,
  repeatConflicts,
  type RepeatConflict,
  type Suspect,
  type Weighable,
} from './doubt/gross-errors';
export { coarseSlips, fineSlips, type Slip } from './doubt/slips';
export { readsIt, outOfRange } from './doubt/range';
export { sectionEnds, type DirectionSize, type Interval, type SectionEnds } from './section-ends';
export { blindSpots, worthSaying, type AtStakeHere, type BlindSpot } from './blind-spots';
export { usualInstruments, type UsualInstrument } from './usual-instruments.data';
export { isRelief } from './relief';
