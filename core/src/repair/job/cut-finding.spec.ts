import { surface, type Part, type PartFeature } from '../../making/part';
import { choiceKey } from './choices';
import { cutFindings } from './cut-finding';
import type { ReadingRecord } from './records';
import { workOut } from './repair';
import { drawnPin, testChoice, testReading, testSheet, testShop } from './testing';

const LIMITS = { lowerDev: -0.02, upperDev: 0, text: '+0 -0.02' };
const pin = { ...drawnPin(), outside: drawnPin().outside.map((s) => ({ ...s, fitsPlaceIds: [] })), limits: { body: LIMITS } };
const sheet = testSheet({ choices: [testChoice(choiceKey.part, pin)] });
const { part } = workOut(sheet, testShop).items[0]!;
const machine = { lathe: testShop.lathes[0]!, bores: null, follows: false, tool: 'carbide' as const };
const cut = (valueMm: number, dial: number, more: Partial<ReadingRecord> = {}): ReadingRecord =>
  testReading({ purpose: 'cut', segmentId: 'body', stationMm: 60, valueMm, dial, instrumentId: 'mic', ...more });
const bodyOf = (live: readonly ReadingRecord[]) =>
  cutFindings(part, machine, live, [], [], sheet, testShop).find((c) => c.segment.segment.id === 'body')!;

it('nothing is cut where nothing is drawn, or on no machine', () => {
  expect(cutFindings(null, machine, [], [], [], sheet, testShop)).toEqual([]);
  expect(cutFindings(part, null, [], [], [], sheet, testShop)).toEqual([]);
});

it('before the first reading it knows no rest', () => {
  const body = bodyOf([]);
  expect(body).toMatchObject({ left: null, cuts: [], partTempC: 20 });
});

it('what is left is the last size less the middle of the limits, 39.99', () => {
  const body = bodyOf([cut(42, 0), cut(41.2, 0.0157)]);
  expect(body.left!.value).toBeCloseTo(41.2 - 39.99, 9);
  expect(body.cuts.map((c) => c.measuredMm)).toEqual([expect.closeTo(42, 6), expect.closeTo(41.2, 6)]);
});

it('warm from the cut it reads large: steel of 41 at 45 °C by 0.0118, which is taken off', () => {
  const body = bodyOf([cut(41, 0, { partTempC: 45 })]);
  expect(41 - body.cuts[0]!.measuredMm).toBeCloseTo(41 * 11.5e-6 * 25, 3);
  expect(body.partTempC).toBe(45);
});

it('readings of another surface, and proofs, are no cuts of it', () => {
  expect(bodyOf([cut(42, 0, { segmentId: 'head' }), cut(42, 0, { purpose: 'proof' })]).cuts).toEqual([]);
});

it('a dust that hurts is told while it is cut, and no file or emery advised', () => {
  const burning = { ...sheet, job: { ...sheet.job, hazards: ['magnesium' as const] } };
  const [first] = cutFindings(part, machine, [cut(40.01, 0)], [], [], burning, testShop);
  const body = cutFindings(part, machine, [cut(40.004, 0)], [], [], burning, testShop).find((c) => c.segment.segment.id === 'body')!;
  expect(first!.cautions.some((c) => c.dust)).toBe(true);
  expect(body.advice.abrasive).toBe(false);
});

it('a hole that a tap or a reamer gives its size is not crept up on; one that a bar goes into is', () => {
  const LIMITED = { lowerDev: 0, upperDev: 0.1, text: '+0.1 0' };
  const bush = (diameterMm: number, thread = ''): Part => ({
    ...pin,
    outside: [surface('body', 'cylinder', 'Body', 40, 60)],
    bores: [{ id: 'b', from: 'near', through: true, surfaces: [surface('h', 'cylinder', 'Hole', 40, diameterMm)] }],
    features: thread ? [threadIn(thread)] : [],
    limits: { body: LIMITS, h: LIMITED },
  });
  const threadIn = (thread: string): PartFeature => ({
    ...{ id: 't', kind: 'thread', on: 'h', name: 'Thread', end: 'left', thread, threadClass: '', lengthMm: 30, hand: 'right', starts: 1 },
  });
  const coached = (part: Part): string[] => {
    const own = testSheet({ choices: [testChoice(choiceKey.part, part)] });
    const found = workOut(own, testShop).items[0]!.part;
    return cutFindings(found, machine, [], [], [], own, testShop).map((c) => c.segment.segment.id);
  };
  expect(coached(bush(25))).toEqual(['body', 'h']);
  expect(coached(bush(5))).toEqual(['body']);
  // M16 is tapped, M30 x 3.5 is single-pointed from a bored hole.
  expect(coached(bush(14, 'M16'))).toEqual(['body']);
  expect(coached(bush(26.5, 'M30'))).toEqual(['body', 'h']);
});

it('too warm for the last cut it says when it is cool: a head of 56 of steel, 25 K warm, takes about two and a half hours of still air', () => {
  const readAt = '2026-11-20T10:00:00Z';
  const warm = { partTempC: 45, takenAt: readAt };
  const body = bodyOf([cut(40.6, 0), cut(40.3, 0.0059), cut(40.14, 0.0091, warm)]);
  expect(body.advice.state).toBe('cool');
  // 3.4 MJ to the cubic metre and kelvin, a quarter of 56 mm, 10 W: 79 minutes to fall to 1/e, and 25 to 4 is 1.83 of them.
  const min = (Date.parse(body.coolAt!) - Date.parse(readAt)) / 60_000;
  expect(min).toBeGreaterThan(135);
  expect(min).toBeLessThan(155);
  expect(bodyOf([cut(42, 0, warm)]).coolAt).toBeNull();
});
