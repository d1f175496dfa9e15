import { choiceKey } from './choices';
import { newStep } from './items';
import { workOut } from './repair';
import { drawnPin, testChoice, testItem, testSheet, testShop } from './testing';
import { workDone } from './work-done';

const done = (...items: readonly (readonly [string, ReturnType<typeof testItem>])[]): string[] =>
  workDone(
    workOut(
      testSheet({
        choices: [
          testChoice(choiceKey.part, { ...drawnPin(), materialId: 'steel-c45' }),
          ...items.map(([id, item], i) => testChoice(choiceKey.item(id), { ...item, position: i })),
        ],
      }),
      testShop,
    ).items,
  );

it('says what a new part is made of, and how many', () => {
  const [two] = done(['job', testItem('make', 'Pin', { componentIds: ['pin'], quantity: 2 })]);
  expect(two).toMatch(/^Pin: made new, .*C45.*, 2 pieces$/);
});

it('a part nobody drew is made all the same', () => {
  const said = done(['job', testItem('make', 'Pin', { componentIds: ['pin'] })], ['key', testItem('make', 'Key')]);
  expect(said[1]).toBe('Key: made new');
});

it('a rework and a joining are told by their acts, what is bought by its size', () => {
  const steps = [newStep('Straighten', 'rework'), newStep('Polish', 'rework')];
  const said = done(
    ['a', testItem('rework', 'Rod', { componentIds: ['barrel-part'], steps })],
    ['b', testItem('join', 'Barrel', { steps: [] })],
    ['c', testItem('buy', 'Bearing', { size: '20 x 47 x 14' })],
    ['d', testItem('buy', 'Seal', {})],
  );
  expect(said.filter((s) => !s.startsWith('Hinge pin'))).toEqual([
    'Rod: straighten, polish',
    'Barrel: joined',
    'Bearing: bought new, 20 x 47 x 14',
    'Seal: bought new',
  ]);
});

it('what nobody spoke of and nobody drew is not told as made', () => {
  expect(workDone(workOut(testSheet({ choices: [] }), testShop).items)).toEqual([]);
});

it('what is not done after all is not told', () => {
  expect(done(['c', testItem('buy', 'Bearing', { off: true })]).join()).not.toContain('Bearing');
});
