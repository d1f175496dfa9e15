import type { ReadingRecord } from './records';
import { workOut } from './repair';
import { testPlace, testReading, testSheet, testShop } from './testing';

const INCH = 25.4;
/** A shaft with a groove beside a diameter, or nothing beside it. */
function groove(grooveMm: number, shaftMm: number | null, unit: 'mm' | 'in', side: 'outside' | 'inside' = 'outside') {
  const base = testSheet();
  const places = [
    testPlace('groove', { kind: 'groove', side, startMm: 40, lengthMm: 2, stationsMm: [41], clocksDeg: [0], instrumentId: 'mic' }),
    ...(shaftMm === null
      ? []
      : [testPlace('beside', { side, startMm: 0, lengthMm: 40, stationsMm: [20], clocksDeg: [0], instrumentId: 'mic' })]),
    testPlace('far', { side, startMm: 90, lengthMm: 20, stationsMm: [95], clocksDeg: [0], instrumentId: 'mic' }),
  ];
  const readings: ReadingRecord[] = [
    testReading({ placeId: 'groove', quantity: 'groove-size', stationMm: 41, valueMm: grooveMm, instrumentId: 'mic' }),
    ...(shaftMm === null ? [] : [testReading({ placeId: 'beside', stationMm: 20, valueMm: shaftMm, instrumentId: 'mic' })]),
  ];
  const { places: found } = workOut(testSheet({ job: { ...base.job, unit }, places, readings }), testShop);
  return found.find((f) => f.place.id === 'groove')!.groove;
}

it('0.812 in on a 7/8 shaft was cut 0.009 deeper than the 0.821 of the book', () => {
  const g = groove(0.812 * INCH, 0.8745 * INCH, 'in')!;
  expect(g.deeperMm / INCH).toBeCloseTo(0.009, 6);
  expect(g.asInBook).toBe(false);
  expect(g.words).toContain('0.0090 in deeper');
});

it.each([
  ['28.6 on 30 (DIN 471)', 28.6, 30, 'outside', true],
  ['28.45, within h12 of it', 28.45, 30, 'outside', true],
  ['28.2, deeper than h12', 28.2, 30, 'outside', false],
  ['29.0: the ring stands out', 29, 30, 'outside', false],
  ['49.5 in a bore of 47 (DIN 472)', 49.5, 47, 'inside', true],
  ['50.2 in a bore of 47', 50.2, 47, 'inside', false],
] as const)('%s', (_, size, beside, side, asInBook) => expect(groove(size, beside, 'mm', side)!.asInBook).toBe(asInBook));

it('says nothing where the diameter beside it is not measured, or no ring is made for it', () => {
  expect(groove(28.6, null, 'mm')).toBeNull();
  expect(groove(250, 260, 'mm')).toBeNull();
});
