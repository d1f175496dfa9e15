import { FEATURE_KINDS, newPart, placeOutside, surface, validatePart, type FeatureKindId, type Part } from '../part';
import { addedBore, addedSurface, byWords, copied, deepened, hostsFor, otherEndOn } from './adding';

const SHAFT: Part = {
  ...newPart('plain-pin', 'Shaft', 40, 100),
  outside: [surface('a', 'cylinder', 'Seat', 60, 40), surface('b', 'cylinder', 'Nose', 60, 30)],
  features: [],
};

const added = (part: Part, words: string, at: string | null): Part => {
  const found = byWords(part, words, at, 'mm');
  if (found.kind !== 'added') throw new Error(JSON.stringify(found));
  return found.make('new')!.part;
};

it('every kind is found by its own name on a surface that takes it', () => {
  const bored = addedBore(SHAFT, 'near', 'x', 'mm').part;
  for (const id of Object.keys(FEATURE_KINDS) as FeatureKindId[]) {
    const kind = FEATURE_KINDS[id];
    const on = kind.sides.includes('outside') ? 'a' : 'x-hole';
    expect(added(bored, kind.name, on).features.at(-1)).toMatchObject({ kind: id, on });
  }
});

it('a few letters do where they mean one thing, and ask which where they mean several', () => {
  expect(added(SHAFT, 'keys', 'a').features[0]!.kind).toBe('keyseat');
  expect(added(SHAFT, 'ring', 'a').features[0]!.kind).toBe('ring-groove');
  expect(byWords(SHAFT, 'groove', 'a', 'mm')).toEqual({
    kind: 'which',
    names: ['Ring groove', 'O-ring groove', 'Seal groove as measured', 'Oil groove'],
  });
  expect(byWords(SHAFT, 'crank', 'a', 'mm').kind).toBe('none');
  expect(byWords(SHAFT, '', 'a', 'mm').kind).toBe('none');
});

it('a thread by its own name', () => {
  expect(added(SHAFT, 'M30 x 2', 'b').features[0]).toMatchObject({ kind: 'thread', thread: 'M30 x 2' });
  expect(validatePart(added(SHAFT, 'm30x2', 'b')).ok).toBe(true);
  // A number by itself is a size, no thread.
  expect(byWords(SHAFT, '30', 'b', 'mm').kind).toBe('none');
});

it('a step stands behind the one in hand, the rest follows', () => {
  const part = added(SHAFT, 'step', 'a');
  expect(part.outside.map((s) => s.id)).toEqual(['a', 'new', 'b']);
  expect(placeOutside(part)[2]).toMatchObject({ fromMm: 70, toMm: 130 });
  expect(validatePart(part).ok).toBe(true);
  expect(addedSurface(SHAFT, 'taper', 'Taper', null, 't', 'in').part.outside.at(-1)).toMatchObject({
    id: 't',
    diameterMm: 30,
    lengthMm: 12.7,
  });
});

it('a bore goes through unless another does; its steps go in', () => {
  const one = added(SHAFT, 'bore from the zero', null);
  expect(one.bores[0]).toMatchObject({ from: 'near', through: true });
  expect(validatePart(one).ok).toBe(true);
  const deep = deepened(one, 'new', 'step', 'mm').part;
  expect(validatePart(deep).ok).toBe(true);
  expect(deep.bores[0]!.surfaces.map((s) => s.diameterMm)).toEqual([20, 16]);
  expect(addedBore(one, 'far', 'y', 'mm').part.bores[1]).toMatchObject({ through: false });
});

it('a copy lies at the mirrored place of its surface, under a name of its own', () => {
  const part = added(SHAFT, 'ring', 'b');
  const twice = copied(part, 'new', 'other')!.part;
  const [f, g] = twice.features as unknown as { atMm: number; widthMm: number; name: string }[];
  expect(f!.atMm + f!.widthMm + g!.atMm).toBeCloseTo(60, 9);
  expect(g!.name).toBe('Ring groove 2');
  expect(validatePart(twice).ok).toBe(true);
  expect(copied(part, 'gone', 'x')).toBeNull();
  // One in the middle does not lie on itself: its copy begins where it ends.
  const middle = { ...part, features: part.features.map((x) => ({ ...x, atMm: (60 - f!.widthMm) / 2 }) as typeof x) };
  const beside = copied(middle, 'new', 'other')!.part;
  expect((beside.features[1] as unknown as { atMm: number }).atMm).toBeCloseTo((60 + f!.widthMm) / 2, 9);
  expect(validatePart(beside).ok).toBe(true);
});

it('a feature is put to the other end of its surface, and back again it is where it was', () => {
  const part = added(SHAFT, 'ring', 'b');
  const [was] = part.features as unknown as { atMm: number; widthMm: number }[];
  const over = otherEndOn(part, 'new')!;
  const [now] = over.features as unknown as { atMm: number; widthMm: number }[];
  // As far from the right end as it was from the left, on a surface of 60.
  expect(60 - now!.atMm - now!.widthMm).toBeCloseTo(was!.atMm, 6);
  expect(over.features).toHaveLength(1);
  expect(otherEndOn(over, 'new')!.features).toEqual(part.features);
  expect(otherEndOn(part, 'gone')).toBeNull();
});

it('a kind goes on the surfaces of its side alone', () => {
  const bored = addedBore(SHAFT, 'near', 'x', 'mm').part;
  expect(hostsFor(bored, 'keyway').map((s) => s.side)).toEqual(['inside']);
  expect(hostsFor(bored, 'keyseat').map((s) => s.id)).toEqual(SHAFT.outside.map((s) => s.id));
  expect(hostsFor(bored, 'ring-groove')).toHaveLength(SHAFT.outside.length + 1);
});
