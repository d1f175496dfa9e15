import { dimensionsOf } from './dimensions';
import { kindOf, type PartFeature } from './features';
import { hostOf } from './host';
import { type Part } from './part';
import { surface } from './surface';
import { validatePart } from './validate-part';
import { volumeMm3 } from './volume';

/** What a feature takes away, counted point by point from where its tool goes: x along the part, z up at clock 0. */
type Gone = (x: number, y: number, z: number) => boolean;

const R = 20;
const L = 60;
const hyp = Math.hypot;

const round = (boreMm = 0): Part => ({
  name: 'Part',
  materialId: 'steel-c45',
  outside: [surface('s', 'cylinder', 'Body', L, 2 * R)],
  bores: boreMm ? [{ id: 'b', from: 'near', through: true, surfaces: [surface('hole', 'cylinder', 'Bore', 0, boreMm)] }] : [],
  features: [],
  limits: {},
  block: null,
});

function withFeature(part: Part, kind: PartFeature['kind'], on: string, own: object): Part {
  const base = { id: 'f', kind, on, name: 'It' };
  const feature = { ...kindOf(kind).start(hostOf(part, on)!), ...base, ...own } as unknown as PartFeature;
  return { ...part, features: [feature] };
}

interface Box {
  readonly x: readonly [number, number];
  readonly y: readonly [number, number];
  readonly z: readonly [number, number];
  /** How many boxes along each. */
  readonly n?: readonly [number, number, number];
}

/** Volume of the part's own metal that is gone, by counting the middles of small boxes, mm³. */
function counted(part: Part, gone: Gone, { x, y, z, n = [130, 130, 130] }: Box): number {
  const bore = part.bores[0] ? part.bores[0].surfaces[0]!.diameterMm / 2 : 0;
  const step = [x, y, z].map(([a, b], i) => (b - a) / n[i]!) as [number, number, number];
  let inside = 0;
  for (let i = 0; i < n[0]; i++)
    for (let j = 0; j < n[1]; j++) {
      const yy = y[0] + (j + 0.5) * step[1];
      const xx = x[0] + (i + 0.5) * step[0];
      for (let k = 0; k < n[2]; k++) {
        const zz = z[0] + (k + 0.5) * step[2];
        const rho = hyp(yy, zz);
        if (rho <= R && rho >= bore && gone(xx, yy, zz)) inside++;
      }
    }
  return inside * step[0] * step[1] * step[2];
}

const upper = (half: number, from = 10, x: readonly [number, number] = [0, L]): Box => ({ x, y: [-half, half], z: [from, R] });
const whole: Box = { x: [0, L], y: [-R, R], z: [-R, R], n: [24, 401, 401] };
const across: Box = { x: [25, 35], y: [-5, 5], z: [-R, R], n: [150, 150, 150] };
const turned = (y: number, z: number, deg: number): [number, number] => {
  const a = (deg * Math.PI) / 180;
  return [y * Math.cos(a) - z * Math.sin(a), y * Math.sin(a) + z * Math.cos(a)];
};
const flat =
  (count: number, d: number): Gone =>
  (x, y, z) =>
    x >= 5 && x <= 35 && Array.from({ length: count }, (_, k) => turned(y, z, (360 * k) / count)[1]).some((h) => h > d);

const keyseat = { atMm: 10, lengthMm: 30, widthMm: 10, depthMm: 5, cutterMm: 40, open: 'none' };
const capsule: Gone = (x, y, z) => z >= R - 5 && hyp(Math.max(15 - x, x - 35, 0), y) <= 5;
const halfOpen: Gone = (x, y, z) => z >= R - 5 && Math.abs(y) <= 5 && (x >= 15 || hyp(x - 15, y) <= 5) && x >= 10;
const sled: Gone = (x, y, z) => Math.abs(y) <= 5 && hyp(Math.max(15 - x, x - 35, 0), z - (R - 5 + 20)) <= 20;
const sink = 6 / 2;

const CASES: readonly (readonly [string, PartFeature['kind'], string, number, object, Gone, Box])[] = [
  ['keyseat by an end mill', 'keyseat', 's', 0, { ...keyseat, cutter: 'end-mill' }, capsule, upper(5)],
  ['keyseat open on its right', 'keyseat', 's', 0, { ...keyseat, lengthMm: 50, cutter: 'end-mill', open: 'right' }, halfOpen, upper(5)],
  ['keyseat by a sled-runner cutter', 'keyseat', 's', 0, { ...keyseat, cutter: 'sled-runner', atMm: 15, lengthMm: 20 }, sled, upper(5)],
  [
    'Woodruff seat',
    'woodruff-seat',
    's',
    0,
    { atMm: 30, widthMm: 6, cutterMm: 25, depthMm: 8 },
    (x, y, z) => Math.abs(y) <= 3 && hyp(x - 30, z - (R - 8 + 12.5)) <= 12.5,
    upper(3),
  ],
  ['one flat', 'flats', 's', 0, { count: 1, atMm: 5, lengthMm: 30, acrossMm: 35 }, flat(1, 15), whole],
  ['two flats', 'flats', 's', 0, { count: 2, atMm: 5, lengthMm: 30, acrossMm: 30 }, flat(2, 15), whole],
  ['a square with round corners', 'flats', 's', 0, { count: 4, atMm: 5, lengthMm: 30, acrossMm: 31 }, flat(4, 15.5), whole],
  ['a sharp square', 'flats', 's', 0, { count: 4, atMm: 5, lengthMm: 30, acrossMm: 24 }, flat(4, 12), whole],
  ['a hexagon', 'flats', 's', 0, { count: 6, atMm: 5, lengthMm: 30, acrossMm: 34 }, flat(6, 17), whole],
  [
    'a spline',
    'spline',
    's',
    0,
    { atMm: 10, lengthMm: 30, teeth: 6, toothMm: 8, rootMm: 32 },
    (x, y, z) =>
      x >= 10 &&
      x <= 40 &&
      hyp(y, z) > 16 &&
      ![0, 60, 120, 180, 240, 300].some((d) => {
        const [a, b] = turned(y, z, d);
        return b > 0 && Math.abs(a) <= 4;
      }),
    whole,
  ],
  ['a hole through', 'cross-hole', 's', 0, { atMm: 30, diameterMm: 8 }, (x, y) => hyp(x - 30, y) <= 4, across],
  ['a hole through a tube', 'cross-hole', 's', 16, { atMm: 30, diameterMm: 8 }, (x, y) => hyp(x - 30, y) <= 4, across],
  [
    'a hole into the bore',
    'cross-hole',
    's',
    16,
    { atMm: 30, diameterMm: 8, reach: 'into the bore' },
    (x, y, z) => z > 0 && hyp(x - 30, y) <= 4,
    across,
  ],
  [
    'a hole to depth, countersunk',
    'cross-hole',
    's',
    0,
    { atMm: 30, diameterMm: 4, reach: 'to depth', depthMm: 7, sinkMm: 6, sinkDeg: 90 },
    (x, y, z) => (hyp(x - 30, y) <= 2 && z >= R - 7) || (hyp(x - 30, y) <= sink && z >= R - (sink - hyp(x - 30, y))),
    upper(3, 12, [26, 34]),
  ],
  [
    'a blind hole past the middle',
    'cross-hole',
    's',
    0,
    { atMm: 30, diameterMm: 8, reach: 'to depth', depthMm: 32 },
    (x, y, z) => hyp(x - 30, y) <= 4 && z >= R - 32,
    across,
  ],
  [
    'a keyway in a bore',
    'keyway',
    'hole',
    20,
    { widthMm: 6, overMm: 22.8 },
    (_, y, z) => z > 0 && Math.abs(y) <= 3 && z <= 12.8,
    upper(3, 8),
  ],
  [
    'a tapered keyway',
    'keyway',
    'hole',
    20,
    { widthMm: 6, overMm: 23, taper: '1:100' },
    (x, y, z) => z > 0 && Math.abs(y) <= 3 && z <= 13 - x / 100,
    upper(3, 8),
  ],
  [
    'an oil groove outside',
    'oil-groove',
    's',
    0,
    { atMm: 10, lengthMm: 40, radiusMm: 2, depthMm: 1.5 },
    (x, y, z) => x >= 10 && x <= 50 && hyp(y, z - (R - 1.5 + 2)) <= 2,
    upper(2.2, 17),
  ],
  [
    'an oil groove in a bore',
    'oil-groove',
    'hole',
    20,
    { atMm: 10, lengthMm: 40, radiusMm: 2, depthMm: 1.5 },
    (x, y, z) => x >= 10 && x <= 50 && hyp(y, z - (10 + 1.5 - 2)) <= 2,
    { x: [10, 50], y: [-2.2, 2.2], z: [9.5, 11.6], n: [4, 300, 300] },
  ],
  [
    'a slot',
    'slot',
    's',
    0,
    { end: 'left', widthMm: 5, depthMm: 6 },
    (x, y) => x <= 6 && Math.abs(y) <= 2.5,
    { x: [0, 6], y: [-7, 7], z: [-R, R], n: [4, 700, 400] },
  ],
  [
    'a slot across a tube',
    'slot',
    's',
    8,
    { end: 'left', widthMm: 5, depthMm: 6 },
    (x, y) => x <= 6 && Math.abs(y) <= 2.5,
    { x: [0, 6], y: [-7, 7], z: [-R, R], n: [4, 700, 400] },
  ],
  [
    'a slot wider than the bore',
    'slot',
    's',
    8,
    { end: 'left', widthMm: 12, depthMm: 6 },
    (x, y) => x <= 6 && Math.abs(y) <= 6,
    { x: [0, 6], y: [-7, 7], z: [-R, R], n: [4, 700, 400] },
  ],
  [
    'an eccentric',
    'eccentric',
    's',
    0,
    { atMm: 10, lengthMm: 30, diameterMm: 26, throwMm: 5 },
    (x, y, z) => x >= 10 && x <= 40 && hyp(y, z - 5) > 13,
    whole,
  ],
  [
    'a bore beside the axis, not right through',
    'eccentric-bore',
    's',
    0,
    { end: 'left', diameterMm: 20, reach: 'to depth', depthMm: 25, throwMm: 6, clockDeg: 0 },
    (x, y, z) => x <= 25 && hyp(y, z - 6) <= 10,
    whole,
  ],
  [
    'holes on a circle',
    'hole-pattern',
    's',
    0,
    { end: 'right', count: 4, circleMm: 24, diameterMm: 6, depthMm: 20 },
    (x, y, z) =>
      x >= L - 20 && [0, 90, 180, 270].some((d) => hyp(...(turned(y, z, d).map((v, i) => v - (i ? 12 : 0)) as [number, number])) <= 3),
    whole,
  ],
  [
    'a centre hole',
    'centre-hole',
    's',
    0,
    { end: 'left', pilotMm: 4, mouthMm: 8.5, depthMm: 8 },
    (x, y, z) => x <= 8 && (hyp(y, z) <= 2 || hyp(y, z) <= 4.25 - x * Math.tan(Math.PI / 6)),
    { x: [0, 8], y: [-5, 5], z: [-5, 5] },
  ],
  [
    'a weld preparation on a tube',
    'weld-prep',
    's',
    20,
    { end: 'right', bevelDeg: 35, rootMm: 2 },
    (x, y, z) => hyp(y, z) - 12 > (L - x) / Math.tan((35 * Math.PI) / 180),
    { x: [50, L], y: [-R, R], z: [-R, R] },
  ],
  [
    'a lead-in of 15°',
    'chamfer',
    's',
    0,
    { end: 'left', lengthMm: 12, angleDeg: 15 },
    (x, y, z) => hyp(y, z) > R - (12 - x) * Math.tan((15 * Math.PI) / 180),
    { x: [0, 12], y: [-R, R], z: [-R, R] },
  ],
  [
    'a ring groove',
    'ring-groove',
    's',
    0,
    { atMm: 40, widthMm: 1.85, diameterMm: 37.5, ring: 'book' },
    (x, y, z) => x >= 40 && x <= 41.85 && hyp(y, z) >= 18.75,
    { x: [40, 41.85], y: [-R, R], z: [-R, R], n: [2, 700, 700] },
  ],
  [
    'an O-ring groove with its corners',
    'oring-groove',
    's',
    0,
    { atMm: 40, widthMm: 6, diameterMm: 30, cornerMm: 2 },
    (x, y, z) => {
      const [u, v] = [Math.min(x - 40, 46 - x), hyp(y, z) - 15];
      return u >= 0 && v >= 0 && (u >= 2 || v >= 2 || hyp(2 - u, 2 - v) <= 2);
    },
    { x: [40, 46], y: [-R, R], z: [-R, R] },
  ],
  [
    'an undercut',
    'undercut',
    's',
    0,
    { end: 'right', widthMm: 4, depthMm: 2, cornerMm: 0 },
    (x, y, z) => x >= 56 && hyp(y, z) >= 18,
    { x: [56, 60], y: [-R, R], z: [-R, R] },
  ],
  [
    'a relief in a bore',
    'relief',
    'hole',
    20,
    { atMm: 20, widthMm: 20, diameterMm: 24 },
    (x, y, z) => x >= 20 && x <= 40 && hyp(y, z) <= 12,
    { x: [20, 40], y: [-13, 13], z: [-13, 13] },
  ],
];

describe('volume taken, against counting points where the tool goes', () => {
  it.each(CASES)('%s', (_, kind, on, boreMm, own, gone, box) => {
    const bare = round(boreMm);
    const part = withFeature(bare, kind, on, own);
    expect(validatePart(part)).toMatchObject({ ok: true });
    const taken = volumeMm3(bare) - volumeMm3(part);
    const count = counted(bare, gone, box);
    expect(Math.abs(taken - count) / count).toBeLessThan(0.01);
  });
});

it('a knurl takes no metal and stands out: 1 mm straight raises 20 to 20.5, crossed to 20.67 (DIN 82)', () => {
  const rod: Part = { ...round(), outside: [surface('s', 'cylinder', 'Grip', 60, 20)] };
  const over = (pattern: string): number | undefined =>
    dimensionsOf(withFeature(rod, 'knurl', 's', { pattern, pitchMm: 1 })).find((d) => d.name === 'crests')?.value;
  expect([over('straight'), over('diamond')]).toEqual([20.5, 20.67]);
  expect(volumeMm3(withFeature(rod, 'knurl', 's', {}))).toBeCloseTo(volumeMm3(rod), 9);
});

it('a fillet leaves the spandrel (1 - π/4) r² with its centroid 0.2234 r from the corner', () => {
  const shaft: Part = { ...round(), outside: [surface('s', 'cylinder', 'Seat', 30, 30), surface('t', 'cylinder', 'Collar', 20, 50)] };
  const part = withFeature(shaft, 'fillet', 's', { end: 'right', radiusMm: 5 });
  expect(validatePart(part)).toMatchObject({ ok: true });
  const left = (1 - Math.PI / 4) * 25 * 2 * Math.PI * (15 + 0.2234 * 5);
  expect((volumeMm3(part) - volumeMm3(shaft)) / left).toBeCloseTo(1, 2);
});

describe('a threaded rod weighs as one of its pitch diameter, as the lists of stud bars have it', () => {
  // DIN 976: kg a metre in steel of 7.85.
  it.each([
    ['M10', 10, 0.5],
    ['M20', 20, 2.08],
    ['M30', 30, 4.75],
  ])('%s: %d mm, %d kg', (name, d, kg) => {
    const rod: Part = { ...round(), outside: [surface('s', 'cylinder', 'Rod', 100, d)] };
    const part = withFeature(rod, 'thread', 's', { thread: name, lengthMm: 100 });
    expect(validatePart(part)).toMatchObject({ ok: true });
    expect(volumeMm3(part) * 7.85e-6 * 10).toBeGreaterThan(kg * 0.97);
    expect(volumeMm3(part) * 7.85e-6 * 10).toBeLessThan(kg * 1.03);
  });
});
