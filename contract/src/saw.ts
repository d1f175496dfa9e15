import type { Bar, SawNeed, SawnChoice } from '@iron-patch/core';
import { array, boolean, object, string, type InferType } from 'yup';
import { idOf, lengthOf, MOST_PIECES, numberOf } from './fields';
import { textOf, TEXT_LIMITS } from './text';

/** An open job with what it has to have sawn. */
export interface SawJob {
  readonly id: string;
  readonly number: number;
  readonly title: string;
  readonly promisedOn: string | null;
  readonly saws: readonly SawNeed[];
}

const blank = object({
  jobId: idOf('Job'),
  itemId: idOf('Item'),
  blanks: numberOf('Blanks', 1, MOST_PIECES).integer('Blanks: a whole number.'),
  /** With the saw cut, as the list had it, mm. */
  lengthMm: lengthOf('Length', 1),
});

/** One bar that was sawn: for whom, and what becomes of its rest. */
export const sawnInput = object({
  /** Of the bar as the list had it. */
  version: numberOf('Version', 1, 1e9).integer('Version: a whole number.'),
  blanks: array(blank).strict().required('Blanks: a list.').min(1, 'Nothing was sawn.').max(200, 'At most 200 blanks from one bar.'),
  keep: boolean().strict().typeError('Kept: yes or no.').required('Kept: yes or no.'),
  /** Id that the rest gets on the rack. */
  offcutId: string()
    .strict()
    .required('The rest needs an id.')
    .matches(/^[a-z0-9][a-z0-9-]{0,59}$/, 'The rest needs an id.'),
  place: textOf('Place', TEXT_LIMITS.name),
});
export type SawnInput = InferType<typeof sawnInput>;

/** What is stored once a bar was sawn, with what it takes to take it back. */
export interface SawnAnswer {
  readonly bar: Bar;
  readonly offcut: Bar | null;
  readonly sawn: readonly { readonly jobId: string; readonly itemId: string; readonly before: SawnChoice; readonly version: number }[];
}
