import { newPart, surface, type Part, type PartFeature } from '../part';
import { addedFeature } from '../drawing';
import { notchesOf, SHARP_CORNER_MM } from './notches';

const stepped: Part = {
  ...newPart('plain-pin', 'Shaft', 30, 60),
  outside: [surface('a', 'cylinder', 'Seat', 40, 25), surface('b', 'cylinder', 'Body', 60, 40), surface('c', 'cylinder', 'End', 30, 25)],
  features: [],
};
const cut = (part: Part, on: string, kind: PartFeature['kind'], fields: object = {}): Part => {
  const added = addedFeature(part, on, kind, 'f', fields);
  if (!added) throw new Error(kind);
  return added.part;
};
const at = (part: Part, name: RegExp) => notchesOf(part).find((n) => name.test(n.words));

it('a shaft of three steps has two shoulders, each at its face, told by the smaller side', () => {
  expect(notchesOf(stepped).map((n) => [n.atMm, n.outsideMm, n.radiusMm, n.words])).toEqual([
    [40, 25, SHARP_CORNER_MM, 'the shoulder of Seat, no radius given'],
    [100, 25, SHARP_CORNER_MM, 'the shoulder of End, no radius given'],
  ]);
});

it('a radius that the drawing gives is the corner’s, and raises less than a sharp one', () => {
  const filleted = cut(stepped, 'a', 'fillet', { end: 'right', radiusMm: 2 });
  const shoulder = at(filleted, /shoulder of Seat/)!;
  expect(shoulder).toMatchObject({ radiusMm: 2, words: 'the shoulder of Seat' });
  expect(notchesOf(filleted)).toHaveLength(2);
  const sharp = at(stepped, /shoulder of Seat/)!;
  for (const load of ['bending', 'torsion', 'tension'] as const) expect(shoulder.factor!(load).kt).toBeLessThan(sharp.factor!(load).kt);
});

it('a radius larger than the step is no more than the step’s', () => {
  const low = { ...stepped, outside: stepped.outside.map((s) => (s.id === 'b' ? { ...s, diameterMm: 26 } : s)) };
  expect(at(cut(low, 'a', 'fillet', { end: 'right', radiusMm: 2 }), /shoulder of Seat/)!.radiusMm).toBe(0.5);
});

it('a ring’s groove is a notch of its floor, DIN 471: 23.9 in a shaft of 25', () => {
  const groove = at(cut(stepped, 'a', 'ring-groove', { atMm: 10 }), /groove/i)!;
  expect(groove.outsideMm).toBe(23.9);
  expect(groove.radiusMm).toBe(SHARP_CORNER_MM);
});

it('a keyseat is told by its cutter; a Woodruff seat by the same, out of what was published', () => {
  const factor = (kind: 'keyseat' | 'woodruff-seat', fields: object) =>
    at(cut(stepped, 'b', kind, { atMm: 30, ...fields }), /key|seat$/i)!.factor!('bending');
  const end = factor('keyseat', { cutter: 'end-mill', lengthMm: 20 });
  const sled = factor('keyseat', { cutter: 'sled-runner', lengthMm: 20 });
  expect([end.kt, end.inRange]).toEqual([2.14, true]);
  expect(sled.kt).toBeLessThan(end.kt);
  expect(factor('woodruff-seat', {}).inRange).toBe(false);
});

it('a cross hole is told by its own radius, a thread by its fatigue factor alone', () => {
  expect(at(cut(stepped, 'b', 'cross-hole', { atMm: 30, diameterMm: 6 }), /hole/i)!.radiusMm).toBe(3);
  const thread = at(cut(stepped, 'c', 'thread', { end: 'right', thread: 'M24x2', lengthMm: 20 }), /thread/i)!;
  expect(thread.factor).toBeNull();
  // Root of M24 x 2: 24 - 1.2269 x 2 (ISO 68-1, rounded root).
  expect(thread.outsideMm).toBeCloseTo(24 - 1.2269 * 2, 1);
});

it('a bore makes the section hollow there, and what is cut into the bore raises nothing', () => {
  const hollow: Part = {
    ...stepped,
    bores: [{ id: 'bore', from: 'near', through: true, surfaces: [surface('in', 'cylinder', 'Bore', 0, 10)] }],
  };
  expect(notchesOf(hollow).map((n) => n.boreMm)).toEqual([10, 10]);
  expect(notchesOf(cut(hollow, 'in', 'keyway', {}))).toHaveLength(2);
});

it('what is only a finish, a knurl or a centre is no notch', () => {
  for (const kind of ['knurl', 'surface-finish', 'centre-hole', 'chamfer'] as const)
    expect([kind, notchesOf(cut(stepped, 'a', kind)).length]).toEqual([kind, 2]);
});

it('they stand from left to right, whatever was drawn first', () => {
  const part = cut(cut(stepped, 'c', 'ring-groove', { atMm: 5 }), 'a', 'fillet', { end: 'right', radiusMm: 1 });
  const places = notchesOf(part).map((n) => n.atMm);
  expect(places).toEqual([...places].sort((p, q) => p - q));
});
