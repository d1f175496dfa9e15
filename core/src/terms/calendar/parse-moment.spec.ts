import { parseMoment } from '.';

/** A Thursday. */
const TODAY = '2026-11-26';
const said = (text: string): string => {
  const parsed = parseMoment(text, TODAY);
  return parsed.ok ? `${parsed.value.day} ${parsed.value.minute}` : parsed.problems[0]!.code;
};

it.each([
  ['9', '2026-11-26 540'],
  ['9:30', '2026-11-26 570'],
  ['14.15', '2026-11-26 855'],
  ['7h', '2026-11-26 420'],
  ['fri 9', '2026-11-27 540'],
  ['Fri 4 Dec 13:30', '2026-12-04 810'],
  ['4. 12. 8', '2026-12-04 480'],
  ['tomorrow 24', '2026-11-27 1440'],
  ['24:01', 'not-a-time'],
  ['9:75', 'not-a-time'],
  ['fri', 'not-a-time'],
  ['', 'not-a-time'],
  ['4/12 9', 'two-ways'],
  ['30 Feb 9', 'no-such-day'],
])('%s is %s', (text, moment) => expect(said(text)).toBe(moment));
