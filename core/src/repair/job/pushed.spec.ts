import { surface, type Part } from '../../making/part';
import { choiceKey } from './choices';
import { workOut } from './repair';
import { testBar, testChoice, testItem, testSheet, testShop } from './testing';

const CLOSE = { lowerDev: -0.01, upperDev: 0.01, text: '±0.01' };
const part = (lengthMm: number): Part => ({
  ...{ name: 'Shaft', materialId: 'steel-c45', bores: [], features: [], block: null },
  outside: [surface('a', 'cylinder', 'Thin', lengthMm, 16), surface('b', 'cylinder', 'Thick', 30, 25)],
  limits: { a: CLOSE, b: CLOSE },
});
const planOf = (lengthMm: number, powerKw: number | null = null) => {
  const plan = { latheId: 'gap-bed', barId: 'bar', tool: 'carbide', partingMm: 3, touched: 'left', grippedMm: 25, finishes: 2, way: 'bar' };
  const lathe = testShop.lathes[0]!;
  const sheet = testSheet({
    places: [],
    readings: [],
    choices: [
      testChoice(choiceKey.part, part(lengthMm)),
      testChoice(choiceKey.plan, plan),
      testChoice(choiceKey.item('job'), testItem('make', 'Shaft', { componentIds: ['pin'] })),
    ],
  });
  const machine = {
    id: lathe.id,
    name: lathe.name,
    kind: 'lathe' as const,
    powerKw,
    note: '',
    lathe,
    mill: null,
    capacityMm: null,
    tonnes: null,
    version: 1,
  };
  return workOut(sheet, { ...testShop, rack: [testBar('bar', { diameterMm: 30 })], machines: [machine] }).items[0]!.plan!;
};
const thinOf = (lengthMm: number, powerKw: number | null = null) =>
  planOf(lengthMm, powerKw).setUps[0]!.pushed.find((p) => p.segmentId === 'a')!;

it('a stout shaft is hardly pushed, a slender one gets a belly, and it is said', () => {
  expect(thinOf(16).words).toBe('');
  const slender = thinOf(220);
  expect(slender.words).toContain('with a belly');
  expect(slender.bend.value).toBeGreaterThan(thinOf(120).bend.value);
});

it('the bend is what the push of the last cut does to a beam as thick', () => {
  // Last cut 0.15 mm a side at 0.13: C45 as the book has it; between chuck and centre, on the stretch from the chuck to 220 of 250 mm.
  const { bend } = thinOf(220);
  const push = bend.origin.kind === 'worked' ? bend.origin.from[0]!.value : 0;
  expect(push).toBeGreaterThan(20);
  expect(push).toBeLessThan(100);
  // The most that such a beam gives way anywhere is F L³ / 101.9 EI, a third of the way behind the middle towards the centre.
  const most = (2 * push * 250 ** 3) / (101.9 * 210_000 * (Math.PI / 64) * 16 ** 4);
  expect(bend.value).toBeGreaterThan(0.9 * most);
  expect(bend.value).toBeLessThan(1.1 * most);
});

it('a motor that is too weak for the roughing is told', () => {
  expect(thinOf(16, 0.5).words).toContain('the motor has 0.5');
  expect(thinOf(16, 15).words).toBe('');
});
