import { newPart, surface, type Part } from '../../making/part';
import { choiceKey } from './choices';
import { inCutOrder } from './cut-order';
import { usualPlan } from './plan-finding';
import { workOut } from './repair';
import { testChoice, testSheet, testShop } from './testing';

const planned = (part: Part, way: string) =>
  workOut(
    testSheet({
      choices: [testChoice(choiceKey.part, part), testChoice(choiceKey.plan, { ...usualPlan(testShop.lathes[0]!), barId: 'bar60', way })],
    }),
    testShop,
  );
const names = ({ cuts }: Pick<ReturnType<typeof planned>, 'cuts'>): string[] => cuts.map((c) => c.segment.segment.name);
const stepped = (...sizes: readonly (readonly [name: string, diameter: number, length: number])[]): Part => ({
  ...newPart('plain-pin', 'Shaft', 20, 40),
  outside: sizes.map(([name, d, l], i) => surface(`s${i}`, 'cylinder', name, l, d)),
  features: [],
});

it('what is turned from the bar is cut from its free end inwards, whichever way round it is drawn', () => {
  expect(names(planned(stepped(['Peg', 18, 20], ['Body', 25, 30], ['Collar', 40, 10]), 'bar'))).toEqual(['Peg', 'Body', 'Collar']);
  expect(names(planned(stepped(['Collar', 40, 10], ['Body', 25, 30], ['Peg', 18, 20]), 'bar'))).toEqual(['Peg', 'Body', 'Collar']);
});

it('a bush is bored before its outside is turned to size', () => {
  const bush = newPart('plain-bush', 'Bush', 40, 30);
  expect(names(planned(bush, 'bar'))[0]).toBe(bush.bores[0]!.surfaces[0]!.name);
});

it('what is held twice is cut holding by holding', () => {
  const { cuts, plan } = planned(stepped(['Left', 20, 20], ['Middle', 40, 30], ['Right', 25, 20]), 'round-chuck');
  const holdings = cuts.map((c) => plan!.setUps.findIndex((s) => s.setUp.cuts.includes(c.segment.segment.id)));
  expect(names({ cuts }).sort()).toEqual(['Left', 'Middle', 'Right']);
  expect(holdings).toEqual([...holdings].sort());
  expect(new Set(holdings).size).toBe(2);
});

it('without a plan they stay as they stand', () => {
  const { cuts } = planned(stepped(['Collar', 40, 10], ['Body', 25, 30], ['Peg', 18, 20]), 'bar');
  const drawn = [...cuts].reverse();
  expect(inCutOrder(drawn, null)).toEqual(drawn);
});
