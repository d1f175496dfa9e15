import { cutKindOf, FACES, newPart, type Block, type BlockCut, type BlockCutId, type Face } from '../part';
import { blockLines, blockSheet, boundsOf, inTrueSize, sceneDxf, type Primitive } from './index';

const SIZES = { lengthMm: 60, widthMm: 40, heightMm: 30 };
const cut = (id: string, kind: BlockCutId, on: Face, own: object): BlockCut =>
  ({
    ...cutKindOf(kind).start(SIZES, on),
    ...(kind === 'hole' ? { fitsPlaceIds: [] } : {}),
    id,
    kind,
    on,
    name: id,
    ...own,
  }) as unknown as BlockCut;
const block = (...cuts: BlockCut[]): Block => ({ ...SIZES, cuts });
// A fifth of the longest size between the views.
const GAP = 12;
const circles = (lines: readonly Primitive[]) => lines.flatMap((p) => (p.kind === 'circle' ? [[p.x, p.y, p.r, p.style]] : []));
const boxes = (lines: readonly Primitive[]) =>
  lines.flatMap((p) => {
    if (p.kind !== 'path') return [];
    const b = boundsOf([p]);
    return [[b.fromX, b.toX, b.fromY, b.toY, p.style]];
  });

describe('three views of a block, first-angle', () => {
  const hole = { diameterMm: 10, reach: 'to depth', depthMm: 12 };
  const deep = (on: Face, atMm: number, upMm: number) => blockLines(block(cut('h', 'hole', on, { ...hole, atMm, upMm })));

  it('shows the front, the plan under it, the left end beside it with the front to the right', () => {
    const lines = blockLines(block());
    expect(boxes(lines)).toEqual([
      [0, 60, 0, 30, 'edge'],
      [0, 60, -GAP - 40, -GAP, 'edge'],
      [60 + GAP, 100 + GAP, 0, 30, 'edge'],
    ]);
  });
  it('a hole from above is a full circle in the plan, and hidden in both others', () => {
    const lines = deep('top', 20, 15);
    expect(circles(lines)).toEqual([[20, -GAP - 40 + 15, 5, 'thin']]);
    const hidden = boxes(lines).filter((b) => b[4] === 'hidden');
    expect(hidden).toEqual([
      [15, 25, 18, 30, 'hidden'],
      // 15 from the front: 25 from the back, which lies towards the front view.
      [60 + GAP + 20, 60 + GAP + 30, 18, 30, 'hidden'],
    ]);
  });
  it('one from below is hidden in the plan; one from the left end is seen in the left view', () => {
    expect(circles(deep('bottom', 20, 15))).toEqual([[20, -GAP - 25, 5, 'hidden']]);
    expect(circles(deep('left', 12, 20))).toEqual([[60 + GAP + 28, 20, 5, 'thin']]);
    expect(circles(deep('right', 12, 20))).toEqual([[60 + GAP + 28, 20, 5, 'hidden']]);
  });
  it('what reaches two faces is seen in both: a step at the left of the top', () => {
    const lines = blockLines(block(cut('s', 'step', 'top', { edge: 'start', widthMm: 10, depthMm: 8 })));
    expect(boxes(lines).filter((b) => b[4] !== 'edge')).toEqual([
      [0, 10, 22, 30, 'thin'],
      [0, 10, -GAP - 40, -GAP, 'thin'],
      [60 + GAP, 100 + GAP, 22, 30, 'thin'],
    ]);
  });
  it('nothing lies outside its view, whatever is cut from wherever', () => {
    const kinds: BlockCutId[] = ['hole', 'slot', 'step', 'angled-face', 'half-round'];
    const views = boxes(blockLines(block())).map(([a, b, c, d]) => [a, b, c, d] as [number, number, number, number]);
    for (const kind of kinds)
      for (const on of Object.keys(FACES) as Face[])
        for (const p of blockLines(block(cut('c', kind, on, {})))) {
          if (p.kind === 'text') continue;
          const b = boundsOf([p]);
          const inside = views.some(
            ([l, r, lo, hi]) => b.fromX >= l - 1e-6 && b.toX <= r + 1e-6 && b.fromY >= lo - 1e-6 && b.toY <= hi + 1e-6,
          );
          expect([kind, on, inside]).toEqual([kind, on, true]);
        }
  });
});

const words = {
  title: '12 Jaw',
  name: 'Jaw',
  length: '60',
  width: '40',
  height: '30',
  fields: [['job', '12']] as const,
  notes: ['A: Hole'],
};
const textsOf = (primitives: readonly Primitive[]) => primitives.flatMap((p) => (p.kind === 'text' ? [p] : []));

it('the sheet has its sizes, its notes, its title block, and hidden lines on a layer of their own', () => {
  const sheet = blockSheet(block(cut('h', 'hole', 'top', {})), words);
  const texts = textsOf(sheet.primitives).map((p) => p.text);
  for (const t of ['from the front', 'A', 'from above', 'from the left', '60', '40', '30', 'Jaw', 'job', 'A: Hole', 'scale'])
    expect(texts).toContain(t);
  expect(sceneDxf(inTrueSize(sheet))).toContain('HIDDEN');
  expect(newPart('block', 'Jaw', 40, 60).block).toMatchObject({ lengthMm: 60, widthMm: 40, heightMm: 40 });
});

it.each([
  [60, 40, 30, 1],
  [12, 8, 5, 5],
  [400, 250, 120, 0.2],
  [900, 60, 60, 0.2],
  [50, 50, 900, 0.1],
])(
  'a block of %d x %d x %d goes on one A4 at the largest usual scale, %d: each view in its size, each name under its own',
  (lengthMm, widthMm, heightMm, scale) => {
    const sheet = blockSheet({ lengthMm, widthMm, heightMm, cuts: [] }, words);
    expect([sheet.scale, sheet.toX, sheet.toY]).toEqual([scale, 297, 210]);
    const room = boundsOf(sheet.primitives);
    expect(room.fromX >= 10 && room.toX <= 287 && room.fromY >= 10 && room.toY <= 200).toBe(true);
    const views = sheet.primitives.flatMap((p) => (p.kind === 'path' && p.style === 'edge' ? [boundsOf([p])] : []));
    const sizes = views.map((v) => [(v.toX - v.fromX) / scale, (v.toY - v.fromY) / scale]);
    [
      [lengthMm, heightMm],
      [lengthMm, widthMm],
      [widthMm, heightMm],
    ].forEach((size, i) => size.forEach((mm, k) => expect(sizes[i]![k]).toBeCloseTo(mm, 6)));
    const names = textsOf(sheet.primitives).filter((p) => p.text.startsWith('from '));
    names.forEach((n, i) => {
      expect(n.y + n.heightMm).toBeLessThan(views[i]!.fromY);
      expect(n.y).toBeGreaterThan(i === 0 ? views[1]!.toY : 10);
    });
    // Beside them nothing is written on a view or beyond the frame.
    const own = textsOf(sheet.primitives).filter((p) => ['60', '40', '30'].includes(p.text));
    for (const t of own) expect(views.some((v) => t.x > v.fromX && t.x < v.toX && t.y > v.fromY && t.y < v.toY)).toBe(false);
    // Read back in its own size it is as long as it is drawn.
    const back = boundsOf(inTrueSize(sheet).primitives.filter((p) => p.kind === 'path' && p.style === 'edge'));
    expect(back.fromX).toBeCloseTo(0, 6);
    expect(back.toX).toBeCloseTo(lengthMm + 14 / scale + widthMm, 6);
  },
);
