import { MATERIALS, UNKNOWN_MATERIAL } from '@iron-patch/core';
import { array, boolean, number, string, type ArraySchema, type NumberSchema, type StringSchema } from 'yup';

/** A finite number within a range, told in words. Text is not turned into numbers behind somebody's back. */
export const numberOf = (label: string, from: number, to: number, unit = ''): NumberSchema<number> => {
  const range = `${label} is a number from ${from} to ${to}${unit ? ` ${unit}` : ''}.`;
  return number()
    .strict()
    .typeError(range)
    .required(`${label} is needed.`)
    .test('finite', range, (v) => v === null || v === undefined || Number.isFinite(v))
    .min(from, range)
    .max(to, range);
};

export const lengthOf = (label: string, from = 0, to = 20_000): NumberSchema<number> => numberOf(label, from, to, 'mm');

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[1-8][0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/;

export const idOf = (label: string): StringSchema<string> =>
  string().strict().typeError(`${label} is an id.`).required(`${label} is needed.`).matches(UUID, `${label} is not an id.`);

/** An id, null, or nothing at all. */
export const optionalIdOf = (label: string): StringSchema<string | null | undefined> =>
  string()
    .strict()
    .nullable()
    .typeError(`${label} is an id.`)
    .matches(UUID, { message: `${label} is not an id.`, excludeEmptyString: false });

/** Which piece of an item; nothing for the first. */
export const pieceOf = (): NumberSchema<number | undefined> =>
  number()
    .strict()
    .typeError(PIECE)
    .optional()
    .test('whole', PIECE, (v) => v === undefined || (Number.isInteger(v) && v >= 1 && v <= MOST_PIECES));
/** As many pieces of one item as are kept apart. */
export const MOST_PIECES = 500;
const PIECE = `Piece: a whole number from 1 to ${MOST_PIECES}.`;

export const oneOf = <T extends string>(label: string, values: readonly T[]): StringSchema<T> =>
  string()
    .strict()
    .typeError(`Choose ${label}.`)
    .required(`Choose ${label}.`)
    .oneOf(values, `Choose ${label}: ${values.join(', ')}.`);

/** Yes or no, and nothing else. */
export const yes = (label: string) => boolean().strict().typeError(`${label}: yes or no.`).required(`${label}: yes or no.`);

/** How decimals are written; left out, it stays as it is. */
export const decimalMark = () =>
  string()
    .strict()
    .typeError(MARKS)
    .oneOf(['.', ','] as const, MARKS)
    .optional();
const MARKS = 'Decimals: a point or a comma.';

/** A material of the book, or that it is not known. */
export const materialIdOf = (): StringSchema<string> => oneOf<string>('a material', [UNKNOWN_MATERIAL, ...MATERIALS.map((m) => m.id)]);

export const numbersOf = (label: string, from: number, to: number, most: number): ArraySchema<number[], object> =>
  array(numberOf(label, from, to))
    .strict()
    .typeError(`${label}: a list of numbers.`)
    .required(`${label} is needed.`)
    .min(1, `${label}: at least one.`)
    .max(most, `${label}: at most ${most}.`);

const ISO_DATE = /^\d{4}-\d{2}-\d{2}$/;

/** The first day that the database knows. */
const FIRST_DAY = '0001-01-01';

/** A day of the calendar: 2026-02-30 is none, and there was no year 0. */
export function isDate(text: string): boolean {
  const at = new Date(`${text}T00:00:00Z`);
  return ISO_DATE.test(text) && text >= FIRST_DAY && !Number.isNaN(at.getTime()) && at.toISOString().startsWith(text);
}

/** An ISO date, or null. */
export const dateOrNull = (label: string): StringSchema<string | null> =>
  string()
    .strict()
    .nullable()
    .typeError(`${label} is a date.`)
    .test('date', `${label} is a date like 2026-12-04.`, (v) => v === undefined || v === null || isDate(v))
    .defined(`${label} is missing.`);

/** An ISO date that may be left out. */
export const dateText = (label: string): StringSchema<string | undefined> =>
  string()
    .strict()
    .typeError(`${label} is a date.`)
    .test('date', `${label} is a date like 2026-12-04.`, (v) => v === undefined || isDate(v));

/** A moment as the wire has it, or null. */
export const momentOrNull = (label: string): StringSchema<string | null> => {
  const said = `${label} is a time, or nothing.`;
  return string()
    .strict()
    .nullable()
    .typeError(said)
    .defined(said)
    .max(30, said)
    .test('time', said, (v) => v === null || v === undefined || !Number.isNaN(Date.parse(v)));
};
