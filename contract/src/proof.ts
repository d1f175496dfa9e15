import { boolean, object, type InferType } from 'yup';
import { requiredText, textOf, TEXT_LIMITS } from './text';

/** Somebody passes or fails a segment. The measured size is taken by the server from the readings. */
export const proofInput = object({
  segmentId: requiredText('Segment', TEXT_LIMITS.name),
  passed: boolean().strict().required('Pass or fail.'),
  remark: textOf('Remark', TEXT_LIMITS.text),
});
export type ProofInput = InferType<typeof proofInput>;
