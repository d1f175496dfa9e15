import { cutKindOf, type BlockCut, type Part } from '../../making/part';
import type { Machine } from '../../making/setups';
import { choiceKey, type PlanChoice } from './choices';
import { usualPlan } from './plan-finding';
import { workOut } from './repair';
import { testChoice, testSheet, testShop } from './testing';

const SIZES = { lengthMm: 60, widthMm: 40, heightMm: 30 };
const H7 = { lowerDev: 0, upperDev: 0.021, text: 'H7' };
const mill = {
  ...{ id: 'mill', name: 'Knee mill', kind: 'mill' },
  mill: { dial: { unit: 'mm', perTurn: 5, perLine: 0.02 }, readout: null, gearsRpm: [65, 275, 575, 1500], longMm: 600, crossMm: 300 },
} as unknown as Machine;
const block = (made: string, diameterMm: number, own: object = {}): Part => {
  const start = cutKindOf('hole').start(SIZES, 'top');
  const hole = { ...start, ...{ id: 'h', kind: 'hole', on: 'top', name: 'Hole', made, diameterMm, fitsPlaceIds: [], thread: '' }, ...own };
  return {
    ...{ name: 'Link', materialId: 'steel-mild', outside: [], bores: [], features: [], limits: { h: H7 } },
    block: { ...SIZES, cuts: [hole as unknown as BlockCut] },
  };
};
const of = (part: Part, plan: Partial<PlanChoice> = {}, machines = [mill]) => {
  const choices = [
    testChoice(choiceKey.part, part),
    testChoice(choiceKey.plan, { ...usualPlan(testShop.lathes[0]!), barId: 'none', ...plan }),
  ];
  return workOut(testSheet({ choices }), { ...testShop, machines }).blockPlan!;
};

it('a bored hole of a block goes from its drill to the middle of its limits, at gears of the mill', () => {
  const [x] = of(block('bored', 20)).bored!.passes;
  expect(x!.fromMm).toBeLessThan(20);
  expect(x!.passes.ok && x!.passes.value.at(-1)!.toMm).toBeCloseTo(20.0105, 9);
  expect(x!.finishSpeed.ok && mill.mill!.gearsRpm.includes(x!.finishSpeed.value.gearRpm)).toBe(true);
  expect(of(block('drilled', 20)).bored).toBeNull();
});

it('the bar that reaches through it gives way; a reamer that follows it gives way to nobody', () => {
  // As deep as the block is thick there, and 5 mm.
  const [bent] = of(block('bored', 20)).bored!.pushed;
  expect(bent!.bend.origin.kind === 'worked' && bent!.bend.origin.from.at(-1)!.value).toBe(35);
  const follows = of(block('bored', 20), { boring: 'follow' }).bored!;
  expect(follows).toMatchObject({ bores: null, pushed: [] });
  expect(follows.passes[0]!.passes.ok).toBe(false);
});

it('drills and end mills turn by their own diameters: 24 m/min on 16 is 477 turns, and 275 the gear', () => {
  const { holes, milled } = of(block('drilled', 16, { diameterMm: 16 }));
  expect(holes[0]!.rpm!.value).toBe(275);
  expect(milled!.rpm.value).toBe(275);
  expect(milled!.feed.value).toBeCloseTo(0.064, 9);
  expect(of(block('drilled', 16), {}, []).holes[0]!.rpm!.value).toBeCloseTo(477, 0);
});
