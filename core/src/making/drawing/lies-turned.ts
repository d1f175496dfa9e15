import type { OutlinePoint } from '../part';

const SAMPLES = 200;

const ends = (contour: readonly OutlinePoint[]): readonly [number, number] => [
  Math.min(...contour.map((p) => p.x)),
  Math.max(...contour.map((p) => p.x)),
];

/** Radius of a contour at a place, mm; 0 beside it. */
function radiusOf(contour: readonly OutlinePoint[], x: number): number {
  const i = contour.findIndex((p, k) => k > 0 && contour[k - 1]!.x <= x && x <= p.x && p.x > contour[k - 1]!.x);
  if (i < 0) return 0;
  const [a, b] = [contour[i - 1]!, contour[i]!];
  return a.r + ((b.r - a.r) * (x - a.x)) / (b.x - a.x);
}

/** A contour end for end, over the same stretch of the axis. */
export function turnedContour(contour: readonly OutlinePoint[]): OutlinePoint[] {
  const [from, to] = ends(contour);
  return [...contour].reverse().map((p) => ({ x: from + to - p.x, r: p.r }));
}

/**
 * Whether an old contour lies nearer to a new one end for end: the new part is the old one's other hand. Where both ways are as near, it lies as it is.
 */
export function liesTurned(old: readonly OutlinePoint[], now: readonly OutlinePoint[]): boolean {
  if (old.length < 2 || now.length < 2) return false;
  const turned = turnedContour(old);
  const [from, to] = ends([...old, ...now]);
  let [asIs, round] = [0, 0];
  for (let i = 0; i < SAMPLES; i++) {
    const x = from + ((to - from) * (i + 0.5)) / SAMPLES;
    const r = radiusOf(now, x);
    asIs += Math.abs(radiusOf(old, x) - r);
    round += Math.abs(radiusOf(turned, x) - r);
  }
  return round < 0.999 * asIs;
}
