import { MOST_OLD_JOBS, OLD_FIELDS, type OldField } from '@iron-patch/core';
import { array, object, type InferType } from 'yup';
import { dateOrNull, numberOf } from './fields';
import { requiredText, textOf, TEXT_LIMITS } from './text';

const textOfField = (field: OldField) => textOf(OLD_FIELDS[field].name, OLD_FIELDS[field].most);

/** A list of jobs of before the program, with all of its rows. */
export const oldListInput = object({
  name: requiredText('Name of the list', TEXT_LIMITS.name),
  jobs: array(
    object({
      line: numberOf('Row', 1, 1_000_000).integer('Row is a whole number.'),
      number: textOfField('number'),
      doneOn: dateOrNull('Day'),
      customer: textOfField('customer'),
      machine: textOfField('machine'),
      title: requiredText(OLD_FIELDS.title.name, OLD_FIELDS.title.most),
      cause: textOfField('cause'),
      route: textOfField('route'),
      lesson: textOfField('lesson'),
    }),
  )
    .strict()
    .typeError('Jobs: a list.')
    .required('Jobs: a list.')
    .min(1, 'The list has no jobs.')
    .max(MOST_OLD_JOBS, `At most ${MOST_OLD_JOBS} jobs at once.`),
});
export type OldListInput = InferType<typeof oldListInput>;
