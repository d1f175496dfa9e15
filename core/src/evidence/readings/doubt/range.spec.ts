import { outOfRange, readsIt } from './range';

const mic = { kind: 'micrometer', rangeLowMm: 25, rangeHighMm: 50 } as const;

it('a screw goes a little beyond its ends', () => {
  expect([25, 50, 50.2, 24.8].map((mm) => outOfRange(mm, mic))).toEqual([false, false, false, false]);
  expect([24.6, 50.4].map((mm) => outOfRange(mm, mic))).toEqual([true, true]);
});

it('what an outside mic reads is outside, and of a size that it has; of an unknown size it may', () => {
  expect(readsIt(mic, 'outside', 40)).toBe(true);
  expect(readsIt(mic, 'outside', 60)).toBe(false);
  expect(readsIt(mic, 'outside', null)).toBe(true);
  expect(readsIt(mic, 'inside', 40)).toBe(false);
});
