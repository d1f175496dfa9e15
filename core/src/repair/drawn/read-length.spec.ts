import { workOut } from '../job';
import { testPlace, testReading, testSheet, testShop } from '../job/testing';
import { readAcrossMm, readLengthMm } from './read-length';

const length = (id: string, componentId: string) =>
  testPlace(id, { name: id, kind: 'length', componentId, stationsMm: [0], clocksDeg: [0] });
const read = (placeId: string, valueMm: number) => testReading({ placeId, quantity: 'length', valueMm, instrumentId: 'tele' });
const places = workOut(
  testSheet({
    places: [length('shoulder', 'pin'), length('overall', 'pin'), length('housing', 'barrel-part'), length('unread', 'pin')],
    readings: [read('shoulder', 22), read('overall', 119.9), read('overall', 120.1), read('housing', 240)],
  }),
  testShop,
).places;

it('is the longest that was read of what it replaces, the mean of its readings', () => {
  expect(readLengthMm(places, ['pin'])).toBeCloseTo(120, 6);
  expect(readLengthMm(places, ['barrel-part'])).toBeCloseTo(240, 6);
});

it('where nothing is named, that of the worn part; where that has none, of anything', () => {
  expect(readLengthMm(places, [])).toBeCloseTo(120, 6);
  expect(
    readLengthMm(
      places.filter((f) => f.component.id !== 'pin'),
      [],
    ),
  ).toBeCloseTo(240, 6);
});

it('is nothing where nothing was read, also of a component that is named while another was read', () => {
  expect(readLengthMm([], [])).toBeNull();
  expect(readLengthMm(places, ['another'])).toBeNull();
});

it('across is the largest diameter that was read outside of it; a bore, a length and what nobody read are none', () => {
  const across = (id: string, componentId: string, side: 'outside' | 'inside') =>
    testPlace(id, { name: id, componentId, side, stationsMm: [5], clocksDeg: [0] });
  const dia = (placeId: string, valueMm: number) => testReading({ placeId, stationMm: 5, valueMm });
  const found = workOut(
    testSheet({
      places: [
        ...[across('head', 'pin', 'outside'), across('shank', 'pin', 'outside'), across('hole', 'pin', 'inside')],
        ...[across('unread', 'barrel-part', 'outside'), length('overall', 'pin')],
        testPlace('thread', { name: 'thread', kind: 'thread', componentId: 'stud', stationsMm: [5], clocksDeg: [0] }),
      ],
      readings: [
        dia('head', 60.02),
        dia('shank', 40),
        dia('hole', 80),
        read('overall', 200),
        testReading({ placeId: 'thread', stationMm: 5, quantity: 'major', valueMm: 7.9 }),
      ],
      components: [...testSheet().components, { ...testSheet().components[0]!, id: 'stud', name: 'Stud' }],
    }),
    testShop,
  ).places;
  expect(readAcrossMm(found, ['pin'])).toBeCloseTo(60.02, 6);
  expect(readAcrossMm(found, ['stud'])).toBeCloseTo(7.9, 6);
  expect(readAcrossMm(found, ['barrel-part'])).toBeNull();
  expect(readAcrossMm([], [])).toBeNull();
});
