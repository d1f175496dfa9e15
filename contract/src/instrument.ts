import { INSTRUMENT_KINDS, type InstrumentKind } from '@iron-patch/core';
import { object, type InferType } from 'yup';
import { dateOrNull, lengthOf, numberOf, oneOf } from './fields';
import { requiredText, textOf, TEXT_LIMITS } from './text';

const KINDS = Object.keys(INSTRUMENT_KINDS) as InstrumentKind[];

/** An instrument of the crib with its own record. */
export const instrumentInput = object({
  name: requiredText('Name', TEXT_LIMITS.name),
  kind: oneOf('a kind of instrument', KINDS),
  unit: oneOf('a unit', ['mm', 'in'] as const),
  uMm: lengthOf('Uncertainty', 0.0001, 5).nullable(),
  repeatMm: lengthOf('Scatter', 0, 5).nullable(),
  resolutionMm: lengthOf('Resolution', 0.0001, 5).nullable(),
  biasMm: numberOf('What it reads too big', -1, 1, 'mm'),
  rangeLowMm: lengthOf('Range from'),
  rangeHighMm: lengthOf('Range to').when('rangeLowMm', ([low], schema) =>
    typeof low === 'number' ? schema.moreThan(low, 'The range ends above where it begins.') : schema,
  ),
  calibratedOn: dateOrNull('Calibrated on'),
  dueOn: dateOrNull('Due on'),
});
export type InstrumentInput = InferType<typeof instrumentInput>;

/** A check against a reference, as it was read. The server reads the text itself. */
export const instrumentCheckInput = object({
  reference: requiredText('Reference', TEXT_LIMITS.name),
  referenceMm: lengthOf('Size of the reference', 0.001, 2000),
  text: requiredText('Reading', 64),
  unit: oneOf('a unit', ['mm', 'in'] as const),
  remark: textOf('Remark', TEXT_LIMITS.line),
});
export type InstrumentCheckInput = InferType<typeof instrumentCheckInput>;

/** A reading of a reference further off than this is a slip, or the wrong reference, mm. */
export const MOST_BIAS_MM = 1;
