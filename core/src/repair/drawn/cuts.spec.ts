import { newPart, surface, type Part } from '../../making/part';
import { workOut, type PlaceRecord, type ReadingRecord } from '../job';
import { choiceKey } from '../job/choices';
import { testChoice, testPlace, testReading, testSheet, testShop } from '../job/testing';
import { cutsOf } from './cuts';

const shaft: Part = {
  ...newPart('plain-pin', 'Shaft', 30, 100),
  outside: [surface('a', 'cylinder', 'Seat', 40, 30), surface('b', 'cylinder', 'Body', 60, 40)],
  features: [],
};
type Values = Partial<Record<ReadingRecord['quantity'], number>>;
const cut = (
  kind: PlaceRecord['kind'],
  values: Values,
  more: Partial<PlaceRecord> = {},
  choices: readonly (readonly [string, unknown])[] = [],
) => {
  const place = testPlace('p', { name: 'Cut', kind, startMm: 10, lengthMm: 20, ...more });
  const beside = testPlace('beside', { startMm: 0, lengthMm: 40, stationsMm: [5], clocksDeg: [0] });
  const sheet = testSheet({
    places: [place, beside],
    readings: [
      testReading({ placeId: 'beside', stationMm: 5, valueMm: 30 }),
      ...Object.entries(values).map(([quantity, valueMm]) =>
        testReading({ placeId: 'p', quantity: quantity as ReadingRecord['quantity'], stationMm: 11, valueMm }),
      ),
    ],
    choices: choices.map(([key, value]) => testChoice(key, value)),
  });
  const found = workOut(sheet, testShop).places.filter((f) => f.place.id === 'p');
  return cutsOf(found, shaft, 0, sheet)[0]!;
};

it('a groove by its standard is the standard’s, another as it was read', () => {
  expect(cut('groove', { 'groove-size': 28.58, width: 1.62 }, { lengthMm: 1.6 }).feature).toMatchObject({
    ...{ kind: 'ring-groove', ring: 'book', diameterMm: 28.6, widthMm: 1.6, on: 'a', atMm: 10 },
  });
  expect(cut('groove', { 'groove-size': 27.4, width: 2.1 }, { lengthMm: 2 }).feature).toMatchObject({
    ...{ ring: 'measured', diameterMm: 27.4, widthMm: 2.1 },
  });
});

it('what is called a relief holds no ring, whatever it measures', () => {
  for (const [floor, width] of [
    [28.58, 1.62],
    [26, 3],
  ] as const)
    expect(cut('groove', { 'groove-size': floor, width }, { lengthMm: width, name: 'Thread relief' }).feature).toMatchObject({
      ...{ kind: 'relief', diameterMm: floor, widthMm: width, on: 'a', atMm: 10 },
    });
});

it('a keyseat whose depth nobody read is as deep as its standard has it, and that is said: 8 x 7 in 30, 4 deep (DIN 6885)', () => {
  const { feature, doubt } = cut('keyseat', { width: 8.01 });
  expect(feature).toMatchObject({ kind: 'keyseat', widthMm: 8, depthMm: 4 });
  expect(doubt).toContain('was not read: drawn as the book has it for a key 8 x 7');
});

it('a keyseat of DIN 6885 on 30 is 8 wide and 4 deep; another is drawn as found, and that is said', () => {
  const book = cut('keyseat', { width: 8.01, 'key-depth': 4.03 });
  expect(book).toMatchObject({ feature: { kind: 'keyseat', widthMm: 8, depthMm: 4, atMm: 10, lengthMm: 20, open: 'none' } });
  expect(book.doubt).toBeUndefined();
  const own = cut('keyseat', { width: 9.2, 'key-depth': 4.7 });
  expect(own).toMatchObject({ feature: { widthMm: 9.2, depthMm: 4.7 }, doubt: expect.stringContaining('as found') });
});

it.each([
  [0, 20, 'left'],
  [20, 20, 'right'],
  [5, 20, 'none'],
] as const)('a seat from %d, %d long, in a stretch of 40 is open: %s', (startMm, lengthMm, open) => {
  expect(cut('keyseat', { width: 8, 'key-depth': 4 }, { startMm, lengthMm }).feature).toMatchObject({ open });
});

it('a hole across lies where it was read from the zero face, else where Strip said', () => {
  expect(cut('cross-hole', { 'hole-size': 6, 'hole-at': 17 }, { lengthMm: 6 })).toMatchObject({
    feature: { kind: 'cross-hole', atMm: 17, diameterMm: 6 },
  });
  const said = cut('cross-hole', { 'hole-size': 6 }, { lengthMm: 6 });
  expect(said).toMatchObject({ feature: { atMm: 13 }, doubt: expect.stringContaining('as it was said at Strip') });
});

it('counts from the end of the stretch that it is cut into, and keeps its clock', () => {
  const seen = [choiceKey.seen('p'), { clockDeg: 90, timedToPlaceId: null }] as const;
  expect(cut('flats', { across: 27 }, { startMm: 50 }, [seen])).toMatchObject({
    feature: { kind: 'flats', count: 2, on: 'b', atMm: 10, acrossMm: 27, clockDeg: 90 },
    doubt: expect.stringContaining('two flats'),
  });
});

it.each([
  ['groove', { width: 2 }, 'diameter in the groove'],
  ['groove', { 'groove-size': 27 }, 'width'],
  ['keyseat', { 'key-depth': 4 }, 'width'],
  ['keyseat', { width: 9.2 }, 'depth'],
  ['flats', {}, 'size across'],
  ['cross-hole', { 'hole-at': 17 }, 'diameter'],
] as const)('a %s of which %j was read is not drawn, and says what is missing', (kind, values, what) => {
  expect(cut(kind, values)).toEqual({ feature: null, doubt: `Cut is not drawn: its ${what} was not read.` });
});

it('what is cut into nothing that was read, a thread without a name, and a plain depth are told, not drawn', () => {
  expect(cut('flats', { across: 27 }, { startMm: 150 })).toMatchObject({
    feature: null,
    doubt: expect.stringContaining('nothing was read'),
  });
  expect(cut('thread', {})).toMatchObject({ feature: null, doubt: expect.stringContaining('without its thread') });
  expect(cut('depth', { depth: 5 })).toMatchObject({ feature: null, doubt: expect.stringContaining('from its reading') });
});
