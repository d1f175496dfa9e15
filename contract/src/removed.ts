import { boolean, type BooleanSchema } from 'yup';

/** Whether a record of the shop is taken off its list: it stays on record for what rests on it. */
export const removedOf = (): BooleanSchema<boolean> => boolean().strict().typeError('Removed: yes or no.').required('Removed: yes or no.');
