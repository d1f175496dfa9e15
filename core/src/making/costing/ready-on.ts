import type { IsoDay } from '../../terms/calendar';

/** Of a working day that much is work at the part itself, h: the rest is telephone, sweeping, the next customer. An estimate of the shop. */
const HANDS_ON_H = 6;
const DAY_MS = 86_400_000;

const isWorkday = (ms: number): boolean => ![0, 6].includes(new Date(ms).getUTCDay());

/**
 * The day on which something can be ready where nothing else stands before it: after what is waited for, hands on it on working days,
 * Monday to Friday.
 *
 * @param today ISO date
 * @param waitDays days of the calendar before it can begin
 */
export function readyOn(today: IsoDay, waitDays: number, minutes: number): IsoDay {
  let at = Date.parse(`${today}T00:00:00Z`) + Math.ceil(waitDays) * DAY_MS;
  let left = Math.ceil(minutes / 60 / HANDS_ON_H);
  while (!isWorkday(at)) at += DAY_MS;
  while (left > 1) {
    at += DAY_MS;
    if (isWorkday(at)) left--;
  }
  return new Date(at).toISOString().slice(0, 10);
}
