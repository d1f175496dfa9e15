import { parseDay, dayWords, type IsoDay } from '../../terms/calendar';
import { bad, good, type Outcome } from '../../terms/outcome';
import type { DaysOff, ExtraHours, WeekSpan } from './hours';

const WEEKDAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'] as const;
const DAY_MIN = 1440;
const TIMES = /^(\d{1,2})(?:[:.](\d{2}))?\s*(?:-|–|to)\s*(\d{1,2})(?:[:.](\d{2}))?$/i;

interface Times {
  readonly from: number;
  readonly to: number;
}

const clock = (minute: number): string => `${Math.floor(minute / 60)}${minute % 60 ? `:${String(minute % 60).padStart(2, '0')}` : ''}`;
const timesWords = (spans: readonly Times[]): string => spans.map((s) => `${clock(s.from)}-${clock(s.to)}`).join(', ');

/** `8-12, 12:30-16:30` as minutes after midnight; null for what is none. */
function timesOf(text: string): Times[] | null {
  const spans = text.split(',').map((t): Times | null => {
    const m = TIMES.exec(t.trim());
    if (!m) return null;
    const from = Number(m[1]) * 60 + Number(m[2] ?? 0);
    const to = Number(m[3]) * 60 + Number(m[4] ?? 0);
    return Number(m[2] ?? 0) < 60 && Number(m[4] ?? 0) < 60 && from < to && to <= DAY_MIN ? { from, to } : null;
  });
  return spans.every((s) => s !== null) ? spans : null;
}

const linesOf = (text: string): string[] =>
  text
    .split('\n')
    .map((l) => l.trim())
    .filter(Boolean);

/** A week as people write it, days of the same hours together: `Mon to Fri 8-12, 12:30-16:30`. */
export function weekWords(week: readonly WeekSpan[]): string {
  const ofDay = WEEKDAYS.map((_, k) => timesWords(week.filter((s) => s.weekday === k + 1).sort((a, b) => a.from - b.from)));
  const lines: string[] = [];
  for (let k = 0; k < ofDay.length;) {
    let last = k;
    while (ofDay[last + 1] === ofDay[k]) last++;
    if (ofDay[k]) lines.push(`${WEEKDAYS[k]!}${last > k ? ` to ${WEEKDAYS[last]!}` : ''} ${ofDay[k]!}`);
    k = last + 1;
  }
  return lines.join('\n');
}

const weekdayIn = (word: string): number => WEEKDAYS.findIndex((d) => d.toLowerCase() === word.slice(0, 3).toLowerCase()) + 1;

/** A week read from lines such as `Mon to Fri 8-12, 12:30-16:30` and `Sat 8-12`. */
export function parseWeek(text: string): Outcome<WeekSpan[]> {
  const week: WeekSpan[] = [];
  for (const line of linesOf(text)) {
    const m = /^([a-z]{3,})(?:\s*(?:to|-|–)\s*([a-z]{3,}))?\s+(.+)$/i.exec(line);
    const [first, last] = [m ? weekdayIn(m[1]!) : 0, m?.[2] ? weekdayIn(m[2]) : m ? weekdayIn(m[1]!) : 0];
    const times = m ? timesOf(m[3]!) : null;
    if (!first || !last || last < first || !times)
      return bad('not-a-week', `“${line.slice(0, 40)}”: write it like Mon to Fri 8-12, 12:30-16:30.`);
    for (let weekday = first; weekday <= last; weekday++) week.push(...times.map((t) => ({ weekday, ...t })));
  }
  return good(week);
}

/** Days off as people write them, a line each: `24 Dec 2026 to 1 Jan 2027: closed`. */
export const daysOffWords = (days: readonly DaysOff[]): string =>
  days.map((d) => `${dayWords(d.from)}${d.to !== d.from ? ` to ${dayWords(d.to)}` : ''}${d.what ? `: ${d.what}` : ''}`).join('\n');

/** Days off read from lines such as `4 Dec`, `24 Dec to 1 Jan: closed`. */
export function parseDaysOff(text: string, today: IsoDay): Outcome<DaysOff[]> {
  const days: DaysOff[] = [];
  for (const line of linesOf(text)) {
    const colon = line.indexOf(':');
    const [said, what] = colon < 0 ? [line, ''] : [line.slice(0, colon), line.slice(colon + 1).trim()];
    const [first, last] = said.split(/\s+to\s+|\s+-\s+|\s*–\s*/);
    const from = parseDay(first ?? '', today);
    if (!from.ok) return from;
    // A day without a year comes after the first one.
    const to = last === undefined ? from : parseDay(last, from.value);
    if (!to.ok) return to;
    if (to.value < from.value) return bad('turned-round', `“${line.slice(0, 40)}”: the last day comes before the first.`);
    days.push({ from: from.value, to: to.value, what });
  }
  return good(days);
}

/** Extra hours as people write them, a line each: `5 Dec 2026 8-12`. */
export const extraWords = (extra: readonly ExtraHours[]): string => extra.map((x) => `${dayWords(x.day)} ${timesWords([x])}`).join('\n');

/** Extra hours read from lines such as `Sat 5 Dec 8-12`. */
export function parseExtra(text: string, today: IsoDay): Outcome<ExtraHours[]> {
  const extra: ExtraHours[] = [];
  for (const line of linesOf(text)) {
    const m = /^(.+?)\s+(\d{1,2}(?:[:.]\d{2})?\s*(?:-|–|to)\s*\d.*)$/i.exec(line);
    const times = m ? timesOf(m[2]!) : null;
    if (!m || !times) return bad('not-hours', `“${line.slice(0, 40)}”: write it like Sat 5 Dec 8-12.`);
    const day = parseDay(m[1]!, today);
    if (!day.ok) return day;
    extra.push(...times.map((t) => ({ day: day.value, ...t })));
  }
  return good(extra);
}
