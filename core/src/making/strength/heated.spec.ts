import { materialOf } from '../../book/materials';
import { newPart, surface, type Part, type PartFeature } from '../part';
import { heatedOf, isHeated } from './heated';
import { safetyAlong } from './safety';
import { strengthAlong, weakest } from './strength';

const quenched = materialOf('steel-42crmo4')!;
const prep = { id: 'w', kind: 'weld-prep', on: 'a', name: 'Bevel', end: 'right', bevelDeg: 35, rootMm: 1.5 };
const groove = (fromLeftMm: number) => ({
  id: 'g',
  kind: 'ring-groove',
  on: 'a',
  name: 'Groove',
  from: 'left',
  atMm: fromLeftMm,
  widthMm: 4,
  diameterMm: 74,
  cornerMm: 0.5,
});
/** A tube end, 80 outside and 60 inside, 200 long. */
const tube = (...features: object[]): Part => ({
  ...newPart('plain-pin', 'Tube end', 80, 200),
  outside: [surface('a', 'cylinder', 'Wall', 200, 80)],
  bores: [{ id: 'bore', from: 'near', through: true, surfaces: [surface('b', 'cylinder', 'Bore', 200, 60)] }],
  features: features as PartFeature[],
});
const AREA = (Math.PI / 4) * (80 ** 2 - 60 ** 2);

it('reaches from the bevel as far as the code says for that wall', () => {
  // Wall 10: bevel (10 - 1.5) tan 35°, and 30 beyond (EN 1999-1-1, 6.1.6.3).
  const [zone] = heatedOf(tube(prep));
  expect(zone!.fromMm).toBeCloseTo(200 - 8.5 * Math.tan((35 * Math.PI) / 180) - 30, 6);
  expect([isHeated([zone!], 199), isHeated([zone!], 160)]).toEqual([true, false]);
});

it('counts the soft value beside the weld, the hard one away from it', () => {
  const along = strengthAlong(tube(prep), quenched, 'tension');
  const [away, beside] = ['Wall', 'Wall beside the weld'].map((w) => along.find((b) => b.words === w)!);
  expect(away!.atYield).toBeCloseTo(AREA * 650, 0);
  // As annealed: 417 MPa.
  expect(beside!.atYield).toBeCloseTo(AREA * 417, 0);
  expect(weakest(along)).toBe(beside);
});

it('a groove beside the weld is of soft metal, one away from it is not', () => {
  const at = (mm: number) => strengthAlong(tube(prep, groove(mm)), quenched, 'bending').find((b) => b.words === 'Groove')!;
  expect(at(180).material.tensileMpa).toBe(655);
  expect(at(60).material.tensileMpa).toBe(900);
  // Softer feels a notch less, and still bears less.
  expect(at(180).kf).toBeLessThan(at(60).kf);
  expect(at(180).forEver!).toBeLessThan(at(60).forEver!);
});

it('nothing gets softer without a weld, nor steel that was never hard', () => {
  const c45 = materialOf('steel-c45')!;
  const plain = (part: Part, material = quenched) => strengthAlong(part, material, 'bending').map((b) => b.forEver);
  expect(plain(tube())).toHaveLength(1);
  expect(plain(tube(prep), c45)).toEqual(plain(tube(), c45));
  // Not in the book: nothing is made up.
  expect(plain(tube(prep), materialOf('stainless-17-4'))).toEqual(plain(tube(), materialOf('stainless-17-4')));
});

it('the known load is held against it too', () => {
  const load = { bendingNm: 0, torqueNm: 0, pullN: 100_000 };
  const [soft, hard] = [prep, groove(20)].map((f) => safetyAlong(tube(f), quenched, load));
  expect(Math.min(...soft!.map((s) => s.yield))).toBeCloseTo((417 * AREA) / 100_000, 2);
  expect(hard!.find((s) => s.words === 'Wall')!.yield).toBeCloseTo((650 * AREA) / 100_000, 2);
});

it('what is built up is heated all along, and beside it', () => {
  const built = { id: 't', kind: 'treatment', on: 'a', name: 'Weld', process: 'build-up', where: 'here', aSideMm: 1, fromMm: 0 };
  const [zone] = heatedOf({
    ...tube(built),
    outside: [surface('a', 'cylinder', 'Seat', 40, 30), surface('c', 'cylinder', 'Body', 160, 40)],
    bores: [],
  });
  expect([zone!.fromMm, zone!.toMm]).toEqual([-35, 75]);
});
