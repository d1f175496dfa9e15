import { object, type InferType } from 'yup';
import { removedOf } from './removed';
import { requiredText, textOf, TEXT_LIMITS } from './text';

/** Somebody who works here. `gone` takes them off the list of who is at the bench. */
export const personInput = object({
  name: requiredText('Name', TEXT_LIMITS.name),
  role: textOf('What they do', TEXT_LIMITS.name),
  gone: removedOf(),
});
export type PersonInput = InferType<typeof personInput>;
