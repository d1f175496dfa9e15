import { addedFeature } from '../../making/drawing';
import { newPart, surface, type Part } from '../../making/part';
import { choiceKey } from './choices';
import { lengthOverAll, placedCuts } from './placed-cut';
import { usualPlan } from './plan-finding';
import { workOut } from './repair';
import type { SizeCut } from './size-cut';
import { testChoice, testInstrument, testReading, testSheet, testShop } from './testing';

const base: Part = {
  ...newPart('plain-pin', 'Pin', 30, 80),
  features: [],
  outside: [surface('a', 'cylinder', 'Seat', 30, 24), surface('b', 'cylinder', 'Body', 50, 30)],
};
const holed = addedFeature(base, 'b', 'cross-hole', 'h', { atMm: 20, diameterMm: 6 })!.part;
const crib = [testInstrument('fine', { name: 'Fine', kind: 'caliper', rangeLowMm: 0, rangeHighMm: 300, uMm: 0.01 })];
function cutsOf(part: Part, ...read: readonly (readonly [key: string, mm: number])[]): readonly SizeCut[] {
  const plan = { ...usualPlan(testShop.lathes[0]!), way: 'bar' };
  return workOut(
    testSheet({
      choices: [testChoice(choiceKey.part, part), testChoice(choiceKey.plan, plan)],
      readings: read.map(([segmentId, valueMm]) => testReading({ purpose: 'cut', segmentId, valueMm, instrumentId: 'fine' })),
    }),
    { ...testShop, instruments: crib },
  ).sizes;
}
const at = (part: Part, key: string, mm: number): SizeCut => cutsOf(part, [key, mm]).find((s) => s.key === key)!;

it('a hole off its place is moved either way, and never past mending', () => {
  const near = at(holed, 'h.at', 19.2);
  expect(near).toMatchObject({ state: 'go-on', left: { value: expect.closeTo(0.8, 9) } });
  expect(near.sentences[0]).toBe(
    'It lies 0.800 mm too near to the left end: move by that before it is cut to its full size. What has its size cannot be moved.',
  );
  const far = at(holed, 'h.at', 21);
  expect([far.state, far.sentences[0]!.slice(0, 32)]).toEqual(['go-on', 'It lies 1.000 mm too far from th']);
  // No mill is on record; a groove's wall is on the lathe's own carriage, 1 mm is 0.0394 in on a dial of 0.005 in.
  expect(far.dial).toBe('');
  const grooved = addedFeature(base, 'b', 'ring-groove', 'g', { atMm: 20 })!.part;
  expect(at(grooved, 'g.at', 21).dial).toBe('0.0400 in');
  expect(at(holed, 'h.at', 20.05).state).toBe('in');
  // ISO 2768 m: 20 ± 0.2; at the very limit ±0.02 cannot tell.
  expect(at(holed, 'h.at', 20.2).state).toBe('close');
});

it('what a part is too long comes off the end in the set-up that faces it, and a short one is past mending', () => {
  const length = (mm: number) => at(base, 'part.length', mm);
  expect(length(80.9)).toMatchObject({ name: 'Length over all', state: 'go-on', left: { value: expect.closeTo(0.9, 9) } });
  expect(length(80.9).sentences[0]).toContain('0.900 mm off the end');
  expect(length(79.5).state).toBe('beyond');
  // ISO 2768 m: 80 ± 0.3, though its stretches might add up to 30 ± 0.2 and 50 ± 0.3.
  expect(length(80).limits).toEqual({ lowerMm: 79.7, upperMm: 80.3 });
});

it('is never wider than its stretches may add up to, and of one stretch it is that one’s own', () => {
  const tight = { text: '±0.05', lowerDev: -0.05, upperDev: 0.05 };
  const both = { ...base, limits: { 'a.length': tight, 'b.length': tight } };
  const { limits } = cutsOf(both).find((s) => s.key === 'part.length')!;
  expect(limits.lowerMm).toBeCloseTo(79.9, 9);
  expect(limits.upperMm).toBeCloseTo(80.1, 9);
  const one: Part = { ...base, outside: [surface('a', 'cylinder', 'Body', 80, 30)], limits: { 'a.length': tight } };
  expect(cutsOf(one).find((s) => s.name === 'Length over all')).toMatchObject({ key: 'a.length', limits: { lowerMm: 79.95 } });
});

it('is asked only where it is faced to length, and a place only where it is cut', () => {
  const repair = workOut(
    testSheet({ choices: [testChoice(choiceKey.part, holed), testChoice(choiceKey.plan, usualPlan(testShop.lathes[0]!))] }),
    testShop,
  );
  const [plan, found] = [repair.plan!, repair.part!];
  const world = { plan, part: holed, live: [], proofs: [], trials: [], sheet: testSheet(), shop: testShop };
  const hole = found.dimensions.find((d) => d.dimension.key === 'h.at')!;
  for (const s of plan.setUps) {
    expect(lengthOverAll(found, s, world)).toHaveLength(s.setUp.toLength ? 1 : 0);
    expect(placedCuts(hole, s, world)).toHaveLength(s.setUp.cuts.includes('h') ? 1 : 0);
  }
});
