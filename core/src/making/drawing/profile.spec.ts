import { seededRandom } from '../../evidence/proof';
import { outline, radiusAt, placeOutside, type OutlinePoint, type Part } from '../part';
import { anyPart } from '../part/testing-parts';
import { partFromProfile, type ProfilePiece } from './profile';

const lines = (points: readonly OutlinePoint[]): ProfilePiece[] =>
  points.slice(1).map((p, i) => ({ kind: 'line', x1: points[i]!.x, y1: points[i]!.r, x2: p.x, y2: p.r }));
const drawn = (pieces: readonly ProfilePiece[]) => {
  const got = partFromProfile(pieces, 'Read');
  if (!got.ok) throw new Error(got.problems[0]!.message);
  return got.value;
};
const shuffled = <T>(all: readonly T[], random: () => number): T[] => [...all].sort(() => random() - 0.5);
const said = (pieces: readonly ProfilePiece[]): string => {
  const got = partFromProfile(pieces, 'x');
  return got.ok ? '' : got.problems[0]!.message;
};

/** Radius of a part's outside at a place, its chamfers and fillets cut. */
function heightOf(part: Part, x: number): number {
  const points = outline(part);
  const i = points.findIndex((p, k) => k > 0 && points[k - 1]!.x <= x && x <= p.x && p.x > points[k - 1]!.x);
  const [a, b] = [points[i - 1]!, points[i]!];
  return a.r + ((b.r - a.r) * (x - a.x)) / (b.x - a.x);
}

it('a part whose outline is drawn, its lines in any order and the lower half beside it, comes back as it was', () => {
  const random = seededRandom(77);
  for (let n = 0; n < 30; n++) {
    const part = { ...anyPart(random), features: [] };
    const points = outline(part);
    const lower = points.map((p) => ({ x: p.x, r: -p.r }));
    const read = drawn(shuffled([...lines(points), ...lines(lower)], random));
    expect(read.doubts).toEqual([]);
    const length = points.at(-1)!.x;
    for (let i = 1; i < 60; i++) {
      const x = (length * i) / 60 + 0.0137;
      if (x < length && !points.some((p) => Math.abs(p.x - x) < 0.05)) expect(heightOf(read.part, x)).toBeCloseTo(heightOf(part, x), 1);
    }
  }
});

it('a small slope at an end is a chamfer, an arc up a shoulder a fillet', () => {
  const { part, doubts } = drawn([
    { kind: 'line', x1: 0, y1: 9, x2: 1, y2: 10 },
    { kind: 'line', x1: 1, y1: 10, x2: 28, y2: 10 },
    { kind: 'arc', centreX: 28, centreY: 12, radiusMm: 2, fromX: 28, toX: 30, above: false },
    { kind: 'line', x1: 30, y1: 12, x2: 30, y2: 15 },
    { kind: 'line', x1: 30, y1: 15, x2: 60, y2: 15 },
  ]);
  expect(doubts).toEqual([]);
  expect(placeOutside(part).map((s) => [s.kind, s.diameterMm, s.fromMm, s.toMm])).toEqual([
    ['cylinder', 20, 0, 30],
    ['cylinder', 30, 30, 60],
  ]);
  expect(part.features).toMatchObject([
    { kind: 'chamfer', end: 'left', lengthMm: 1, angleDeg: 45 },
    { kind: 'fillet', end: 'right', radiusMm: 2 },
  ]);
});

it('any other arc is a taper, and said', () => {
  const { part, doubts } = drawn([
    { kind: 'line', x1: 0, y1: 10, x2: 20, y2: 10 },
    { kind: 'arc', centreX: 20, centreY: 0, radiusMm: 10, fromX: 20, toX: 28, above: true },
  ]);
  expect(part.outside.map((s) => s.kind)).toEqual(['cylinder', 'taper']);
  expect(radiusAt(placeOutside(part)[1]!, 28)).toBeCloseTo(6, 3);
  expect(doubts).toEqual([expect.stringMatching(/arc of 10 mm at 20 mm/)]);
});

it('says what is no outline', () => {
  expect(said([])).toMatch(/no outline above the axis/);
  expect(said([{ kind: 'line', x1: 0, y1: -5, x2: 10, y2: -5 }])).toMatch(/no outline above the axis/);
  expect(
    said([
      { kind: 'line', x1: 0, y1: 5, x2: 10, y2: 5 },
      { kind: 'line', x1: 12, y1: 5, x2: 20, y2: 5 },
    ]),
  ).toMatch(/gap/);
  expect(said([{ kind: 'line', x1: 0, y1: 5000, x2: 10, y2: 5000 }])).not.toBe('');
  expect(said(Array.from({ length: 2001 }, (_, i) => ({ kind: 'line' as const, x1: i, y1: 1, x2: i + 1, y2: 1 })))).toMatch(/over 2000/);
});
