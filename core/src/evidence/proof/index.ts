export { judge, worst, type Limits, type Verdict } from './judge';
export { drawPlay, playDistribution, type PlayDistribution, type PlayInputs } from './play-distribution';
export { normalDraws, seededRandom } from './random';
export { TRIAL_FEELS, trialBounds, type TrialBounds, type TrialFeel, type TriedMate } from './trial-fit';
