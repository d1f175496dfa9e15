import { newPart, type Part } from '../../making/part';
import { parseBar, type Bar } from '../../making/stock';
import { choiceKey } from './choices';
import { usualPlan } from './plan-finding';
import { workOut } from './repair';
import { testChoice, testSheet, testShop } from './testing';

const ring: Part = newPart('repair-ring', 'Ring', 100, 20);
const stock = (line: string): Bar => {
  const read = parseBar(line, 'mm');
  if (!read.ok) throw new Error(read.problems[0]!.message);
  return { ...read.value, materialId: ring.materialId, id: 'it', version: 1 };
};
const planned = (line: string, way: string) => {
  const rack = [stock(line)];
  const [lathe] = testShop.lathes;
  const choices = [testChoice(choiceKey.part, ring), testChoice(choiceKey.plan, { ...usualPlan(lathe!), barId: 'it', way })];
  return workOut(testSheet({ choices }), { ...testShop, rack, lathes: [{ ...lathe!, holdings: [] }] }).plan!;
};
const largest = Math.max(...ring.outside.map((s) => s.diameterMm));
const firstPass = (p: ReturnType<typeof planned>): number =>
  Math.max(...p.passes.filter((x) => x.segment.segment.side === 'outside').map((x) => x.fromMm));

it('a ring out of a wide plate is a disc of its own size: held, swung and turned as that, and solid', () => {
  const plan = planned('plate 900 x 25 x 1000 C45', 'faceplate');
  expect(plan.held.way).toBe('faceplate');
  expect(plan.problems.filter((p) => /swing|thick|long/.test(p))).toEqual([]);
  expect(firstPass(plan)).toBeLessThan(largest + 10);
  expect(plan.blankWords).toContain('A disc out of plate');
  // A ring of 900 sides is no hole of 25: the bore is drilled first.
  expect(plan.setUps.flatMap((s) => s.schedules).some((s) => s.settings.some((x) => x.figure.label.includes('drill')))).toBe(true);
  expect(plan.off.fromBar).toBe(Math.floor((1000 + 2.5) / (plan.fit.diameterMm + 6 + 2.5)));
});

it('out of a ring of metal it is bored from the hole that is there', () => {
  const bored = Math.min(...ring.bores.flatMap((b) => b.surfaces.map((s) => s.diameterMm)));
  const plan = planned(`ring ${Math.ceil(largest + 3)} x ${Math.floor(bored - 4)} x 60 C45`, 'bar');
  const inside = plan.passes.filter((x) => x.segment.segment.side === 'inside');
  expect(inside.every((x) => x.fromMm === Math.floor(bored - 4))).toBe(true);
});

it('what has to be held and cut off does not come out of plate, and says so', () =>
  expect(planned('plate 900 x 25 x 1000 C45', 'bar').problems.join()).toContain('is a plate: no blank comes out of it that is held so'));
