import { QUANTITIES, sameSpot, type Spot } from '../../evidence/readings';
import type { PlaceFinding } from './place-finding';
import type { ReadingRecord } from './records';

/** The newest of some readings by time taken. */
const newest = (readings: readonly ReadingRecord[]): ReadingRecord | undefined =>
  readings.reduce<ReadingRecord | undefined>((p, q) => (p === undefined || q.takenAt >= p.takenAt ? q : p), undefined);

/** What the next reading of a place should come near to, mm: the last one taken there, else what it was; null when nothing is known. */
const expectedSizeMm = (readings: readonly ReadingRecord[], chosenNominalMm: number | null): number | null =>
  newest(readings)?.valueMm ?? chosenNominalMm;

/**
 * The same for one spot of a place that is already worked out: what was read at the very spot, else the newest reading that counts,
 * else what it was. An indicator swings about nothing and expects nothing.
 */
export function expectedAt(finding: PlaceFinding, spot: Spot): number | null {
  const { quantity } = spot;
  if (QUANTITIES[quantity].reads === 'indicator') return null;
  const size = quantity === 'size' ? (finding.chosenNominal?.sizeMm ?? null) : null;
  const counting = finding.readings.filter((r) => r.quantity === quantity && !finding.lost.has(r.instrumentId));
  const there = counting.filter((r) => sameSpot(r, spot));
  return expectedSizeMm(there.length ? there : counting, size);
}
