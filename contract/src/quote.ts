import type { QuoteTold } from '@iron-patch/core';
import { array, object, string, type InferType } from 'yup';
import { tokenOf } from './secret';
import { dateOrNull, idOf, numberOf } from './fields';
import { moneyOf } from './rates';
import { shapeOf } from './shape';
import { requiredText, textOf, TEXT_LIMITS } from './text';

const MOST_WAYS = 6;
const MOST_PHOTOS = 12;

/** A quote as somebody makes it, with the secret of its link. */
export const quoteInput = shapeOf<QuoteTold>({
  wayIds: array(idOf('Way'))
    .strict()
    .required('Ways: a list.')
    .min(1, 'Pick at least one way to put it right.')
    .max(MOST_WAYS, `At most ${MOST_WAYS} ways.`),
  words: textOf('In your words', TEXT_LIMITS.text),
  notIncluded: textOf('What is not included', TEXT_LIMITS.text),
  stopAtMinor: moneyOf('Stop and ask at').nullable().defined('Stop and ask at: a price, or none.'),
  validUntil: dateOrNull('Valid until').required('Say until when it is valid.'),
  ready: array(
    object({
      wayId: idOf('Way'),
      day: dateOrNull('Ready by').required('Say by when it is ready.'),
      chance: numberOf('Chance', 0, 1).nullable().defined('Chance: a share, or none.'),
    }),
  )
    .strict()
    .required('Ready by: a list.')
    .max(MOST_WAYS, `At most ${MOST_WAYS} ways.`),
  photoIds: array(idOf('Photograph')).strict().required('Photographs: a list.').max(MOST_PHOTOS, `At most ${MOST_PHOTOS} photographs.`),
}).shape({ token: tokenOf() });
export type QuoteInput = QuoteTold & { readonly token: string };

/** Another link to the same quote: the one before leads nowhere from then on. */
export const quoteLinkInput = object({ token: tokenOf() });
export type QuoteLinkInput = InferType<typeof quoteLinkInput>;

export const quoteWithdrawalInput = object({ why: requiredText('Why', TEXT_LIMITS.line, 'Say why it is withdrawn.') });
export type QuoteWithdrawalInput = InferType<typeof quoteWithdrawalInput>;

/** What a customer says on the page of a quote: `yes:` with the id of a way, `no`, or `ask`. */
export const quoteAnswerInput = object({
  say: string()
    .strict()
    .typeError('Choose an answer.')
    .required('Choose an answer.')
    .matches(/^(no|ask|yes:[0-9a-f-]{36})$/, 'Choose an answer.'),
  name: requiredText('Your name', TEXT_LIMITS.name, 'Please give your name.'),
  note: textOf('Note', TEXT_LIMITS.text).when('say', ([say], schema) =>
    say === 'ask' ? schema.min(1, 'Please write your question.') : schema,
  ),
});
export type QuoteAnswerInput = InferType<typeof quoteAnswerInput>;
