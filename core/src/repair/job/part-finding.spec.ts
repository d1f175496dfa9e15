import { addedFeature } from '../../making/drawing';
import { newPart, surface, type FeatureKindId, type Part } from '../../making/part';
import { choiceKey } from './choices';
import { drawnId } from './drawn-id';
import { partFinding, predictedPlay } from './part-finding';
import { workOut } from './repair';
import { drawnPin, testChoice, testPlace, testSheet, testShop } from './testing';
import type { JobSheet } from './records';

const FIT = { schoolId: 'own:0.0500', hole: 'keep', truedMm: null };
const fitted = (pin: Part = drawnPin()): JobSheet =>
  testSheet({ choices: [testChoice(choiceKey.part, pin), testChoice(choiceKey.fit('barrel'), FIT)] });
const partOf = (sheet: JobSheet) => workOut(sheet, testShop).items[0]!.part!;
const of = (sheet: JobSheet, key: string) => partOf(sheet).dimensions.find((d) => d.dimension.key === key)!;

it('nothing is found of a part that nobody drew', () => expect(partFinding([], [], testSheet(), choiceKey.part)).toBeNull());

describe('who gives a diameter its limits', () => {
  it('the fit, where one is chosen: all of it lies under the tightest place of the hole', () => {
    const d = of(fitted(), 'body');
    expect(d.from).toBe('fit');
    // The barrel's tightest place is 40.16.
    expect(d.limits!.upperMm).toBeLessThan(40.16);
    expect(partOf(fitted()).part.outside.find((s) => s.id === 'body')!.diameterMm).toBe(d.figure.value);
  });

  it('nobody, where it is to fit a hole that was not read: then nothing is released', () => {
    const sheet = testSheet({ choices: [testChoice(choiceKey.part, drawnPin())], readings: [] });
    expect(partOf(sheet).unlimited.map((d) => d.dimension.key)).toEqual(['body']);
    expect(partOf(fitted()).unlimited).toEqual([]);
  });

  it('who drew it, by what was typed: a keyed +0 -0.02 is made to the middle', () => {
    const pin = drawnPin();
    const d = of(fitted({ ...pin, limits: { head: { lowerDev: -0.02, upperDev: 0, text: '+0 -0.02' } } }), 'head');
    const drawn = pin.outside.find((s) => s.id === 'head')!.diameterMm;
    expect(d).toMatchObject({ from: 'typed', mustProve: true, limits: { lowerMm: expect.closeTo(drawn - 0.02, 9), upperMm: drawn } });
    expect(d.figure.value).toBeCloseTo(drawn - 0.01, 9);
  });

  it('else the general tolerance, ISO 2768-m: 0.3 for a length of 120, whose reading may be left out', () => {
    const plain = { ...newPart('plain-pin', 'Pin', 25, 120), features: [] };
    const { dimensions } = partOf(testSheet({ choices: [testChoice(choiceKey.part, plain)] }));
    const [length, diameter] = [
      dimensions.find((d) => d.dimension.what === 'length')!,
      dimensions.find((d) => d.dimension.what === 'outside')!,
    ];
    expect(length).toMatchObject({ from: 'general', mustProve: false, limits: { lowerMm: 119.7, upperMm: 120.3 } });
    expect(length.figure.value).toBe(120);
    expect(diameter).toMatchObject({
      from: 'general',
      mustProve: true,
      limits: { lowerMm: expect.closeTo(24.8, 9), upperMm: expect.closeTo(25.2, 9) },
    });
  });

  it('nobody, where a bearing sat and nothing tells which: the general tolerance is no seat', () => {
    const base = newPart('plain-pin', 'Shaft', 23.4, 60);
    const on = { ...base, features: [], outside: base.outside.map((s) => ({ ...s, id: drawnId('seat') })) };
    const sat = (suspicions: readonly 'bearing'[], limits: Part['limits'] = {}) =>
      of(
        testSheet({
          places: [...testSheet().places, testPlace('seat', { name: 'Bearing seat', suspicions })],
          choices: [testChoice(choiceKey.part, { ...on, limits })],
        }),
        drawnId('seat'),
      );
    expect(sat([])).toMatchObject({ from: 'general' });
    expect(sat(['bearing'])).toMatchObject({ limits: null, from: 'none', mustProve: true });
    expect(sat(['bearing']).words).toContain('the general tolerance will not do');
    const k5 = { lowerDev: 0.002, upperDev: 0.011, text: 'k5' };
    expect(sat(['bearing'], { [drawnId('seat')]: k5 })).toMatchObject({ from: 'typed', limits: { lowerMm: expect.closeTo(23.402, 6) } });
  });

  it('nobody, where something is driven, or what is called a seat, or where a lip ran', () => {
    const base = newPart('plain-pin', 'Shaft', 25, 60);
    const on = base.outside[0]!.id;
    const fromOf = (part: Part, more: Partial<JobSheet> = {}, id: string = on) =>
      of(testSheet({ choices: [testChoice(choiceKey.part, part)], ...more }), id).from;
    const cut = (kind: FeatureKindId): Part => addedFeature({ ...base, features: [] }, on, kind, 'f', {})!.part;
    const called = (name: string): Part => ({ ...base, features: [], outside: base.outside.map((s) => ({ ...s, name })) });
    expect((['keyseat', 'woodruff-seat', 'flats', 'cross-hole', 'chamfer'] as const).map((k) => fromOf(cut(k)))).toEqual([
      ...['none', 'none', 'general', 'general', 'general'],
    ]);
    expect(['Gear seat', 'SEAT 2', 'Seating', 'Body'].map((n) => fromOf(called(n)))).toEqual(['none', 'none', 'general', 'general']);
    const lip = testPlace('lip', { name: 'Lip', suspicions: ['seal-groove'] });
    const drawn = { ...base, features: [], outside: base.outside.map((s) => ({ ...s, id: drawnId('lip') })) };
    expect(fromOf(drawn, { places: [...testSheet().places, lip] }, drawnId('lip'))).toBe('none');
  });

  it('the general tolerance, of what is timed: but a wrong hand is never let go unread', () => {
    const base = newPart('plain-pin', 'Shaft', 25, 60);
    const on = base.outside[0]!.id;
    const first = addedFeature({ ...base, features: [] }, on, 'keyseat', 'a', { atMm: 5, lengthMm: 10 })!.part;
    const part = addedFeature(first, on, 'cross-hole', 'b', { atMm: 40, clockDeg: 90, timedTo: 'a' })!.part;
    const at = (key: string) => of(testSheet({ choices: [testChoice(choiceKey.part, part)] }), key);
    expect(at('b.clock')).toMatchObject({ from: 'general', mustProve: true });
    expect(at('b.at')).toMatchObject({ from: 'general', mustProve: false });
  });

  it('a stretch that nobody read has none, and says what is wanted', () => {
    const base = newPart('plain-pin', 'Shaft', 25, 60);
    const part: Part = { ...base, features: [], outside: [...base.outside, surface('unread-60.0', 'cylinder', 'Unread', 20, 25)] };
    const d = of(testSheet({ choices: [testChoice(choiceKey.part, part)] }), 'unread-60.0');
    expect(d).toMatchObject({ limits: null, from: 'none', mustProve: true });
    expect(d.words).toContain('until its size and limits are given');
  });
});

it('a round of C45, 25 by 100, weighs 0.385 kg as the bar tables have it, and balances in the middle', () => {
  const plain = { ...newPart('plain-pin', 'Pin', 25, 100), features: [], materialId: 'steel-c45' };
  const { mass, balance, volumeMm3 } = partOf(testSheet({ choices: [testChoice(choiceKey.part, plain)] }));
  expect(mass!.value).toBeCloseTo(0.385, 2);
  expect(balance!.value).toBeCloseTo(50, 6);
  expect(volumeMm3! / 1000).toBeCloseTo(49.09, 1);
});

it('while something is wrong with it, it has no mass, and says what', () => {
  const plain = newPart('plain-pin', 'Pin', 25, 100);
  const bad = { ...plain, features: [], outside: plain.outside.map((s) => ({ ...s, lengthMm: -1 })) };
  const found = partOf(testSheet({ choices: [testChoice(choiceKey.part, bad)] }));
  expect(found.problems).not.toEqual([]);
  expect([found.mass, found.volumeMm3, found.balance]).toEqual([null, null, null]);
});

it('what is wrong with it is told in the unit of the job', () => {
  const plain = newPart('plain-pin', 'Pin', 25, 100);
  const [choice, { job }] = [
    testChoice(choiceKey.part, { ...plain, outside: plain.outside.map((s) => ({ ...s, lengthMm: 0 })) }),
    testSheet(),
  ];
  const says = (unit: 'mm' | 'in'): string => partOf(testSheet({ choices: [choice], job: { ...job, unit } })).problems[0]!.message;
  // Three metres at most: 118.11 in.
  expect(says('mm')).toContain('between 0 and 3000.00 mm');
  expect(says('in')).toContain('between 0 and 118.110 in');
});

it('the play of a size in its hole: at the tightest place by 40.16, at the widest by 40.31', () => {
  const found = workOut(fitted(), testShop).items[0]!;
  const segment = found.part!.segments.find((s) => s.segment.id === 'body')!;
  const { tight, loose } = predictedPlay(segment.diameter, segment.fits[0]!);
  expect(tight.value + segment.diameter.value).toBeCloseTo(40.16, 2);
  expect(loose.value + segment.diameter.value).toBeCloseTo(40.31, 2);
});
