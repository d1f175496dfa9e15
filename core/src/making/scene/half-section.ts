import type { OutlinePoint } from '../part';
import type { LineStyle, Primitive } from './scene';

/** A contour closed over the axis; `side` 1 is above the centre line, -1 below. */
function toAxis(points: readonly OutlinePoint[], side: 1 | -1): [number, number][] {
  const [first, last] = [points[0]!, points.at(-1)!];
  return [[first.x, 0], ...points.map((p): [number, number] => [p.x, side * p.r]), [last.x, 0]];
}

/**
 * A body of revolution, cut open above the centre line and seen from outside below.
 *
 * @param points its contour from left to right, mm; at least one
 * @param style of its edges: hidden where nobody measured the outside
 */
export function bodyLines(points: readonly OutlinePoint[], style: LineStyle = 'edge'): Primitive[] {
  const [above, below] = [toAxis(points, 1), toAxis(points, -1)];
  return [
    { kind: 'area', points: above, fill: 'section' },
    { kind: 'area', points: below, fill: 'outside' },
    { kind: 'path', points: above, closed: false, style },
    { kind: 'path', points: below, closed: false, style },
  ];
}

/** A bore in such a body, cut open above the centre line, by its contour from left to right, mm. */
export function boreLines(points: readonly OutlinePoint[]): Primitive[] {
  const above = toAxis(points, 1);
  return [
    { kind: 'area', points: above, fill: 'paper' },
    { kind: 'path', points: above, closed: false, style: 'edge' },
  ];
}
