import { surface, type Part, type PartFeature } from '..';
import { hostOf } from '../host';
import { turnedOn } from './end-on';
import { kindOf } from './index';

const LONG = 40;
const shaft = (feature: object): Part => ({
  ...{ name: 'Any', materialId: 'steel-c45', limits: {}, block: null },
  outside: [surface('body', 'cylinder', 'Body', LONG, 60)],
  bores: [{ id: 'bore', from: 'near', through: true, surfaces: [surface('hole', 'cylinder', 'Bore', 0, 30)] }],
  features: [{ id: 'f', name: 'F', on: 'body', clockDeg: 0, timedTo: '', ...feature } as PartFeature],
});
const shown = (feature: object) => {
  const part = shaft(feature);
  const f = part.features[0]!;
  const host = hostOf(part, f.on)!;
  const cut = kindOf(f.kind).cut(f, host);
  return { lines: kindOf(f.kind).endOn!(f, host), removedMm3: cut.shape === 'other' ? cut.removedMm3() : Number.NaN };
};

/** Area between a line whose ends lie on a round and the round between them, mm²: by a polygon of many corners. */
function betweenMm2(points: readonly (readonly [number, number])[], roundMm: number): number {
  const [first, last] = [points[0]!, points.at(-1)!];
  const angle = ([u, v]: readonly [number, number]): number => Math.atan2(u, v);
  const from = angle(last);
  // The shorter way round.
  const turn = angle(first) - from;
  const short = turn - 2 * Math.PI * Math.round(turn / (2 * Math.PI));
  const arc = Array.from({ length: 20001 }, (_, i) => {
    const t = from + (short * i) / 20000;
    return [roundMm * Math.sin(t), roundMm * Math.cos(t)] as const;
  });
  const ring = [...points, ...arc];
  return Math.abs(ring.reduce((s, [u, v], i) => s + u * ring[(i + 1) % ring.length]![1] - v * ring[(i + 1) % ring.length]![0], 0)) / 2;
}

const KEYSEAT = { kind: 'keyseat', cutter: 'end-mill', atMm: 0, lengthMm: LONG, widthMm: 18, depthMm: 7, cutterMm: 60, open: 'both' };
it.each([
  ['a keyseat along the whole', KEYSEAT, 30],
  ['a keyway through the bore', { kind: 'keyway', on: 'hole', cutter: 'broach', widthMm: 8, overMm: 33.3, taper: 'none' }, 15],
  ['an oil groove outside', { kind: 'oil-groove', atMm: 0, lengthMm: LONG, radiusMm: 3, depthMm: 2 }, 30],
  ['an oil groove in the bore', { kind: 'oil-groove', on: 'hole', atMm: 0, lengthMm: LONG, radiusMm: 3, depthMm: 2 }, 15],
  ['one flat', { kind: 'flats', count: 1, atMm: 0, lengthMm: LONG, acrossMm: 55 }, 30],
  ['two flats', { kind: 'flats', count: 2, atMm: 0, lengthMm: LONG, acrossMm: 50 }, 30],
])('%s: what its lines cut off the round, over its length, is what it takes away', (_, feature, roundMm) => {
  const { lines, removedMm3 } = shown(feature);
  const area = lines.reduce((s, l) => s + betweenMm2(l.points, roundMm), 0);
  // An oil groove's bottom is drawn in twenty strokes.
  expect(Math.abs(area * LONG - removedMm3) / removedMm3).toBeLessThan(0.01);
});

it('a square whose corners lie inside the round is closed, corner to corner', () => {
  const { lines } = shown({ kind: 'flats', count: 4, atMm: 0, lengthMm: LONG, acrossMm: 40 });
  const ends = lines.flatMap((l) => [l.points[0]!, l.points.at(-1)!]).map(([u, v]) => `${u.toFixed(6)} ${v.toFixed(6)}`);
  expect(ends).toHaveLength(8);
  expect(new Set(ends.map((e) => e.replaceAll('-0.000000', '0.000000'))).size).toBe(4);
});

it('a hole goes to where it ends: through, into the bore, or to its depth, all behind metal', () => {
  const hole = { kind: 'cross-hole', atMm: 20, diameterMm: 6, depthMm: 10, sinkMm: 0, sinkDeg: 90, thread: '' };
  const deepest = (reach: string): number => Math.min(...shown({ ...hole, reach }).lines.flatMap((l) => l.points.map(([, v]) => v)));
  expect(deepest('through')).toBeCloseTo(-Math.sqrt(30 ** 2 - 3 ** 2), 9);
  expect(deepest('into the bore')).toBeCloseTo(Math.sqrt(15 ** 2 - 3 ** 2), 9);
  expect(deepest('to depth')).toBeCloseTo(20, 9);
  expect(shown({ ...hole, reach: 'through' }).lines.every((l) => l.hidden)).toBe(true);
});

it('an eccentric lies its throw off the axis, holes in the end on their circle', () => {
  const far = (feature: object): number[] => {
    const all = shown(feature).lines.flatMap((l) => l.points.map(([u, v]) => Math.hypot(u, v)));
    return [Math.min(...all), Math.max(...all)];
  };
  expect(far({ kind: 'eccentric', atMm: 0, lengthMm: LONG, diameterMm: 40, throwMm: 4 })).toEqual([
    expect.closeTo(16, 6),
    expect.closeTo(24, 6),
  ]);
  const bolts = { kind: 'hole-pattern', end: 'right', count: 6, circleMm: 44, diameterMm: 6, depthMm: 10, thread: '' };
  expect(shown(bolts).lines).toHaveLength(6);
  expect(far(bolts)).toEqual([expect.closeTo(19, 6), expect.closeTo(25, 6)]);
});

it('turned on, a line goes clockwise as the clock angle does', () => {
  const [[u, v]] = turnedOn({ points: [[0, 10]] }, 90).points as [readonly [number, number]];
  expect([u, v]).toEqual([expect.closeTo(10, 9), expect.closeTo(0, 9)]);
});
