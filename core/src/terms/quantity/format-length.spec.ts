import { decimalsInOther, formatLength, sawFraction, toInchFraction } from './format-length';

it('prints in either unit with the asked decimals', () => {
  expect(formatLength(19.05, 'in')).toBe('0.7500');
  expect(formatLength(19.05, 'mm', 2)).toBe('19.05');
  expect(formatLength(-0.00001, 'mm')).toBe('0.000');
});

it.each([
  [30.1625, '1 3/16', 0],
  [19.05, '3/4', 0],
  [50.8, '2', 0],
  [0, '0', 0],
  [0.3, '1/64', 0.3 - 25.4 / 64],
  [-19.05, '-3/4', 0],
])('%d mm is nearest to %s in', (mm, text, remainder) => {
  const fraction = toInchFraction(mm);
  expect(fraction.text).toBe(text);
  expect(fraction.remainderMm).toBeCloseTo(remainder, 9);
});

it.each([
  [152.4, '6'],
  [152.5, '6 1/16'],
  [155, '6 1/8'],
  [153.9875, '6 1/16'],
  [0.5, '1/16'],
])('%d mm is sawn at %s in, never shorter', (mm, text) => expect(sawFraction(mm)).toBe(text));

it('carries the fineness of a dial over to the other unit', () => {
  expect(decimalsInOther(3, 'mm')).toBe(4);
  expect(decimalsInOther(4, 'in')).toBe(3);
});
