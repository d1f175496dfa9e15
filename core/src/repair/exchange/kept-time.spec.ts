import { keptTime } from './kept-time';

it.each([
  ['2026-11-20T10:00:00Z', '2026-11-20T10:00:00.000Z'],
  ['2026-11-20T11:00:00+01:00', '2026-11-20T10:00:00.000Z'],
  ['0001-01-01T00:00:00Z', '0001-01-01T00:00:00.000Z'],
  ['9999-12-31T23:59:59.999Z', '9999-12-31T23:59:59.999Z'],
  // An hour before the first year of the calendar, by its own clock within it.
  ['0001-01-01T00:00:00+01:00', null],
  ['+010000-01-01T00:00:00Z', null],
  ['yesterday', null],
  ['2026-13-40T10:00:00Z', null],
  ['', null],
])('%j is kept as %j', (text, kept) => {
  expect(keptTime(text)).toBe(kept);
});
