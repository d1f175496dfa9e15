import { outline } from './outline';
import { newPart, PART_KINDS, type PartKind } from './templates';
import { partLengthMm, placeSegments, type TurnedPart } from './turned-part';
import { validatePart } from './validate-part';
import { massKg, volumeMm3 } from './volume';

const pin = newPart('headed-pin', 'Hinge pin', 40, 120);
const plain: TurnedPart = { ...newPart('plain-pin', 'Pin', 20, 100) };
const cylinder: TurnedPart = { ...plain, segments: [{ ...plain.segments[0]!, chamferLeftMm: 0, chamferRightMm: 0 }] };
const codes = (part: TurnedPart): string[] => {
  const checked = validatePart(part);
  return checked.ok ? [] : checked.problems.map((p) => `${p.path} ${p.code}`);
};

it.each(Object.keys(PART_KINDS) as PartKind[])('%s starts as a valid part of the asked length', (kind) => {
  const part = newPart(kind, 'x', 40, 120);
  expect(codes(part)).toEqual([]);
  expect(partLengthMm(part)).toBeCloseTo(120, 9);
});

it('places segments end to end', () => {
  expect(placeSegments(pin).map((s) => [s.fromMm, s.toMm])).toEqual([
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
    const bored = { ...cylinder, bore: { diameterMm: 10, depthMm: 40 } };
    expect(volumeMm3(cylinder) - volumeMm3(bored)).toBeCloseTo(Math.PI * 25 * 40, 6);
    const crossed = { ...cylinder, crossHoles: [{ id: 'h', diameterMm: 20, atMm: 50, clockDeg: 0 }] };
    expect(volumeMm3(cylinder) - volumeMm3(crossed)).toBeCloseTo((16 / 3) * 1000, 0);
  });
  it('weighs steel at 7850 kg/m³', () => expect(massKg(cylinder)).toBeCloseTo(Math.PI * 1e4 * 7850e-9, 6));
});

describe('validation tells every problem with its path', () => {
  it('of sizes', () => {
    const broken = {
      ...pin,
      materialId: 'mithril',
      segments: [
        { ...pin.segments[0]!, diameterMm: 0 },
        { ...pin.segments[1]!, lengthMm: -3 },
      ],
    };
    expect(codes(broken)).toEqual(
      expect.arrayContaining(['materialId material', 'segments.0.diameterMm diameter', 'segments.1.lengthMm length']),
    );
  });
  it('of chamfers, holes and walls', () => {
    expect(codes({ ...plain, segments: [{ ...plain.segments[0]!, chamferLeftMm: 60, chamferRightMm: 50 }] })).toEqual([
      'segments.0.chamferLeftMm chamfer',
    ]);
    expect(codes({ ...plain, crossHoles: [{ id: 'a', diameterMm: 6, atMm: 98, clockDeg: 0 }] })).toEqual(['crossHoles.0.atMm off-part']);
    expect(codes({ ...plain, crossHoles: [{ id: 'a', diameterMm: 12, atMm: 50, clockDeg: 0 }] })).toEqual([
      'crossHoles.0.diameterMm too-big',
    ]);
    expect(codes({ ...plain, bore: { diameterMm: 19, depthMm: null } })).toEqual(['bore.diameterMm thin-wall']);
    expect(codes({ ...plain, bore: { diameterMm: 5, depthMm: 300 } })).toContain('bore.depthMm depth');
  });
  it('of nothing drawn', () => expect(codes({ ...plain, segments: [] })).toEqual(['segments empty']));
});
