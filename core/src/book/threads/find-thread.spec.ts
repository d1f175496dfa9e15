import { THREADS } from './all-threads';
import { findThread } from './find-thread';

it.each([
  ['G1/2', 'G 1/2'],
  ['g 1', 'G 1'],
  ['G1 1/4', 'G 1 1/4'],
  ['1/2 BSP', 'G 1/2'],
  ['bsp 1 1/4', 'G 1 1/4'],
  ['1/2bspt', 'R 1/2'],
  ['R1/2', 'R 1/2'],
  ['NPT1/2', '1/2 NPT'],
  ['1/2npt', '1/2 NPT'],
  ['npt 1', '1 NPT'],
  ['M10', 'M10'],
  ['m 10', 'M10'],
  ['M10x1.5', 'M10'],
  ['m10x1', 'M10 x 1'],
  ['M10 x 1,25', 'M10 x 1.25'],
  ['Tr20x4', 'Tr 20 x 4'],
  ['tr 20 x 4', 'Tr 20 x 4'],
  ['1/2 13', '1/2-13 UNC'],
  ['1/2-20', '1/2-20 UNF'],
  ['1/2-20UNF', '1/2-20 UNF'],
  ['3/8 unc', '3/8-16 UNC'],
  ['3/8unf', '3/8-24 UNF'],
  ['1 unc', '1-8 UNC'],
  ['1 1/2 unf', '1 1/2-12 UNF'],
  ['10-32', '#10-32 UNF'],
  ['10 unc', '#10-24 UNC'],
  ['#10 unf', '#10-32 UNF'],
  ['3/8 BSW', '3/8 BSW'],
  ['2ba', '2 BA'],
  ['1-5 acme', '1-5 ACME'],
  ['1 acme', '1-5 ACME'],
] as const)('“%s” is %s', (typed, name) => expect(findThread(typed)?.name).toBe(name));

it.each(['', ' ', 'G', 'M', 'unc', 'npt', 'hello', 'x', '--', '17/1000 unc', 'G 7/16'])('“%s” names none', (typed) => {
  expect(findThread(typed)).toBeUndefined();
});

it('every thread of the book is found by its own name, in small letters, and without the gaps of it', () => {
  for (const t of THREADS) {
    expect([t.name, findThread(t.name)?.name]).toEqual([t.name, t.name]);
    expect([t.name, findThread(t.name.toLowerCase())?.name]).toEqual([t.name, t.name]);
    const tight = t.name
      .replace(/(\d) (?=[A-Z])/, '$1')
      .replace(/^([A-Za-z]+) (?=\d)/, '$1')
      .replaceAll(' x ', 'x');
    expect([tight, findThread(tight)?.name]).toEqual([tight, t.name]);
  }
});
