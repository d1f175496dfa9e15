import { DRILLS, drillWords, nearestDrills } from './index';
import { NUMBER_DRILLS_IN } from './drills.data';

it('holds 80 numbers falling, 26 letters, fractions and metric', () => {
  expect(NUMBER_DRILLS_IN).toHaveLength(80);
  NUMBER_DRILLS_IN.slice(1).forEach((d, i) => expect(d).toBeLessThan(NUMBER_DRILLS_IN[i]!));
  expect(DRILLS.filter((d) => d.kind === 'letter')).toHaveLength(26);
});

it.each([
  ['7', 'number', 0.201],
  ['29', 'number', 0.136],
  ['80', 'number', 0.0135],
  ['F', 'letter', 0.257],
  ['Z', 'letter', 0.413],
  ['27/64', 'fraction', 0.421875],
  ['1 3/32', 'fraction', 1.09375],
])('%s (%s) is %d in', (name, kind, inch) =>
  expect(DRILLS.find((d) => d.name === name && d.kind === kind)!.diameterMm).toBeCloseTo(inch * 25.4, 9),
);

it('names the nearest with its set', () => {
  expect(drillWords(nearestDrills(6.8, ['metric'], 1)[0]!)).toBe('6.8 mm');
  expect(drillWords(nearestDrills(5.1, ['number'], 1)[0]!)).toBe('number 7');
  expect(drillWords(nearestDrills(12.7, ['fraction'], 1)[0]!)).toBe('1/2 in');
});
