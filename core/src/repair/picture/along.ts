import type { Primitive } from '../../making/scene';

/** A line moved along the axis, mm. */
export const along = (l: Primitive, byMm: number): Primitive => {
  if (l.kind === 'path' || l.kind === 'area') return { ...l, points: l.points.map(([x, y]) => [x + byMm, y] as const) };
  return { ...l, x: l.x + byMm };
};
