import type { Solid } from '../block-kind';
import { FACES, type Face } from '../box';
import { BLOCK_KINDS, cutFieldsOf, cutKindOf, FACE_OPTIONS, oppositeOf, type BlockCut, type BlockCutId } from '.';

const SIZES = { lengthMm: 60, widthMm: 40, heightMm: 30 };
const KINDS = Object.keys(BLOCK_KINDS) as BlockCutId[];
const ON = Object.keys(FACES) as Face[];

/** Nearer to one edge than to the other, on the smallest face too. */
const OWN: Readonly<Record<BlockCutId, object>> = {
  hole: { atMm: 12, upMm: 9, diameterMm: 5 },
  slot: { middleMm: 8, widthMm: 4, depthMm: 5, ends: 'round', fromMm: 10, toMm: 19 },
  step: { edge: 'low', widthMm: 6, depthMm: 4 },
  'angled-face': { edge: 'end', widthMm: 6, angleDeg: 30 },
  'half-round': { middleMm: 9, diameterMm: 8, centreMm: 1 },
};

/** What bodies span along each axis. */
const boxesOf = (solids: readonly Solid[]): Record<'x' | 'y' | 'z', [number, number]>[] =>
  solids.map((s) => {
    const [a, b] = (['x', 'y', 'z'] as const).filter((axis) => axis !== s.axis);
    const span = (i: 0 | 1): [number, number] => {
      const { section } = s;
      if (section.kind === 'circle') return [[section.a, section.b][i]! - section.r, [section.a, section.b][i]! + section.r];
      const all = section.points.map((p) => p[i]);
      return [Math.min(...all), Math.max(...all)];
    };
    return { [s.axis]: [s.fromMm, s.toMm], [a!]: span(0), [b!]: span(1) } as Record<'x' | 'y' | 'z', [number, number]>;
  });

it('the other side of left is right, of front back, of lower upper', () => {
  expect([oppositeOf('top', 'u'), oppositeOf('top', 'v'), oppositeOf('front', 'v'), oppositeOf('right', 'u')]).toEqual([
    'right',
    'back',
    'upper',
    'back',
  ]);
});

it('every face can be chosen, once', () => expect(FACE_OPTIONS.map(([f]) => f).sort()).toEqual([...ON].sort()));

it.each(KINDS)('%s stands under its own id, starts with all its fields on every face, and makes each dimension once', (id) => {
  const kind = cutKindOf(id);
  expect(kind.kind).toBe(id);
  for (const on of ON) {
    const start = kind.start(SIZES, on) as object;
    expect(Object.keys(start).sort()).toEqual(Object.keys(cutFieldsOf(id)).sort());
    const cut = { ...start, ...OWN[id], id: 'c', kind: id, on, name: 'It', fitsPlaceIds: [] } as unknown as BlockCut;
    expect(kind.check(cut, SIZES)).toEqual([]);
    const names = kind.dimensions(cut, SIZES).map((d) => d.name);
    const made = kind.operations(cut, SIZES).flatMap((o) => o.makes);
    expect([...made].sort()).toEqual([...names].sort());
    // On the other side it takes as much, as far from the other edge; twice across it is where it was.
    for (const axis of ['u', 'v'] as const) {
      const there = kind.across(cut, SIZES, axis) as BlockCut;
      expect(kind.check(there, SIZES)).toEqual(kind.check(cut, SIZES));
      expect(kind.across(there, SIZES, axis)).toEqual(cut);
      const taken = (c: BlockCut) => boxesOf(kind.solids(c, SIZES));
      const mirrored = taken(cut).map((b) => {
        const along = FACES[on][axis];
        const size = { x: 60, y: 40, z: 30 }[along];
        return { ...b, [along]: [size - b[along][1], size - b[along][0]] };
      });
      for (const [i, b] of taken(there).entries())
        for (const a of ['x', 'y', 'z'] as const) {
          expect(b[a][0]).toBeCloseTo(mirrored[i]![a][0], 5);
          expect(b[a][1]).toBeCloseTo(mirrored[i]![a][1], 5);
        }
    }
    // What it takes lies in the block.
    for (const s of kind.solids(cut, SIZES)) {
      const size = { x: 60, y: 40, z: 30 }[s.axis];
      expect(s.fromMm).toBeGreaterThanOrEqual(-1e-9);
      expect(s.toMm).toBeLessThanOrEqual(size + 1e-9);
      expect(s.volumeMm3).toBeGreaterThan(0);
    }
  }
});
