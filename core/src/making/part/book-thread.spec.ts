import { findThread } from '../../book/threads';
import { flankMm, isHoleOf, minorMm, threadBook } from './book-thread';

const m10 = findThread('M10')!;

it('M10: pitch diameter 9.026, minor 8.376 (ISO 724)', () => {
  expect(flankMm(m10)).toBeCloseTo(9.026, 3);
  expect(minorMm(m10)).toBeCloseTo(8.376, 3);
});

it('a hole of 8.5 is tapped M10, so is what a worn drill makes of it; 8.0 and 9.0 are not', () => {
  expect([8.5, 8.4, 8.7].map((d) => isHoleOf(m10, d))).toEqual([true, true, true]);
  expect([8, 9].map((d) => isHoleOf(m10, d))).toEqual([false, false]);
});

it('has the usual class’s limits for crest and flank, by side (ISO 965-2)', () => {
  const outside = threadBook(m10, 'outside', '');
  expect(outside.crest.book).toMatchObject({ lower: expect.closeTo(9.732, 3), upper: expect.closeTo(9.968, 3) });
  expect(outside.flank.book).toMatchObject({ lower: expect.closeTo(8.862, 3), upper: expect.closeTo(8.994, 3) });
  const inside = threadBook(m10, 'inside', '6H');
  expect(inside.crest.book).toMatchObject({ lower: expect.closeTo(8.376, 3), upper: expect.closeTo(8.676, 3) });
});

it('a class that the standard has not gives none', () => {
  expect(threadBook(findThread('1/2 NPT')!, 'outside', '')).toEqual({ crest: {}, flank: {} });
});
