import { workOut } from './repair';
import { testPlace, testReading, testSheet, testShop } from './testing';

/** What a place says that was read at its two ends, mm. */
function named(smallMm: number, largeMm: number, longMm: number, side: 'outside' | 'inside' = 'outside') {
  const place = {
    kind: 'taper',
    side,
    startMm: 0,
    lengthMm: longMm,
    stationsMm: [0, longMm],
    clocksDeg: [0],
    instrumentId: 'mic',
  } as const;
  const readings = [smallMm, largeMm].map((valueMm, i) =>
    testReading({ placeId: 'pin', stationMm: i * longMm, valueMm, instrumentId: 'mic' }),
  );
  const [found] = workOut(testSheet({ places: [testPlace('pin', place)], readings }), testShop).places;
  return found!;
}

// ASME B18.8.2: No. 5 is 0.289 in at its large end, a quarter inch a foot; ISO 2339: 8 mm is 8 at its small end, 1:50.
it.each([
  ['an inch pin', 0.2492 * 25.4, 0.2888 * 25.4, 1.9 * 25.4, ['1:47.98', '0.250 in per foot', 'inch taper pins', 'taper pin number 5']],
  ['a metric pin', 8, 9, 50, ['1:50', 'metric taper pins', 'taper pin 8 mm']],
  // ISO 296: Morse 2 is 17.780 at the gauge plane and 14.0 at 75 mm beyond, 1:20.020; Morse 3 is 1:19.922.
  ['a Morse shank', 17.78 - 70 / 20.02, 17.78, 70, ['Morse 2']],
  ['none that is listed', 20, 30, 50, ['1:5,', 'No listed pin']],
] as const)('%s', (_, small, large, long, words) => {
  const { taperOf } = named(small, large, long);
  for (const w of words) expect(taperOf).toContain(w);
});

it('a hole names no pin, as it only grows, and no taper has one size that could be told', () => {
  expect(named(8, 9, 50, 'inside').taperOf).not.toContain('it was a taper pin');
  const { nominal } = named(8, 9, 50);
  expect(nominal.ranked).toEqual([]);
  expect(nominal.note).toBe('It tapers: it had no one size.');
});
