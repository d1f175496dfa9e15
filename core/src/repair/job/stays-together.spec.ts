import { mayGoInto } from './fit-finding';
import type { ComponentVerdict } from './records';
import { workOut } from './repair';
import { testPlace, testReading, testSheet, testShop } from './testing';

/** A drum on its shaft, both beside a worn pin: 38.05 in bore 38.15 to 38.17. */
function drum(shaft: ComponentVerdict, seatMm: number | null = 38.05) {
  const base = testSheet();
  const [pin, mate] = base.components;
  const at = { stationsMm: [20], clocksDeg: [0, 90], instrumentId: 'mic', startMm: 0, lengthMm: 40 };
  return workOut(
    testSheet({
      components: [pin!, { ...mate!, name: 'Drum', verdict: 'reuse' }, { ...mate!, id: 'shaft', name: 'Shaft', verdict: shaft }],
      places: [
        testPlace('hub', { name: 'Drum bore', componentId: mate!.id, side: 'inside', matesPlaceId: null, ...at }),
        testPlace('seat', { name: 'Seat', componentId: 'shaft', side: 'outside', matesPlaceId: 'hub', ...at }),
      ],
      readings: [
        testReading({ placeId: 'hub', stationMm: 20, clockDeg: 0, valueMm: 38.15, instrumentId: 'mic' }),
        testReading({ placeId: 'hub', stationMm: 20, clockDeg: 90, valueMm: 38.17, instrumentId: 'mic' }),
        ...(seatMm === null ? [] : [0, 90]).map((clockDeg) =>
          testReading({ placeId: 'seat', stationMm: 20, clockDeg, valueMm: seatMm!, instrumentId: 'mic' }),
        ),
      ],
    }),
    testShop,
  );
}

it('two that go back as they are: how they stand, and nothing to choose', () => {
  const { fits, stations } = drum('reuse');
  expect(fits[0]).toMatchObject({ figures: null, options: [] });
  expect(fits[0]!.problem).toContain('0.100 mm to 0.120 mm of play');
  expect(stations.find((x) => x.id === 'decide')!.waitsFor ?? '').not.toContain('the fit of');
});

it('a shaft that is made anew gets its fit, and holds Decide until it has one', () => {
  const { fits, stations } = drum('remake');
  expect(fits[0]!.staysWith).toBeNull();
  expect(fits[0]!.options.length).toBeGreaterThan(0);
  expect(stations.find((x) => x.id === 'decide')!.waitsFor).toContain('the fit of drum bore');
});

it('a shaft that is tight in its hole, or was not read, is told as it is', () => {
  // 38.15 to 38.17 less 38.16.
  expect(drum('reuse', 38.16).fits[0]!.problem).toContain('from -0.010 mm to 0.010 mm between them, below 0 where one is tight');
  expect(drum('reuse', null).fits[0]!.problem).toContain('both reused. Nothing is made');
});

it('what stays in a hole leaves no room for a new body; a hole of another size is not meant for it', () => {
  expect(mayGoInto(drum('reuse').fits[0]!, 38)).toBe(false);
  const [free] = drum('remake').fits;
  expect([38, 42, 60, 20].map((mm) => mayGoInto(free!, mm))).toEqual([true, true, false, false]);
});
