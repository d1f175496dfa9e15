import { threadedKind, TOOL_KINDS } from '@iron-patch/core';
import { number, object, type InferType } from 'yup';
import { lengthOf, oneOf } from './fields';
import { removedOf } from './removed';
import { textOf, TEXT_LIMITS } from './text';

const MOST_SIZE_MM = 1000;
const MOST_PIECES = 999;
const PIECES = `Pieces: a whole number from 1 to ${MOST_PIECES}.`;

/** A tool that hangs in the crib. `removed` takes it off the list. */
export const toolInput = object({
  kind: oneOf('a kind of tool', TOOL_KINDS),
  sizeMm: lengthOf('Size', 0.01, MOST_SIZE_MM).nullable(),
  thread: textOf('Thread', TEXT_LIMITS.name).when('kind', ([kind], schema) =>
    threadedKind(kind as never)
      ? schema.min(1, 'Which thread does it cut?')
      : schema.max(0, 'Only a tap or a die cuts a thread of one name.'),
  ),
  note: textOf('Note', TEXT_LIMITS.line),
  pieces: number().strict().typeError(PIECES).required(PIECES).integer(PIECES).min(1, PIECES).max(MOST_PIECES, PIECES),
  removed: removedOf(),
});
export type ToolInput = InferType<typeof toolInput>;
