import { workOut } from './repair';
import { NO_DETAIL, type PlaceRecord } from './records';
import { testInstrument, testPlace, testReading, testSheet, testShop } from './testing';

const dial = testInstrument('dial', {
  name: 'Dial indicator',
  kind: 'indicator',
  uMm: 0.002,
  repeatMm: 0.002,
  rangeLowMm: 0,
  rangeHighMm: 10,
});
const shop = { ...testShop, instruments: [...testShop.instruments, dial] };
const rad = (deg: number): number => (deg * Math.PI) / 180;
/** Readings of something whose axis lies `offMm` beside its own turning axis at each station, high side at `towards`. */
function finding(
  kind: PlaceRecord['kind'],
  offsets: readonly (readonly [at: number, offMm: number])[],
  more: Partial<PlaceRecord['detail']> = {},
  towards = 90,
) {
  const clocks = [0, 45, 90, 135, 180, 225, 270, 315];
  const place = testPlace('p', {
    ...{ name: 'Rod', kind, startMm: 0, lengthMm: 700, stationsMm: offsets.map(([at]) => at), clocksDeg: clocks, instrumentId: 'dial' },
    detail: { ...NO_DETAIL, holding: 'centres', ...more },
  });
  const readings = offsets.flatMap(([stationMm, off]) =>
    clocks.map((clockDeg) =>
      testReading({
        placeId: 'p',
        quantity: 'indicator',
        stationMm,
        clockDeg,
        valueMm: off * Math.cos(rad(clockDeg - towards)),
        instrumentId: 'dial',
      }),
    ),
  );
  return workOut(testSheet({ places: [place], readings }), shop).places[0]!.indicator!;
}

it('an axis that is 0.05 off swings the indicator 0.10, high where it is off', () => {
  const { figure, map, words } = finding('run-out', [[100, 0.05]]);
  expect(figure!.value).toBeCloseTo(0.1, 3);
  expect(map[0]!.highDeg).toBeCloseTo(90, 0);
  expect(words).toContain('High along 90°');
  expect(words).toContain('off centre');
});

it('a rod that bows 0.3 between centres shows 0.6 in its middle: half of it is the bow', () => {
  const bow = (x: number): number => 0.3 * Math.sin((Math.PI * x) / 700);
  const { bend, figure, words } = finding(
    'straightness',
    [50, 200, 350, 500, 650].map((x) => [x, bow(x)] as const),
  );
  expect(bend!.bowMm).toBeCloseTo(0.3, 1);
  expect(figure!.value).toBeCloseTo(2 * bend!.bowMm, 9);
  expect(bend!.highAtMm).toBeGreaterThan(250);
  expect(bend!.highAtMm).toBeLessThan(450);
  expect(words).toMatch(/^Bow .*half of what the indicator shows/);
});

it('says what it cannot show: three angles, two stations, the error of the jaws', () => {
  expect(
    finding('straightness', [
      [50, 0.1],
      [600, 0.1],
    ]).cannotShow.join(),
  ).toContain('three stations or more');
  expect(finding('run-out', [[100, 0.05]], { holding: 'chuck' }).cannotShow.join()).toContain('error of the jaws');
});

/** The same read only from the low side to the high one. */
function totals(kind: PlaceRecord['kind'], rows: readonly (readonly [at: number, totalMm: number])[]) {
  const place = testPlace('p', {
    ...{ name: 'Bend', kind, startMm: 0, lengthMm: 760, stationsMm: rows.map(([at]) => at), clocksDeg: [0, 180], instrumentId: 'dial' },
    detail: { ...NO_DETAIL, holding: 'v-blocks', supportsMm: [50.8, 711.2] },
  });
  const readings = rows.flatMap(([stationMm, totalMm]) =>
    [0, 180].map((clockDeg) =>
      testReading({ placeId: 'p', quantity: 'indicator', stationMm, clockDeg, valueMm: clockDeg ? totalMm : 0, instrumentId: 'dial' }),
    ),
  );
  return workOut(testSheet({ places: [place], readings }), shop);
}

it('a total alone tells the bow and not which way: 0.018 in on blocks is 0.009 off', () => {
  const { places, diagnosis } = totals('straightness', [
    [381, 0.4572],
    [150, 0.2],
  ]);
  const { figure, words, bend, cannotShow } = places[0]!.indicator!;
  expect(figure!.value).toBeCloseTo(0.4572, 9);
  expect(words).toBe('Bow 0.229 mm at 381 mm, half of what the indicator shows in all.');
  expect(bend).toBeNull();
  expect(cannotShow).toHaveLength(1);
  expect(diagnosis.causes.flatMap((c) => c.because)).toContainEqual(expect.stringMatching(/is bent, 0.457 mm on the indicator/));
});

it('a total of a seat is off centre by half of it at most', () => {
  expect(totals('run-out', [[100, 0.06]]).places[0]!.indicator!.words).toContain('Off centre by 0.030 mm');
});
