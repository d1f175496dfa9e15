export { candidatesBetween, type Candidate } from './candidates';
export { INCH_PRIOR, UNEVEN_WEAR, WITNESS_TIMES, type Use } from './judgement.data';
export { wearDensity, type NominalEvidence } from './likelihood';
export { MOST_LIKELY } from './judgement.data';
export { recoverMachine, type MachineBelief, type MachinePlace } from './machine';
export type { UnitWitness } from './machine';
export { recoverNominals, type DecidingReading, type RankedNominal, type RecoveredNominal } from './recover';
export {
  machineScore,
  probabilityBuckets,
  wornMachine,
  type MachineScore,
  type ProbabilityBucket,
  type WornMachine,
} from './worn-machines';
