export type { Dial, Lathe } from './machine';
export { crossDialFor, crossTurns, dialDecimals, diameterForCrossDial, toTurns, turnsOf, turnsWords, type DialTurns } from './dial';
export { depthLadder, type LadderOptions, type Rung, type TouchedEdge } from './depth-ladder';
export { holdFor, setUpSequence, CHUCK_ONLY_RATIO, TAILSTOCK_RATIO, type SetUp } from './set-up-sequence';
