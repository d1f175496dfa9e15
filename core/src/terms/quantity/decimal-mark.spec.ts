import { formatWithUnit } from './format-length';
import { inMark, outOfMark } from './decimal-mark';
import { parseLength } from './parse-length';
import { parseNumberList } from './parse-number-list';

it.each([
  ['0.7491 in', '0,7491 in'],
  ['40.049 mm (1.5767 in)', '40,049 mm (1,5767 in)'],
  ['-0.021 to +0.005 mm', '-0,021 to +0,005 mm'],
  ['Ø25.40 in Ø25.43', 'Ø25,40 in Ø25,43'],
  ['M10x1.25', 'M10x1,25'],
  ['stations 4.5, 20, 35.25', 'stations 4,5; 20; 35,25'],
  ['It reads 19.03. Take 19.05.', 'It reads 19,03. Take 19,05.'],
  ['in 12.5% of all', 'in 12,5% of all'],
  ['1/2 in is 12.7 mm', '1/2 in is 12,7 mm'],
  ['read on 4 Dec 2026, 09:05: 19.03', 'read on 4 Dec 2026, 09:05: 19,03'],
])('a comma shop reads %s as %s', (text, written) => expect(inMark(text, ',')).toBe(written));

it.each([
  'ANSI B4.1, RC 4',
  'Stainless steel (1.4301, 304)',
  'Precipitation hardened stainless (1.4542 H1025, 17-4)',
  'on 4.12.2026, 09:05',
  'http://127.0.0.1:8080',
  'version 21.2.26',
  'ISO 286-1, 6202, key 5',
  '4 Dec 2026, 12 pieces',
  'job 12, 3 readings',
  'wait...',
])('%s has no decimal in it', (text) => expect(inMark(text, ',')).toBe(text));

it('a size in brackets is no material, whatever it begins with', () => {
  expect(inMark('26.678 mm (1.0503 in)', ',')).toBe('26,678 mm (1,0503 in)');
  expect(inMark('36.325 (1.4301)', ',')).toBe('36,325 (1,4301)');
});

it('a point shop is left alone', () => {
  expect(inMark('0.7491, 0.75', '.')).toBe('0.7491, 0.75');
  expect(outOfMark('0,7491', '.')).toBe('0,7491');
});

it.each([
  ['19,027', '19.027'],
  [',7491', '.7491'],
  ['-0,02', '-0.02'],
  ['M16 x 1,5', 'M16 x 1.5'],
  ['M16x1,5', 'M16x1.5'],
  ['Ø12,5', 'Ø12.5'],
  ['19.027', '19.027'],
  ['5, 20', '5, 20'],
  ['5,20,35', '5,20,35'],
  ['1.234,5', '1.234,5'],
  ['4,5; 20; 35,25', '4.5; 20; 35.25'],
  ['@3 20,32 20,41', '@3 20.32 20.41'],
  ['pin, 40 long', 'pin, 40 long'],
  ['seat 12,5 long: 19,97 19,98', 'seat 12.5 long: 19.97 19.98'],
  ['1 3/16', '1 3/16'],
  ['19,03mm', '19.03mm'],
])('typed %s means %s', (typed, meant) => expect(outOfMark(typed, ',')).toBe(meant));

/** The marks of a locale from the platform's own tables, not from ours. */
const german = new Intl.NumberFormat('de', { minimumFractionDigits: 3, maximumFractionDigits: 3, useGrouping: false });

it('what the platform writes for a comma locale is what this writes, and what it reads, over four decades', () => {
  for (let i = 0; i < 300; i++) {
    const mm = 0.013 + (i * i * 1.237) / 7;
    const text = german.format(mm);
    expect(inMark(mm.toFixed(3), ',')).toBe(text);
    const read = parseLength(outOfMark(text, ','), { unit: 'mm' });
    expect(read.ok && read.value.valueMm).toBeCloseTo(mm, 2);
  }
});

it('no size is read a thousand times too large, with nothing expected', () => {
  const read = parseLength(outOfMark('19,027', ','), { unit: 'mm' });
  expect(read).toMatchObject({ ok: true, value: { valueMm: 19.027, decimals: 3 } });
});

it('a written list is read back', () => {
  const list = parseNumberList(outOfMark(inMark('4.5, 20, 35.25', ','), ','));
  expect(list).toEqual({ ok: true, value: [4.5, 20, 35.25] });
});

it('both units of a figure are written alike', () => {
  expect(inMark(`${formatWithUnit(40.0488, 'mm')} (${formatWithUnit(40.0488, 'in')})`, ',')).toBe('40,049 mm (1,5767 in)');
});
