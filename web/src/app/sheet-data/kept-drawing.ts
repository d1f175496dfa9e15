import { namesNow, upgradePart, type Part } from '@iron-patch/core';
import { readStored, writeStored } from '../data';

const DRAFT_KEY = 'iron-patch.draft.';

/** A drawing that was not saved yet, by job, with the version that it began from; one that an earlier version kept is brought up to date. */
export function keptDrawing(jobId: string): { readonly part: Part | null; readonly from: number } | null {
  const kept = readStored<{ readonly part: unknown; readonly from: number } | null>(DRAFT_KEY + jobId, null);
  return kept && { part: upgradePart(namesNow(kept.part)), from: kept.from };
}

/** Keeps a drawing in this browser until it is saved; null forgets it. */
export function keepDrawing(jobId: string, part: Part | null, from: number): void {
  if (part) writeStored(DRAFT_KEY + jobId, { part, from });
  else localStorage.removeItem(DRAFT_KEY + jobId);
}
