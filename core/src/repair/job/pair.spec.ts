import { areMates, mateOf } from './pair';

const [pin, hole, alone] = [
  { place: { id: 'pin', matesPlaceId: 'hole' } },
  { place: { id: 'hole', matesPlaceId: null } },
  { place: { id: 'alone', matesPlaceId: null } },
] as const;

it('holds from either side, whoever said it', () => {
  expect(mateOf(pin, [alone, hole])).toBe(hole);
  expect(mateOf(hole, [alone, pin])).toBe(pin);
});

it('is nothing between two of which nothing was said', () => {
  expect(areMates(hole.place, alone.place)).toBe(false);
  expect(mateOf(alone, [pin, hole])).toBeUndefined();
});
