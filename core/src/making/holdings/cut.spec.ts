import { kindOf, hostOf, newPart, surface, type FeatureKindId, type Part, type PartFeature } from '../part';
import { seededRandom } from '../../evidence/proof';
import { anyPart } from '../part/testing-parts';
import { actsFor, cutsOf } from './cut';

const bored = (from: 'near' | 'far', through: boolean, ...sizes: (readonly [number, number])[]): Part => ({
  ...newPart('plain-pin', 'Bush', 60, 100),
  features: [],
  bores: [{ id: 'b', from, through, surfaces: sizes.map(([l, d], i) => surface(`h${i}`, 'cylinder', `Hole ${i}`, l, d)) }],
});
const fromOf = (part: Part): Record<string, string> =>
  Object.fromEntries(
    cutsOf(part, 'mm')
      .filter((c) => c.side === 'inside')
      .map((c) => [c.id, c.from]),
  );
const withOne = (kind: FeatureKindId, own: object, part: Part = { ...newPart('plain-pin', 'Shaft', 30, 100), features: [] }) => {
  const on = part.outside[0]!.id;
  const f = { ...kindOf(kind).start(hostOf(part, on)!), id: 'f', kind, on, name: 'It', ...own } as unknown as PartFeature;
  return cutsOf({ ...part, features: [f] }, 'mm').find((c) => c.id === 'f');
};

describe('from which end a bore is reached', () => {
  it('one diameter right through from either', () => expect(fromOf(bored('near', true, [100, 20]))).toEqual({ h0: 'either' }));
  it('a blind one from its mouth', () => {
    expect(fromOf(bored('near', false, [40, 20]))).toEqual({ h0: 'near' });
    expect(fromOf(bored('far', false, [40, 20]))).toEqual({ h0: 'far' });
  });
  it('a counterbore from its own end, the small hole behind it from either', () => {
    // 30 across for 40 mm from the near end, 20 for the rest: a bar reaches the 20 through the 30 too.
    expect(fromOf(bored('near', true, [40, 30], [60, 20]))).toEqual({ h0: 'near', h1: 'either' });
  });
  it('a seat at both ends with less between them: each from its own end', () => {
    expect(fromOf(bored('near', true, [20, 40], [60, 30], [20, 42]))).toEqual({ h0: 'near', h1: 'either', h2: 'far' });
  });
  it('a recess that is wider than both its neighbours from the mouth', () => {
    expect(fromOf(bored('near', true, [20, 30], [60, 35], [20, 30]))).toMatchObject({ h1: 'near' });
  });
});

it('what is turned is the lathe’s, what is drilled or milled across the mill’s, a keyway the broach’s', () => {
  expect(withOne('ring-groove', {})).toMatchObject({ by: 'lathe', offAxis: false });
  expect(withOne('cross-hole', {})).toMatchObject({ by: 'mill' });
  expect(withOne('keyseat', {})).toMatchObject({ by: 'mill' });
  expect(withOne('eccentric', {})).toMatchObject({ by: 'lathe', offAxis: true });
  expect(withOne('treatment', {})).toMatchObject({ by: 'treat' });
});

it('an act across the axis says how large, where from the zero face, and at which clock', () => {
  const acts = withOne('cross-hole', { diameterMm: 6, atMm: 40, clockDeg: 90 })!.acts;
  expect(acts[0]).toMatch(/ 6 mm at 40 mm, 90°$/);
  // The same on a second surface counts from the zero face all the same.
  const part = newPart('plain-pin', 'Shaft', 30, 100);
  const two: Part = { ...part, features: [], outside: [surface('a', 'cylinder', 'A', 25, 40), surface('b', 'cylinder', 'B', 60, 30)] };
  const f = {
    ...kindOf('keyseat').start(hostOf(two, 'b')!),
    id: 'f',
    kind: 'keyseat',
    on: 'b',
    name: 'Seat',
    atMm: 5,
  } as unknown as PartFeature;
  const [act] = cutsOf({ ...two, features: [f] }, 'mm').find((c) => c.id === 'f')!.acts;
  expect(act).toMatch(/ at 30 mm, 0°$/);
});

it('a centre wants its own face free, a pattern of holes too', () => {
  expect(withOne('centre-hole', { end: 'left' })).toMatchObject({ from: 'near' });
  expect(withOne('centre-hole', { end: 'right' })).toMatchObject({ from: 'far' });
  expect(withOne('hole-pattern', { end: 'right' })).toMatchObject({ from: 'far' });
});

it('an act is told with whose it is', () =>
  expect(actsFor({ id: 'g', name: 'Groove', acts: ['Plunge the ring groove'] })).toEqual([
    { key: 'g.0', words: 'Groove: plunge the ring groove', cuts: ['g'] },
  ]));

it('what is timed comes after what it is timed to, however they were drawn; a ring of them loses none', () => {
  const part: Part = { ...newPart('plain-pin', 'Shaft', 30, 100), features: [] };
  const on = part.outside[0]!.id;
  const key = (id: string, atMm: number, timedTo: string): PartFeature =>
    ({ ...kindOf('keyseat').start(hostOf(part, on)!), id, kind: 'keyseat', on, name: id, atMm, lengthMm: 10, timedTo }) as PartFeature;
  const order = (...features: readonly PartFeature[]): string[] =>
    cutsOf({ ...part, features }, 'mm')
      .map((c) => c.id)
      .filter((id) => id !== on);
  expect(order(key('c', 5, 'b'), key('x', 20, ''), key('b', 35, 'a'), key('a', 50, ''))).toEqual(['a', 'b', 'c', 'x']);
  expect(order(key('a', 5, 'gone'), key('b', 35, ''))).toEqual(['a', 'b']);
  expect(order(key('a', 5, 'b'), key('b', 35, 'c'), key('c', 50, 'a'), key('s', 70, 's')).sort()).toEqual(['a', 'b', 'c', 's']);
});

it('of any part every surface is cut once, and every feature that is made by anything', () => {
  const random = seededRandom(23);
  for (let t = 0; t < 40; t++) {
    const part = anyPart(random);
    const ids = cutsOf(part, 'mm').map((c) => c.id);
    expect(new Set(ids).size).toBe(ids.length);
    const surfaces = [...part.outside, ...part.bores.flatMap((b) => b.surfaces)].map((s) => s.id);
    const made = part.features.filter((f) => kindOf(f.kind).operations(f, hostOf(part, f.on)!).length).map((f) => f.id);
    expect([...ids].sort()).toEqual([...surfaces, ...made].sort());
  }
});
