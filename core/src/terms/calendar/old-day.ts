import { isoOf, monthOf, timeOf, type IsoDay } from './parse-day';

/** In which order days are written where they are figures only: `4.12.2019` or `4/12/2019`. */
export type DayOrder = 'dmy' | 'mdy' | 'ymd';

const dayOf = (year: number, month: number, day: number): IsoDay | null => {
  const time = timeOf(year, month, day);
  return Number.isNaN(time) ? null : isoOf(time);
};

/** A year of two figures is the last one that is not to come. */
function yearOf(text: string, today: IsoDay): number {
  if (text.length > 2) return Number(text);
  const of20 = 2000 + Number(text);
  return of20 > Number(today.slice(0, 4)) ? of20 - 100 : of20;
}

/**
 * A day of long ago as a list writes it: in figures by the order that is said, with any of `. / -` between, or with its month in letters
 * (`4 Dec 2019`, `Dec 4, 2019`), its weekday or a time of day beside it.
 *
 * @param today no day of an old list is after it; years of two figures lie in the hundred before it ends
 * @returns null where it is no day of the calendar
 */
export function oldDay(raw: string, order: DayOrder, today: IsoDay): IsoDay | null {
  const text = raw
    .trim()
    .toLowerCase()
    .replace(/^(mon|tue|wed|thu|fri|sat|sun)[a-z]*\.?,?\s+/, '')
    .replace(/[t\s]+\d{1,2}:\d{2}(:\d{2}(\.\d+)?)?\s*([ap]m|z)?$/, '');
  const figures = /^(\d{1,4})[./-]\s*(\d{1,2})[./-]\s*(\d{1,4})$/.exec(text);
  if (figures) {
    const [first, second, third] = figures.slice(1) as [string, string, string];
    // Four figures first are a year, whatever is said of the others.
    const [year, month, day] =
      first.length === 4 || order === 'ymd' ? [first, second, third] : order === 'dmy' ? [third, second, first] : [third, first, second];
    if (year.length === 3 || day.length > 2) return null;
    return dayOf(yearOf(year, today), Number(month), Number(day));
  }
  const letters =
    /^(?:(\d{1,2})(?:st|nd|rd|th)?\.?[\s-]*([a-z]{3,9})[.,]?[\s-]*|([a-z]{3,9})\.?\s*(\d{1,2})(?:st|nd|rd|th)?[.,\s]\s*)(\d{4}|\d{2})$/.exec(
      text,
    );
  if (!letters) return null;
  const month = monthOf(letters[2] ?? letters[3]!);
  return month ? dayOf(yearOf(letters[5]!, today), month, Number(letters[1] ?? letters[4])) : null;
}

/** The order of days that most rows of a column agree with; day, month, year where they do not tell. */
export function guessDayOrder(days: readonly string[], today: IsoDay): DayOrder {
  const good = (order: DayOrder): number => days.filter((d) => oldDay(d, order, today) !== null).length;
  const orders: readonly DayOrder[] = ['dmy', 'mdy', 'ymd'];
  return orders.reduce((best, order) => (good(order) > good(best) ? order : best));
}
