import { cutKindOf, type BlockCut, type Part } from '../../making/part';
import { choiceKey } from './choices';
import { usualPlan } from './plan-finding';
import { workOut } from './repair';
import { testChoice, testItem, testSheet, testShop, verdicts, withChoices } from './testing';

const limits = { lowerDev: 0, upperDev: 0.025, text: 'H7' };
const cuts = [{ placeId: 'barrel', sizeMm: 40.35, limits }];
const itemId = 'barrel-part';
const rework = (own: object = {}) =>
  withChoices(verdicts('reuse', 'repair'), [
    choiceKey.item(itemId),
    testItem('rework', 'Ramp barrel', { componentIds: [itemId], cuts, ...own }),
  ]);
const found = (sheet: ReturnType<typeof rework>, shop = testShop) => workOut(sheet, shop).items.find((i) => i.item.id === itemId)!;

it('a housing that is bored true is held in some way, as somebody chose, else in the best that will do', () => {
  const { boring, item } = found(rework());
  expect(boring!.ways.map((w) => w.id).sort()).toEqual(['carriage-bar', 'faceplate', 'follow', 'jaws', 'mill-head']);
  const will = boring!.ways.filter((w) => w.cannot === '');
  expect(boring!.chosen).toBe(will[0]);
  const plan = { ...usualPlan(testShop.lathes[0]!), barId: 'none', boring: 'follow' };
  const other = workOut(withChoices(rework(), [item.planKey, plan]), testShop).items.find((i) => i.item.id === itemId)!.boring!;
  expect(other.chosen!.id).toBe('follow');
});

it('what comes off is told against what was read: too much for a reamer where it is', () => {
  const least = workOut(rework(), testShop).places.find((p) => p.place.id === 'barrel')!.shape!.smallestMm;
  const at = (sizeMm: number) =>
    found(rework({ cuts: [{ placeId: 'barrel', sizeMm, limits: { lowerDev: 0, upperDev: 0, text: '' } }] })).boring!.ways.find(
      (w) => w.id === 'follow',
    )!.cannot;
  expect(at(least + 0.29)).toBe('');
  expect(at(least + 0.31)).toContain('bore first');
});

it('a block is held so where something is bored into it, and a part that is turned is not', () => {
  const sizes = { lengthMm: 60, widthMm: 40, heightMm: 30 };
  const hole = (made: string): BlockCut =>
    ({
      ...cutKindOf('hole').start(sizes, 'top'),
      id: 'h',
      kind: 'hole',
      on: 'top',
      name: 'Hole',
      made,
      diameterMm: 16,
      fitsPlaceIds: [],
    }) as unknown as BlockCut;
  const link = (made: string): Part => ({
    ...{ name: 'Link', materialId: 'steel-mild', outside: [], bores: [], features: [], limits: { h: limits } },
    block: { ...sizes, cuts: [hole(made)] },
  });
  const of = (part: Part) => workOut(testSheet({ choices: [testChoice(choiceKey.part, part)] }), testShop).at!;
  const bored = of(link('bored'));
  expect(bored.blockPlan!.setUps.at(-1)!.hold).toBe(bored.boring!.chosen!.hold);
  expect(of(link('drilled')).boring).toBeNull();
  expect(of(link('drilled')).blockPlan!.setUps.at(-1)!.hold).toContain('in the vise');
});
