import { newPart, surface, type Part } from '../../making/part';
import { isThrough, nextOfBatch, throughOf } from './batch';
import { choiceKey } from './choices';
import { partKeyOf } from './items';
import { usualPlan } from './plan-finding';
import { workOut } from './repair';
import { testChoice, testItem, testReading, testSheet, testShop } from './testing';

const H7 = { lowerDev: -0.1, upperDev: 0.1, text: '±0.1' };
const part: Part = {
  ...newPart('plain-pin', 'Pin', 20, 60),
  features: [],
  outside: [surface('a', 'cylinder', 'Spigot', 20, 14), surface('b', 'cylinder', 'Seat', 20, 20), surface('c', 'cylinder', 'Tail', 20, 14)],
  limits: { a: H7, b: H7, c: H7 },
};
type Cut = readonly [piece: number, surface: string];
const found = (cuts: readonly Cut[], own: object = {}) => {
  const plan = { ...usualPlan(testShop.lathes[0]!), barId: testShop.rack[0]!.id, way: 'round-four-jaw', ...own };
  const sheet = testSheet({
    choices: [
      testChoice(partKeyOf('job', 'pin'), part),
      testChoice('plan:pin', plan),
      testChoice(choiceKey.item('pin'), testItem('make', 'Pin', { quantity: 3 })),
    ],
    readings: cuts.map(([piece, segmentId]) =>
      testReading({ purpose: 'cut', itemId: 'pin', piece, segmentId, dial: 0, valueMm: segmentId === 'b' ? 20 : 14 }),
    ),
  });
  return workOut(sheet, testShop).items.find((i) => i.item.id === 'pin')!;
};
/** Set-up of a surface. */
const setUpOf = (at: ReturnType<typeof found>, id: string) => at.plan!.setUps.find((s) => s.setUp.cuts.includes(id))!;
const next = (cuts: readonly Cut[], piece: number, id: string, own: object = {}) => {
  const at = found(cuts, own);
  const step = nextOfBatch(at, piece, setUpOf(at, id));
  return step && [step.piece, step.setUp.setUp.number];
};

it('stands on two ends: one surface in the one, two in the other', () => {
  const at = found([]);
  expect(at.pieces.map((p) => p.piece.number)).toEqual([1, 2, 3]);
  expect(setUpOf(at, 'a')).not.toBe(setUpOf(at, 'c'));
});

it('a piece is through when all that is read there is in its limits; where nothing is read nobody can tell', () => {
  const at = found([[1, 'a']]);
  const [first, second] = [setUpOf(at, 'a'), setUpOf(at, 'c')];
  const ids = first.setUp.cuts.filter((id) => ['a', 'b', 'c'].includes(id));
  const all = found(ids.map((id): Cut => [1, id]));
  expect(isThrough(all.pieces[0]!, first)).toBe(true);
  expect(isThrough(all.pieces[0]!, second)).toBe(false);
  expect(throughOf(all, first)).toEqual({ through: 1, of: 3 });
  expect(isThrough(all.pieces[0]!, { ...first, setUp: { ...first.setUp, cuts: [], number: 9 } })).toBeNull();
});

it('what only a finer instrument could tell is through too; what is under its limit is not', () => {
  const read = (mm: number) => {
    const at = found([]);
    const [piece] = at.pieces;
    const of = piece!.cuts.find((c) => c.segment.segment.id === 'a')!;
    const one = { ...setUpOf(at, 'a') };
    const state = (['close', 'under', 'cut', 'in'] as const)[mm]!;
    return isThrough({ cuts: [{ ...of, advice: { ...of.advice, state } }], sizes: [] }, one);
  };
  expect([0, 1, 2, 3].map(read)).toEqual([true, false, false, true]);
});

it('all go through one set-up before the next is set up', () => {
  const at = found([]);
  const firstIds = at.plan!.setUps[0]!.setUp.cuts.filter((id) => ['a', 'b', 'c'].includes(id));
  const lastIds = ['a', 'b', 'c'].filter((id) => !firstIds.includes(id));
  const on = (piece: number, ids: readonly string[]): Cut[] => ids.map((id) => [piece, id]);
  const id = firstIds[0]!;
  expect(next([], 1, id)).toBeNull();
  expect(next(on(1, firstIds), 1, id)).toEqual([2, 1]);
  expect(
    next(
      [1, 2, 3].flatMap((p) => on(p, firstIds)),
      3,
      id,
    ),
  ).toEqual([1, 2]);
  // Where each goes right through, the same piece is turned round at once.
  expect(next(on(1, firstIds), 1, id, { eachThrough: true })).toEqual([1, 2]);
  expect(next(on(1, ['a', 'b', 'c']), 1, lastIds[0]!, { eachThrough: true })).toEqual([2, 1]);
  expect(
    next(
      [1, 2, 3].flatMap((p) => on(p, ['a', 'b', 'c'])),
      3,
      lastIds[0]!,
    ),
  ).toBeNull();
  // What was left out comes again at the end.
  expect(
    next(
      [2, 3].flatMap((p) => on(p, firstIds)),
      3,
      id,
    ),
  ).toEqual([1, 1]);
});
