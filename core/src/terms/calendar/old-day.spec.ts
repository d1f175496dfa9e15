import { daysUntil, guessDayOrder, oldDay } from '.';

const TODAY = '2026-12-04';
const day = (text: string, order: Parameters<typeof oldDay>[1] = 'dmy'): string | null => oldDay(text, order, TODAY);

it('reads figures in the order that is said, whatever stands between', () => {
  for (const text of ['4.12.2019', '04/12/2019', '4-12-19', '4. 12. 2019', 'Wed 4/12/2019', '4/12/2019 14:30', '4/12/2019 2:30 pm'])
    expect([text, day(text)]).toEqual([text, '2019-12-04']);
  expect([day('4/12/2019', 'mdy'), day('19-12-04', 'ymd')]).toEqual(['2019-04-12', '2019-12-04']);
});

it('a year first is one in every order, with the time that a program writes after it', () => {
  for (const order of ['dmy', 'mdy', 'ymd'] as const)
    for (const text of ['2019-12-04', '2019/12/4', '2019-12-04T08:15:00Z', '2019-12-04 08:15:00.000'])
      expect(day(text, order)).toBe('2019-12-04');
});

it('reads months in letters', () => {
  for (const text of ['4 Dec 2019', 'Dec 4, 2019', '4. December 2019', 'December 4th 2019', '4-Dec-19', 'Wednesday, 4 Dec 2019'])
    expect([text, day(text)]).toEqual([text, '2019-12-04']);
});

it('a year of two figures is the last one that is not to come', () => {
  expect([day('1.1.26'), day('1.1.27'), day('1.1.87'), day('1.1.00')]).toEqual(['2026-01-01', '1927-01-01', '1987-01-01', '2000-01-01']);
});

it('takes nothing for a day that the calendar does not have', () => {
  for (const text of [
    '',
    '2019',
    '31.2.2019',
    '29.2.2019',
    '13/13/2019',
    '4 Dec',
    'Dec 2019',
    '4 Foo 2019',
    '4.12.219',
    'soon',
    '4.12.2019.1',
    '1e9',
  ])
    expect([text, day(text)]).toEqual([text, null]);
  expect(day('29.2.2020')).toBe('2020-02-29');
});

it('guesses the order that most of a column agree with', () => {
  expect(guessDayOrder(['4/12/2019', '12/31/2019', '1/2/2019'], TODAY)).toBe('mdy');
  expect(guessDayOrder(['4/12/2019', '31/12/2019'], TODAY)).toBe('dmy');
  expect(guessDayOrder(['87-12-31', '88-1-31'], TODAY)).toBe('ymd');
  expect(guessDayOrder([], TODAY)).toBe('dmy');
});

it('agrees with every day of a century, written each way', () => {
  for (let t = Date.UTC(1927, 0, 1); t < Date.UTC(2026, 11, 4); t += 86_400_000 * 13) {
    const at = new Date(t);
    const [y, m, d] = [at.getUTCFullYear(), at.getUTCMonth() + 1, at.getUTCDate()];
    const iso = at.toISOString().slice(0, 10);
    expect([day(`${d}.${m}.${y}`), day(`${m}/${d}/${y}`, 'mdy'), day(at.toUTCString().slice(5, 16))]).toEqual([iso, iso, iso]);
  }
});

it('counts days over months, leap years and clocks that are put back', () => {
  expect([
    daysUntil('2026-11-28', '2026-12-14'),
    daysUntil('2024-02-28', '2024-03-01'),
    daysUntil('2026-10-24', '2026-10-26'),
    daysUntil('2026-01-02', '2026-01-01'),
  ]).toEqual([16, 2, 2, -1]);
});
