export { advise, dialSign, countAgain, LEAST_CHIP_MM, WARM_K, type Advice, type CoachSettings } from './coach';
export { type CutRecord } from './tool-habit';
export { skimmed, take, type Draws, type LatheTemper, type SimulatedWork } from './simulated-lathe';
export { coolingMin } from './cooling';
