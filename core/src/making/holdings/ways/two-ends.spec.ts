import { newPart, surface, type Part } from '../../part';
import { workOf } from '../work';
import { twoEnds } from './two-ends';
import { TEST_LATHE } from '../testing-lathe';

const lathe = { ...TEST_LATHE, spindleBoreMm: 28 };
type Step = readonly [id: string, lengthMm: number, diameterMm: number];
const shaft = (...steps: readonly Step[]): Part => ({
  ...newPart('plain-pin', 'Shaft', 20, 40),
  features: [],
  outside: steps.map(([id, l, d]) => surface(id, 'cylinder', id, l, d)),
});
const planOf = (holding: 'three-jaw' | 'collet', part: Part) => twoEnds(holding, 'Turned round', '').plan(workOf(part, lathe, 60, 'mm'));
const setUps = (part: Part) => {
  const plan = planOf('three-jaw', part);
  if (!plan.ok) throw new Error(plan.problems[0]!.message);
  return plan.value;
};
const GEARBOX: readonly Step[] = [
  ['seat', 20, 20],
  ['gear', 60, 30],
  ['collar', 10, 44],
  ['other', 30, 25],
];

it('every surface is cut in one of two holdings, the largest with the end that is turned first', () => {
  const [one, two] = setUps(shaft(...GEARBOX));
  expect([...one!.cuts, ...two!.cuts].sort()).toEqual(['collar', 'gear', 'other', 'seat']);
  // The collar lies behind the middle: the near end is turned up to it and over it.
  expect(one).toMatchObject({ free: 'near', cuts: ['seat', 'gear', 'collar'], overhangMm: 90 });
  expect(two).toMatchObject({ free: 'far', cuts: ['other'], overhangMm: 30, toLength: true });
});

it('the second holding is on the longest of what the first one turned', () =>
  expect(setUps(shaft(...GEARBOX))[1]!.locates).toEqual({ on: 'surface', id: 'gear' }));

it('drawn the other way round it is held the other way round', () => {
  const [one, two] = setUps(shaft(...[...GEARBOX].reverse()));
  expect(one!.free).toBe('far');
  expect([...one!.cuts].sort()).toEqual(['collar', 'gear', 'seat']);
  expect(two!.cuts).toEqual(['other']);
});

it('a largest that is an end itself is left to the second holding: else that would have nothing to cut', () => {
  const [one, two] = setUps(shaft(['thin', 60, 20], ['head', 15, 40]));
  expect(one!.cuts).toEqual(['thin']);
  expect(two!.cuts).toEqual(['head']);
});

it.each([
  ['one surface only would show where the ends meet', 'three-jaw', shaft(['a', 100, 30]), 'one-surface'],
  ['too short to hold', 'three-jaw', shaft(['a', 5, 20], ['b', 90, 40]), 'short-grip'],
  ['too thick for a collet of 28', 'collet', shaft(['a', 60, 30], ['b', 20, 40]), 'collet-too-small'],
] as const)('%s', (_, holding, part, code) => expect(planOf(holding, part)).toMatchObject({ ok: false, problems: [{ code }] }));
