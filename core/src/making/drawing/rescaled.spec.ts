import { newPart, surface, validatePart, type Part } from '../part';
import { addedFeature } from './adding';
import { limitsLost, rescaled } from './rescaled';

const shaft: Part = {
  ...newPart('plain-pin', 'Shaft', 30, 60),
  outside: [surface('a', 'cylinder', 'Seat', 60, 30)],
  features: [],
};
const to = (part: Part, mm: number, id = 'a'): Part => {
  const found = rescaled(part, id, mm);
  if (!found.ok) throw new Error(found.problems[0]!.message);
  const checked = validatePart(found.value);
  if (!checked.ok) throw new Error(checked.problems[0]!.message);
  return found.value;
};
const why = (part: Part, mm: number, id = 'a'): string => {
  const found = rescaled(part, id, mm);
  return found.ok ? 'done' : found.problems[0]!.code;
};

it('a keyseat by the book is the book’s of the new shaft: DIN 6885, 30 is 8 x 7 with 4.0, 40 is 12 x 8 with 5.0', () => {
  const keyed = addedFeature(shaft, 'a', 'keyseat', 'k', { atMm: 5, lengthMm: 30 })!.part;
  expect(keyed.features[0]).toMatchObject({ widthMm: 8, depthMm: 4 });
  expect(to(keyed, 40).features[0]).toMatchObject({ widthMm: 12, depthMm: 5, atMm: 5, lengthMm: 30 });
});

it('one of an earlier repair stays as wide and as deep from the crown', () => {
  const own = addedFeature(shaft, 'a', 'keyseat', 'k', { atMm: 5, lengthMm: 30, widthMm: 9.1, depthMm: 4.7 })!.part;
  expect(to(own, 40).features[0]).toMatchObject({ widthMm: 9.1, depthMm: 4.7 });
});

it('a ring’s groove by its standard is the new shaft’s: DIN 471, 30 is 1.6 at 28.6, 40 is 1.85 at 37.5', () => {
  const ringed = addedFeature(shaft, 'a', 'ring-groove', 'g')!.part;
  expect(ringed.features[0]).toMatchObject({ widthMm: 1.6, diameterMm: 28.6 });
  expect(to(ringed, 40).features[0]).toMatchObject({ ring: 'book', widthMm: 1.85, diameterMm: 37.5 });
  // No ring is listed for it: as deep as it was, and said to be of no listed ring.
  expect(to(ringed, 31.3).features[0]).toMatchObject({ ring: 'measured', widthMm: 1.6, diameterMm: expect.closeTo(29.9, 9) });
});

it('a measured groove, a spline and an eccentric stay as deep, flats stay as wide a share', () => {
  const cut = (kind: 'seal-groove' | 'flats', change: object): Part => addedFeature(shaft, 'a', kind, 'f', change)!.part;
  expect(to(cut('seal-groove', { atMm: 10, widthMm: 5, diameterMm: 24 }), 36).features[0]).toMatchObject({ diameterMm: 30 });
  // A hexagon is 0.866 of the round that it is cut from, whatever that is.
  const hexagon = to(cut('flats', { count: 6, atMm: 0, lengthMm: 20, acrossMm: 30 * 0.866 }), 40).features[0];
  expect(hexagon).toMatchObject({ acrossMm: expect.closeTo(34.64, 2) });
});

it('a zone is another at the new size: ISO 286, k6 is +15 +2 at 30 and +18 +2 at 40; two sizes were those of the old one', () => {
  const zone: Part = { ...shaft, limits: { a: { lowerDev: 0.002, upperDev: 0.015, text: 'k6' } } };
  const now = to(zone, 40).limits['a']!;
  expect([now.lowerDev, now.upperDev, now.text]).toEqual(
    [0.002, 0.018, 'k6'].map((x) => (typeof x === 'number' ? expect.closeTo(x, 6) : x)),
  );
  const sizes: Part = { ...shaft, limits: { a: { lowerDev: -0.02, upperDev: 0, text: '29.98 to 30.00' } } };
  expect(to(sizes, 40).limits).toEqual({});
  // So near that they could be taken for limits of it.
  expect(to(sizes, 30.5).limits).toEqual({});
  expect(limitsLost(sizes, to(sizes, 40))).toEqual(['Limits 29.98 to 30.00 of seat were of the old size: say them anew.']);
  const plain: Part = { ...shaft, limits: { a: { lowerDev: -0.02, upperDev: 0.02, text: '±0.02' } } };
  expect(to(plain, 40).limits).toEqual(plain.limits);
});

it('does not pull a thread along, nor what follows a fit, nor a taper', () => {
  expect(
    why(addedFeature({ ...shaft, outside: [surface('a', 'cylinder', 'Seat', 60, 30)] }, 'a', 'thread', 't', { thread: 'M30' })!.part, 40),
  ).toBe('thread');
  expect(why({ ...shaft, outside: [{ ...shaft.outside[0]!, fitsPlaceIds: ['hole'] }] }, 40)).toBe('fitted');
  expect(why({ ...shaft, outside: [{ ...shaft.outside[0]!, kind: 'taper', farDiameterMm: 28 }] }, 40)).toBe('taper');
  expect(why(shaft, 0)).toBe('size');
  expect(why(shaft, 40, 'none')).toBe('no-surface');
});

it('shafts of 12 to 100 take their key along to every other: DIN 6885, 14, 30, 58 and 85', () => {
  const din = [
    [14, 5, 3],
    [30, 8, 4],
    [58, 16, 6],
    [85, 22, 9],
  ] as const;
  for (const from of [12, 20, 38, 65, 100])
    for (const [mm, widthMm, depthMm] of din) {
      const bare = { ...shaft, outside: [surface('a', 'cylinder', 'Seat', 150, from)] };
      const keyed = addedFeature(bare, 'a', 'keyseat', 'k', { atMm: 20, lengthMm: 90 })!.part;
      expect(to(keyed, mm).features[0]).toMatchObject({ widthMm, depthMm });
    }
});
