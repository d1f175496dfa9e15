import { ACCESSES } from '@iron-patch/core/terms/access';
import { object, type InferType } from 'yup';
import { oneOf } from './fields';
import { removedOf } from './removed';
import { requiredText, textOf, TEXT_LIMITS } from './text';

/** Somebody who works here. `gone` takes them off the list of who is at the bench. */
export const personInput = object({
  name: requiredText('Name', TEXT_LIMITS.name),
  role: textOf('What they do', TEXT_LIMITS.name),
  gone: removedOf(),
  /** What they may do; left out it stays as it is, and somebody new is a machinist. */
  access: oneOf('what they may do', ACCESSES).optional(),
});
export type PersonInput = InferType<typeof personInput>;
