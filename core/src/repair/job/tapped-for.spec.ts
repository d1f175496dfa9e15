import { newPart } from '../../making/part';
import { choiceKey } from './choices';
import type { JobItem } from './items';
import { tappedFor } from './tapped-for';
import { workOut } from './repair';
import { testSheet, testShop, withChoices } from './testing';

const ROUTE = 'solid threaded bush';
const base = testSheet();
const drawn = newPart('threaded-bush', 'Threaded bush', 14.2875, 19);
const bush = { ...drawn, features: drawn.features.map((f) => (f.kind === 'thread' ? { ...f, thread: '9/16 BSF' } : f)) };
const sheet = withChoices({ ...base, components: base.components.map((c) => ({ ...c, materialId: 'aluminium-6082' })) }, [
  choiceKey.part,
  bush,
]);
const made = { ...workOut(sheet, testShop).items[0]!.item, route: ROUTE };
const hole = { ...made, id: 'hole', kind: 'rework', name: 'Case, hole tapped for the bush', partKey: '' } as JobItem;

it('the hole of a threaded bush is drilled and tapped for its outside', () => {
  const [schedule] = tappedFor(hole, [made, hole], sheet, testShop);
  expect(schedule!.title).toContain('9/16 BSF');
  expect(schedule!.settings.some((s) => s.figure.measure === 'rpm')).toBe(true);
  expect(schedule!.tools).toEqual([{ kind: 'tap', thread: '9/16 BSF' }]);
});

it.each([
  ['of another route', hole, { ...made, route: 'wire insert' }],
  ['nothing is tapped', { ...hole, name: 'Case, bored' }, made],
  ['of no route', { ...hole, route: '' }, { ...made, route: '' }],
  ['it is made itself', { ...hole, kind: 'make' as const }, made],
])('none where it is %s', (_, item, other) => expect(tappedFor(item, [other, item], sheet, testShop)).toEqual([]));
