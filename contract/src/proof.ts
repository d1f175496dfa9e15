import { boolean, object, type InferType } from 'yup';
import { optionalIdOf, pieceOf } from './fields';
import { requiredText, textOf, TEXT_LIMITS } from './text';

/** Somebody passes or fails a dimension of one piece. The measured size is taken by the server from the readings. */
export const proofInput = object({
  /** Missing for the job's own new part and its first piece. */
  itemId: optionalIdOf('Item'),
  piece: pieceOf(),
  segmentId: requiredText('Segment', TEXT_LIMITS.name),
  passed: boolean().strict().required('Pass or fail.'),
  remark: textOf('Remark', TEXT_LIMITS.text),
});
export type ProofInput = InferType<typeof proofInput>;
