import { bad, good, type Outcome } from '../outcome';
import { parseDay, type IsoDay } from './parse-day';

/** A minute of a day of the calendar. */
export interface DayMinute {
  readonly day: IsoDay;
  readonly minute: number;
}

const TIME = /^(\d{1,2})(?:[:.](\d{2})|h)?$/i;

/**
 * A day and a time as people say them: `9`, `9:30`, `14.15`, `fri 9`, `4 Dec 13:30`, `tomorrow 8`. Without a day it is today.
 *
 * @param today as `2026-12-04`, by the calendar of the shop
 */
export function parseMoment(raw: string, today: IsoDay): Outcome<DayMinute> {
  const words = raw.trim().split(/\s+/);
  const time = TIME.exec(words.at(-1) ?? '');
  const [hour, minute] = [Number(time?.[1]), Number(time?.[2] ?? 0)];
  if (!time || hour > 24 || minute > 59 || hour * 60 + minute > 1440)
    return bad('not-a-time', 'Write a time, or a day and a time: 9:30, fri 9, 4 Dec 13:30.');
  const said = words.slice(0, -1).join(' ');
  if (!said) return good({ day: today, minute: hour * 60 + minute });
  const day = parseDay(said, today);
  return day.ok ? good({ day: day.value, minute: hour * 60 + minute }) : day;
}
