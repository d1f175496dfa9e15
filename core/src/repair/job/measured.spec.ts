import { isSettled, measuredPlace, pairKey, readingFigure, sizeOf, toDiameter, alphaOf, instrumentUncertaintyMm } from './measured';
import type { ReadingRecord, Shop } from './records';
import { testInstrument, testPlace, testReading, testSheet, testShop } from './testing';

const [component] = testSheet().components;
const shop: Shop = {
  ...testShop,
  instruments: [
    ...testShop.instruments,
    testInstrument('vernier', { name: 'Caliper', kind: 'caliper', rangeLowMm: 0, rangeHighMm: 150 }),
    testInstrument('off', { name: 'Old mic', biasMm: 0.012 }),
  ],
};
const read = (valueMm: number, more: Partial<ReadingRecord> = {}): ReadingRecord =>
  testReading({ placeId: 'body', stationMm: 20, valueMm, instrumentId: 'mic', ...more });

describe('a reading as a size at 20 °C', () => {
  it('brass of 100 mm at 35 °C, read with a mic at 20, is 0.0285 large', () => {
    // 19 µm a metre and degree, over 15 degrees.
    expect(100 - sizeOf(read(100, { partTempC: 35 }), 'brass', 20, shop)).toBeCloseTo(0.0285, 3);
  });

  it('steel at the warmth of the shop and a steel mic grow alike: what is read is right in a warm shop too', () => {
    expect(sizeOf(read(40), 'steel-c45', 31, shop)).toBeCloseTo(40, 3);
    expect(Math.abs(sizeOf(read(40), 'aluminium-6082', 31, shop) - 40)).toBeGreaterThan(0.004);
  });

  it('what the mic shows too much is taken off first; an indicator’s difference is left alone', () => {
    expect(sizeOf(read(40.012, { instrumentId: 'off' }), 'steel-c45', 20, shop)).toBeCloseTo(40, 9);
    const swing = read(0.05, { quantity: 'indicator', partTempC: 60, instrumentId: 'off' });
    expect(sizeOf(swing, 'brass', 20, shop)).toBe(0.05);
  });

  it('a metal that is not known grows as steel', () => expect(alphaOf('no such metal')).toBeCloseTo(11.5e-6, 12));
});

it('a number that a mic cannot show counts as a caliper’s, and says so', () => {
  const [mic, caliper] = [shop.instruments.find((i) => i.id === 'mic'), shop.instruments.find((i) => i.id === 'vernier')];
  expect(instrumentUncertaintyMm(mic, 'outside', 40)).toBeLessThan(instrumentUncertaintyMm(caliper, 'outside'));
  expect(instrumentUncertaintyMm(mic, 'outside', 63)).toBe(instrumentUncertaintyMm(caliper, 'outside'));
  expect(toDiameter(read(63), 'outside', 'steel-c45', 20, shop).instrumentMm).toBe(instrumentUncertaintyMm(caliper, 'outside'));
  expect(readingFigure(read(63), 63, shop, 'mm').flags).toEqual(["Outside mic 25 to 50 cannot show this: taken as a caliper's"]);
  expect(readingFigure(read(40), 40, shop, 'mm')).not.toHaveProperty('flags');
});

it('a reading says as what it was typed, with what, by whom and when, and what was done to it', () => {
  const figure = readingFigure(read(40.012, { text: '40,012', instrumentId: 'off', partTempC: 40 }), 39.99, shop, 'mm', 'steel-c45');
  expect(figure.origin).toEqual({ kind: 'reading', text: '40,012', instrument: 'Old mic', by: 'Tomas Quill', at: '2026-11-20' });
  expect(figure.note).toBe('corrected to 20 °C, the instrument’s bias taken off');
});

const place = testPlace('body', { stationsMm: [20], clocksDeg: [0, 90] });
const measured = (readings: readonly ReadingRecord[], settled: Record<string, string> = {}) =>
  measuredPlace({ place, component: component!, readings, settled, shopTempC: 20, unit: 'mm', shop });

describe('two instruments that disagree', () => {
  const readings = [
    read(39.67),
    read(39.672, { clockDeg: 90 }),
    read(40.1, { instrumentId: 'vernier' }),
    read(40.1, { clockDeg: 90, instrumentId: 'vernier' }),
  ];

  it('are never averaged: the finer one counts until somebody says which, and every figure says that nobody has', () => {
    const m = measured(readings);
    expect(m.disputes).toHaveLength(1);
    expect([...m.lost]).toEqual(['vernier']);
    expect(m.shape!.meanMm).toBeCloseTo(39.671, 4);
    expect(isSettled(m.disputes[0]!, {})).toBe(false);
    expect(m.figureOf(readings[0]!).flags).toEqual(['two instruments disagree here and nobody has said which is right']);
  });

  it('who is believed counts, though it is the coarser one', () => {
    const pair = pairKey(measured(readings).disputes[0]!);
    expect(pair.split('|').sort()).toEqual(['mic', 'vernier']);
    const m = measured(readings, { [pair]: 'vernier' });
    expect([...m.lost]).toEqual(['mic']);
    expect(m.shape!.meanMm).toBeCloseTo(40.1, 4);
    expect(m.figureOf(readings[2]!)).not.toHaveProperty('flags');
    expect(isSettled(m.disputes[0]!, { [pair]: 'somebody else' })).toBe(false);
  });
});

it('every section names its own readings, and each of them once', () => {
  const readings = [5, 20, 35].flatMap((stationMm) => [0, 90].map((clockDeg) => read(39.7 + stationMm / 1e4, { stationMm, clockDeg })));
  const m = measured(readings);
  const keys = m.shape!.sections.flatMap((s) => m.readingsOf(s).map((f) => f.key));
  expect(m.shape!.sections).toHaveLength(3);
  expect(keys.sort()).toEqual(readings.map((r) => `reading.${r.id}`).sort());
});

it('is the same answer again while nothing changed, another one when a reading did', () => {
  const readings = [read(39.67), read(39.68, { clockDeg: 90 })];
  expect(measured(readings)).toBe(measured([...readings]));
  expect(measured([readings[0]!, read(39.69, { clockDeg: 90 })])).not.toBe(measured(readings));
});
