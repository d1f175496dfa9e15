import { boolean, object, type InferType } from 'yup';
import { numberOf, optionalIdOf, pieceOf } from './fields';
import { requiredText, textOf, TEXT_LIMITS } from './text';

/** Somebody passes or fails a dimension of one piece. The size of what an instrument reads is taken by the server from the readings. */
export const proofInput = object({
  /** Missing for the job's own new part and its first piece. */
  itemId: optionalIdOf('Item'),
  piece: pieceOf(),
  segmentId: requiredText('Segment', TEXT_LIMITS.name),
  passed: boolean().strict().required('Pass or fail.'),
  remark: textOf('Remark', TEXT_LIMITS.text),
  /** Of what no instrument reads: what it was tried with, and what that showed, in the dimension's own unit. */
  gaugedWith: textOf('Tried with', TEXT_LIMITS.name).optional(),
  gaugedValue: numberOf('What it showed', -1000, 1000).nullable().optional(),
});
export type ProofInput = InferType<typeof proofInput>;
