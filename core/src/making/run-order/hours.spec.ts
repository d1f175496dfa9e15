import * as fc from 'fast-check';
import { daysOffWords, extraWords, parseDaysOff, parseExtra, parseWeek, weekWords } from './hours-text';
import { hoursOf, offOn, runs, spansOf, USUAL_HOURS, USUAL_PERSON, weekdayOf, type WeekSpan, type WorkHours } from './hours';

const TODAY = '2026-11-26';
const value = <T>(
  o: { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problems: readonly { readonly code: string }[] },
): T | string => (o.ok ? o.value : o.problems[0]!.code);
/** UTC is a clock as good as any. */
const utc = (day: string, minute: number): number => Date.parse(`${day}T00:00:00Z`) / 60_000 + minute;

describe('hours in words', () => {
  it('puts days of the same hours together, and is read back', () => {
    expect(weekWords(USUAL_HOURS.week)).toBe('Mon to Fri 8-12, 12:30-16:30');
    const sat: WeekSpan = { weekday: 6, from: 480, to: 720 };
    expect(weekWords([...USUAL_HOURS.week, sat])).toBe('Mon to Fri 8-12, 12:30-16:30\nSat 8-12');
    expect(value(parseWeek('mon – friday 8-12, 12.30 to 16:30\n\n sat 8-12 '))).toEqual([...USUAL_HOURS.week, sat]);
    for (const odd of ['Mon', '8-12', 'Fri to Mon 8-12', 'Mon 12-8', 'Mon 8-25', 'Mon 8:75-12', 'Foo 8-12', 'Mon 8-12,'])
      expect(value(parseWeek(odd))).toBe('not-a-week');
  });

  it('reads back whatever week it writes', () => {
    const span = fc.tuple(fc.integer({ min: 1, max: 7 }), fc.integer({ min: 0, max: 1438 }), fc.integer({ min: 1, max: 1440 }));
    fc.assert(
      fc.property(fc.array(span, { maxLength: 6 }), (spans) => {
        const week = spans.map(([weekday, a, b]) => ({ weekday, from: Math.min(a, b), to: Math.max(a, b) + (a === b ? 1 : 0) }));
        const sorted = [...week].sort((a, b) => a.weekday - b.weekday || a.from - b.from);
        const back = value(parseWeek(weekWords(week)));
        expect((back as WeekSpan[]).map((s) => [s.weekday, s.from])).toEqual(sorted.map((s) => [s.weekday, s.from]));
      }),
    );
  });

  it('reads days off and extra hours, over the turn of a year too', () => {
    const days = value(parseDaysOff('4 Dec\n24 Dec to 1 Jan: closed', TODAY));
    expect(days).toEqual([
      { from: '2026-12-04', to: '2026-12-04', what: '' },
      { from: '2026-12-24', to: '2027-01-01', what: 'closed' },
    ]);
    expect(value(parseDaysOff(daysOffWords(days as never), TODAY))).toEqual(days);
    expect(value(parseDaysOff('1 Jan 2027 to 24 Dec 2026', TODAY))).toBe('turned-round');
    expect(value(parseDaysOff('soon', TODAY))).toBe('not-a-day');
    const extra = value(parseExtra('Sat 5 Dec 8-12\n7.12. 17-19:30', TODAY));
    expect(extra).toEqual([
      { day: '2026-12-05', from: 480, to: 720 },
      { day: '2026-12-07', from: 1020, to: 1170 },
    ]);
    expect(value(parseExtra(extraWords(extra as never), TODAY))).toEqual(extra);
    for (const odd of ['Sat 5 Dec', '8-12', 'Sat 5 Dec 12-8']) expect(value(parseExtra(odd, TODAY))).toBe('not-hours');
  });
});

describe('when somebody works', () => {
  const hours: WorkHours = {
    ...USUAL_HOURS,
    closed: [{ from: '2026-11-27', to: '2026-11-27', what: 'stocktaking' }],
    people: {
      ines: {
        ...USUAL_PERSON,
        week: [{ weekday: 4, from: 600, to: 660 }],
        machines: ['lathe'],
        extra: [{ day: '2026-11-28', from: 480, to: 540 }],
      },
      maud: { ...USUAL_PERSON, notAtIt: true },
      tomas: { ...USUAL_PERSON, off: [{ from: '2026-11-26', to: '2026-11-26', what: '' }] },
    },
  };
  const minutes = (id: string): number => spansOf(hours, hoursOf(hours, id), TODAY, utc, 5).reduce((sum, s) => sum + s.to - s.from, 0);

  it('is by the shop’s week, or their own, without what is off, with what is more', () => {
    // Thursday and Monday of five days, the Friday closed.
    expect(minutes('anybody')).toBe(2 * 480);
    expect(minutes('tomas')).toBe(480);
    expect(minutes('ines')).toBe(60 + 60);
    expect(minutes('maud')).toBe(0);
    expect(offOn('2026-11-27', hours, null)?.what).toBe('stocktaking');
  });

  it('tells what they run', () => {
    expect(runs(hoursOf(hours, 'ines'))).toEqual(['lathe']);
    expect(runs(hoursOf(hours, 'maud'))).toEqual([]);
    expect(runs(hoursOf(hours, 'tomas'))).toContain('mill');
  });

  it('counts days of the week from Monday', () => {
    expect(['2026-11-23', '2026-11-28', '2026-11-29'].map(weekdayOf)).toEqual([1, 6, 7]);
  });
});
