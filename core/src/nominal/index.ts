export { candidatesBetween, type Candidate } from './candidates';
export { recoverNominal, wearDensity, WEAR_MIXTURE, type NominalEvidence, type RankedNominal, type RecoveredNominal } from './recover';
