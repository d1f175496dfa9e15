import { newPart, surface, validatePart, type Part } from '../part';
import { addedFeature } from './adding';
import { shoulderInstead } from './shoulder-instead';

/** A bearing sits on the seat, from its left end up to the ring 17 mm on; beyond it a stub. */
const plain: Part = {
  ...newPart('plain-pin', 'Shaft', 25, 60),
  outside: [surface('stub', 'cylinder', 'Stub', 20, 20), surface('seat', 'cylinder', 'Seat', 60, 25)],
  features: [],
};
// DIN 471, 25: the ring is 1.2 thick in a groove of 1.3 at 23.9.
const ringed = addedFeature(plain, 'seat', 'ring-groove', 'g', { atMm: 17 })!.part;
const made = (part: Part, side: 'left' | 'right', mm = 32): Part => {
  const found = shoulderInstead(part, 'g', side, mm, 'new');
  if (!found.ok) throw new Error(found.problems[0]!.message);
  const checked = validatePart(found.value);
  if (!checked.ok) throw new Error(checked.problems[0]!.message);
  return found.value;
};
const why = (part: Part, side: 'left' | 'right', mm = 32, id = 'g'): string => {
  const found = shoulderInstead(part, id, side, mm, 'new');
  return found.ok ? 'done' : found.problems[0]!.code;
};

it('stands where the ring’s face stood: what the ring held lies where it lay', () => {
  expect(ringed.features[0]).toMatchObject({ widthMm: 1.3, diameterMm: 23.9 });
  const now = made(ringed, 'right');
  // The ring bore on the far wall, at 18.3; its face was 1.2 before it.
  expect(now.outside.map((s) => [s.id, s.lengthMm, s.diameterMm])).toEqual([
    ['stub', 20, 20],
    ['seat', expect.closeTo(17.1, 9), 25],
    ['new', expect.closeTo(42.9, 9), 32],
  ]);
  expect(now.features).toEqual([]);
});

it('on the other side it is the mirror image, where what it holds can come on', () => {
  // From the right nothing is in the way; the shoulder takes the stretch before the ring.
  const now = made({ ...ringed, outside: [ringed.outside[1]!, ringed.outside[0]!] }, 'left');
  expect(now.outside.map((s) => [s.id, s.lengthMm])).toEqual([
    ['new', expect.closeTo(18.2, 9)],
    ['seat', expect.closeTo(41.8, 9)],
    ['stub', 20],
  ]);
});

it('is refused where what it holds would have to come on over something thicker', () => {
  const thick = { ...ringed, outside: [{ ...ringed.outside[0]!, diameterMm: 30 }, ringed.outside[1]!] };
  expect(why(thick, 'right')).toBe('cannot-come-on');
  expect(why(thick, 'left')).toBe('done');
});

it('what is cut beside it goes with its own half, and keeps its place', () => {
  const keyed = addedFeature(ringed, 'seat', 'keyseat', 'k', { atMm: 30, lengthMm: 20, widthMm: 8, depthMm: 4 })!.part;
  const chamfered = addedFeature(keyed, 'seat', 'chamfer', 'c', { end: 'right', lengthMm: 1, angleDeg: 45 })!.part;
  const now = made(chamfered, 'right', 30);
  expect(now.features).toMatchObject([
    { id: 'k', on: 'new', atMm: expect.closeTo(12.9, 9) },
    { id: 'c', on: 'new', end: 'right' },
  ]);
  const across = addedFeature(ringed, 'seat', 'keyseat', 'k', { atMm: 5, lengthMm: 40, widthMm: 8, depthMm: 4 })!.part;
  expect(why(across, 'right')).toBe('in-the-way');
});

it('asks for a groove, and for a shoulder that is thicker', () => {
  expect(why(ringed, 'right', 25)).toBe('too-small');
  expect(why(ringed, 'right', 32, 'none')).toBe('no-groove');
  expect(why({ ...ringed, limits: {} }, 'right')).toBe('done');
  const limited: Part = {
    ...ringed,
    limits: { 'g.width': { lowerDev: 0, upperDev: 0.1, text: '+0.1 -0' }, seat: { lowerDev: 0, upperDev: 0.01, text: '+0.01 -0' } },
  };
  expect(Object.keys(made(limited, 'right').limits)).toEqual(['seat']);
});
