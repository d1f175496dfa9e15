import { addedFeature } from '../drawing';
import { newPart, surface, type Part } from '../part';
import { heldPlan, type HeldPlan } from './held-plan';
import { TEST_LATHE } from './testing-lathe';
import { workOf } from './work';

const plain: Part = {
  ...newPart('plain-pin', 'Shaft', 30, 120),
  features: [],
  outside: [surface('seat', 'cylinder', 'Seat', 40, 25), surface('body', 'cylinder', 'Body', 80, 30)],
};
const grooved = addedFeature(plain, 'seat', 'ring-groove', 'groove', {})!.part;
const keyed = addedFeature(addedFeature(plain, 'body', 'keyseat', 'first', { clockDeg: 0 })!.part, 'seat', 'keyseat', 'second', {
  clockDeg: 90,
  timedTo: 'first',
})!.part;
const bored: Part = {
  ...plain,
  bores: [{ id: 'hole', from: 'near', through: true, surfaces: [surface('h', 'cylinder', 'Hole', 120, 10)] }],
};
const planned = (part: Part, setUp: number, ...keys: string[]) => {
  const plan = heldPlan('bar', workOf(part, TEST_LATHE, 32, 'mm'), { order: keys.length ? [{ setUp, keys }] : [] });
  if (!plan.ok) throw new Error(plan.problems[0]!.message);
  return plan.value;
};
const said = ({ outOfOrder }: HeldPlan): string[] => outOfOrder.map((o) => `${o.setUp} ${o.words}`);
const keysOf = (part: Part, setUp: number): string[] => planned(part, setUp).setUps[setUp - 1]!.acts.map((a) => a.key);
const move = (keys: readonly string[], key: string, to: number): string[] => {
  const rest = keys.filter((k) => k !== key);
  return [...rest.slice(0, to), key, ...rest.slice(to)];
};

it('as the way has it nothing is out of order', () => {
  for (const part of [plain, grooved, keyed, bored]) expect(planned(part, 1).outOfOrder).toEqual([]);
});

it('what is done and what is cut follow the order that somebody gave', () => {
  const { setUps, outOfOrder } = planned(plain, 1, ...move(keysOf(plain, 1), 'body', 1));
  const turned = setUps[0]!.operations.filter((o) => o.startsWith('Turn'));
  expect([turned, setUps[0]!.cuts]).toEqual([
    ['Turn body', 'Turn seat'],
    ['body', 'seat'],
  ]);
  expect(outOfOrder).toEqual([]);
});

it('a groove before its seat, an angle before what it is found from, a bore behind the tailstock', () => {
  expect(said(planned(grooved, 1, ...move(keysOf(grooved, 1), 'groove.0', 1)))).toEqual([
    expect.stringMatching(/^1 “Ring groove: .*” comes before seat, which it is cut into\.$/),
  ]);
  const mill = planned(keyed, 1).setUps.findIndex((s) => s.machine === 'mill') + 1;
  expect(planned(keyed, mill, ...move(keysOf(keyed, mill), 'second.0', 0)).outOfOrder[0]!.words).toContain('from which its angle is found');
  const keys = keysOf(bored, 1);
  expect(keys).toContain('support');
  expect(said(planned(bored, 1, ...move(keys, 'hole', keys.indexOf('support'))))).toEqual([
    '1 The tailstock stands in the way of the bore.',
  ]);
});

it('the face first, the part-off last', () => {
  const keys = keysOf(plain, 1);
  expect(said(planned(plain, 1, ...move(keys, 'face', 2)))).toEqual(['1 The zero face is not there yet when it begins.']);
  expect(said(planned(plain, 1, ...move(keys, 'part-off', keys.length - 2)))).toEqual([
    '1 “Chamfers and edges” comes after the piece is cut off.',
  ]);
});
