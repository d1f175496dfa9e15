import { keeper, partKeyOf, sameMembers, takenReading, type ChoiceRecord, type JobSheet, type ReadingRecord } from '@iron-patch/core';
import type { OutboxItem } from '../data';
import type { Drafts } from './kept-drawing';

const keepWaiting = keeper<OutboxItem, ReadingRecord>();

/** Says which record an item of the outbox stands for, so that it is the same object wherever it shows. */
export const standsFor = (item: OutboxItem, record: ReadingRecord): ReadingRecord => keepWaiting(item, [], () => record);

/** A reading on its way, as it will stand on record. */
const waitingReading = (item: OutboxItem): ReadingRecord =>
  keepWaiting(item, [], () => {
    const { input, jobId, personId, valueMm } = item;
    return takenReading(input, { jobId, personId, valueMm });
  });

/** The sheet with the readings that the server has not acknowledged yet, and with drawings that are not saved yet. */
export function shownSheet(sheet: JobSheet, outbox: readonly OutboxItem[], drafts: Drafts): JobSheet {
  const waiting = outbox
    .filter((i) => i.jobId === sheet.job.id && i.refused === null && !sheet.readings.some((r) => r.id === i.input.id))
    .map(waitingReading);
  const drafted = Object.entries(drafts).map(([itemId, { part }]): ChoiceRecord => {
    const key = partKeyOf(sheet.job.id, itemId);
    const before = sheet.choices.find((c) => c.key === key);
    return { ...(before ?? { jobId: sheet.job.id, key, reason: '', personId: '', version: 0 }), at: '', value: part };
  });
  return {
    ...sheet,
    readings: waiting.length ? [...sheet.readings, ...waiting] : sheet.readings,
    choices: drafted.length ? [...sheet.choices.filter((c) => !drafted.some((d) => d.key === c.key)), ...drafted] : sheet.choices,
  };
}

/** A sheet of the very same rows is the same: a reading that was on its way and is now on record changes nothing that follows from it. */
export const SAME_SHEET = {
  equal: (p: JobSheet | null, q: JobSheet | null): boolean =>
    p === q ||
    (p !== null &&
      q !== null &&
      (Object.keys(q) as (keyof JobSheet)[]).every((k) => {
        const [before, after] = [p[k], q[k]];
        return Array.isArray(before) && Array.isArray(after) ? sameMembers(before, after) : before === after;
      })),
};
