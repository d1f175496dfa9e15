import fc from 'fast-check';
import { parseNumber, parseSignedNumber } from './parse-number';

it.each([
  ['0.7491', 0.7491],
  ['.5', 0.5],
  ['40,25', 40.25],
  ['1 3/16', 1.1875],
  ['6-13/32', 6.40625],
  ['3/4', 0.75],
])('"%s" is %d', (text, value) => expect(parseNumber(text)).toMatchObject({ value: { value } }));

it.each([
  ['-0.001', -0.001],
  ['+3', 3],
  ['- 1/2', -0.5],
  ['  -40,25 ', -40.25],
  ['7', 7],
  ['-0', -0],
])('"%s" with its sign is %d', (text, value) => expect(parseSignedNumber(text)).toMatchObject({ value: { value } }));

it.each(['', '-', '+-3', '--3', 'minus 3', '3-', '-<b>', '-1e9'])('"%s" is none', (text) => expect(parseSignedNumber(text).ok).toBe(false));

it('reads what it prints, either sign', () => {
  fc.assert(
    fc.property(fc.double({ min: -9999, max: 9999, noNaN: true }), (x) => {
      const text = x.toFixed(4);
      expect(parseSignedNumber(text)).toMatchObject({ value: { value: Number(text), decimals: 4 } });
    }),
    { seed: 6, numRuns: 200 },
  );
});
