import { parseLimits } from './parse-limits';

const of = (text: string, size = 40, unit: 'mm' | 'in' = 'mm'): readonly [number, number] | string => {
  const found = parseLimits(text, size, unit);
  return found.ok ? [Number(found.value.lowerDev.toFixed(5)), Number(found.value.upperDev.toFixed(5))] : found.problems[0]!.code;
};

it.each([
  ['±0.02', [-0.02, 0.02]],
  ['+/-0.02', [-0.02, 0.02]],
  ['+/- 0,02', [-0.02, 0.02]],
  ['+0.02 -0', [0, 0.02]],
  ['+0.02/-0.01', [-0.01, 0.02]],
  ['-0.01 -0.03', [-0.03, -0.01]],
  ['0 -0.025', [-0.025, 0]],
  ['-0.002', [-0.002, 0]],
  ['+0.1', [0, 0.1]],
  // As ISO 129 writes it: nought has no sign.
  ['+0.1 0', [0, 0.1]],
  ['-0,2 0', [-0.2, 0]],
  ['+0.1/0', [0, 0.1]],
  ['0 +0.05', [0, 0.05]],
  ['+10', [0, 10]],
  ['+1.50', [0, 1.5]],
  ['40.00 to 40.02', [0, 0.02]],
  ['39.95 - 39.98', [-0.05, -0.02]],
  // ISO 286-2.
  ['H7', [0, 0.025]],
  ['f7', [-0.05, -0.025]],
  ['k6', [0.002, 0.018]],
] as const)('%s of 40', (text, expected) => expect(of(text)).toEqual(expected));

it('a bare number is in the reader’s unit', () => {
  expect(of('-0.002', 25.4, 'in')).toEqual([-0.0508, 0]);
  expect(of('±2 thou', 25.4, 'mm')).toEqual([-0.0508, 0.0508]);
  expect(of('0.9998 to 1.0002', 25.4, 'in')).toEqual([-0.00508, 0.00508]);
});

it.each(['', 'tight', '±', '12 to 14', '+-', 'H77', '0.02', '+0.1 0.3', '0.1 0'])('says that %j are no limits of 40', (text) => {
  expect(typeof of(text)).toBe('string');
});
