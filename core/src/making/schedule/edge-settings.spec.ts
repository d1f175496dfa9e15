import { hostOf, surface, type Part, type PartFeature } from '../part';
import { edgeSettings } from './edge-settings';
import type { Bench } from './schedule';
import { TEST_BENCH } from './testing-bench';

const MILL = { name: 'Mill', gearsRpm: [65, 135, 275, 575, 1500] };
const of = (f: object, own: Partial<Bench> = {}): { readonly [name: string]: number } => {
  const feature = { id: 'f', on: 'a', name: 'It', ...f } as unknown as PartFeature;
  const part: Part = {
    ...{ name: 'P', materialId: 'steel-c45', bores: [], limits: {}, block: null, features: [feature] },
    outside: [surface('a', 'cylinder', 'Body', 80, 30)],
  };
  const told = edgeSettings(feature, hostOf(part, 'a')!, { ...TEST_BENCH, mill: MILL, hssMMin: 25, ...own });
  return Object.fromEntries(told.map((s) => [s.figure.key.replace('schedule.f.', ''), s.figure.value]));
};

it('a thread is cut at a quarter: 25 m/min on 30 turns 265, a quarter of it is 66, and the lathe’s lowest gear is 70', () => {
  const thread = { kind: 'thread', end: 'left', thread: 'M30', threadClass: '6g', lengthMm: 20, hand: 'right', starts: 1 };
  expect(of(thread)['edge-rpm']).toBe(70);
  expect(of(thread, { hssMMin: 100 })['edge-rpm']).toBe(200);
  expect(of({ ...thread, thread: '' })).toEqual({});
});

it('a groove is plunged at 0.4: 106 of 265 turns, 70 is the gear; no faster than what holds the work bears', () => {
  const groove = { kind: 'relief', atMm: 40, widthMm: 3, diameterMm: 28 };
  expect(of(groove)).toMatchObject({ 'edge-rpm': 70, 'edge-feed': 0.05 });
  expect(of(groove, { hssMMin: 60 })['edge-rpm']).toBe(200);
  expect(of(groove, { hssMMin: 60, mostRpm: () => 100 })['edge-rpm']).toBe(70);
});

it('what turns on the mill goes by its own diameter and the mill’s gears; where there is none no gear is named', () => {
  const seat = { kind: 'keyseat', cutter: 'end-mill', atMm: 10, widthMm: 8, depthMm: 4, lengthMm: 30, clockDeg: 0 };
  // 25 m/min on 8 is 995 turns, and 0.8 of it 796.
  expect(of(seat)['edge-rpm']).toBe(575);
  expect(of(seat, { mill: null })['edge-rpm']).toBeCloseTo(796, 0);
  expect(of({ ...seat, cutter: 'side' })).toEqual({ 'edge-speed': 20 });
  const hole = {
    kind: 'cross-hole',
    atMm: 20,
    diameterMm: 5,
    reach: 'through',
    depthMm: 0,
    sinkMm: 0,
    sinkDeg: 90,
    thread: '',
    clockDeg: 0,
  };
  expect(of(hole)).toMatchObject({ 'edge-rpm': 575, 'edge-feed': expect.closeTo(0.0625, 6) });
});

it('of a metal that the book gives no speed for nothing is told', () => {
  expect(of({ kind: 'knurl', pattern: 'diamond', atMm: 0, lengthMm: 20, pitchMm: 1 }, { hssMMin: 0 })).toEqual({});
  expect(of({ kind: 'chamfer', end: 'left', widthMm: 1 })).toEqual({});
});
