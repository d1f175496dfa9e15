import { dayWords, parseDay } from '.';

it('writes a day as it is asked for', () => {
  expect(dayWords('2026-12-04')).toBe('4 Dec 2026');
  expect(dayWords('2026-12-04', 'weekday')).toBe('Fri 4 Dec');
  expect(dayWords('2026-12-04', 'whole')).toBe('Fri 4 Dec 2026');
  expect(dayWords('2026-12-04', 'short')).toBe('4 Dec');
  expect(dayWords(null)).toBe('');
});

/** The platform's calendar, which knows nothing of ours. */
const platform = new Intl.DateTimeFormat('en-US', { timeZone: 'UTC', weekday: 'short', day: 'numeric', month: 'short', year: 'numeric' });

it('agrees with the platform’s calendar over leap days and ends of years, and is read back', () => {
  for (let i = 0; i < 900; i++) {
    const at = new Date(Date.UTC(1999, 11, 28) + i * 11 * 86_400_000);
    const day = at.toISOString().slice(0, 10);
    const part = Object.fromEntries(platform.formatToParts(at).map((p) => [p.type, p.value]));
    expect(dayWords(day, 'whole')).toBe(`${part['weekday']} ${part['day']} ${part['month']} ${part['year']}`);
    expect(parseDay(dayWords(day, 'whole'), '2026-01-01')).toEqual({ ok: true, value: day });
  }
});
