import { newPart, surface, type Part } from '../../making/part';
import { choiceKey } from './choices';
import { workOut } from './repair';
import { testChoice, testSheet, testShop } from './testing';

const order = (part: Part, more: Partial<Record<'way', string>> = {}): string[] => {
  const plan = { latheId: 'gap-bed', barId: 'bar60', tool: 'carbide', partingMm: 3, touched: 'left', grippedMm: 25, finishes: 2, ...more };
  const sheet = testSheet({ choices: [testChoice(choiceKey.part, part), testChoice(choiceKey.plan, plan)] });
  return workOut(sheet, testShop).cuts.map((c) => c.segment.segment.name);
};
const stepped = (...sizes: readonly (readonly [name: string, diameter: number, length: number])[]): Part => ({
  ...newPart('plain-pin', 'Shaft', 20, 40),
  outside: sizes.map(([name, d, l], i) => surface(`s${i}`, 'cylinder', name, l, d)),
  features: [],
});

it('what is turned from the bar is cut from its free end inwards, whichever way round it is drawn', () => {
  expect(order(stepped(['Peg', 18, 20], ['Body', 25, 30], ['Collar', 40, 10]))).toEqual(['Peg', 'Body', 'Collar']);
  expect(order(stepped(['Collar', 40, 10], ['Body', 25, 30], ['Peg', 18, 20]))).toEqual(['Peg', 'Body', 'Collar']);
});

it('a bush is bored before its outside is turned to size', () => {
  const bush = newPart('plain-bush', 'Bush', 40, 30);
  const [first] = order(bush);
  expect(first).toBe(bush.bores[0]!.surfaces[0]!.name);
});

it('what is held twice is cut holding by holding', () => {
  const shaft = stepped(['Left', 20, 20], ['Middle', 40, 30], ['Right', 25, 20]);
  const names = order(shaft, { way: 'round-chuck' });
  expect([...names].sort()).toEqual(['Left', 'Middle', 'Right']);
  const { setUps } = workOut(
    testSheet({
      choices: [
        testChoice(choiceKey.part, shaft),
        testChoice(choiceKey.plan, {
          latheId: 'gap-bed',
          barId: 'bar60',
          tool: 'carbide',
          partingMm: 3,
          touched: 'left',
          grippedMm: 25,
          finishes: 2,
          way: 'round-chuck',
        }),
      ],
    }),
    testShop,
  ).plan!;
  const holding = (name: string): number => setUps.findIndex((s) => s.setUp.cuts.includes(shaft.outside.find((o) => o.name === name)!.id));
  const holdings = names.map(holding);
  expect(holdings).toEqual([...holdings].sort());
  expect(new Set(holdings).size).toBe(2);
});

it('without a plan they stand as drawn', () => {
  const sheet = testSheet({ choices: [testChoice(choiceKey.part, stepped(['A', 20, 20], ['B', 30, 20], ['C', 40, 20]))] });
  const bare = { ...testShop, rack: [], lathes: [] };
  expect(workOut(sheet, bare).cuts.map((c) => c.segment.segment.name)).toEqual([]);
});
