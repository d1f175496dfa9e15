import { surface, type Part } from '../../making/part';
import { choiceKey } from './choices';
import { behindWords } from './held-speed';
import { usualPlan } from './plan-finding';
import { workOut } from './repair';
import { testBar, testChoice, testSheet, testShop } from './testing';

const shaft = (lengthMm: number, diameterMm: number): Part => ({
  ...{ name: 'Shaft', materialId: 'steel-c45', limits: {}, features: [], block: null, bores: [] },
  outside: [surface('s', 'cylinder', 'Shaft', lengthMm, diameterMm)],
});
const gears = [50, 100, 200, 400, 800, 1600, 3200];
const planOf = (part: Part, way: string) => {
  const lathe = { ...testShop.lathes[0]!, centresMm: 3000, gearsRpm: gears };
  const shop = { ...testShop, lathes: [lathe], rack: [testBar('b', { materialId: 'steel-c45', diameterMm: 25, lengthMm: 3000 })] };
  const choices = [testChoice(choiceKey.part, part), testChoice(choiceKey.plan, { ...usualPlan(lathe), barId: 'b', way })];
  return workOut(testSheet({ choices, places: [], readings: [] }), shop).items[0]!.plan!;
};

it('a short shaft is turned as its surface speed has it, a long thin one under half of what makes it whirl', () => {
  const rpm = (lengthMm: number) => planOf(shaft(lengthMm, 10), 'centres').passes[0]!.finishRpm!;
  expect(rpm(60).value).toBe(1600);
  // Steel 10 mm, 2000 from chuck to centre, a steady in the middle: 3.9266² (0.01 / 4) 5172 / 1² / 2π x 60 is 1904, half of it 952.
  const long = rpm(2000);
  expect(long.value).toBe(800);
  expect(JSON.stringify(long)).toMatch(/held under 95\d: half of what makes 1000 mm of it whirl, held by chuck and centre and a steady/);
  expect(JSON.stringify(rpm(60))).not.toContain('whirl');
});

it('no faster than what is stamped on the chuck, soft jaws by the chuck that they sit in', () => {
  const rpm = (way: string, kind: 'three-jaw' | 'soft-jaws' | 'collet', mostRpm: number | null) => {
    const holdings = (['three-jaw', 'soft-jaws', 'centres', 'collet'] as const).map((k) => ({
      ...{ kind: k, runOutMm: null },
      ...(k === kind ? { mostRpm } : {}),
    }));
    const lathe = { ...testShop.lathes[0]!, gearsRpm: gears, holdings, spindleBoreMm: 40 };
    const shop = { ...testShop, lathes: [lathe], rack: [testBar('b', { materialId: 'steel-c45', diameterMm: 25, lengthMm: 3000 })] };
    const choices = [testChoice(choiceKey.part, shaft(60, 20)), testChoice(choiceKey.plan, { ...usualPlan(lathe), barId: 'b', way })];
    return workOut(testSheet({ choices, places: [], readings: [] }), shop).items[0]!.plan!.passes[0]!.finishRpm!;
  };
  expect([rpm('bar', 'three-jaw', null).value, rpm('bar', 'three-jaw', 500).value, rpm('bar', 'collet', 500).value]).toEqual([
    800, 400, 800,
  ]);
  expect(JSON.stringify(rpm('bar', 'three-jaw', 500))).toContain('stamped on the three-jaw chuck');
});

it('where every gear is too fast that is a trouble of the plan, and nothing says that it is held under it', () => {
  const lathe = { ...testShop.lathes[0]!, centresMm: 3000, gearsRpm: [1000, 1800] };
  const shop = { ...testShop, lathes: [lathe], rack: [testBar('b', { materialId: 'steel-c45', diameterMm: 25, lengthMm: 3000 })] };
  const planFor = (lengthMm: number) => {
    const choices = [
      testChoice(choiceKey.part, shaft(lengthMm, 10)),
      testChoice(choiceKey.plan, { ...usualPlan(lathe), barId: 'b', way: 'centres' }),
    ];
    return workOut(testSheet({ choices, places: [], readings: [] }), shop).items[0]!.plan!;
  };
  // Half of what makes it whirl is 952, as above.
  const slender = planFor(2000);
  expect(slender.passes[0]!.finishRpm!.value).toBe(1000);
  expect(slender.problems.join()).toMatch(/Shaft: every gear is faster than 95\d rpm, half of what makes 1000 mm of it whirl/);
  const said = JSON.stringify(slender.passes[0]!.finishRpm);
  expect(said).toContain('the slowest gear, over 95');
  expect(said).not.toContain('held under');
  expect(planFor(60).problems.join()).not.toContain('every gear');
});

it('a bar that goes through the spindle may stand out behind so far; one that is short, or does not go through, is not spoken of', () => {
  // A cantilever of steel 20: 1.8751² (0.02 / 4) 5172 / 2π x 60 is 868 rpm m²; half of it over 1600 is 0.27 m², 521 mm.
  expect(behindWords(20, 1000, 1600, 40, 'steel-c45', 'mm')).toMatch(/at 1600 rpm no more than 5[12]\d/);
  expect(behindWords(20, 1000, 400, 40, 'steel-c45', 'mm')).toBe(behindWords(20, 100, 1600, 40, 'steel-c45', 'mm'));
  for (const bore of [null, 18]) expect(behindWords(20, 1000, 1600, bore, 'steel-c45', 'mm')).toBe('');
  expect(behindWords(20, 1000, 0, 40, 'steel-c45', 'mm')).toBe('');
});
