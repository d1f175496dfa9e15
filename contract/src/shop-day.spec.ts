import { isTimeZone, wallTime } from './shop-day';

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
