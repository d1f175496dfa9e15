import type { ReadingRecord } from './records';

/** Readings that count: not superseded by a correction, not withdrawn. Oldest first as given. */
export function liveReadings(readings: readonly ReadingRecord[]): ReadingRecord[] {
  const superseded = new Set<string>();
  for (const r of readings) if (r.supersedesId) superseded.add(r.supersedesId);
  // A withdrawal supersedes what it withdraws: without any correction all of them count.
  return superseded.size === 0 ? [...readings] : readings.filter((r) => !r.withdrawn && !superseded.has(r.id));
}
