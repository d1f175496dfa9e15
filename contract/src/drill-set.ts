import { DRILL_KINDS } from '@iron-patch/core';
import { object, type InferType } from 'yup';
import { lengthOf, oneOf } from './fields';
import { removedOf } from './removed';

/** Largest drill that a set holds, mm. */
const MOST_DRILL_MM = 100;

/** Drills of one kind in the crib. `removed` takes the set off the list. */
export const drillSetInput = object({
  kind: oneOf('a kind of drill', DRILL_KINDS),
  fromMm: lengthOf('From', 0.1, MOST_DRILL_MM),
  toMm: lengthOf('To', 0.1, MOST_DRILL_MM).when('fromMm', ([from], schema) =>
    typeof from === 'number' ? schema.min(from, 'The largest is not smaller than the smallest.') : schema,
  ),
  stepMm: lengthOf('Step', 0.05, 25).nullable(),
  removed: removedOf(),
});
export type DrillSetInput = InferType<typeof drillSetInput>;
