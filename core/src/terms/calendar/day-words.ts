import type { IsoDay } from './parse-day';

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];
const WEEKDAYS = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'];

/** How much of a day is written: `4 Dec 2026`, `Fri 4 Dec`, `Fri 4 Dec 2026`, `4 Dec`. */
export type DayStyle = 'date' | 'weekday' | 'whole' | 'short';

/** A day as the shop writes it, which no country reads two ways: `4 Dec 2026`; empty where there is none. */
export function dayWords(day: IsoDay | null, style: DayStyle = 'date'): string {
  if (!day) return '';
  const at = new Date(`${day.slice(0, 10)}T00:00:00Z`);
  const words = `${at.getUTCDate()} ${MONTHS[at.getUTCMonth()]!}`;
  const dated = style === 'date' || style === 'whole' ? `${words} ${at.getUTCFullYear()}` : words;
  return style === 'weekday' || style === 'whole' ? `${WEEKDAYS[at.getUTCDay()]!} ${dated}` : dated;
}
