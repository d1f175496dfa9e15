import { measuredPlace } from './measured';
import { meanOf, quantityFindings, shapeFigures, TAPER_OVER } from './place-figures';
import type { PlaceRecord, ReadingRecord } from './records';
import { testPlace, testReading, testSheet, testShop } from './testing';

const [component] = testSheet().components;
const read = (stationMm: number, clockDeg: number, valueMm: number, more: Partial<ReadingRecord> = {}): ReadingRecord =>
  testReading({ placeId: 'body', stationMm, clockDeg, valueMm, instrumentId: 'mic', ...more });
const measured = (
  readings: readonly ReadingRecord[],
  place: PlaceRecord = testPlace('body', { name: 'Body', lengthMm: 200 }),
  unit: 'mm' | 'in' = 'mm',
) => measuredPlace({ place, component: component!, readings, settled: {}, shopTempC: 20, unit, shop: testShop });
const figuresOf = (readings: readonly ReadingRecord[], unit: 'mm' | 'in' = 'mm') => {
  const m = measured(readings, undefined, unit);
  return shapeFigures(m.place, m.shape!, m.readingsOf, unit);
};
/** Read at four clocks each, round. */
const round = (sizes: readonly (readonly [at: number, mm: number])[]) =>
  sizes.flatMap(([at, mm]) => [0, 45, 90, 135].map((clock) => read(at, clock, mm)));

it('a shaft that falls by 0.02 in 80 mm tapers by 0.025 in 100, by 0.003 in a foot', () => {
  const readings = round([
    [10, 40.02],
    [50, 40.01],
    [90, 40],
  ]);
  expect(figuresOf(readings).taper).toMatchObject({ value: expect.closeTo(-0.025, 5), label: 'taper of body, per 100 mm' });
  const inch = figuresOf(readings, 'in').taper!;
  expect(inch.label).toBe('taper of body, per foot');
  expect(inch.value / 25.4).toBeCloseTo((-0.02 / 80) * 12, 6);
  expect(TAPER_OVER.in.mm / 25.4).toBeCloseTo(12, 12);
});

it('smallest and largest say at which station, the mean over how many', () => {
  const f = figuresOf(
    round([
      [10, 40.02],
      [50, 40.01],
      [90, 40],
    ]),
  );
  const how = (x: typeof f.mean) => (x?.origin.kind === 'worked' ? x.origin.how : '');
  expect(f.smallest!.value).toBeCloseTo(40, 6);
  expect(how(f.smallest)).toContain('at station 90');
  expect(f.largest!.value).toBeCloseTo(40.02, 6);
  expect(how(f.largest)).toContain('at station 10');
  expect(how(f.mean)).toBe('mean of 3 stations');
  expect(f.smallest!.label).toBe('smallest place in body');
});

it('an oval of 0.08 is told with its long axis; of two directions only that it is at least so much', () => {
  const oval = (clock: number): number => 40 + 0.04 * Math.cos((2 * ((clock - 30) * Math.PI)) / 180);
  const whole = figuresOf([0, 30, 60, 90, 120, 150].map((clock) => read(20, clock, oval(clock)))).ovality!;
  expect(whole.value).toBeCloseTo(0.08, 4);
  expect(whole.origin).toMatchObject({ how: expect.stringContaining('long axis along 30°') });
  const two = figuresOf([read(20, 0, 40.03), read(20, 90, 40)]).ovality!;
  expect(two.value).toBeCloseTo(0.03, 9);
  expect(two.origin).toMatchObject({ how: expect.stringContaining('at least this') });
});

it('a step is no taper', () => {
  const f = figuresOf(
    round([
      [10, 40],
      [30, 40.001],
      [50, 40],
      [110, 39.8],
      [130, 39.801],
      [150, 39.8],
    ]),
  );
  expect(f.taper).toBeNull();
  expect(f.belly).toBeNull();
  expect(f.step!.value).toBeCloseTo(-0.2, 3);
  expect(f.step!.label).toContain('between 50 mm and 110 mm');
});

it('a barrel shape is a belly, not a taper', () => {
  const f = figuresOf(
    round([
      [10, 40],
      [50, 40.03],
      [90, 40.04],
      [130, 40.03],
      [170, 40],
    ]),
  );
  expect(f.belly!.value).toBeCloseTo(0.04, 2);
  expect(Math.abs(f.taper!.value)).toBeLessThan(0.001);
});

describe('lengths, depths, widths', () => {
  const slot = testPlace('slot', { name: 'Key slot', kind: 'keyseat' });
  const width = [8.01, 8.03, 8.02].map((mm) => read(0, 0, mm, { placeId: 'slot', quantity: 'width' }));
  const depth = read(0, 0, 4, { placeId: 'slot', quantity: 'depth' });
  const values = quantityFindings(measured([...width, depth], slot), testShop);

  it('are told each for itself: mean, spread, how sure', () => {
    expect(values.map((v) => v.quantity).sort()).toEqual(['depth', 'width']);
    const w = values.find((v) => v.quantity === 'width')!;
    expect([w.mean.value, w.spreadMm]).toEqual([expect.closeTo(8.02, 9), expect.closeTo(0.02, 9)]);
    // Three that scatter by 0.01: the mean by 0.01/√3, twice over at 95 %, and no less.
    expect(w.plusMinusMm).toBeGreaterThan((2 * 0.01) / Math.sqrt(3) - 1e-3);
    expect(w.mean.label).toBe('width of key slot');
  });

  it('of one that was not read there is none', () => {
    expect(meanOf({ values }, 'depth')).toBe(4);
    expect(meanOf({ values }, 'length')).toBeNull();
  });
});
