import { bodyLines, boreLines } from './half-section';

/** 20 mm of 30 across, then 10 of 40. */
const STEPPED = [
  { x: 0, r: 15 },
  { x: 20, r: 15 },
  { x: 20, r: 20 },
  { x: 30, r: 20 },
];
/** Area of a closed outline by its corners, mm². */
const areaOf = (points: readonly (readonly [number, number])[]): number =>
  Math.abs(points.reduce((s, [x, y], i) => s + x * points[(i + 1) % points.length]![1] - points[(i + 1) % points.length]![0] * y, 0)) / 2;
const outlines = (lines: ReturnType<typeof bodyLines>) => lines.flatMap((l) => (l.kind === 'area' || l.kind === 'path' ? [l] : []));

it('is cut above the centre line and seen from outside below, by the same outline mirrored', () => {
  const [above, below] = outlines(bodyLines(STEPPED));
  expect(areaOf(above!.points)).toBe(20 * 15 + 10 * 20);
  expect(below!.points).toEqual(above!.points.map(([x, y]) => [x, y === 0 ? 0 : -y]));
  expect(bodyLines(STEPPED).map((l) => (l.kind === 'area' ? l.fill : l.kind))).toEqual(['section', 'outside', 'path', 'path']);
});

it('its edges begin and end at the centre line, and are hidden where nobody measured it', () => {
  for (const l of outlines(bodyLines(STEPPED, 'hidden')).filter((x) => x.kind === 'path')) {
    expect(l).toMatchObject({ style: 'hidden', closed: false });
    expect([l.points[0], l.points.at(-1)]).toEqual([
      [0, 0],
      [30, 0],
    ]);
  }
});

it('a bore is paper in the cut half only', () => {
  const lines = outlines(
    boreLines([
      { x: 0, r: 8 },
      { x: 30, r: 8 },
    ]),
  );
  expect(areaOf(lines[0]!.points)).toBe(240);
  for (const l of lines) expect(Math.min(...l.points.map(([, y]) => y))).toBe(0);
});
