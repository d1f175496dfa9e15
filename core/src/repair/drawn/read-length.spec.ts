import { workOut } from '../job';
import { testPlace, testReading, testSheet, testShop } from '../job/testing';
import { readLengthMm } from './read-length';

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
