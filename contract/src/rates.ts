import { PRICED_FAMILIES } from '@iron-patch/core';
import { lazy, object, type AnySchema, type InferType, type NumberSchema } from 'yup';
import { numberOf } from './fields';
import { requiredText } from './text';

/** The largest sum of money that is kept, in the smallest coin. */
export const MOST_MINOR = 100_000_000;

/** Money to the smallest coin. */
export const moneyOf = (label: string): NumberSchema<number> =>
  numberOf(label, 0, MOST_MINOR).integer(`${label} is told to the smallest coin.`);

const LONGEST_CURRENCY = 12;
const MOST_MACHINES = 100;
const MACHINE_ID = /^[a-z0-9][a-z0-9-]{0,59}$/;

/** A rate for some machines by their id. */
const byMachine = lazy((value: unknown): AnySchema => {
  const said = 'Machines: rates by the id of the machine.';
  if (value === null || typeof value !== 'object' || Array.isArray(value)) return object().strict().required(said).typeError(said);
  const ids = Object.keys(value);
  return object(Object.fromEntries(ids.map((id) => [id, moneyOf('An hour of the machine')])))
    .strict()
    .test('ids', said, () => ids.every((id) => MACHINE_ID.test(id)))
    .test('few', `Machines: at most ${MOST_MACHINES}.`, () => ids.length <= MOST_MACHINES);
});

/** What the shop asks for its work. */
export const ratesInput = object({
  currency: requiredText('Currency', LONGEST_CURRENCY, 'Say what the money is called, such as crowns.'),
  hourMinor: moneyOf('An hour'),
  machineHourMinor: byMachine,
  kgMinor: object(Object.fromEntries(PRICED_FAMILIES.map((f) => [f, moneyOf('A kilogram').notRequired()])))
    .strict()
    .required('Stock: prices a kilogram.'),
  wastePercent: numberOf('Waste', 0, 500, '%'),
  markUpPercent: numberOf('On what is bought', 0, 500, '%'),
  consumablesPercent: numberOf('Consumables', 0, 100, '%'),
  minimumMinor: moneyOf('The least that is asked'),
  taxPercent: numberOf('Tax', 0, 100, '%'),
});
export type RatesInput = InferType<typeof ratesInput>;
