import { fittings } from './fitting';
import { newPart } from './templates';

it('of a turned part all that is outside, then its bores; of a block its holes alone', () => {
  const bush = newPart('flanged-bush', 'Bush', 40, 60);
  expect(fittings(bush).map((f) => f.inside)).toEqual([...bush.outside.map(() => false), true]);
  const cap = newPart('cap', 'Cap', 60, 120);
  expect(fittings(cap).map((f) => [f.id, f.inside])).toEqual([
    ['hole-a', true],
    ['hole-b', true],
  ]);
  expect(fittings(newPart('block', 'Block', 60, 120))).toEqual([]);
});
