import { FACES, type Face } from '../box';
import { BLOCK_KINDS, cutFieldsOf, cutKindOf, FACE_OPTIONS, type BlockCut, type BlockCutId } from '.';

const SIZES = { lengthMm: 60, widthMm: 40, heightMm: 30 };
const KINDS = Object.keys(BLOCK_KINDS) as BlockCutId[];
const ON = Object.keys(FACES) as Face[];

it('every face can be chosen, once', () => expect(FACE_OPTIONS.map(([f]) => f).sort()).toEqual([...ON].sort()));

it.each(KINDS)('%s stands under its own id, starts with all its fields on every face, and makes each dimension once', (id) => {
  const kind = cutKindOf(id);
  expect(kind.kind).toBe(id);
  for (const on of ON) {
    const start = kind.start(SIZES, on) as object;
    expect(Object.keys(start).sort()).toEqual(Object.keys(cutFieldsOf(id)).sort());
    const cut = { ...start, id: 'c', kind: id, on, name: 'It', fitsPlaceIds: [] } as unknown as BlockCut;
    const names = kind.dimensions(cut, SIZES).map((d) => d.name);
    const made = kind.operations(cut, SIZES).flatMap((o) => o.makes);
    expect([...made].sort()).toEqual([...names].sort());
    // What it takes lies in the block.
    for (const s of kind.solids(cut, SIZES)) {
      const size = { x: 60, y: 40, z: 30 }[s.axis];
      expect(s.fromMm).toBeGreaterThanOrEqual(-1e-9);
      expect(s.toMm).toBeLessThanOrEqual(size + 1e-9);
      expect(s.volumeMm3).toBeGreaterThan(0);
    }
  }
});
