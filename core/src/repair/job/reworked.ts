import { keeper } from '../../terms/kept';
import type { JobSheet, ReadingRecord } from './records';

const keep = keeper<ReadingRecord, ReadingRecord>();

/**
 * Readings that prove a place of a component which was cut, as readings of that place after its item: what is made has to fit it as it was
 * bored, not as it was meant to be.
 *
 * @param live readings that count
 */
export function readAsReworked(live: readonly ReadingRecord[], { places }: Pick<JobSheet, 'places'>): ReadingRecord[] {
  const ids = new Set(places.map((p) => p.id));
  return live
    .filter((r) => r.purpose === 'proof' && r.segmentId !== null && ids.has(r.segmentId))
    .map((r) => keep(r, [], () => ({ ...r, purpose: 'found', placeId: r.segmentId, segmentId: null, itemId: null, afterActId: r.itemId })));
}
