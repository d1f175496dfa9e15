export {
  CLAMPS,
  HOLDING_KINDS,
  isOut,
  lathesAmong,
  MACHINE_KINDS,
  type Dial,
  type Lathe,
  type LatheCard,
  type LatheHolding,
  type Machine,
  type MachineKind,
  type CrossDial,
  type MillCard,
  type Readout,
} from './machine';
export {
  crossDialFor,
  crossTurns,
  dialDecimals,
  diameterForCrossDial,
  linesWords,
  toTurns,
  turnsOf,
  turnsWords,
  type DialTurns,
} from './dial';
export { depthLadder, type LadderOptions, type Rung, type TouchedEdge } from './depth-ladder';
export { HOLDING_WORDS, MACHINE_WORDS, usualMachines, type UsualMachine } from './usual-machines.data';
