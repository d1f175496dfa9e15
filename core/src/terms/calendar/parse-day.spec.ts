import * as fc from 'fast-check';
import { parseDay } from './index';

/** A Thursday. */
const TODAY = '2026-11-26';
const day = (text: string, leaning?: 'to-come' | 'past', today = TODAY): string => {
  const parsed = parseDay(text, today, leaning);
  return parsed.ok ? parsed.value : parsed.problems[0]!.code;
};

it.each([
  ['2026-12-04', '2026-12-04'],
  ['2026-2-4', '2026-02-04'],
  ['4.12.', '2026-12-04'],
  ['4.12', '2026-12-04'],
  ['4. 12. 2027', '2027-12-04'],
  ['04.12.26', '2026-12-04'],
  ['4 Dec', '2026-12-04'],
  ['4. December', '2026-12-04'],
  ['4 dec 2026', '2026-12-04'],
  ['Dec 4', '2026-12-04'],
  ['Dec 4, 2026', '2026-12-04'],
  ['Fri 4 Dec 2026', '2026-12-04'],
  ['Friday, 4 December', '2026-12-04'],
  ['26.11.', '2026-11-26'],
  ['25.11.', '2027-11-25'],
  ['today', '2026-11-26'],
  ['Tomorrow', '2026-11-27'],
  ['friday', '2026-11-27'],
  ['thu', '2026-12-03'],
  ['31/1', '2027-01-31'],
  ['1/31/2027', '2027-01-31'],
  ['5/5', '2027-05-05'],
  ['29 Feb', '2028-02-29'],
])('%s is %s', (text, iso) => expect(day(text)).toBe(iso));

it.each([
  ['4/12', 'two-ways'],
  ['4/12/2026', 'two-ways'],
  ['31.2.', 'no-such-day'],
  ['2026-02-30', 'no-such-day'],
  ['29 Feb 2027', 'no-such-day'],
  ['0.0.', 'no-such-day'],
  ['soon', 'not-a-day'],
  ['', 'not-a-day'],
  ['4 Foo', 'not-a-day'],
  ['44', 'not-a-day'],
])('%s is asked about: %s', (text, code) => expect(day(text)).toBe(code));

it('takes what is past where that is meant', () => {
  expect([day('25.11.', 'past'), day('27.11.', 'past'), day('wed', 'past'), day('thu', 'past')]).toEqual([
    '2026-11-25',
    '2025-11-27',
    '2026-11-25',
    '2026-11-19',
  ]);
});

it('reads back every day however the runtime writes it', () => {
  const days = fc.integer({ min: 0, max: 40_000 }).map((n) => new Date(n * 86_400_000));
  const styles: readonly Intl.DateTimeFormatOptions[] = [
    { day: 'numeric', month: 'short', year: 'numeric' },
    { day: 'numeric', month: 'long', year: 'numeric', weekday: 'long' },
  ];
  fc.assert(
    fc.property(days, fc.constantFrom('en-GB', 'en-US'), fc.constantFrom(...styles), (at, locale, style) => {
      const text = at.toLocaleDateString(locale, { ...style, timeZone: 'UTC' });
      return day(text) === at.toISOString().slice(0, 10);
    }),
  );
  fc.assert(
    fc.property(
      days,
      (at) => day(at.toLocaleDateString('de-DE', { timeZone: 'UTC', dateStyle: 'medium' })) === at.toISOString().slice(0, 10),
    ),
  );
});

it('never takes text for a day of another kind, and never throws', () => {
  fc.assert(fc.property(fc.string(), (text) => /^(\d{4}-\d{2}-\d{2}|two-ways|no-such-day|not-a-day)$/.test(day(text))));
});
