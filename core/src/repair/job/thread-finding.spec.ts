import { workOut } from './repair';
import { NO_DETAIL, type PlaceRecord, type ReadingRecord } from './records';
import { testInstrument, testPlace, testReading, testSheet, testShop } from './testing';

const exact = testInstrument('exact', { uMm: 0.002, repeatMm: 0.002, rangeLowMm: 0, rangeHighMm: 1000 });
const shop = { ...testShop, instruments: [...testShop.instruments, exact] };
function thread(values: Partial<Record<ReadingRecord['quantity'], number>>, detail: Partial<PlaceRecord['detail']> = {}) {
  const place = testPlace('thread', {
    name: 'Thread',
    kind: 'thread',
    stationsMm: [10],
    clocksDeg: [0],
    detail: { ...NO_DETAIL, ...detail },
  });
  const readings = Object.entries(values).map(([quantity, valueMm]) =>
    testReading({ placeId: 'thread', quantity: quantity as ReadingRecord['quantity'], stationMm: 10, valueMm, instrumentId: 'exact' }),
  );
  return workOut(testSheet({ places: [place], readings }), shop).places[0]!.thread;
}
const name = (t: ReturnType<typeof thread>): string | undefined => t?.answer?.matches[0]?.thread.name;

it('9.47 over the crests and 24 to the inch is 3/8-24 UNF; 7.92 and 22 is 5/16 BSF', () => {
  expect(name(thread({ major: 9.47, crests: 25.4 / 24 }))).toBe('3/8-24 UNF');
  expect(name(thread({ major: 7.92, crests: 25.4 / 22 }))).toBe('5/16 BSF');
});

it('ten pitches at once are one ten times as sure', () => {
  const one = thread({ major: 9.9, crests: 1.5 })!;
  const ten = thread({ major: 9.9, crests: 15 }, { pitches: 10 })!;
  expect([name(one), name(ten)]).toEqual(['M10', 'M10']);
  expect(ten.pitch.value).toBeCloseTo(1.5, 9);
  expect(ten.pitch.plusMinus!).toBeCloseTo(one.pitch.plusMinus! / 10, 5);
});

it('without a pitch it is not named, without a diameter the pitch alone is told', () => {
  expect(thread({ major: 9.9 })).toBeNull();
  expect(thread({ crests: 1.5 })).toMatchObject({ answer: null, pitch: { value: 1.5 } });
});

it('over wires it has a pitch diameter, once the wire is told: M10 over 0.866 mm wires measures 10.327 at 9.026', () => {
  const over = { major: 9.9, crests: 1.5, wires: 10.327 };
  expect(thread(over)!.wireProblem).toContain('which wire');
  // Three wires: M = d2 + 3 w - 0.866025 P, the lead angle adds under a micrometre.
  const wired = thread(over, { wireMm: 0.866 })!;
  expect(wired.pitchDiameter!.value).toBeCloseTo(10.327 - 3 * 0.866 + 0.866025 * 1.5, 2);
});
