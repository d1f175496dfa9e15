export type { Act } from './act';
export type { SetUp, ToldSetUp } from './set-up';
export { HOLDINGS, type HoldingKind } from './holding';
export { cutsOf, type Cut } from './cut';
export { workOf, type Work } from './work';
export { WAY_IDS, WAYS, type WayId } from './ways';
export { heldPlan, ordersWith, type AskedRunOut, type ActOrder, type ByHand, type HeldPlan, type MovedCut } from './held-plan';
export { rankedWays, shortfall, worstAsked, type NoWay } from './ranked';
export { type PredictedRunOut } from './run-out';
export { CHUCK_ONLY_RATIO, TAILSTOCK_RATIO } from './overhang';
export { blockSetUps, type BlockSetUp } from './block-set-ups';
export { AFTER_HOLD_IDS, type AfterHoldId } from './after-hold-ids';
export { type AfterChoice } from './held-after';
export { betweenBarMm, BORING_IDS, boringOf, boringWays, type BoringChoice, type BoringId, type BoringWork } from './boring';
export { wayOf, type HoldWay } from './hold-way';
export {
  standsAgain,
  TURNED_AGAIN_IDS,
  turnedAgainWays,
  type StandsAgain,
  type TurnedAgainChoice,
  type TurnedAgainId,
  type TurnedAgainWork,
} from './turned-again';
