import type { LengthUnit } from '../../terms/quantity';
import type { LatheCard, Machine, MillCard } from './machine';

/** A machine as it is found in many shops: what somebody starts from who has one like it, and then puts right on the machine itself. */
export type UsualMachine = Omit<Machine, 'id' | 'version'>;

const NOTHING = { powerKw: null, note: '', lathe: null, mill: null, capacityMm: null, tonnes: null } as const;

const INCH_LATHE: LatheCard = {
  cross: { unit: 'in', perTurn: 0.2, perLine: 0.001, reads: 'radius' },
  carriage: { unit: 'in', perTurn: 0.5, perLine: 0.005 },
  readout: null,
  gearsRpm: [32, 50, 80, 125, 200, 320, 500, 800],
  swingMm: 13 * 25.4,
  centresMm: 40 * 25.4,
  spindleBoreMm: 1.5 * 25.4,
  holdings: [],
};
const METRIC_LATHE: LatheCard = {
  cross: { unit: 'mm', perTurn: 5, perLine: 0.05, reads: 'diameter' },
  carriage: { unit: 'mm', perTurn: 20, perLine: 0.1 },
  readout: null,
  gearsRpm: [45, 90, 180, 280, 450, 710, 1120, 1800],
  swingMm: 400,
  centresMm: 1000,
  spindleBoreMm: 52,
  holdings: [],
};
const INCH_MILL: MillCard = {
  dial: { unit: 'in', perTurn: 0.2, perLine: 0.001 },
  readout: null,
  gearsRpm: [80, 135, 210, 325, 660, 1115, 1750, 2720],
  longMm: 30 * 25.4,
  crossMm: 12 * 25.4,
  head: { unit: 'in', perTurn: 0.05, perLine: 0.001, reads: 'diameter' },
};
const METRIC_MILL: MillCard = {
  dial: { unit: 'mm', perTurn: 5, perLine: 0.02 },
  readout: { unit: 'mm', decimals: 3 },
  gearsRpm: [65, 135, 275, 575, 720, 1500, 3000],
  longMm: 700,
  crossMm: 300,
  head: { unit: 'mm', perTurn: 1, perLine: 0.02, reads: 'diameter' },
};

/** Machines to pick from, those with dials in the shop's own unit. */
export function usualMachines(unit: LengthUnit): readonly UsualMachine[] {
  const inch = unit === 'in';
  const lathe = inch ? INCH_LATHE : METRIC_LATHE;
  return [
    { ...NOTHING, name: 'Engine lathe', kind: 'lathe', lathe },
    {
      ...NOTHING,
      name: 'Small bench lathe',
      kind: 'lathe',
      lathe: { ...lathe, swingMm: inch ? 9 * 25.4 : 230, centresMm: inch ? 20 * 25.4 : 500, spindleBoreMm: inch ? 0.75 * 25.4 : 20 },
    },
    { ...NOTHING, name: 'Knee mill', kind: 'mill', mill: inch ? INCH_MILL : METRIC_MILL },
    { ...NOTHING, name: 'Drill press', kind: 'drill', capacityMm: inch ? 0.75 * 25.4 : 20 },
    { ...NOTHING, name: 'Band saw', kind: 'saw', capacityMm: inch ? 7 * 25.4 : 180 },
    { ...NOTHING, name: 'Press', kind: 'press', tonnes: 20 },
    { ...NOTHING, name: 'Hone', kind: 'hone' },
    { ...NOTHING, name: 'Surface grinder', kind: 'grinder' },
    { ...NOTHING, name: 'Welder', kind: 'welder' },
  ];
}

export const MACHINE_WORDS = {
  lathe: 'Lathe',
  mill: 'Mill',
  drill: 'Drill press',
  saw: 'Saw',
  press: 'Press',
  hone: 'Hone',
  grinder: 'Grinder',
  welder: 'Welder',
  other: 'Something else',
} as const;
export const HOLDING_WORDS = {
  'three-jaw': 'Three-jaw chuck',
  'four-jaw': 'Four-jaw chuck',
  collet: 'Collets',
  'soft-jaws': 'Soft jaws',
  centres: 'Between centres',
  faceplate: 'Faceplate',
  steady: 'Steady rest',
} as const;
