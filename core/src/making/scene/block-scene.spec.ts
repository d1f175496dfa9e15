import { cutKindOf, FACES, newPart, type Block, type BlockCut, type BlockCutId, type Face } from '../part';
import { blockLines, blockSheet, boundsOf, sceneDxf, type Primitive } from './index';

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

it('the sheet has its sizes, its notes, room for all of it, and hidden lines on a layer of their own', () => {
  const words = { title: 'Jaw', length: '60', width: '40', height: '30', notes: ['first-angle projection'] };
  const scene = blockSheet(block(cut('h', 'hole', 'top', {})), words);
  const texts = scene.primitives.flatMap((p) => (p.kind === 'text' ? [p.text] : []));
  expect(texts).toEqual(['from the front', 'A', 'from above', 'from the left', '60', '40', '30', 'first-angle projection']);
  // Each name lies under its own view, clear of the next.
  const named = scene.primitives.flatMap((p) =>
    p.kind === 'text' && p.text.startsWith('from ') ? [[p.text, p.x, p.y + p.heightMm < 0]] : [],
  );
  expect(named).toEqual([
    ['from the front', 30, true],
    ['from above', 30, true],
    ['from the left', 60 + GAP + 20, true],
  ]);
  const room = boundsOf(scene.primitives);
  expect(room.fromX >= scene.fromX && room.toX <= scene.toX && room.fromY >= scene.fromY && room.toY <= scene.toY).toBe(true);
  expect(sceneDxf(scene)).toContain('HIDDEN');
  expect(newPart('block', 'Jaw', 40, 60).block).toMatchObject({ lengthMm: 60, widthMm: 40, heightMm: 40 });
});
