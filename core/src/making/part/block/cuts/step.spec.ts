import type { Face } from '../box';
import { EDGE_OPTIONS, EDGES, step, type BlockStep, type Edge } from './step';

const BLOCK = { lengthMm: 60, widthMm: 40, heightMm: 30 };
const cut = (on: Face, edge: Edge, widthMm: number, depthMm: number): BlockStep => ({
  ...{ id: 'c', kind: 'step', name: 'Step', on },
  ...{ edge, widthMm, depthMm },
});
/** The box that it takes: from and to along x, y, z. */
function boxOf(c: BlockStep): Record<'x' | 'y' | 'z', [number, number]> {
  const [s] = step.solids(c, BLOCK);
  if (s!.section.kind !== 'outline') throw new Error('round');
  const [a, b] = (['x', 'y', 'z'] as const).filter((axis) => axis !== s!.axis);
  const span = (i: 0 | 1): [number, number] => {
    const all = s!.section.kind === 'outline' ? s!.section.points.map((p) => p[i]) : [];
    return [Math.min(...all), Math.max(...all)];
  };
  return { [s!.axis]: [s!.fromMm, s!.toMm], [a!]: span(0), [b!]: span(1) } as Record<'x' | 'y' | 'z', [number, number]>;
}

// Drawn by hand for a block of 60 x 40 x 30: 12 wide and 5 deep.
it.each<[Face, Edge, [number, number], [number, number], [number, number]]>([
  ['top', 'end', [48, 60], [0, 40], [25, 30]],
  ['top', 'start', [0, 12], [0, 40], [25, 30]],
  ['top', 'low', [0, 60], [0, 12], [25, 30]],
  ['top', 'high', [0, 60], [28, 40], [25, 30]],
  ['bottom', 'high', [0, 60], [28, 40], [0, 5]],
  ['front', 'low', [0, 60], [0, 5], [0, 12]],
  ['back', 'end', [48, 60], [35, 40], [0, 30]],
  ['left', 'high', [0, 5], [0, 40], [18, 30]],
  ['right', 'start', [55, 60], [0, 12], [0, 30]],
])('on the %s, along its %s edge, it takes x %s, y %s, z %s', (on, edge, x, y, z) => {
  expect(boxOf(cut(on, edge, 12, 5))).toEqual({ x, y, z });
  const mm3 = (x[1] - x[0]) * (y[1] - y[0]) * (z[1] - z[0]);
  expect(step.solids(cut(on, edge, 12, 5), BLOCK)[0]!.volumeMm3).toBeCloseTo(mm3, 9);
});

it('it may not take the whole face, nor come out below', () => {
  const wrong = (c: BlockStep): string[] => step.check(c, BLOCK).map((p) => p.field);
  expect(wrong(cut('top', 'end', 59.9, 5))).toEqual([]);
  expect(wrong(cut('top', 'end', 60, 5))).toEqual(['widthMm']);
  // Across the other way the face is only 40.
  expect(wrong(cut('top', 'low', 40, 5))).toEqual(['widthMm']);
  expect(wrong(cut('top', 'low', 12, 30))).toEqual(['depthMm']);
});

it('every edge of a face can be chosen', () => {
  expect(EDGE_OPTIONS.map(([e]) => e)).toEqual(Object.keys(EDGES));
  expect(new Set(EDGE_OPTIONS.map(([, words]) => words)).size).toBe(4);
});
