import { array, object, type InferType } from 'yup';
import { decimalMark, oneOf } from './fields';
import { requiredText, textOf, TEXT_LIMITS } from './text';

/** What the shop is called, the unit that it starts from, how it writes decimals, and how far the first walk has come. */
export const shopSettingsInput = object({
  name: requiredText('Name of the shop', TEXT_LIMITS.name, 'Say what the shop is called.'),
  unit: oneOf('a unit', ['mm', 'in'] as const),
  decimalMark: decimalMark(),
  /** Left out, it stays as it is. */
  warranty: textOf('Warranty', TEXT_LIMITS.large).optional(),
  walked: array(requiredText('Step', 40)).strict().required('Steps: a list.').max(20, 'Steps: at most 20.'),
});
export type ShopSettingsInput = InferType<typeof shopSettingsInput>;
