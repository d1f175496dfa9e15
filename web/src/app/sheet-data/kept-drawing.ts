import { namesNow, upgradePart, type Part } from '@iron-patch/core';
import { readStored, writeStored } from '../data';

const DRAFT_KEY = 'iron-patch.draft.';

/** A drawing that is not saved yet, and the version of the saved one that it began from. */
export interface Draft {
  readonly part: Part;
  readonly from: number;
}

/** By item. The one that goes by the job's own id is kept where it was before a job had several. */
export type Drafts = Readonly<Record<string, Draft>>;

const keyOf = (jobId: string, itemId: string): string => DRAFT_KEY + (itemId === jobId ? jobId : `${jobId}:${itemId}`);

/** Drawings of a job that were not saved yet; one that an earlier version kept is brought up to date. */
export function keptDrawings(jobId: string): Drafts {
  const head = DRAFT_KEY + jobId;
  const keys = Object.keys(localStorage).filter((k) => k === head || k.startsWith(`${head}:`));
  return Object.fromEntries(
    keys.flatMap((key) => {
      const kept = readStored<{ readonly part: unknown; readonly from: number } | null>(key, null);
      const itemId = key === head ? jobId : key.slice(head.length + 1);
      const part = kept && upgradePart(namesNow(kept.part));
      return part ? [[itemId, { part, from: kept.from }]] : [];
    }),
  );
}

/** Keeps a drawing in this browser until it is saved; null forgets it. */
export function keepDrawing(jobId: string, itemId: string, draft: Draft | null): void {
  if (draft) writeStored(keyOf(jobId, itemId), draft);
  else localStorage.removeItem(keyOf(jobId, itemId));
}
