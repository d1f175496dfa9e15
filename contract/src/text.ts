import { string, type StringSchema } from 'yup';

/** Longest names and texts that are stored; `large` is what is printed large on a paper. */
export const TEXT_LIMITS = { name: 120, line: 200, large: 600, text: 4000 } as const;

// Control characters other than tab and newline have no business in a name or a note.
// eslint-disable-next-line no-control-regex
const CONTROL = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f]/;

/** Text in any script, trimmed, with a limit that is told in words. */
export const textOf = (label: string, limit: number): StringSchema<string> =>
  string()
    .typeError(`${label} is text.`)
    .defined(`${label} is missing.`)
    // Text stays text: yup would turn 5 into "5", and its own trim falls over lists.
    .transform((_: unknown, original: unknown) => (typeof original === 'string' ? original.trim() : original == null ? original : NaN))
    .max(limit, ({ value }) => `${label} is ${String(value).length} characters long; ${limit} at most.`)
    .test('control', `${label} holds characters that cannot be stored.`, (v) => v === undefined || !CONTROL.test(v));

/** Text that is not empty; `missing` says so where "… is needed" is no sentence. */
export const requiredText = (label: string, limit: number, missing = `${label} is needed.`): StringSchema<string> =>
  textOf(label, limit).min(1, missing);
