import { choiceKey, keeper, sameMembers, type ChoiceRecord, type JobSheet, type ReadingRecord, type Part } from '@iron-patch/core';
import type { OutboxItem } from '../data';

const keepWaiting = keeper<OutboxItem, ReadingRecord>();

/** Says which record an item of the outbox stands for, so that it is the same object wherever it shows. */
export const standsFor = (item: OutboxItem, record: ReadingRecord): ReadingRecord => keepWaiting(item, [], () => record);

/** A reading on its way, as it will stand on record. */
const waitingReading = (item: OutboxItem): ReadingRecord =>
  keepWaiting(item, [], () => {
    const { input, jobId, personId, valueMm } = item;
    const { confirmed: _, ...rest } = input;
    return { ...rest, afterActId: rest.afterActId ?? null, jobId, personId, valueMm };
  });

/** The sheet with the readings that the server has not acknowledged yet, and with a drawing that is not saved yet. */
export function shownSheet(sheet: JobSheet, outbox: readonly OutboxItem[], draft: Part | null): JobSheet {
  const waiting = outbox
    .filter((i) => i.jobId === sheet.job.id && i.refused === null && !sheet.readings.some((r) => r.id === i.input.id))
    .map(waitingReading);
  const before = sheet.choices.find((c) => c.key === choiceKey.part);
  const drafted: ChoiceRecord | null = draft && {
    ...(before ?? { jobId: sheet.job.id, key: choiceKey.part, reason: '', personId: '', at: '', version: 0 }),
    value: draft,
  };
  return {
    ...sheet,
    readings: waiting.length ? [...sheet.readings, ...waiting] : sheet.readings,
    choices: drafted ? [...sheet.choices.filter((c) => c.key !== choiceKey.part), drafted] : sheet.choices,
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
