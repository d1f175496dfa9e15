import { MATERIALS, type Material } from '../../book/materials';
import { newPart, surface, type Part, type PartFeature } from '../part';
import { addedFeature } from '../drawing';
import { carriedBy } from './carried';

const steel = (yieldOf: number): Material => ({ ...MATERIALS.find((m) => m.id === 'steel-c45')!, yieldMpa: yieldOf });
const shaft = (d: number, kind: PartFeature['kind'], own: object): Part => {
  const plain: Part = { ...newPart('plain-pin', 'Shaft', d, 100), outside: [surface('a', 'cylinder', 'Seat', 100, d)], features: [] };
  return addedFeature(plain, 'a', kind, 'f', own)!.part;
};
const NONE = { bendingNm: 0, torqueNm: 0, pullN: 0 };
const factors = (part: Part, load: Partial<typeof NONE>, material = steel(200)): Record<string, number> =>
  Object.fromEntries(carriedBy(part, material, { ...NONE, ...load }).map((c) => [c.words, c.factor]));

it('the key of a published example', () => {
  // Shigley 10th, example 7-6: shaft 1 7/16 in, 4200 lbf in, square key 3/8 in of 65 kpsi yield: bearing on half its height 1.34 in long is 2.8 safe,
  // sheared at 37.5 kpsi 1.16 in long.
  const [d, w, t] = [1.4375 * 25.4, 0.375 * 25.4, 4200 * 0.112984829];
  const half = d / 2 - Math.sqrt((d / 2) ** 2 - (w / 2) ** 2) + w / 2;
  const seat = (inches: number): Part =>
    shaft(d, 'keyseat', { cutter: 'sled-runner', atMm: 10, lengthMm: inches * 25.4, widthMm: w, depthMm: half, cutterMm: 63 });
  const kpsi65 = steel(65 * 6.894757);
  expect(factors(seat(1.34), { torqueNm: t }, kpsi65)['Keyseat: the wall of its seat']).toBeCloseTo(2.8, 1);
  expect(factors(seat(1.16), { torqueNm: t }, kpsi65)['Keyseat: a key of the same steel, sheared']).toBeCloseTo(2.8, 1);
});

it('an end-milled seat bears over its straight part', () => {
  const seat = (own: object): Part => shaft(30, 'keyseat', { cutter: 'end-mill', atMm: 10, widthMm: 8, depthMm: 4, ...own });
  const wall = (p: Part): number => factors(p, { torqueNm: 100 })['Keyseat: the wall of its seat']!;
  expect(wall(seat({ lengthMm: 28 }))).toBeCloseTo(wall(seat({ lengthMm: 20, open: 'both' })), 9);
  expect(wall(seat({ lengthMm: 28, open: 'left' }))).toBeGreaterThan(wall(seat({ lengthMm: 28 })));
});

it('the groove of a ring bears what the standard lists for a yield of 200 MPa', () => {
  // DIN 471, load of the groove in kN, for sharp corners and three depths of land.
  for (const [d, groove, kN] of [
    [20, 19, 5.06],
    [25, 23.9, 7.05],
    [30, 28.6, 10.73],
    [40, 37.5, 25.3],
    [50, 47, 38],
  ] as const)
    expect(factors(shaft(d, 'ring-groove', { atMm: 50, widthMm: 2, diameterMm: groove }), { pullN: 1000 * kN })).toEqual({
      'Ring groove: the wall that the ring bears on': expect.closeTo(1, 1),
    });
});

it('a pin across: its force times the shaft is the moment, and the wall’s pressure integrates to it', () => {
  const part = shaft(30, 'cross-hole', { atMm: 50, diameterMm: 8, reach: 'through', sinkMm: 0, thread: '' });
  const [sheared, wall] = carriedBy(part, steel(200), { ...NONE, torqueNm: 120 });
  // Two sections, each at the radius.
  expect(sheared!.stressMpa * (Math.PI / 4) * 64 * 2 * 15).toBeCloseTo(120_000, 3);
  // Pressure grows from the middle: added up in slices over both halves.
  let moment = 0;
  for (let i = 0; i < 3000; i++) {
    const r = ((i + 0.5) * 15) / 3000;
    moment += 2 * wall!.stressMpa * (r / 15) * 8 * (15 / 3000) * r;
  }
  expect(moment).toBeCloseTo(120_000, -1);
  const pulled = carriedBy(part, steel(200), { ...NONE, pullN: 10_000 });
  expect(pulled[0]!.stressMpa).toBeCloseTo(10_000 / (2 * (Math.PI / 4) * 64), 6);
});

it('what the load does not touch is not told of, and a blind or tapped hole holds no pin', () => {
  expect(factors(shaft(30, 'keyseat', { atMm: 10, lengthMm: 28 }), { pullN: 1000, bendingNm: 50 })).toEqual({});
  expect(factors(shaft(30, 'ring-groove', { atMm: 50, widthMm: 1.6, diameterMm: 28.6 }), { torqueNm: 100 })).toEqual({});
  expect(factors(shaft(30, 'cross-hole', { atMm: 50, diameterMm: 8, reach: 'to depth', depthMm: 10 }), { torqueNm: 100 })).toEqual({});
  expect(factors(shaft(30, 'chamfer', { end: 'left', lengthMm: 1 }), { torqueNm: 100, pullN: 100 })).toEqual({});
});
