import { inSentence, isCutToSize, untried, type JobSheet, type Repair, type StationId } from '@iron-patch/core';

/** Between two keys of a number there is less than this. */
export const PAUSE_MS = 25;

/** Nothing in particular is looked at. */
export const NOWHERE = { spanId: null, stationMm: null, clockDeg: null, quantity: null } as const;

/** What the line says while it asks for nothing. */
export function nothingAsked(station: StationId, repair: Repair | null, sheet: JobSheet | null): string {
  if (station === 'prove' && repair?.proofs.length) {
    const left = repair.proofs.filter(untried).map((p) => inSentence(p.name));
    return left.length
      ? `What is measured is in. Still to be tried above: ${left.join('; ')}.`
      : 'Everything is measured. To measure one again, touch its name above.';
  }
  const at = repair?.at;
  const atMachine = station === 'cut' || (station === 'prove' && !repair?.part);
  if (at && at.item.kind !== 'make' && atMachine && (at.item.kind === 'join' || !isCutToSize(at)))
    return 'Nothing of this item is cut to a size: what is done stands above.';
  if (station === 'cut' && repair?.blockPlan) return 'It is made by the steps above, then read at Prove.';
  if (station === 'cut' || station === 'prove') return 'Draw and plan the part first: then its cuts and proofs are typed here.';
  return sheet?.places.length
    ? 'All planned readings are in. To correct or repeat one, touch its number at Measure.'
    : 'Write a place and what was read there at Measure, or add components and places at Strip.';
}

/** A typed number within a range, or null. */
export function numberIn(text: string, from: number, to: number): number | null {
  const value = Number(text.trim().replace(',', '.'));
  return text.trim() !== '' && Number.isFinite(value) && value >= from && value <= to ? value : null;
}
