import { outline } from './outline';
import { partLengthMm, placeOutside, type Part } from './part';
import { surface } from './surface';
import { crossHole } from './features/cross-hole';
import { hostOf } from './host';
import { newPart, PART_KINDS, type PartKind } from './templates';
import { validatePart } from './validate-part';
import { upgradePart } from './upgrade-part';
import { massKg, volumeMm3 } from './volume';

const pin = newPart('headed-pin', 'Hinge pin', 40, 120);
const plain: Part = { ...newPart('plain-pin', 'Pin', 20, 100) };
const cylinder: Part = { ...plain, features: [] };
const bored = (diameterMm: number, depthMm: number | null): Part => ({
  ...cylinder,
  bores: [{ id: 'b', from: 'near', through: depthMm === null, surfaces: [surface('hole', 'cylinder', 'Bore', depthMm ?? 0, diameterMm)] }],
});
const drilled = (part: Part, diameterMm: number, atMm: number): Part => ({
  ...part,
  features: [
    ...part.features,
    { ...crossHole.start(hostOf(part, 'body')!), id: 'h', kind: 'cross-hole', on: 'body', name: 'Hole', diameterMm, atMm },
  ],
});
const codes = (part: Part): string[] => {
  const checked = validatePart(part);
  return checked.ok ? [] : checked.problems.map((p) => `${p.path} ${p.code}`);
};

it.each(Object.keys(PART_KINDS) as PartKind[])('%s starts as a valid part of the asked length', (kind) => {
  const part = newPart(kind, 'x', 40, 120);
  expect(codes(part)).toEqual([]);
  expect(part.block?.lengthMm ?? partLengthMm(part)).toBeCloseTo(120, 9);
});

it.each(Object.keys(PART_KINDS) as PartKind[])('%s is valid thin and thick, short and long', (kind) => {
  for (const body of [4, 6.35, 10, 12.7, 19.05, 25, 40, 63.5, 80, 150])
    for (const times of [1, 2.5, 12]) expect([body, times, ...codes(newPart(kind, 'x', body, body * times))]).toEqual([body, times]);
});

it('a hexagon screw is as wide as its listed size across the flats and over the corners', () => {
  // DIN 931: M16 is 24 across flats, e about 27.7 over the corners of a true hexagon; 3/4-10 UNC 1 1/8 in.
  const m16 = newPart('screw', 'x', 16.2, 80);
  expect(m16.features.find((f) => f.kind === 'flats')).toMatchObject({ acrossMm: 24, count: 6 });
  expect(m16.outside[0]!.diameterMm).toBeCloseTo(27.71, 2);
  expect(newPart('screw', 'x', 19, 80).features.find((f) => f.kind === 'flats')).toMatchObject({ acrossMm: expect.closeTo(28.575, 3) });
  expect(newPart('stud', 'x', 19.1, 80).features.filter((f) => f.kind === 'thread')).toMatchObject([
    { thread: '3/4-10 UNC' },
    { thread: '3/4-10 UNC' },
  ]);
});

it('places segments end to end', () => {
  expect(placeOutside(pin).map((s) => [s.fromMm, s.toMm])).toEqual([
    [0, 8.4],
    [8.4, 120],
  ]);
});

it('walks round the chamfers', () => {
  expect(outline(plain)).toEqual([
    { x: 0, r: 9 },
    { x: 1, r: 10 },
    { x: 99, r: 10 },
    { x: 100, r: 9 },
  ]);
});

describe('volume', () => {
  it('of a cylinder is pi/4 d² l', () => expect(volumeMm3(cylinder)).toBeCloseTo((Math.PI / 4) * 400 * 100, 6));
  it('loses the chamfer as a frustum', () => {
    const lost = 2 * (Math.PI * 100 - (Math.PI / 3) * (81 + 90 + 100));
    expect(volumeMm3(cylinder) - volumeMm3(plain)).toBeCloseTo(lost, 6);
  });
  it('loses a bore and a cross hole: equal cylinders meet in 16 r³/3 (Steinmetz)', () => {
    expect(volumeMm3(cylinder) - volumeMm3(bored(10, 40))).toBeCloseTo(Math.PI * 25 * 40, 6);
    expect(volumeMm3(cylinder) - volumeMm3(drilled(cylinder, 20, 50))).toBeCloseTo((16 / 3) * 1000, 0);
  });
  it('weighs steel at 7850 kg/m³', () => expect(massKg(cylinder)).toBeCloseTo(Math.PI * 1e4 * 7850e-9, 6));
});

describe('validation tells every problem with its path', () => {
  it('of sizes', () => {
    const broken = {
      ...pin,
      materialId: 'mithril',
      outside: [
        { ...pin.outside[0]!, diameterMm: 0 },
        { ...pin.outside[1]!, lengthMm: -3 },
      ],
    };
    expect(codes(broken)).toEqual(
      expect.arrayContaining(['materialId material', 'outside.0.diameterMm diameter', 'outside.1.lengthMm length']),
    );
  });
  it('of chamfers, holes and walls', () => {
    expect(codes({ ...plain, features: plain.features.map((f) => ({ ...f, lengthMm: 60 }) as typeof f) })).toEqual([
      'features.0.lengthMm feature',
      'features.1.lengthMm feature',
    ]);
    expect(codes(drilled(plain, 6, 98))).toEqual(['features.2.atMm feature']);
    expect(codes(drilled(plain, 12, 50))).toEqual(['features.2.diameterMm feature']);
    expect(codes(bored(19, null))).toEqual(['bores.0.surfaces.0.diameterMm thin-wall']);
    expect(codes(bored(5, 300))).toContain('bores.0.surfaces.0.lengthMm depth');
  });
  it('of nothing drawn, of a taper without its other end, of two things by one id', () => {
    expect(codes({ ...plain, outside: [], features: [] })).toEqual(['outside empty']);
    expect(codes({ ...cylinder, outside: [{ ...cylinder.outside[0]!, kind: 'taper' }] })).toEqual(['outside.0.farDiameterMm diameter']);
    expect(codes({ ...cylinder, outside: [cylinder.outside[0]!, cylinder.outside[0]!] })).toEqual(['outside twice']);
  });
  it('of features whose surface is gone, on the wrong side, over each other', () => {
    const feature = { ...plain.features[0]!, id: 'x' };
    expect(codes({ ...plain, features: [{ ...feature, on: 'nowhere' }] })).toEqual(['features.0.on gone']);
    const inBore = drilled(bored(10, 40), 2, 20);
    expect(codes({ ...inBore, features: inBore.features.map((f) => ({ ...f, on: 'hole' })) })).toEqual(['features.0.on side']);
    expect(codes({ ...plain, features: [feature, { ...feature, id: 'y' }] })).toEqual(['features.1.on overlap']);
  });
  it('of bores that meet, and lets one go through to a counterbore from the other end', () => {
    const [b] = bored(8, 60).bores;
    const far = { ...b!, id: 'f', from: 'far' as const, surfaces: [surface('far', 'cylinder', 'Far bore', 50, 12)] };
    expect(codes({ ...cylinder, bores: [b!, far] })).toEqual(['bores meet']);
    const through = { ...cylinder, bores: [{ ...b!, through: true }, far] };
    expect(codes(through)).toEqual([]);
    expect(volumeMm3(cylinder) - volumeMm3(through)).toBeCloseTo(Math.PI * (16 * 50 + 36 * 50), 6);
  });
});

it('reads a drawing of before as it was', () => {
  const old = {
    name: 'Pin',
    materialId: 'steel-c45',
    segments: [
      { id: 'head', kind: 'head', name: 'Head', lengthMm: 8, diameterMm: 56, chamferLeftMm: 1, chamferRightMm: 0, fitsPlaceIds: [] },
      {
        id: 'body',
        kind: 'cylinder',
        name: 'Body',
        lengthMm: 92,
        diameterMm: 40,
        chamferLeftMm: 0,
        chamferRightMm: 2,
        fitsPlaceIds: ['p'],
      },
    ],
    bore: { diameterMm: 10, depthMm: null },
    crossHoles: [{ id: 'h', diameterMm: 6, atMm: 50, clockDeg: 90 }],
  };
  const part = upgradePart(old)!;
  expect(codes(part)).toEqual([]);
  expect(partLengthMm(part)).toBe(100);
  // By hand: cylinders, less their chamfers' rings, the bore, and the hole beside the bore (integrated below in its own test).
  const ring = (r: number, c: number) => Math.PI * r * r * c - (Math.PI * c * ((r - c) ** 2 + (r - c) * r + r * r)) / 3;
  const solid = Math.PI * (28 ** 2 * 8 + 20 ** 2 * 92 - 25 * 100) - ring(28, 1) - ring(20, 2);
  expect(volumeMm3({ ...part, features: part.features.filter((f) => f.kind === 'chamfer') })).toBeCloseTo(solid, 6);
  expect(part.features.at(-1)).toMatchObject({ id: 'h', on: 'body', atMm: 42, clockDeg: 90, diameterMm: 6 });
  expect(part.outside[1]!.fitsPlaceIds).toEqual(['p']);
  expect(upgradePart(part)).toBe(part);
  expect(upgradePart(null)).toBeNull();
});
