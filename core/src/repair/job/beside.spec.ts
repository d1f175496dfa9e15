import { besideMm } from './beside';
import { workOut } from './repair';
import { testPlace, testReading, testSheet, testShop } from './testing';

const at = (id: string, startMm: number, lengthMm: number, mm: number, more: object = {}) => ({
  place: testPlace(id, { startMm, lengthMm, stationsMm: [startMm + 1], clocksDeg: [0, 90], ...more }),
  readings: [mm, mm + 0.1].map((valueMm, i) => testReading({ placeId: id, stationMm: startMm + 1, clockDeg: i * 90, valueMm })),
});
const all = [
  at('seat', 0, 20, 25),
  at('body', 22, 40, 30),
  at('bore', 0, 20, 12, { side: 'inside' }),
  at('groove', 20.5, 1, 24, { kind: 'groove' }),
  at('mate', 20.5, 1, 40, { componentId: 'barrel-part' }),
];
const { places } = workOut(testSheet({ places: all.map((a) => a.place), readings: all.flatMap((a) => a.readings) }), testShop);
const beside = (id: string) =>
  besideMm(
    places.find((p) => p.place.id === id)!,
    places,
  );

it('is the largest of the nearest diameter of the same component and side', () => {
  expect(beside('groove')).toBeCloseTo(25.1, 6);
  expect(beside('seat')).toBeCloseTo(30.1, 6);
});

it('a bore alone has nothing beside it', () => expect(beside('bore')).toBeNull());
