import { seededRandom } from '../../../evidence/proof';
import { dimensionsOf } from '../dimensions';
import { limitsOf } from '../limits';
import { newPart } from '../templates';
import type { Part } from '../part';
import { validatePart } from '../validate-part';
import { massKg, volumeMm3 } from '../volume';
import { type Block } from './block';
import { FACES, type Face } from './box';
import { BLOCK_KINDS, cutKindOf, type BlockCut, type BlockCutId } from './cuts';

const SIZES = { lengthMm: 60, widthMm: 40, heightMm: 30 };
const KINDS = Object.keys(BLOCK_KINDS) as BlockCutId[];
const HALF = Math.tan(Math.PI / 4);

const partOf = (block: Block): Part => ({ ...newPart('block', 'Jaw', 40, 60), block });
function withCut(kind: BlockCutId, on: Face, own: object): Part {
  const fits = kind === 'hole' ? { fitsPlaceIds: [] } : {};
  const cut = { ...cutKindOf(kind).start(SIZES, on), ...fits, id: 'c', kind, on, name: 'It', ...own } as unknown as BlockCut;
  return partOf({ ...SIZES, cuts: [cut] });
}

/** What is gone, counted point by point: x from the left, y from the front, z from below. */
type Gone = (x: number, y: number, z: number) => boolean;
function counted(gone: Gone, n = 120): number {
  const { lengthMm, widthMm, heightMm } = SIZES;
  let inside = 0;
  for (let i = 0; i < n; i++)
    for (let j = 0; j < n; j++)
      for (let k = 0; k < n; k++) if (gone(((i + 0.5) * lengthMm) / n, ((j + 0.5) * widthMm) / n, ((k + 0.5) * heightMm) / n)) inside++;
  return (inside * lengthMm * widthMm * heightMm) / n ** 3;
}

const hyp = Math.hypot;
const CASES: readonly (readonly [string, BlockCutId, Face, object, Gone])[] = [
  ['a hole down through', 'hole', 'top', { atMm: 20, upMm: 15, diameterMm: 16 }, (x, y) => hyp(x - 20, y - 15) <= 8],
  [
    'a hole from below to depth',
    'hole',
    'bottom',
    { atMm: 20, upMm: 15, diameterMm: 16, reach: 'to depth', depthMm: 12 },
    (x, y, z) => hyp(x - 20, y - 15) <= 8 && z <= 12,
  ],
  [
    'a hole from behind to depth',
    'hole',
    'back',
    { atMm: 20, upMm: 15, diameterMm: 16, reach: 'to depth', depthMm: 12 },
    (x, y, z) => hyp(x - 20, z - 15) <= 8 && y >= 28,
  ],
  [
    'a counterbored hole in the right end',
    'hole',
    'right',
    { atMm: 20, upMm: 15, diameterMm: 10, mouth: 'counterbore', mouthMm: 18, mouthDepthMm: 9 },
    (x, y, z) => hyp(y - 20, z - 15) <= (x >= 51 ? 9 : 5),
  ],
  [
    'a countersunk hole',
    'hole',
    'top',
    { atMm: 30, upMm: 20, diameterMm: 10, mouth: 'countersink', mouthMm: 24, mouthDeg: 90 },
    (x, y, z) => hyp(x - 30, y - 20) <= Math.max(5, 12 - (30 - z) / HALF),
  ],
  [
    'an open slot along the top',
    'slot',
    'top',
    { way: 'along', middleMm: 20, widthMm: 8, depthMm: 10 },
    (_, y, z) => Math.abs(y - 20) <= 4 && z >= 20,
  ],
  [
    'an open slot up the front',
    'slot',
    'front',
    { way: 'across', middleMm: 20, widthMm: 8, depthMm: 10 },
    (x, y) => Math.abs(x - 20) <= 4 && y <= 10,
  ],
  [
    'a slot with round ends',
    'slot',
    'top',
    { way: 'along', middleMm: 20, widthMm: 12, depthMm: 10, ends: 'round', fromMm: 10, toMm: 50 },
    (x, y, z) => hyp(Math.max(16 - x, x - 44, 0), y - 20) <= 6 && z >= 20,
  ],
  [
    'a round slot across the left end',
    'slot',
    'left',
    { way: 'across', middleMm: 20, widthMm: 10, depthMm: 8, ends: 'round', fromMm: 5, toMm: 25 },
    (x, y, z) => hyp(Math.max(10 - z, z - 20, 0), y - 20) <= 5 && x <= 8,
  ],
  ['a step at the right of the top', 'step', 'top', { edge: 'end', widthMm: 15, depthMm: 12 }, (x, _, z) => x >= 45 && z >= 18],
  ['a step low on the front', 'step', 'front', { edge: 'low', widthMm: 10, depthMm: 7 }, (_, y, z) => z <= 10 && y <= 7],
  [
    'a face at 30° behind the top',
    'angled-face',
    'top',
    { edge: 'high', widthMm: 20, angleDeg: 30 },
    (_, y, z) => y >= 20 && 30 - z <= (y - 20) * Math.tan(Math.PI / 6),
  ],
  [
    'a half-round seat across the top',
    'half-round',
    'top',
    { way: 'across', middleMm: 30, diameterMm: 30, centreMm: 0 },
    (x, _, z) => hyp(x - 30, 30 - z) <= 15,
  ],
  [
    'one whose centre lies above the face',
    'half-round',
    'top',
    { way: 'along', middleMm: 20, diameterMm: 30, centreMm: -5 },
    (_, y, z) => hyp(y - 20, 30 - z + 5) <= 15,
  ],
  [
    'one whose centre lies below it',
    'half-round',
    'front',
    { way: 'across', middleMm: 30, diameterMm: 20, centreMm: 6 },
    (x, y) => (y <= 6 ? Math.abs(x - 30) <= 10 : hyp(x - 30, y - 6) <= 10),
  ],
];

it.each(CASES)('%s takes as much as counting its points gives', (_, kind, on, own, gone) => {
  const part = withCut(kind, on, own);
  expect(validatePart(part)).toMatchObject({ ok: true });
  const solid = SIZES.lengthMm * SIZES.widthMm * SIZES.heightMm;
  const [taken, points] = [solid - volumeMm3(part), counted(gone)];
  expect(Math.abs(taken - points) / points).toBeLessThan(0.012);
});

it('a block of steel 60 x 40 x 30 weighs 0.565 kg at 7850 kg/m³', () =>
  expect(massKg({ ...partOf({ ...SIZES, cuts: [] }), materialId: 'steel-mild' })).toBeCloseTo(0.5652, 3));

describe('what it refuses', () => {
  it.each<readonly [BlockCutId, Face, object, string]>([
    ['hole', 'top', { atMm: 5, diameterMm: 16 }, 'atMm'],
    ['hole', 'left', { upMm: 28, diameterMm: 10 }, 'upMm'],
    ['hole', 'top', { reach: 'to depth', depthMm: 29.8 }, 'depthMm'],
    ['hole', 'top', { mouth: 'counterbore', mouthMm: 5, mouthDepthMm: 3 }, 'mouthMm'],
    ['hole', 'top', { mouth: 'spot face', mouthMm: 20, mouthDepthMm: 0 }, 'mouthDepthMm'],
    ['hole', 'top', { thread: 'M8', diameterMm: 8 }, 'thread'],
    ['hole', 'top', { thread: 'M8 or so' }, 'thread'],
    ['slot', 'top', { widthMm: 50 }, 'middleMm'],
    ['slot', 'top', { depthMm: 30 }, 'depthMm'],
    ['slot', 'top', { ends: 'round', widthMm: 12, fromMm: 10, toMm: 20 }, 'toMm'],
    ['step', 'top', { widthMm: 60 }, 'widthMm'],
    ['step', 'top', { depthMm: 30 }, 'depthMm'],
    ['angled-face', 'top', { widthMm: 30, angleDeg: 60 }, 'angleDeg'],
    ['half-round', 'top', { diameterMm: 70 }, 'diameterMm'],
    ['half-round', 'top', { diameterMm: 20, centreMm: -10 }, 'centreMm'],
    ['hole', 'top', { diameterMm: Number.NaN }, 'diameterMm'],
    ['hole', 'inside' as Face, {}, 'on'],
  ])('%s in the %s with %j', (kind, on, own, field) => {
    const base = withCut(kind, on in FACES ? on : 'top', own);
    const part = partOf({ ...SIZES, cuts: [{ ...base.block!.cuts[0]!, on }] });
    const checked = validatePart(part);
    expect(checked.ok ? [] : checked.problems.map((p) => p.path)).toContain(`block.cuts.0.${field}`);
  });
  it('sizes that are none, cylinders on it, one id twice', () => {
    expect(validatePart(partOf({ ...SIZES, widthMm: 0, cuts: [] }))).toMatchObject({ problems: [{ path: 'block.widthMm' }] });
    expect(validatePart({ ...newPart('plain-pin', 'x', 20, 50), block: { ...SIZES, cuts: [] } })).toMatchObject({
      problems: [{ path: 'block' }],
    });
    const { cuts } = withCut('hole', 'top', {}).block!;
    expect(validatePart(partOf({ ...SIZES, cuts: [...cuts, ...cuts] }))).toMatchObject({ problems: [{ code: 'twice' }] });
  });
});

describe('limits', () => {
  const of = (part: Part, key: string) =>
    limitsOf(
      part,
      dimensionsOf(part).find((d) => d.key === key)!,
    );
  it('a reamed hole has none of its own, a drilled one those of the shop; a slot that something fits has none', () => {
    expect(of(withCut('hole', 'top', { made: 'reamed' }), 'c')).toBeNull();
    expect(of(withCut('hole', 'top', {}), 'c')).toMatchObject({ from: 'general' });
    expect(of(withCut('slot', 'top', { runs: 'fits' }), 'c.width')).toBeNull();
    expect(of(withCut('half-round', 'top', {}), 'c.diameter')).toBeNull();
  });
  it('M8 6H: a hole of 6.647 to 6.912, 7.188 to 7.348 on the flanks (ISO 965-2)', () => {
    const part = withCut('hole', 'top', { thread: 'M8', diameterMm: 6.8 });
    const band = (key: string) => [of(part, key)!.lower, of(part, key)!.upper].map((mm) => Number(mm.toFixed(3)));
    expect(band('c')).toEqual([6.647, 6.912]);
    expect(band('c.pitch-diameter')).toEqual([7.188, 7.348]);
  });
  it('H7 typed on a hole of 16: 16.000 to 16.018 (ISO 286-2)', () => {
    const part = {
      ...withCut('hole', 'top', { made: 'bored', diameterMm: 16 }),
      limits: { c: { lowerDev: 0, upperDev: 0.018, text: 'H7' } },
    };
    expect(of(part, 'c')).toEqual({ lower: 16, upper: 16.018, from: 'typed', words: 'H7' });
  });
});

describe('any valid block', () => {
  const random = seededRandom(20261127);
  const FACE_IDS = Object.keys(FACES) as Face[];
  const blocks = Array.from({ length: 80 }, (): Part => {
    const sizes = { lengthMm: 20 + 80 * random(), widthMm: 20 + 60 * random(), heightMm: 15 + 50 * random() };
    let part = partOf({ ...sizes, cuts: [] });
    for (const kind of KINDS)
      for (const on of FACE_IDS) {
        if (random() < 0.6) continue;
        const fits = kind === 'hole' ? { fitsPlaceIds: [] } : {};
        const own = kind === 'hole' ? { made: random() < 0.5 ? 'bored' : 'drilled', mouth: random() < 0.3 ? 'countersink' : 'plain' } : {};
        const start = cutKindOf(kind).start(sizes, on) as { diameterMm?: number };
        const cut = {
          ...start,
          ...own,
          mouthMm: 1.3 * (start.diameterMm ?? 0),
          ...fits,
          id: `c${part.block!.cuts.length}`,
          kind,
          on,
          name: 'It',
        };
        const more = partOf({ ...part.block!, cuts: [...part.block!.cuts, cut as unknown as BlockCut] });
        if (validatePart(more).ok) part = more;
      }
    return part;
  });
  it('has cuts of every kind', () =>
    expect([...new Set(blocks.flatMap((p) => p.block!.cuts.map((c) => c.kind)))].sort()).toEqual([...KINDS].sort()));
  it('each cut takes metal; every dimension stands once, and one operation makes it', () => {
    for (const part of blocks) {
      const { cuts } = part.block!;
      const keys = dimensionsOf(part).map((d) => d.key);
      expect(new Set(keys).size).toBe(keys.length);
      cuts.forEach((c, i) => {
        const without = partOf({ ...part.block!, cuts: cuts.filter((_, j) => j !== i) });
        expect(volumeMm3(without) - volumeMm3(part)).toBeGreaterThan(0);
        const names = cutKindOf(c.kind)
          .dimensions(c, part.block!)
          .map((d) => d.name);
        const made = cutKindOf(c.kind)
          .operations(c, part.block!)
          .flatMap((o) => o.makes);
        expect([...made].sort()).toEqual([...names].sort());
      });
    }
  });
  it('comes back from a file without a field lost', () => {
    for (const part of blocks) expect(JSON.parse(JSON.stringify(part))).toEqual(part);
  });
});
