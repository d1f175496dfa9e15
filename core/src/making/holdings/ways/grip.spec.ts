import { newPart, surface, type Part } from '../../part';
import { addedFeature } from '../../drawing';
import { workOf } from '../work';
import { gripOn, leastGripMm } from './grip';
import { TEST_LATHE } from '../testing-lathe';

const shaft: Part = {
  ...newPart('plain-pin', 'Shaft', 20, 40),
  outside: [surface('a', 'cylinder', 'Short', 20, 20), surface('b', 'cylinder', 'Long', 60, 30), surface('c', 'cylinder', 'Other', 20, 20)],
  features: [],
};
const held = (part: Part, cut: readonly string[], end: 'near' | 'far' = 'near'): string | undefined => {
  const work = workOf(part, TEST_LATHE, 45, 'mm');
  return gripOn(
    work,
    work.cuts.filter((c) => cut.includes(c.id)),
    end,
  )?.name;
};

it('holds on the longest of what is cut already; of two alike on the one nearer to the chuck', () => {
  expect(held(shaft, ['a', 'b', 'c'])).toBe('Long');
  expect(held(shaft, ['a', 'c'], 'near')).toBe('Short');
  expect(held(shaft, ['a', 'c'], 'far')).toBe('Other');
  expect(held(shaft, [])).toBeUndefined();
});

it('not on a thread, as long as there is anything else', () => {
  const threaded = addedFeature(shaft, 'b', 'thread', 't', { thread: 'M30', end: 'left', lengthMm: 30 })!.part;
  expect(held(threaded, ['a', 'b'])).toBe('Short');
  expect(held(threaded, ['b'])).toBe('Long');
});

it('jaws want half the diameter, and eight millimetres at least', () => expect([10, 16, 60].map(leastGripMm)).toEqual([8, 8, 30]));
