import { fromUnit, otherUnit, roundStart, toUnit } from './units';

it('an inch is 25.4 mm, exactly, either way', () => {
  expect([toUnit(25.4, 'in'), fromUnit(1, 'in'), toUnit(7, 'mm'), fromUnit(7, 'mm')]).toEqual([1, 25.4, 7, 7]);
  for (const x of [0.7491, 1.1814, 19.625]) expect(toUnit(fromUnit(x, 'in'), 'in')).toBeCloseTo(x, 12);
});

it('a starting value is round in the unit that it is read in', () => {
  expect(roundStart('mm', 40, 1.5)).toBe(40);
  expect(toUnit(roundStart('in', 40, 1.5), 'in')).toBeCloseTo(1.5, 12);
  expect([otherUnit('mm'), otherUnit('in')]).toEqual(['in', 'mm']);
});
