import { addedFeature } from '../drawing';
import { newPart, surface, type FeatureKindId, type Part } from '../part';
import { cutMinutes } from './cut-minutes';
import { schedulesOf } from './schedules';
import { TEST_BENCH } from './testing-bench';

const BENCH = { ...TEST_BENCH, mill: { name: 'Mill', gearsRpm: [65, 135, 275, 575] } };
const shaft: Part = { ...newPart('plain-pin', 'Shaft', 30, 80), outside: [surface('a', 'cylinder', 'Seat', 80, 30)], features: [] };
const minutes = (kind: FeatureKindId, given: object, bench = BENCH): number => {
  const { part } = addedFeature(shaft, 'a', kind, 'f', given)!;
  return cutMinutes(part, ['f'], schedulesOf(part, bench), bench);
};
/** A tool fed along turn by turn of the spindle, min. */
function travelled(mm: number, feedMm: number, rpm: number): number {
  let [at, min] = [0, 0];
  while (at < mm) [at, min] = [at + feedMm, min + 1 / rpm];
  return min;
}

it('40 mm more of an M30 take the turns of the spindle that every pass makes along them, at the gear of a quarter', () => {
  const thread = { end: 'left', thread: 'M30', threadClass: '6g', hand: 'right', starts: 1 };
  const [short, long] = [minutes('thread', { ...thread, lengthMm: 20 }), minutes('thread', { ...thread, lengthMm: 60 })];
  const { part } = addedFeature(shaft, 'a', 'thread', 'f', { ...thread, lengthMm: 20 })!;
  const passes = schedulesOf(part, BENCH).find((s) => s.id === 'f')!.cuts!.toMm.length + 2;
  // M30 has a pitch of 3.5; 25 m/min on 30 is 265, a quarter of it 66: the lowest gear, 70.
  expect(long - short).toBeCloseTo(passes * travelled(40, 3.5, 70), 0);
});

it('a keyseat that is 30 longer takes its cuts over them at two teeth a turn', () => {
  const seat = { cutter: 'end-mill', atMm: 5, widthMm: 8, depthMm: 4, clockDeg: 0 };
  const [short, long] = [minutes('keyseat', { ...seat, lengthMm: 20 }), minutes('keyseat', { ...seat, lengthMm: 50 })];
  // A quarter of its width a cut: two cuts of 2 mm; 8/250 a tooth, 575 turns.
  expect(long - short).toBeCloseTo(2 * travelled(30, (2 * 8) / 250, 575), 1);
});

it('a hole through takes its drill, six of them six times; nothing is told of a metal without a speed', () => {
  const hole = { atMm: 20, diameterMm: 6, reach: 'through', depthMm: 0, sinkMm: 0, sinkDeg: 90, thread: '', clockDeg: 0 };
  expect(minutes('cross-hole', hole)).toBeGreaterThan(travelled(30, 6 / 80, 575));
  expect(minutes('cross-hole', hole)).toBeLessThan(6);
  expect(minutes('cross-hole', hole, { ...BENCH, hssMMin: 0 })).toBe(0);
});

it('a bore is drilled in its steps: deeper takes longer, and what is not cut there takes nothing', () => {
  const bush = (long: number): Part => ({
    ...shaft,
    outside: [surface('a', 'cylinder', 'Body', long, 40)],
    bores: [{ id: 'b', from: 'near', through: true, surfaces: [surface('in', 'cylinder', 'Bore', 0, 20)] }],
  });
  const of = (long: number, ids = ['in']): number => cutMinutes(bush(long), ids, schedulesOf(bush(long), BENCH), BENCH);
  expect(of(80)).toBeGreaterThan(of(40));
  expect(of(80, ['a'])).toBe(0);
});

it('a groove of 8 is plunged four times by a tool of 3, each to its depth: what the depth adds is travel and cleared chips', () => {
  const groove = { atMm: 30, widthMm: 8 };
  const [shallow, deep] = [minutes('relief', { ...groove, diameterMm: 29 }), minutes('relief', { ...groove, diameterMm: 25 })];
  // 0.5 deep in one cut, 2.5 in five; 0.4 of 265 turns is 106, the gear 70. The overlap of 0.2 makes each step 2.4 of the 5 left: 3 steps.
  expect(deep - shallow).toBeCloseTo(4 * (travelled(2, 0.05, 70) + 4 * 0.4), 1);
});

it('three starts of a thread are cut one after another, each at three pitches a turn', () => {
  const thread = { end: 'left', thread: 'M30', threadClass: '6g', hand: 'right', lengthMm: 40 };
  const at = (starts: number, lengthMm: number): number => minutes('thread', { ...thread, starts, lengthMm });
  expect(at(3, 60) - at(3, 20)).toBeCloseTo(at(1, 60) - at(1, 20), 6);
});
