import type { Primitive, Scene } from './scene';

/** The room that lines, areas and circles take, mm; texts count by where they begin. Nothing to draw takes none. */
export function boundsOf(primitives: readonly Primitive[]): Pick<Scene, 'fromX' | 'toX' | 'fromY' | 'toY'> {
  const points = primitives.flatMap((p): (readonly [number, number])[] => {
    if (p.kind === 'path' || p.kind === 'area') return [...p.points];
    const r = p.kind === 'circle' ? p.r : 0;
    return [
      [p.x - r, p.y - r],
      [p.x + r, p.y + r],
    ];
  });
  if (!points.length) return { fromX: 0, toX: 0, fromY: 0, toY: 0 };
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  return { fromX: Math.min(...xs), toX: Math.max(...xs), fromY: Math.min(...ys), toY: Math.max(...ys) };
}
