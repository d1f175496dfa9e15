import { testSheet } from '@iron-patch/core/testing';
import { anotherLike, inputOf } from './place-input';

const [barrel] = testSheet().places.filter((f) => f.id === 'barrel');
const like = (name: string, others: readonly string[] = []) =>
  anotherLike({ ...barrel!, name }, [{ ...barrel!, name }, ...others.map((n, i) => ({ ...barrel!, id: `o${i}`, name: n }))]);

it('lies right behind the one it is like, its stations as far from its start', () => {
  const before = inputOf(barrel!);
  const again = like('Bore');
  expect(again.startMm).toBe(before.startMm + before.lengthMm);
  expect(again.lengthMm).toBe(before.lengthMm);
  const from = (i: { startMm: number; stationsMm: readonly number[] }): number[] => i.stationsMm.map((mm) => mm - i.startMm);
  expect(from(again)).toEqual(from(before));
  expect(again.clocksDeg).toEqual(before.clocksDeg);
  expect(again.matesPlaceId).toBeNull();
});

it.each([
  ['Bore', [], 'Bore 2'],
  ['Bore 2', [], 'Bore 3'],
  ['Bore', ['Bore 2', 'Bore 3'], 'Bore 4'],
  ['M10 hole', [], 'M10 hole 2'],
])('%s beside %j is followed by %s', (name, others, next) => expect(like(name, others).name).toBe(next));
