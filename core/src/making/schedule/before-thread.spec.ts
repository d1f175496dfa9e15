import { findThread } from '../../book/threads';
import { holeBefore } from './before-thread';

// Tapping drills as workshop charts print them, mm.
it.each([
  ['M8', 6.8],
  ['M10 x 1.25', 8.8],
  ['5/16 BSF', 6.8],
  ['1/2-13 UNC', 10.7],
])('%s: about %f mm, inside what the hole may be', (name, mm) => {
  const hole = holeBefore(findThread(name)!, [])!;
  expect(Math.abs(hole.mm - mm)).toBeLessThan(0.25);
  expect(hole.mm).toBe(hole.drill!.drill.diameterMm);
});

it('where no drill fits it is bored, a quarter of the room off either limit', () => {
  // ISO 2903, 2904: 88 mm and up to 0.800 more; three quarters of the thread would lie beyond that.
  const { drill, mm } = holeBefore(findThread('Tr 100 x 12')!, [])!;
  expect(drill).toBeNull();
  expect(mm).toBeCloseTo(88.6, 6);
  // 75 % of 1.29904 P lies well within what M100 x 2 may be, and stays as it is.
  expect(holeBefore(findThread('M100 x 2')!, [])!.mm).toBeCloseTo(100 - 0.75 * 1.29904 * 2, 3);
});
