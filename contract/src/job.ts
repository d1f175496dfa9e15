import { CHANGES, HAZARDS, WANTS } from '@iron-patch/core';
import { array, object, type InferType } from 'yup';
import { dateOrNull, numberOf, oneOf } from './fields';
import { requiredText, textOf, TEXT_LIMITS } from './text';

/** A job as it is taken in or changed at the counter. The customer is found by name, or made. */
export const jobInput = object({
  customerName: requiredText('Customer', TEXT_LIMITS.name),
  customerContact: textOf('Contact', TEXT_LIMITS.line),
  title: requiredText('What it is', TEXT_LIMITS.name, 'Say what it is.'),
  machine: textOf('Machine', TEXT_LIMITS.name),
  complaint: textOf('What happened', TEXT_LIMITS.text),
  want: oneOf('what they want', WANTS),
  changes: array(oneOf('a change', CHANGES))
    .strict()
    .typeError('Changes: a list.')
    .required('Changes are missing.')
    .max(CHANGES.length, 'Each change once.'),
  restBy: textOf('Who does the rest', TEXT_LIMITS.line),
  askBefore: textOf('How far to go before asking', TEXT_LIMITS.line),
  pieces: numberOf('Pieces received', 0, 10_000).integer('Pieces received is a whole number.'),
  promisedOn: dateOrNull('Promised for'),
  unit: oneOf('a unit', ['mm', 'in'] as const),
  shopTempC: numberOf('Shop temperature', -20, 60, '°C'),
  hazards: array(oneOf('a caution', HAZARDS)).strict().typeError('Cautions: a list.').required('Cautions are missing.'),
});
export type JobInput = InferType<typeof jobInput>;
