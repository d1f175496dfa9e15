export { judge, worst, type Limits, type Verdict } from './judge';
export { drawPlay, playDistribution, DRAWS_A_STEP, type PlayDistribution, type PlayInputs } from './play-distribution';
export { normalDraws, seededRandom } from './random';
