import { doubtReading } from './plausible';

it.each([
  [39.97, 'mm', 40, null],
  [41.4, 'mm', 40, null],
  [3.997, 'mm', 40, 39.97],
  [1.575, 'mm', 40, 40.005],
  [29.97, 'mm', 40, 39.97],
  [0.491 * 25.4, 'in', 0.749 * 25.4, 0.7491 * 25.4],
  [0.16, 'mm', 40.1, 40.16],
  [2.5, 'mm', 42.3, 42.5],
  [687.8 * 25.4, 'in', 0.688 * 25.4, 0.6878 * 25.4],
] as const)('%d mm in a job of %s where %d is expected: %s is offered', (mm, unit, expected, offered) => {
  const doubt = doubtReading(mm, unit, expected);
  if (offered === null) expect(doubt).toBeNull();
  else expect(doubt!.suggestionMm).toBeCloseTo(offered, 3);
});

it('a slip that nobody can guess is asked to be read again; without anything expected nothing is asked', () => {
  expect(doubtReading(57, 'mm', 40)).toMatchObject({ suggestionMm: null, message: expect.stringContaining('Measure again') });
  expect(doubtReading(57, 'mm', null)).toBeNull();
});

it('of a small thing a millimetre and a half is let pass, but never twice or half of it', () => {
  expect(doubtReading(5.4, 'mm', 4)).toBeNull();
  expect(doubtReading(2.1, 'mm', 1)).not.toBeNull();
  expect(doubtReading(0.4, 'mm', 1)).not.toBeNull();
});
