export {
  drillBeforeReamer,
  drillLadderMm,
  drillNamed,
  firstDrill,
  leftForReamer,
  peckDepthsMm,
  pilotMm,
  pointMm,
  type FirstDrill,
} from './drilling';
export { PASS_WORDS, planBorePasses, planPasses, USUAL_PASSES, type Pass, type PassOptions } from './passes';
export { gearsUnder, idealRpm, spindleSpeed, type SpindleSpeed } from './speed';
export { passesMin, USUAL_FEEDS_MM } from './cutting-time';
export { feedsFor, ridgesMm, USUAL_NOSE_MM, type Feeds } from './feed';
export { BAR_SHARE, barBendMm, barGoesInto, SHANKS, soldBarMm, type Shank } from './boring-bar';
export { cuttingForceN, cuttingKw, PUSH_SHARE } from './cutting-force';
export { workBendMm, type Held } from './work-bend';
export {
  elasticMm,
  nextPush,
  PLASTIC_ROUND,
  pushForSet,
  yieldForceN,
  type PressAdvice,
  type Pressed,
  type PressState,
  type Push,
} from './straighten';
export {
  beadOrder,
  carbonEquivalent,
  HYDROGEN,
  NO_PREHEAT_C,
  preheatC,
  runsFor,
  seamAreaMm2,
  tackOrder,
  WELD_WAYS,
  type Bead,
  type WeldWay,
} from './weld';
export { crankWords, cranksFor, divideWords, USUAL_CIRCLES, USUAL_WORM, type Crank } from './dividing';
export { mostFreeMm, WHIRL_SHARE, whirlRpm } from './whirl';
export { EDGES, edgeSpeed, type Edge, type EdgeRow } from './edge-speed';
