import { surface, type Part } from '../../making/part';
import { dialWords } from './asked-cut';
import { choiceKey } from './choices';
import { usualPlan } from './plan-finding';
import { workOut } from './repair';
import { testChoice, testSheet, testShop } from './testing';

const pin: Part = {
  ...{ name: 'Pin', materialId: 'steel-c45', limits: {}, block: null, features: [], bores: [] },
  outside: [surface('a', 'cylinder', 'Body', 50, 30)],
};
const plan = workOut(
  testSheet({ choices: [testChoice(choiceKey.part, pin), testChoice(choiceKey.plan, usualPlan(testShop.lathes[0]!))] }),
  testShop,
).plan!;
const one = plan.setUps[0]!;

it('a move as its own dial counts it: along on the carriage, across on the cross slide, on the mill along only', () => {
  const { cross, carriage } = plan.lathe;
  // The dials of this lathe are in inches, the cross slide's on radius.
  expect([cross.unit, cross.reads, carriage.unit]).toEqual(['in', 'radius', 'in']);
  expect(dialWords(2.54, 'along', one, plan)).toBe('0.1000 in');
  expect(dialWords(2.54, 'across', one, plan)).toBe('0.1000 in');
  const onMill = { ...one, setUp: { ...one.setUp, machine: 'mill' as const } };
  expect(dialWords(2.54, 'across', onMill, plan)).toBe('');
  expect(dialWords(2.54, 'along', { ...one, dial: null }, plan)).toBe('');
});
