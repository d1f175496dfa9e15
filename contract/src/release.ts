import { array, object, string, type InferType } from 'yup';
import { numberOf } from './fields';
import { requiredText, TEXT_LIMITS } from './text';

/** A release: the figures that were on the screen, so that nobody releases what they have not seen. Left out, nothing is compared. */
export const releaseInput = object({
  /** Missing for the job's own new part. */
  itemId: string().strict().typeError('Item is an id.').max(36, 'Item is not an id.').optional(),
  seen: array(object({ key: requiredText('Figure', TEXT_LIMITS.line), valueMm: numberOf('Value', -1e6, 1e6) }))
    .strict()
    .typeError('Seen: a list.')
    .max(1000, 'At most 1000 figures.')
    .optional(),
});
export type ReleaseInput = InferType<typeof releaseInput>;
