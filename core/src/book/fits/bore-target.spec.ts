import { boreForKeptShaft, boreForTruedShaft, truedShaftMm, type BoreTarget, type MeasuredShaft } from './bore-target';
import type { School } from './school';

const own = (clearanceMm: number): School => ({ kind: 'own', clearanceMm });
const target = (shaft: MeasuredShaft, school: School): BoreTarget => {
  const bore = boreForKeptShaft(shaft, school);
  if (!bore.ok) throw new Error(bore.problems[0]!.message);
  return bore.value;
};

it('a tube of 90.00 to 90.02 with 0.05 of room is bored from 90.07 up, and has 0.07 where it is smallest', () => {
  const bore = target({ smallestMm: 90, largestMm: 90.02, ovalityMm: 0.02 }, own(0.05));
  expect(bore.lowerMm).toBeCloseTo(90.07, 9);
  expect(bore.playAtLargestMm).toBeCloseTo(0.05, 9);
  expect(bore.playAtSmallestMm).toBeCloseTo(0.07, 9);
  expect(bore.aimMm).toBeCloseTo((bore.lowerMm + bore.upperMm) / 2, 9);
});

it('a pressed hole is below the shaft’s largest size, and a shaft is not trued for a press', () => {
  const bore = target({ smallestMm: 29.9, largestMm: 30, ovalityMm: 0.1 }, own(-0.03));
  expect(bore.lowerMm).toBeCloseTo(29.97, 9);
  expect(bore.trueTheShaft).toBe(false);
});

it('H7/f7 on 40: the hole is larger than the shaft by the 0.025 of f7 at least, and 0.025 wide (ISO 286-2)', () => {
  const bore = boreForTruedShaft(40, { kind: 'pair', fit: 'H7/f7' });
  if (!bore.ok) throw new Error(bore.problems[0]!.message);
  expect(bore.value.clearanceMm).toBeCloseTo(0.025, 6);
  expect(bore.value.upperMm - bore.value.lowerMm).toBeCloseTo(0.025, 6);
  expect(bore.value.playAtSmallestMm).toBeCloseTo(bore.value.playAtLargestMm, 9);
});

it('a shaft is turned true to a round size below its smallest place, which cleans it up', () => {
  const mm = truedShaftMm(29.87, 'mm');
  expect(mm).toBeLessThan(29.87);
  expect(29.87 - mm).toBeLessThan(0.2);
  expect(Math.abs(mm * 100 - Math.round(mm * 100))).toBeLessThan(1e-9);
  const inch = truedShaftMm(1.1785 * 25.4, 'in') / 25.4;
  expect(inch).toBeLessThan(1.1785);
  expect(Math.abs(inch * 1000 - Math.round(inch * 1000))).toBeLessThan(1e-6);
});
