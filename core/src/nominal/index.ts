export { candidatesBetween, type Candidate, type Use } from './candidates';
export { wearDensity, WEAR_MIXTURE, type NominalEvidence } from './likelihood';
export { recoverMachine, type MachineBelief, type MachineFeature } from './machine';
export type { UnitWitness } from './machine';
export { recoverNominal, recoverNominals, type DecidingReading, type RankedNominal, type RecoveredNominal } from './recover';
export { machineScore, wornMachine, type MachineScore, type WornMachine } from './worn-machines';
