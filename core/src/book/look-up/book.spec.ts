import { lookUp } from './look-up';
import { TABLES } from './tables';
import { cellText, tableCsv } from './table-csv';
import type { BookEntry } from './entry';

const first = (text: string, unit: 'mm' | 'in' = 'mm'): BookEntry | undefined => lookUp(text, unit)[0];
const cell = (e: BookEntry | undefined, label: string) => e?.rows.find(([l]) => l === label)?.[1];

it.each([
  ['3/8 24', '3/8-24 UNF'],
  ['3/8-16', '3/8-16 UNC'],
  ['M16x1.5', 'M16 x 1.5'],
  ['m10', 'M10'],
  ['1/2 bsf', '1/2 BSF'],
  ['2 ba', '2 BA'],
  ['Tr 30 x 6', 'Tr 30 x 6'],
  ['1/2 npt', '1/2 NPT'],
  ['6204', 'Bearing 6204'],
  ['rls8', 'Bearing RLS8'],
  ['-214', 'O-ring -214'],
  ['25 H7/p6', '25 H7/p6'],
  ['25 H7', '25 H7'],
  ['25H7', '25 H7'],
  ['40 f7', '40 f7'],
  ['1 RC4', '1 RC4'],
  ['number 7', 'Drill number 7'],
  ['letter f', 'Drill letter F'],
  ['606 woodruff', 'Woodruff key 606'],
  ['25 47 7', 'Lip seal 25 x 47 x 7'],
  ['4140', 'Alloy steel, annealed (42CrMo4+A, 4140)'],
  ['leaded bearing bronze', 'Leaded bearing bronze (CuSn7Zn4Pb7, C93200)'],
  ['taper pin 6 mm', 'Taper pin 6 mm'],
  ['6204-2RS', 'Bearing 6204'],
  ['6205ZZ', 'Bearing 6205'],
  ['HK1612', 'Drawn cup 16 x 22 x 12'],
  ['NA4905', 'Bearing 4905'],
  ['30206', 'Bearing 30206'],
  ['10-32', '#10-32 UNF'],
  ['M8x1.25', 'M8'],
  ['7/16-24', '7/16-24 UNS'],
  ['half moon 808', 'Woodruff key 808'],
  ['1/4-26 cycle', '1/4-26 cycle'],
  ['gunmetal', 'Cast tin bronze (CuSn12, C90800)'],
])('"%s" finds %s first', (text, title) => expect(first(text)?.title).toBe(title));

it.each([
  ['tap for 3/8', '3/8-16 UNC'],
  ['3/8 bolt', '3/8-16 UNC'],
  ['oil seal 30', 'Lip seal 30 x'],
  ['lip seal 1 in', 'Lip seal 1.000 x'],
  ['lip seal .5', 'Lip seal 0.500 x'],
  ['#7', 'Drill number 7'],
  ['o-ring 20', 'O-ring 20 x'],
  ['cotter pin', undefined],
  ['circlip', undefined],
  ['snap ring', undefined],
  ['grub screw', undefined],
  ['circlip 25', 'Ring for a shaft of 25'],
])('%s finds %s first: what has only a kind in common is left to the tables', (asked, first) => {
  const [entry] = lookUp(asked, 'mm');
  if (first === undefined) expect(entry).toBeUndefined();
  else expect(entry!.title).toContain(first);
});

it('says the numbers with it', () => {
  expect(cell(first('25 H7/p6'), 'Shaft, most')).toBeCloseTo(25.035, 9);
  expect(cell(first('25 H7/p6'), 'Interference, most')).toBeCloseTo(0.035, 9);
  expect(cell(first('1 RC4'), 'Play, most')).toBeCloseTo(0.0028 * 25.4, 9);
  expect(cell(first('6204'), 'Outside')).toBe(47);
  expect(cell(first('M10'), 'Tap drill')).toContain('8.5 mm');
  expect(cell(first('M10'), '6g major, most')).toBe(9.968);
  expect(cell(first('key 25'), 'Over the shaft')).toBe(21);
  expect(cell(first('ring 25'), 'Groove')).toBe(23.9);
  expect(cell(first('ring 1', 'in'), 'Groove')).toBeCloseTo(0.94 * 25.4, 9);
});

it('knows rings by what people call them', () => {
  for (const word of ['circlip', 'snap ring', 'e-clip']) expect(first(`${word} 25`)?.title).toContain('25');
});

it('works nothing of an NPT thread from the pipe’s outside', () => {
  const npt = first('1/2 npt');
  expect(npt!.rows.map(([label]) => label)).not.toContain('Pitch diameter');
  expect(cell(npt, 'Minor at the small end, K0')).toBeCloseTo(0.70129 * 25.4, 3);
  expect(cell(npt, 'Tap drill, no reamer')).toBe('45/64 in');
});

it('finds nothing for nothing, and holds against nonsense', () => {
  for (const text of ['', '   ', 'zzzz', '<script>', '25 Q9', '9'.repeat(500), '(((', '\\']) expect(lookUp(text, 'mm')).toEqual([]);
  expect(lookUp('m', 'mm').length).toBeLessThanOrEqual(8);
});

it.each(TABLES.map((t) => [t.id, t] as const))('table %s has a source, and as many cells as columns', (_, table) => {
  expect(table.source).toMatch(/\w{3,}/);
  const rows = table.rows();
  expect(rows.length).toBeGreaterThan(5);
  for (const row of rows) {
    expect(row).toHaveLength(table.columns.length);
    for (const c of row) expect(typeof c === 'string' || Number.isFinite(c)).toBe(true);
  }
});

it('goes out as CSV with its unit', () => {
  const keys = tableCsv(TABLES.find((t) => t.id === 'keys-inch')!);
  expect(keys.split('\r\n')[0]).toContain('lengths in in');
  expect(keys).toContain('0.8750,1.2500,0.2500,0.1875');
  expect(tableCsv(TABLES.find((t) => t.id === 'materials')!)).toContain('"Mild steel (S235JR, 1018)"');
  expect(cellText(25.4, 'in')).toBe('1.0000');
});

it('has one table an id', () => expect(new Set(TABLES.map((t) => t.id)).size).toBe(TABLES.length));

it.each([
  ['dowel 1/4', 'Dowel pin 1/4 in'],
  ['1/8 roll pin', 'Slotted spring pin 1/8 in'],
  ['metric o-ring 20', 'O-ring 20 x'],
  ['20x2.65', 'O-ring 20 x 2.65'],
  ['3/4-16 port', 'O-ring -908'],
  ['no. 808', 'Woodruff key 808'],
])('"%s" finds %s', (text, title) =>
  expect(
    lookUp(text, 'in')
      .map((e) => e.title)
      .join('; '),
  ).toContain(title),
);

it('a 1/4 in dowel is 0.2501 to 0.2503 (ASME B18.8.2)', () => {
  const sizes = lookUp('dowel 1/4', 'in')[0]!.rows.map((r) => (r[1] as number) / 25.4);
  expect(sizes[0]).toBeCloseTo(0.2501, 9);
  expect(sizes[1]).toBeCloseTo(0.2503, 9);
});
