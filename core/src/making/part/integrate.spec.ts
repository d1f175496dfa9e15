import { frustumMm3, root, segmentMm2, simpson } from './integrate';

it('Simpson is exact up to the third power', () => {
  expect(simpson((x) => 4 * x ** 3 - 3 * x ** 2 + 2, 0, 2, 2)).toBeCloseTo(16 - 8 + 4, 12);
  expect(simpson(Math.sin, 0, Math.PI)).toBeCloseTo(2, 8);
});

it('the segment beyond a chord: half of the circle at its middle, none beyond it, all of it at the other side', () => {
  expect(segmentMm2(10, 0)).toBeCloseTo((Math.PI * 100) / 2, 9);
  expect(segmentMm2(10, -10)).toBeCloseTo(Math.PI * 100, 9);
  expect(segmentMm2(10, 10)).toBe(0);
  expect(segmentMm2(10, 12)).toBe(0);
  // A chord of a side of the square in it: quarter of what the square leaves.
  expect(segmentMm2(10, 10 / Math.SQRT2)).toBeCloseTo((Math.PI * 100 - 200) / 4, 9);
});

it('a frustum is a cylinder where it has no slope, and a third of one where it has a point', () => {
  expect(frustumMm3(30, 5, 5)).toBeCloseTo(Math.PI * 25 * 30, 9);
  expect(frustumMm3(30, 5, 0)).toBeCloseTo((Math.PI * 25 * 30) / 3, 9);
});

it('rounding below nought is nought', () => expect([root(-1e-12), root(9)]).toEqual([0, 3]));
