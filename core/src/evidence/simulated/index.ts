export { stretchAt, trueMeanMm, trueOffsetMm, trueRadiusMm, type TruePart, type TrueStretch, type TrueWave } from './true-part';
export { displayed, idealMm, takeSimulated, type Contact, type ReadingPlace, type SimulatedInstrument } from './simulated-instrument';
export { knownTruthScore, knownTruthTrial, RECOVERED, type Recovered, type Trial } from './known-truth';
export { slipScore, slipTrial, type SlipScore, type SlipTrial } from './slip-trial';
export { endScore, sectionTrial, type EndScore, type SectionTrial } from './section-trial';
