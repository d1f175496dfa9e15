import { drawnId, workOut } from '../job';
import { testPlace, testReading, testSheet, testShop } from '../job/testing';
import type { ReadStretch } from './stretches';
import { boresOf, newSizeMm, outsideOf, readStretch, type Evidence } from './surfaces';

const inside = (placeId: string, fromMm: number, toMm: number, mm: number): ReadStretch => ({
  ...{ placeId, piece: 'pin', name: placeId, land: false, fromMm, toMm, leftMm: mm, rightMm: mm },
});
const NOTHING: Evidence = { places: [], fits: [], bores: [], seats: [] };
const bores = (read: readonly ReadStretch[], lengthMm = 60) => boresOf(read, [], lengthMm, NOTHING, 'mm').bores;

describe('a bore from what was read inside', () => {
  it('is none where nothing was read', () => expect(bores([])).toEqual([]));

  it('goes through where it was read to within a millimetre of both ends: its last stretch takes what is left', () => {
    const [bore] = bores([inside('a', 0.5, 30, 20), inside('b', 30, 59.2, 16)]);
    expect(bore).toMatchObject({ from: 'near', through: true });
    expect(bore!.surfaces.map((s) => [s.diameterMm, s.lengthMm])).toEqual([
      [20, 30],
      [16, 0],
    ]);
  });

  it('a blind one lies at the end that it is nearer to, told from its mouth inwards', () => {
    expect(bores([inside('a', 0, 25, 20)])[0]).toMatchObject({ from: 'near', through: false, surfaces: [{ lengthMm: 25 }] });
    const [far] = bores([inside('deep', 30, 45, 12), inside('mouth', 45, 60, 20)]);
    expect(far).toMatchObject({ from: 'far', through: false });
    expect(far!.surfaces.map((s) => [s.name, s.diameterMm, s.lengthMm])).toEqual([
      ['mouth', 20, 15],
      ['deep', 12, 15],
    ]);
  });
});

it('the outside: what nobody read has no place and a name of its own, a taper its two ends, a place that comes twice two surfaces', () => {
  const stretch = (placeId: string | null, fromMm: number, toMm: number, leftMm: number, rightMm = leftMm) => ({
    ...{ piece: 'pin', name: placeId ?? 'not read', land: false },
    ...{ placeId, fromMm, toMm, leftMm, rightMm },
  });
  const row = outsideOf(
    [stretch('a', 0, 20, 30), stretch(null, 20, 26, 30), stretch('a', 26, 40, 30), stretch('t', 40, 60, 30, 26)],
    NOTHING,
  );
  expect(row.map((s) => [s.id, s.kind, s.lengthMm])).toEqual([
    [drawnId('a'), 'cylinder', 20],
    ['unread-20.0', 'cylinder', 6],
    [`${drawnId('a')}-2`, 'cylinder', 14],
    [drawnId('t'), 'taper', 20],
  ]);
  expect(row[3]!.farDiameterMm).toBe(26);
});

describe('a place as a stretch of the new part', () => {
  const cone = testPlace('cone', { name: 'Cone', kind: 'taper', startMm: 10, lengthMm: 40, stationsMm: [15, 45] });
  // 1 in 20 over 30 mm: 25.75 at 15, 24.25 at 45.
  const read = [
    [15, 25.75],
    [45, 24.25],
  ].flatMap(([stationMm, valueMm]) =>
    [0, 90].map((clockDeg) => testReading({ placeId: 'cone', stationMm: stationMm!, clockDeg, valueMm: valueMm!, instrumentId: 'mic' })),
  );
  const length = testPlace('long', { kind: 'length' });
  const { places } = workOut(
    testSheet({ places: [...testSheet().places, cone, length], readings: [...testSheet().readings, ...read] }),
    testShop,
  );
  const of = (id: string) => places.find((f) => f.place.id === id)!;

  it('a taper runs on to both its ends, by its line: 26 at 10 mm and 24 at 50', () => {
    const stretch = readStretch(of('cone'), 0)!;
    expect([stretch.fromMm, stretch.toMm]).toEqual([10, 50]);
    expect(stretch.leftMm).toBeCloseTo(26, 3);
    expect(stretch.rightMm).toBeCloseTo(24, 3);
  });

  it('counts from the zero face of the new part, and is what it was, not what is left of it', () => {
    expect(readStretch(of('land'), -5)!.fromMm).toBe(5);
    expect(newSizeMm(of('land'))).toBe(40);
  });

  it('a length is no stretch', () => expect(readStretch(of('long'), 0)).toBeNull());
});
