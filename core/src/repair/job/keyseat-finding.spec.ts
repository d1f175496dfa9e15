import type { KeyseatFinding } from './keyseat-finding';
import type { ReadingRecord } from './records';
import { workOut } from './repair';
import { testPlace, testReading, testSheet, testShop } from './testing';

const INCH = 25.4;
/** A keyseat in a shaft, its width and, where it was read, its depth from the crown. */
function keyseat(shaftMm: number | null, widthMm: number, depthMm: number | null, unit: 'mm' | 'in'): KeyseatFinding | null {
  const base = testSheet();
  const place = { stationsMm: [20], clocksDeg: [0], instrumentId: 'mic' };
  const places = [
    testPlace('seat', { kind: 'keyseat', side: 'outside', startMm: 10, lengthMm: 20, ...place }),
    testPlace('shaft', { side: 'outside', startMm: 0, lengthMm: 40, ...place }),
  ];
  const at = { stationMm: 20, instrumentId: 'mic' } as const;
  const readings: ReadingRecord[] = [
    testReading({ placeId: 'seat', quantity: 'width', valueMm: widthMm, ...at }),
    ...(depthMm === null ? [] : [testReading({ placeId: 'seat', quantity: 'key-depth', valueMm: depthMm, ...at })]),
    ...(shaftMm === null ? [] : [testReading({ placeId: 'shaft', valueMm: shaftMm, ...at })]),
  ];
  const { places: found } = workOut(testSheet({ job: { ...base.job, unit }, places, readings }), testShop);
  return found.find((f) => f.place.id === 'seat')!.keyseat;
}

// Depths from the crown by the printed S (ASME B17.1, table 2; shaft less S): 1 in, 1/4 square 0.859; 1 1/4 in, 1/4 square 1.112.
// DIN 6885-1: 25 mm, 8 x 7, t1 4.0. ASME B17.2: No. 808, 1/4 x 1, depth at the side 0.3130; chord height at 7/8 is 0.0183.
it.each([
  ['1/4 square in 1 in', 1 * INCH, 0.25 * INCH, 0.141 * INCH, 'in', '1/4 x 1/4', false, true],
  ['1/4 square in 1 1/4 in', 1.25 * INCH, 0.25 * INCH, 0.138 * INCH, 'in', '1/4 x 1/4', false, true],
  ['8 x 7 in 25', 25, 8, 4.05, 'mm', '8 x 7', false, true],
  ['8 x 7 in 25, cut 1 mm too deep', 25, 8, 5, 'mm', '8 x 7', false, false],
  ['8 x 7 in 25, 0.15 over t1: within its +0.2', 25, 8, 4.15, 'mm', '8 x 7', false, true],
  ['8 x 7 in 25, 0.3 over t1', 25, 8, 4.3, 'mm', '8 x 7', false, false],
  ['1/4 square in 1 in, 0.012 deeper: within its 0.015', 1 * INCH, 0.25 * INCH, 0.153 * INCH, 'in', '1/4 x 1/4', false, true],
  ['No. 808 cut 0.020 too deep', 0.8745 * INCH, 0.25 * INCH, 0.346 * INCH, 'in', 'No. 808 (1/4 x 1)', true, false],
  ['8 x 7 in 25, half a millimetre short', 25, 8, 3.5, 'mm', '8 x 7', false, false],
  ['No. 808 in 7/8 in', 0.8745 * INCH, 0.25 * INCH, 0.331 * INCH, 'in', 'No. 808 (1/4 x 1)', true, true],
  ['an inch key in a metric shaft', 25, 0.25 * INCH, 0.141 * INCH, 'mm', '1/4 x 1/4', false, true],
] as const)('%s', (_, shaftMm, widthMm, depthMm, unit, key, halfMoon, asInBook) =>
  expect(keyseat(shaftMm, widthMm, depthMm, unit)).toMatchObject({ key, halfMoon, asInBook }),
);

it('a 3/16 seat in 0.9845: the book has 1/4 there, and it is said before the depth is read', () => {
  const found = keyseat(0.9845 * INCH, 0.1875 * INCH, null, 'in')!;
  expect(found).toMatchObject({ key: '3/16 x 3/16', asInBook: false, deeperMm: null });
  expect(found.words).toContain('has 1/4 x 1/4 for a shaft of 0.9845 in');
  expect(found.words).toContain('depth is not read yet');
});

it('says how much deeper or shallower it is, in the reader’s unit', () => {
  expect(keyseat(25, 8, 5, 'mm')!.words).toContain('1.000 mm deeper than the book');
  expect(keyseat(25, 8, 3.5, 'mm')!.words).toContain('0.500 mm shallower');
});

it('says nothing without the shaft, and of a width in no list that it is in none', () => {
  expect(keyseat(null, 8, 4, 'mm')).toBeNull();
  expect(keyseat(25, 6.9, 4, 'mm')).toMatchObject({ key: null, asInBook: false });
});
