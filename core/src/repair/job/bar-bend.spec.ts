import { surface, type Part } from '../../making/part';
import type { CribTool } from '../../making/tooling';
import { choiceKey } from './choices';
import { usualPlan } from './plan-finding';
import { workOut } from './repair';
import { testBar, testChoice, testItem, testSheet, testShop } from './testing';

const CLOSE = { lowerDev: 0, upperDev: 0.021, text: 'H7' };
const bush = (deepMm: number, boreMm: number): Part => ({
  ...{ name: 'Bush', materialId: 'steel-c45', features: [], block: null, limits: { in: CLOSE } },
  outside: [surface('a', 'cylinder', 'Body', deepMm, boreMm + 20)],
  bores: [{ id: 'b', from: 'near', through: true, surfaces: [surface('in', 'cylinder', 'Bore', 0, boreMm)] }],
});
const bar = (sizeMm: number, note = ''): CribTool => ({
  id: `bar-${sizeMm}${note}`,
  kind: 'boring',
  sizeMm,
  thread: '',
  note,
  pieces: 1,
  version: 1,
});

function bentIn(part: Part, tools: readonly CribTool[] = [], materialId = 'steel-c45') {
  const sheet = testSheet({
    places: [],
    readings: [],
    choices: [
      testChoice(choiceKey.part, { ...part, materialId }),
      testChoice(choiceKey.plan, { ...usualPlan(testShop.lathes[0]!), barId: 'bar', way: 'bar' }),
      testChoice(choiceKey.item('job'), testItem('make', 'Bush', { componentIds: ['pin'] })),
    ],
  });
  const shop = { ...testShop, tools, rack: [testBar('bar', { materialId, diameterMm: 60, lengthMm: 900 })] };
  const plan = workOut(sheet, shop).items[0]!.plan!;
  return plan.setUps.flatMap((s) => s.pushed).find((p) => p.segmentId === 'in');
}
const inputs = (of: ReturnType<typeof bentIn>): number[] =>
  of!.bend.origin.kind === 'worked' ? of!.bend.origin.from.map((f) => f.value) : [];

it('a bore of 30, 60 deep, drilled 28: a bar of 20 standing out 65, by hand', () => {
  const bent = bentIn(bush(60, 30));
  const [push, thick, out] = inputs(bent);
  expect([thick, out]).toEqual([20, 65]);
  // 20 thick is 7854 mm⁴; a steel bar, F L³ / 3EI, and both walls.
  expect(bent!.bend.value).toBeCloseTo((2 * push! * 65 ** 3) / (3 * 210_000 * 7854), 6);
  expect(bent!.words).toBe('');
});

it('takes the stiffest of the crib that goes in: no thicker than the drilled hole bears, and carbide before steel', () => {
  expect(inputs(bentIn(bush(60, 30), [bar(10), bar(16), bar(25)]))[1]).toBe(16);
  const steel = bentIn(bush(60, 30), [bar(16)])!.bend.value;
  expect(bentIn(bush(60, 30), [bar(16), bar(16, 'carbide shank')])!.bend.value).toBeLessThan(0.5 * steel);
  expect(inputs(bentIn(bush(60, 30), [bar(16), bar(12, 'carbide bar')]))[1]).toBe(16);
  expect(inputs(bentIn(bush(60, 30), [{ ...bar(16), pieces: 0 }]))[1]).toBe(20);
});

it('deep and narrow it gives way more than the limits bear and chatters, and both are said', () => {
  const { words } = bentIn(bush(150, 20))!;
  expect(words).toContain('gives way');
  expect(words).toMatch(/12\.\d times its thickness; beyond 4 it chatters|1\d\.\d times its thickness; beyond 4 it chatters/);
  expect(bentIn(bush(20, 40))!.words).toBe('');
});

it('says nothing where no cutting force is known', () => expect(bentIn(bush(60, 30), [], 'pom')).toBeUndefined());
