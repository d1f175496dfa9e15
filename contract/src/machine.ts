import { HOLDING_KINDS, MACHINE_KINDS, type Machine } from '@iron-patch/core';
import { array, lazy, mixed, object, type InferType } from 'yup';
import { dateOrNull, lengthOf, numberOf, oneOf } from './fields';
import { removedOf } from './removed';
import { requiredText, textOf, TEXT_LIMITS } from './text';

const UNITS = ['mm', 'in'] as const;

const dial = {
  unit: oneOf('a unit', UNITS),
  perTurn: numberOf('A turn of the dial', 0.001, 100),
  perLine: numberOf('A line of the dial', 0.0001, 10).when('perTurn', ([turn], schema) =>
    typeof turn === 'number' ? schema.max(turn, 'A line is less than a turn.') : schema,
  ),
};
const readout = lazy((value) =>
  value === null
    ? mixed().nullable()
    : object({ unit: oneOf('a unit', UNITS), decimals: numberOf('Decimals', 0, 6).integer('Decimals is a whole number.') }).required(
        'Readout: its unit and decimals, or null.',
      ),
);
const gearsRpm = array(numberOf('A speed', 1, 20_000, 'rpm'))
  .strict()
  .required('Speeds: a list.')
  .min(1, 'Write the speeds that it has, at least one.')
  .max(60, 'At most 60 speeds.');

const holding = object({
  kind: oneOf('a holding', HOLDING_KINDS),
  runOutMm: lengthOf('Run-out', 0, 5).nullable().defined('Run-out is missing.'),
  mostRpm: numberOf('Fastest', 10, 20_000, 'rpm').nullable().notRequired(),
});

const crossDial = object({ ...dial, reads: oneOf('radius or diameter', ['radius', 'diameter'] as const) });

/** What a lathe can do; a card written before spindle and holdings were asked for has none. */
export const latheFields = {
  cross: crossDial.required('The cross slide’s dial is needed.'),
  carriage: object(dial).required('The carriage’s dial is needed.'),
  readout,
  gearsRpm,
  swingMm: lengthOf('Swing', 10, 5000),
  centresMm: lengthOf('Between centres', 10, 20_000),
  spindleBoreMm: lengthOf('Hole through the spindle', 1, 500).nullable().notRequired(),
  holdings: array(holding).strict().max(20, 'At most 20 holdings.').notRequired(),
  leadscrewMm: lengthOf('Pitch of the leadscrew', 0.5, 50).nullable().notRequired(),
  wheels: array(numberOf('Teeth of a change wheel', 10, 200).integer('Teeth: a whole number.'))
    .strict()
    .max(30, 'At most 30 change wheels.')
    .notRequired(),
  threadDial: lazy((value) =>
    value == null
      ? mixed().nullable().notRequired()
      : object({
          teeth: numberOf('Teeth of the thread dial’s wheel', 8, 120).integer('Teeth: a whole number.'),
          marks: numberOf('Lines of the thread dial', 1, 40).integer('Lines: a whole number.'),
        }),
  ),
};

const mill = object({
  dial: object(dial).required('The dial of the table is needed.'),
  readout,
  gearsRpm,
  longMm: lengthOf('Travel of the table', 10, 20_000),
  crossMm: lengthOf('Travel across', 10, 20_000),
  head: lazy((value) => (value == null ? mixed().nullable().notRequired() : crossDial)),
});

const lathe = object(latheFields);

/** What only one kind of machine has, or null. */
const latheCard = lazy((value) => (value === null ? mixed().nullable() : lathe.required('What the lathe can do is needed.')));
const millCard = lazy((value) => (value === null ? mixed().nullable() : mill.required('What the mill can do is needed.')));

/** A machine of the shop. */
export const machineInput = object({
  name: requiredText('Name', TEXT_LIMITS.name),
  kind: oneOf('a kind of machine', MACHINE_KINDS),
  powerKw: numberOf('Power', 0.01, 1000, 'kW').nullable().defined('Power is missing.'),
  note: textOf('Note', TEXT_LIMITS.text),
  lathe: latheCard,
  mill: millCard,
  capacityMm: lengthOf('Largest that it takes', 1, 5000).nullable().defined('Largest that it takes is missing.'),
  tonnes: numberOf('Press force', 0.1, 5000, 't').nullable().defined('Press force is missing.'),
  // Cards of before anybody was asked have none.
  backOn: dateOrNull('Works again on').optional(),
  removed: removedOf(),
}).test('card-of-its-kind', '', (m, { createError }) => {
  for (const kind of ['lathe', 'mill'] as const) {
    const has = m[kind] != null;
    if (has !== (m.kind === kind))
      return createError({ path: kind, message: has ? `Only a ${kind} has that.` : `What the ${kind} can do is needed.` });
  }
  return true;
});
/** A machine as it is sent: what a lathe or a mill can do is checked by the schema, and null for every other kind. */
export type MachineInput = Omit<InferType<typeof machineInput>, 'lathe' | 'mill'> & Pick<Machine, 'lathe' | 'mill'>;
