import type { RunJob } from '@iron-patch/core';
import ical, { ICalCalendarMethod } from 'ical-generator';

/** A job as a calendar needs it; without what is to be done where that was never worked out. */
export type CalendarJob = Omit<RunJob, 'toDo'> & { readonly toDo: RunJob['toDo'] | null };

const DAY_MS = 86_400_000;
const ONE_DAY = { allDay: true } as const;

/** All-day events are days of the shop's calendar, whatever clock the reader has. */
const dayOf = (day: string, after = 0): Date => new Date(Date.parse(`${day}T00:00:00Z`) + after * DAY_MS);

/** Promises, and what is awaited with a day, as a calendar that others read (RFC 5545). */
export function feedOf(shopName: string, jobs: readonly CalendarJob[], now: Date): string {
  const calendar = ical({
    name: shopName || 'Iron Patch',
    method: ICalCalendarMethod.PUBLISH,
    prodId: { company: 'Iron Patch', product: 'run order', language: 'EN' },
    ttl: 3600,
  });
  for (const { id, number, title, customerName, promisedOn, toDo } of jobs) {
    if (promisedOn)
      calendar.createEvent({
        ...ONE_DAY,
        id: `promise-${id}@iron-patch`,
        stamp: now,
        start: dayOf(promisedOn),
        end: dayOf(promisedOn, 1),
        timezone: null,
        summary: `${number} ${title}: promised`,
        description: customerName,
      });
    for (const { key, name, dueOn, done } of toDo?.acts ?? [])
      if (dueOn && !done)
        calendar.createEvent({
          ...ONE_DAY,
          id: `wait-${id}-${key.replaceAll(':', '-')}@iron-patch`,
          stamp: now,
          start: dayOf(dueOn),
          end: dayOf(dueOn, 1),
          timezone: null,
          summary: `${number} ${title}: ${name}`,
        });
  }
  return calendar.toString();
}
