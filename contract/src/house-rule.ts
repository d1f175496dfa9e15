import { GRADES, type MovedJob } from '@iron-patch/core';
import { boolean, object, type InferType } from 'yup';
import { numberOf, oneOf } from './fields';
import { requiredText, TEXT_LIMITS } from './text';

/** Grades that a repair shop turns to. */
export const HOUSE_GRADES = GRADES.filter((g) => ['IT5', 'IT6', 'IT7', 'IT8', 'IT9', 'IT10', 'IT11'].includes(g));

/** A house rule as it is written down or changed, with why it is changed. `removed` withdraws it. */
export const houseRuleInput = object({
  name: requiredText('Name', TEXT_LIMITS.name),
  baseMm: numberOf('Base', -2, 2, 'mm'),
  ratePerDiameter: numberOf('Rate', -0.02, 0.02, 'per unit of diameter'),
  mostPlayFactor: numberOf('Most play', 1, 10, 'times the new clearance'),
  grade: oneOf('a grade', HOUSE_GRADES),
  reason: requiredText('What it is for', TEXT_LIMITS.line),
  removed: boolean().strict().typeError('Withdrawn: yes or no.').required('Withdrawn: yes or no.'),
  because: requiredText('Why it is changed', TEXT_LIMITS.line),
});
export type HouseRuleInput = InferType<typeof houseRuleInput>;

/** What a change would move in some of the open jobs. */
export interface HouseRulePreview {
  readonly moved: readonly MovedJob[];
  /** How many of the open jobs are weighed with these. */
  readonly weighed: number;
  readonly open: number;
  /** The last one weighed, to ask for those after it; null when all are. */
  readonly last: string | null;
}
