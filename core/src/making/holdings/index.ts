export type { SetUp, ToldSetUp } from './set-up';
export { HOLDINGS, type HoldingKind } from './holding';
export { cutsOf, type Cut } from './cut';
export { workOf, type Work } from './work';
export { WAY_IDS, WAYS, type WayId } from './ways';
export { heldPlan, type AskedRunOut, type HeldPlan, type MovedCut } from './held-plan';
export { rankedWays, shortfall, worstAsked, type NoWay } from './ranked';
export { type PredictedRunOut } from './run-out';
export { blockSetUps } from './block-set-ups';
