import { isTimeZone, momentsIn, wallTime } from './shop-day';

/** Published rules of the zones: offsets, and the hours at which summer time began and ended in 2026. */
it.each([
  ['2026-03-29T00:59:00Z', 'Europe/Oslo', '2026-03-29', '01:59'],
  ['2026-03-29T01:00:00Z', 'Europe/Oslo', '2026-03-29', '03:00'],
  ['2026-10-25T00:59:00Z', 'Europe/Oslo', '2026-10-25', '02:59'],
  ['2026-10-25T01:00:00Z', 'Europe/Oslo', '2026-10-25', '02:00'],
  ['2026-12-31T23:30:00Z', 'Europe/Oslo', '2027-01-01', '00:30'],
  ['2026-11-26T04:59:00Z', 'America/New_York', '2026-11-25', '23:59'],
  ['2026-11-26T05:00:00Z', 'America/New_York', '2026-11-26', '00:00'],
  ['2026-06-30T12:00:00Z', 'Asia/Kathmandu', '2026-06-30', '17:45'],
  ['2026-06-30T11:00:00Z', 'Pacific/Kiritimati', '2026-07-01', '01:00'],
])('%s is in %s %s, %s', (at, zone, day, time) => {
  expect(wallTime(at, zone)).toEqual({ day, time });
  expect(wallTime(new Date(at), zone)).toEqual({ day, time });
});

it('knows zones from other words', () => {
  expect(['Europe/Oslo', 'UTC', 'America/New_York'].map(isTimeZone)).toEqual([true, true, true]);
  expect(['Here', '', 'Europe/Nowhere'].map(isTimeZone)).toEqual([false, false, false]);
});

it('tells the moment of a minute of a day, whatever clocks do that night', () => {
  const oslo = momentsIn('Europe/Oslo');
  const iso = (day: string, minute: number): string => new Date(oslo(day, minute) * 60_000).toISOString().slice(0, 16);
  expect(iso('2026-11-27', 480)).toBe('2026-11-27T07:00');
  expect(iso('2026-03-29', 480)).toBe('2026-03-29T06:00');
  expect(iso('2026-03-29', 60)).toBe('2026-03-29T00:00');
  expect(iso('2026-10-25', 480)).toBe('2026-10-25T07:00');
  expect(iso('2026-11-27', 1440)).toBe('2026-11-27T23:00');
  // Back and forth over a year of days.
  for (let k = 0; k < 366; k++) {
    const day = new Date(Date.UTC(2026, 0, 1 + k)).toISOString().slice(0, 10);
    expect(wallTime(new Date(oslo(day, 615) * 60_000), 'Europe/Oslo')).toEqual({ day, time: '10:15' });
  }
});
