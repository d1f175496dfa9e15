import { choiceKey } from './choices';
import { spreadWords } from './proved';
import { workOut } from './repair';
import { drawnPin, testChoice, testReading, testSheet, testShop } from './testing';

const pin = drawnPin();
const sheet = testSheet({
  choices: [testChoice(choiceKey.part, { ...pin, outside: pin.outside.map((s) => ({ ...s, fitsPlaceIds: [] })) })],
});
const body = (...sizesMm: number[]) => {
  const read = sizesMm.map((valueMm, i) =>
    testReading({ purpose: 'proof', segmentId: 'body', stationMm: 60, clockDeg: 90 * i, valueMm, instrumentId: 'mic' }),
  );
  return workOut({ ...sheet, readings: [...sheet.readings, ...read] }, testShop).proofs.find((p) => p.name === 'Body')!;
};
const spread = (...sizesMm: number[]): string => spreadWords(body(...sizesMm), (mm) => mm.toFixed(2));

it('tells from where to where it reads once that is more than its instrument leaves open', () => {
  // One that is inside by its mean and out by its largest.
  expect([body(40.1).verdict, body(39.7, 40.5).verdict]).toEqual(['fits', 'out']);
  expect(spread(40.01, 40.07)).toBe('40.01 to 40.07');
  expect(spread(40.041, 40.042)).toBe('');
  expect(spread(40.04)).toBe('');
  expect(spread()).toBe('');
});
