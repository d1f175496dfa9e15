import { finderOf } from './finder';
import { parseTool } from './parse-tool';

it('is the one of the crib, however people call it', () => {
  const typed = ['edge finder 0.200 in', 'finder 5 mm', 'wiggler .5 in'].map((t) => parseTool(t, 'mm'));
  const sizes = typed.map((t) => (t.ok ? finderOf([t.value], 'in').mm : null));
  expect(sizes).toEqual([expect.closeTo(5.08, 9), 5, expect.closeTo(12.7, 9)]);
});

it('else an ordinary one of the unit of the job, and says so', () => {
  expect(finderOf([], 'mm').mm).toBe(10);
  expect(finderOf([{ kind: 'finder', sizeMm: null }], 'in').mm / 25.4).toBeCloseTo(0.2, 9);
  expect(finderOf([], 'in').how).toContain('none is in the crib');
});
