import { zoneDeviations } from '../../book/fits';
import { choiceKey } from './choices';
import type { FitFinding } from './fit-finding';
import type { JobSheet } from './records';
import { bearingWitness } from './nominal-evidence';
import { workOut } from './repair';
import { testChoice, testPlace, testReading, testSheet, testShop } from './testing';

const runs = (kind: string) => testChoice(choiceKey.runs('barrel'), { kind });
const fitted = (schoolId: string) => testChoice(choiceKey.fit('barrel'), { schoolId, hole: 'keep', truedMm: null });
const fitOf = (sheet: JobSheet): FitFinding => workOut(sheet, testShop).fits[0]!;
const bore = (valueMm: number, more: object = {}) => testReading({ placeId: 'barrel', stationMm: 5, valueMm, ...more });
const sized = (holeMm: number, choices: JobSheet['choices'] = []) =>
  testSheet({ choices, readings: [0, 45, 90, 135].map((clockDeg) => bore(holeMm, { clockDeg })) });

it('is not known where only a hole was measured: no number is called the target', () => {
  const f = fitOf(sized(40));
  expect(f).toMatchObject({ target: null, runs: { kind: null, chosen: false } });
  expect(f.problem).toContain('Not known yet');
});

it('is proposed from wear of both sides, and its usual school follows', () => {
  const f = fitOf(testSheet());
  expect(f.runs).toMatchObject({ kind: 'running-grease', chosen: false });
  expect(f.target!.words).toContain('grease');
});

it('a bearing is known by its sizes, within wear, whatever it is called', () => {
  const base = testSheet();
  const sheet: JobSheet = {
    ...base,
    places: [...base.places, testPlace('outer', { name: 'Outside', componentId: 'barrel-part', stationsMm: [5], clocksDeg: [0] })],
    readings: [bore(30.01), bore(30.01, { clockDeg: 90 }), testReading({ placeId: 'outer', stationMm: 5, valueMm: 61.97 })],
  };
  const f = fitOf(sheet);
  expect(f.runs).toMatchObject({ kind: 'bearing-inner', why: expect.stringContaining('6206') });
  // k5 on 30: +0.002 to +0.011 (ISO 286-2), on the bearing's nominal bore.
  expect(f.target).toMatchObject({ upperMm: expect.closeTo(30.011, 9), lowerMm: expect.closeTo(30.002, 9) });
});

it('a bearing of an inch series speaks for an inch machine, a metric one little for either', () => {
  const base = testSheet();
  const at = (placeId: string, mm: number) => [0, 90].map((clockDeg) => testReading({ placeId, stationMm: 5, clockDeg, valueMm: mm }));
  const witnesses = (boreMm: number, outsideMm: number) => {
    const outer = testPlace('outer', { name: 'Outside', componentId: 'barrel-part', stationsMm: [5], clocksDeg: [0, 90] });
    const readings = [...at('barrel', boreMm), ...at('outer', outsideMm)];
    const { places } = workOut(testSheet({ places: [...base.places, outer], readings }), testShop);
    return places.flatMap((f) => bearingWitness(f, places));
  };
  // 1/2 x 1 1/8 in (R8), 20 x 47 mm (6204), and a bush of sizes that no bearing has.
  const [inch, metric] = [witnesses(12.7, 28.575), witnesses(20, 47)];
  expect(inch).toEqual([{ unit: 'in', times: expect.any(Number) }]);
  expect(metric).toEqual([{ unit: 'mm', times: expect.any(Number) }]);
  expect(inch[0]!.times).toBeGreaterThan(3 * metric[0]!.times);
  expect(witnesses(20.4, 44.6)).toEqual([]);
});

describe('what is pressed', () => {
  const pair = (holeMm: number, pinMm: number, name = 'Hole') => {
    const base = testSheet();
    const places = base.places.map((p) => (p.id === 'barrel' ? { ...p, name } : p));
    const at = (placeId: string, mm: number) => [0, 90].map((clockDeg) => testReading({ placeId, stationMm: 5, clockDeg, valueMm: mm }));
    return fitOf(testSheet({ places, readings: [...at('barrel', holeMm), ...at('body', pinMm)] })).runs;
  };
  it('is known by a pin larger than its hole, worn or not: wear only takes off', () => {
    expect(pair(18, 18.02)).toMatchObject({ kind: 'pressed-bush', chosen: false });
    expect(pair(18, 18.003).kind).toBeNull();
  });
  it('is known by a part that is a bush, also one that has walked; a pin of a bush is none', () => {
    const base = testSheet();
    const of = (name: string) =>
      fitOf({ ...base, components: base.components.map((c) => (c.id === 'pin' ? { ...c, name } : c)) }).runs.kind;
    expect(of('Bronze bush')).toBe('pressed-bush');
    expect(of('Bush pin')).toBe('running-grease');
  });
  it('is known by what the place is called, unless there is play in it', () => {
    expect(pair(18, 18.001, 'Press hole')).toMatchObject({ kind: 'pressed-bush', why: expect.stringContaining('press hole') });
    expect(pair(18, 17.99, 'Press hole').kind).toBeNull();
    expect(pair(18, 17.9, 'Press hole').kind).toBe('running-grease');
    expect(pair(18, 18.001, 'Compressor bore').kind).toBeNull();
  });
});

describe('a bearing seat', () => {
  it.each(['grease', 'free-oil', 'close', 'iso:f7', 'inch:RC3', 'press-bush'])('is never sized by %s', (school) => {
    const f = fitOf(sized(30, [runs('bearing-inner'), fitted(school)]));
    expect(f.target).toBeNull();
    expect(f.problem).toContain('bearing table alone');
  });
  it('is g6 where the inner ring stands still', () => {
    const g6 = zoneDeviations('g6', 30);
    if (!g6.ok) throw new Error('no g6');
    expect(fitOf(sized(30, [runs('bearing-inner-standing')])).target!.upperMm).toBeCloseTo(30 + g6.value.upperMm, 9);
  });
});

it('a pressed bush never gets clearance, and what runs never interference', () => {
  expect(fitOf(sized(40, [runs('pressed-bush')])).target!.clearanceMm).toBeLessThan(0);
  for (const school of ['grease', 'close', 'iso:h6']) expect(fitOf(sized(40, [runs('pressed-bush'), fitted(school)])).target).toBeNull();
  for (const school of ['press-bush', 'light-tap', 'iso:p6'])
    expect(fitOf(sized(40, [runs('running-oil'), fitted(school)])).target).toBeNull();
});

it('a light tap is tight over its whole band, about k6 from 10 to 60 mm', () => {
  for (const size of [10, 20, 25.4, 40, 60]) {
    const { target } = fitOf(sized(size, [runs('locating')]));
    const k6 = zoneDeviations('k6', size);
    if (!k6.ok) throw new Error('no k6');
    expect(target!.lowerMm).toBeGreaterThan(size);
    expect(Math.abs(target!.upperMm - size - k6.value.upperMm)).toBeLessThan(0.005);
  }
});

it('the maker’s fit leads where both unworn sizes are known', () => {
  const base = testSheet({ choices: [runs('running-grease')] });
  const sheet: JobSheet = {
    ...base,
    places: [
      ...base.places,
      testPlace('fresh', {
        name: 'Fresh end',
        componentId: 'barrel-part',
        side: 'inside',
        land: 'unworn',
        stationsMm: [39],
        clocksDeg: [0, 90],
      }),
    ],
    readings: [...base.readings, ...[0, 90].map((clockDeg) => testReading({ placeId: 'fresh', stationMm: 39, clockDeg, valueMm: 40.05 }))],
  };
  expect(fitOf(sheet).target!.clearanceMm).toBeCloseTo(40.05 - 39.975, 6);
});

it('a bush in a bell-mouthed hole holds to 1.14 of 1.50 in and is loose by 0.0012 at the mouth', () => {
  const inch = (x: number): number => x * 25.4;
  const base = testSheet({
    choices: [runs('pressed-bush'), testChoice(choiceKey.fit('barrel'), { schoolId: 'own:-0.0537', hole: 'keep', truedMm: null })],
  });
  const sizes: [number, number][] = [
    [0.1, 1.2505],
    [0.75, 1.25],
    [1.4, 1.253],
  ];
  const sheet: JobSheet = {
    ...base,
    places: base.places.map((f) => (f.id === 'barrel' ? { ...f, startMm: 0, lengthMm: inch(1.5) } : f)),
    readings: sizes.flatMap(([x, size]) => [0, 45, 90, 135].map((clockDeg) => bore(inch(size), { stationMm: inch(x), clockDeg }))),
    // The middle of the limits is 1.2518: own target 0.0537 mm over the smallest, IT6 is 0.016 wide.
  };
  const f = fitOf(sheet);
  expect(f.target!.aimMm / 25.4).toBeCloseTo(1.2518, 4);
  expect(f.grip!.holdsMm / 25.4).toBeCloseTo(1.14, 2);
  expect(f.grip!.looseMm / 25.4).toBeCloseTo(0.0012, 4);
  expect(f.grip!.why).toBe('bell-mouthed or tapered');
});
