import { bad, good, type Outcome } from '../outcome';

/** A day of the calendar as `2026-12-04`. */
export type IsoDay = string;

const DAY_MS = 86_400_000;
const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];
const WEEKDAYS = ['sun', 'mon', 'tue', 'wed', 'thu', 'fri', 'sat'];
const WEEKDAY = '(?:sun|mon|tue|wed|thu|fri|sat)[a-z]*\\.?,?\\s+';

/** Which way a day without a year lies: a promise is to come, a calibration is past. */
export type Leaning = 'to-come' | 'past';

const pad = (n: number, digits = 2): string => String(n).padStart(digits, '0');

/** Milliseconds of a day at midnight of UTC; NaN for a day that the calendar does not have. */
export function timeOf(year: number, month: number, day: number): number {
  const iso = `${pad(year, 4)}-${pad(month)}-${pad(day)}`;
  const at = Date.parse(`${iso}T00:00:00Z`);
  return Number.isNaN(at) || new Date(at).toISOString().slice(0, 10) !== iso ? NaN : at;
}

/** The day, in UTC, of a time in ms since 1970. */
export const isoOf = (time: number): IsoDay => new Date(time).toISOString().slice(0, 10);

interface Parts {
  readonly day: number;
  readonly month: number;
  /** As typed: 26 is 2026; null where it is left out. */
  readonly year: number | null;
}

const yearOf = (text: string | undefined): number | null =>
  text === undefined || text === '' ? null : text.length <= 2 ? 2000 + Number(text) : Number(text);

/** 1 for `jan` and `january`; 0 where it is no month. */
export const monthOf = (word: string): number => MONTHS.indexOf(word.slice(0, 3)) + 1;

function partsOf(text: string): Parts | 'two-ways' | null {
  const iso = /^(\d{4})-(\d{1,2})-(\d{1,2})$/.exec(text);
  if (iso) return { year: Number(iso[1]), month: Number(iso[2]), day: Number(iso[3]) };
  const dotted = /^(\d{1,2})\.\s*(\d{1,2})\.?\s*(\d{2}|\d{4})?$/.exec(text);
  if (dotted) return { day: Number(dotted[1]), month: Number(dotted[2]), year: yearOf(dotted[3]) };
  const dayFirst = /^(\d{1,2})\.?\s*([a-z]{3,})\.?,?\s*(\d{2}|\d{4})?$/.exec(text);
  if (dayFirst && monthOf(dayFirst[2]!)) return { day: Number(dayFirst[1]), month: monthOf(dayFirst[2]!), year: yearOf(dayFirst[3]) };
  const monthFirst = /^([a-z]{3,})\.?\s*(\d{1,2})(?:\s*,\s*(\d{2}|\d{4})|\s+(\d{4}))?$/.exec(text);
  if (monthFirst && monthOf(monthFirst[1]!))
    return { day: Number(monthFirst[2]), month: monthOf(monthFirst[1]!), year: yearOf(monthFirst[3] ?? monthFirst[4]) };
  const slashed = /^(\d{1,2})\/(\d{1,2})(?:\/(\d{2}|\d{4}))?$/.exec(text);
  if (!slashed) return null;
  const [p, q] = [Number(slashed[1]), Number(slashed[2])];
  if (p <= 12 && q <= 12 && p !== q) return 'two-ways';
  return { day: Math.max(p, q), month: Math.min(p, q), year: yearOf(slashed[3]) };
}

/**
 * A day as people write it: `4.12.`, `4.12.26`, `2026-12-04`, `4 Dec`, `Dec 4, 2026`, `Fri 4 Dec`, `today`, `tomorrow`, `friday`.
 * A day without a year is the next one to come, or the last one past. `4/12` means two days to two halves of the trade: it asks.
 *
 * @param today as `2026-12-04`, by the calendar of the shop
 */
export function parseDay(raw: string, today: IsoDay, leaning: Leaning = 'to-come'): Outcome<IsoDay> {
  const text = raw.trim().toLowerCase().replace(/\s+/g, ' ');
  const now = Date.parse(`${today}T00:00:00Z`);
  const step = leaning === 'to-come' ? 1 : -1;
  if (text === 'today') return good(today);
  if (text === 'tomorrow') return good(isoOf(now + DAY_MS));
  if (text === 'yesterday') return good(isoOf(now - DAY_MS));
  const weekday = /^[a-z]{3,}$/.test(text) ? WEEKDAYS.indexOf(text.slice(0, 3)) : -1;
  if (weekday >= 0) {
    const ahead = (step * (weekday - new Date(now).getUTCDay()) + 7) % 7 || 7;
    return good(isoOf(now + step * ahead * DAY_MS));
  }
  const parts = partsOf(text.replace(new RegExp(`^${WEEKDAY}`), ''));
  if (parts === 'two-ways') return bad('two-ways', `${raw.trim()} is read two ways. Write 4 Dec, or 2026-12-04.`);
  if (!parts) return bad('not-a-day', `“${raw.trim().slice(0, 24)}” is no day. Write it like 4.12., 4 Dec or 2026-12-04.`);
  const { day, month } = parts;
  const thisYear = Number(today.slice(0, 4));
  // 29 February waits for its year.
  const years = parts.year === null ? Array.from({ length: 9 }, (_, i) => thisYear + step * i) : [parts.year];
  const time = years.map((y) => timeOf(y, month, day)).find((t) => (parts.year !== null ? true : step * (t - now) >= 0));
  return time === undefined || Number.isNaN(time)
    ? bad('no-such-day', `The calendar has no ${raw.trim().slice(0, 24)}.`)
    : good(isoOf(time));
}
