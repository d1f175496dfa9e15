import { BEARINGS } from '../bearings';
import { findThread } from '../threads';
import type { BookEntry } from './entry';
import { bearingEntry, FINDABLES, threadEntry } from './entries';

const cell = (e: BookEntry, label: string) => e.rows.find(([l]) => l === label)?.[1];
const bearing = (code: string): BookEntry => bearingEntry(BEARINGS.find((b) => b.code === code)!);
const thread = (name: string): BookEntry => threadEntry(findThread(name)!);

it('6204: 20 x 47 x 14 (ISO 15); its shaft k5, +11 +2, its housing H7, +25 0 (ISO 286)', () => {
  const e = bearing('6204');
  expect([cell(e, 'Bore'), cell(e, 'Outside'), cell(e, 'Width')]).toEqual([20, 47, 14]);
  const seats = e.rows.flatMap(([label, v]) => (/seat|Housing/.test(label) ? [[label, v]] : []));
  expect(seats).toEqual([
    ['Shaft seat k5, most', expect.closeTo(20.011, 6)],
    ['Shaft seat k5, least', expect.closeTo(20.002, 6)],
    ['Housing H7, most', expect.closeTo(47.025, 6)],
    ['Housing H7, least', expect.closeTo(47, 6)],
  ]);
});

it('30206: a taper roller’s width is over both rings, and it gets no seats of a ball bearing', () => {
  const e = bearing('30206');
  expect(cell(e, 'Width over both rings')).toBe(17.25);
  expect(e.rows.some(([label]) => label.startsWith('Shaft seat'))).toBe(false);
});

it('3/8-16 UNC: pitch diameter 0.3344, 2A 0.3331 to 0.3287, tap drill 5/16, best wire 0.0361 (ASME B1.1)', () => {
  const e = thread('3/8-16 UNC');
  const inch = (label: string): number => (cell(e, label) as number) / 25.4;
  expect(inch('Pitch diameter')).toBeCloseTo(0.3344, 4);
  expect(inch('2A pitch diameter, most')).toBeCloseTo(0.3331, 4);
  expect(inch('2A pitch diameter, least')).toBeCloseTo(0.3287, 4);
  expect(inch('Best wire')).toBeCloseTo(0.0361, 4);
  expect(cell(e, 'Tap drill')).toMatch(/^5\/16/);
  expect(cell(e, 'To the inch')).toBe('16');
});

it('1/2 NPT is known by its pipe, 0.840 outside, not by sizes of a parallel thread', () => {
  const e = thread('1/2 NPT');
  expect((cell(e, 'Outside of the pipe') as number) / 25.4).toBeCloseTo(0.84, 6);
  for (const label of ['Major', 'Pitch diameter', 'Best wire']) expect(cell(e, label)).toBeUndefined();
});

it('everything that can be found opens: a title, figures that are numbers, a source', () => {
  for (const f of FINDABLES) {
    const e = f.entry();
    expect(e.title).not.toBe('');
    expect(e.source).not.toBe('');
    for (const [label, v] of e.rows) {
      expect(label).not.toBe('');
      if (typeof v === 'number') expect(Number.isFinite(v) && v > 0).toBe(true);
      else expect(v).not.toMatch(/undefined|NaN|null/);
    }
  }
});

it('no two are called alike: who asks for a drill of 1 gets the millimetre and the inch, each by its name', () => {
  const titles = FINDABLES.map((f) => f.entry().title);
  expect(titles.filter((t, i) => titles.indexOf(t) !== i)).toEqual([]);
  const ones = FINDABLES.filter((f) => f.words === '1 drill').map((f) => f.entry());
  expect(ones.map((e) => cell(e, 'Diameter')).sort()).toEqual([1, 25.4]);
});
