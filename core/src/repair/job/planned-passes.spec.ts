import { surface, type Part } from '../../making/part';
import { USUAL_FEEDS_MM } from '../../making/process';
import { choiceKey } from './choices';
import { barFigure, cuttingMin, passesFor, surfaceSpeed } from './planned-passes';
import type { PlanChoice } from './choices';
import { workOut } from './repair';
import { testBar, testChoice, testItem, testSheet, testShop } from './testing';

const LIMITS = { lowerDev: -0.01, upperDev: 0.01, text: '±0.01' };
const part: Part = {
  ...{ name: 'Shaft', materialId: 'steel-c45', features: [], block: null, limits: { a: LIMITS, b: LIMITS, hole: LIMITS } },
  outside: [surface('a', 'cylinder', 'Thin', 40, 20), surface('b', 'cylinder', 'Thick', 30, 28)],
  bores: [{ id: 'bore', from: 'near', through: true, surfaces: [surface('hole', 'cylinder', 'Bore', 70, 12)] }],
};
const plan: PlanChoice = {
  ...{ latheId: 'gap-bed', barId: 'bar', tool: 'carbide', partingMm: 3, touched: 'left', grippedMm: 25, finishes: 2, way: 'bar' },
};
const sheet = testSheet({
  places: [],
  readings: [],
  choices: [
    testChoice(choiceKey.part, part),
    testChoice(choiceKey.plan, plan),
    testChoice(choiceKey.item('job'), testItem('make', 'Shaft', { componentIds: ['pin'] })),
  ],
});
const shop = { ...testShop, rack: [testBar('bar', { diameterMm: 30 })] };
const segments = workOut(sheet, shop).items[0]!.part!.segments;
const [lathe] = shop.lathes;
const passes = (holeMm: number | null = null) =>
  passesFor(segments, plan, lathe!, { roundMm: 30, holeMm }, { materialId: 'steel-c45', features: [] }, []);
const of = (id: string, holeMm: number | null = null) => passes(holeMm).find((p) => p.segment.segment.id === id)!;

it('outside goes down from the bar, a bore up from its drill, and both end at the middle of the limits', () => {
  const [thin, hole] = [of('a'), of('hole')];
  if (!thin.passes.ok || !hole.passes.ok) throw new Error('no passes');
  expect(thin.fromMm).toBe(30);
  expect(hole.fromMm).toBeGreaterThan(8);
  expect(hole.fromMm).toBeLessThan(12);
  expect(thin.passes.value.at(-1)!.toMm).toBeCloseTo(20, 9);
  expect(hole.passes.value.at(-1)!.toMm).toBeCloseTo(12, 9);
  // What all passes take off comes to all that there is.
  for (const { passes: p, fromMm, segment } of [thin, hole]) {
    const off = p.ok ? p.value.reduce((s, x) => s + x.offMm, 0) : 0;
    expect(off).toBeCloseTo(Math.abs(fromMm - segment.diameter.value), 9);
  }
});

it('a tube is bored from its own hole', () => {
  expect(of('hole', 10).fromMm).toBe(10);
  expect(of('hole', 10).passes).toMatchObject({ ok: true });
  expect(of('hole', 14).passes).toMatchObject({ ok: false });
});

it('speeds are gears of the lathe that do not run faster than the metal bears, the thicker end slower', () => {
  const surfaceMMin = surfaceSpeed(plan, 'steel-c45').value;
  for (const p of passes()) {
    if (!p.roughSpeed.ok || !p.finishSpeed.ok) throw new Error('no speed');
    for (const rpm of [p.roughSpeed.value.gearRpm, p.finishSpeed.value.gearRpm]) expect(lathe!.gearsRpm).toContain(rpm);
    expect((Math.PI * p.segment.diameter.value * p.finishSpeed.value.gearRpm) / 1000).toBeLessThanOrEqual(surfaceMMin + 1e-9);
    expect(p.finishSpeed.value.gearRpm).toBeGreaterThanOrEqual(p.roughSpeed.value.gearRpm);
  }
  expect(surfaceSpeed({ ...plan, tool: 'hss' }, 'steel-c45').value).toBeLessThan(surfaceMMin);
  expect(surfaceSpeed(plan, 'nothing').value).toBe(0);
});

it('every pass is a figure that rests on bar and size', () => {
  const { passFigures, passes: p } = of('a');
  expect(passFigures.map((f) => f.value)).toEqual(p.ok ? p.value.map((x) => x.toMm) : []);
  expect(passFigures[0]!.origin).toMatchObject({ kind: 'worked', from: [barFigure(30), expect.anything()] });
});

it('40 mm more take the turns of the spindle that they need, pass by pass at its own gear', () => {
  const all = passes();
  const timeOf = (ids: string[], from = all): number => cuttingMin(from.filter((p) => ids.includes(p.segment.segment.id)));
  const { passes: own, roughSpeed, finishSpeed } = of('a');
  if (!own.ok || !roughSpeed.ok || !finishSpeed.ok) throw new Error('nothing to cut');
  let min = 0;
  for (const { kind } of own.value) {
    const rpm = kind === 'rough' ? roughSpeed.value.gearRpm : finishSpeed.value.gearRpm;
    for (let along = 0; along < 40 - 1e-9; along += USUAL_FEEDS_MM[kind]) min += 1 / rpm;
  }
  const alone = timeOf(['a']);
  const longer = all.map((p) => ({
    ...p,
    segment: { ...p.segment, segment: { ...p.segment.segment, lengthMm: p.segment.segment.lengthMm + 40 } },
  }));
  expect(timeOf(['a'], longer) - alone).toBeCloseTo(min, 1);
  expect(timeOf(['a', 'b'])).toBeCloseTo(alone + timeOf(['b']), 9);
  expect(timeOf([])).toBe(0);
});

it('a finish that is asked for by turning slows the last cuts and takes longer; one that is ground does not', () => {
  const asked = (how: 'turned' | 'ground') => {
    const fine = { id: 'fine', kind: 'surface-finish', on: 'a', name: 'Surface', raUm: 0.4, how } as const;
    return passesFor(segments, plan, shop.lathes[0]!, { roundMm: 30, holeMm: null }, { ...part, features: [fine] }, []);
  };
  const feed = (all: ReturnType<typeof asked>, id: string): number => all.find((p) => p.segment.segment.id === id)!.feeds.finish.value;
  const usual = feed(asked('ground'), 'a');
  expect(usual).toBe(USUAL_FEEDS_MM.finish);
  expect(feed(asked('turned'), 'b')).toBe(usual);
  // f² / 8r of a nose of 0.4, and a quarter of that: Ra 0.4 µm at 0.07 a turn.
  expect(feed(asked('turned'), 'a')).toBeCloseTo(0.07, 2);
  expect(cuttingMin(asked('turned'))).toBeGreaterThan(cuttingMin(asked('ground')));
});
