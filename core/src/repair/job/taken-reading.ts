import type { ReadingRecord } from './records';

type Later = 'afterActId' | 'itemId' | 'piece';
type Given = 'jobId' | 'personId' | 'valueMm';

/** A reading as it was typed. What readings have only since parts had states and jobs several items may be missing. */
export type TypedOut = Omit<ReadingRecord, Later | Given> & {
  readonly afterActId?: string | null | undefined;
  readonly itemId?: string | null | undefined;
  readonly piece?: number | undefined;
  /** Somebody said that an unlikely value is right: asked once, not kept. */
  readonly confirmed?: boolean;
};

/**
 * The record of a reading: what it leaves out is as it was before there was a choice, as found, of the job's own new part, of its first piece.
 */
export function takenReading({ confirmed: _, ...typed }: TypedOut, given: Pick<ReadingRecord, Given>): ReadingRecord {
  return {
    ...typed,
    ...given,
    afterActId: typed.afterActId ?? null,
    itemId: typed.segmentId === null ? null : (typed.itemId ?? given.jobId),
    piece: typed.piece ?? 1,
  };
}
