export { stretchAt, trueOffsetMm, trueRadiusMm, type TruePart, type TrueStretch, type TrueWave } from './true-part';
export { displayed, idealMm, takeSimulated, type Contact, type ReadingPlace, type SimulatedInstrument } from './simulated-instrument';
export { knownTruthScore, RECOVERED, type Recovered, type Trial } from './known-truth';
export { slipScore, type SlipScore, type SlipTrial } from './slip-trial';
export { endScore, type EndScore, type SectionTrial } from './section-trial';
