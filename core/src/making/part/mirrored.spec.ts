import { seededRandom } from '../../evidence/proof';
import { dimensionsOf } from './dimensions';
import { mirrored } from './mirrored';
import { outline } from './outline';
import { newPart } from './templates';
import { partLengthMm } from './part';
import { sideMarks } from './side-marks';
import { anyPart, KINDS } from './testing-parts';
import { validatePart } from './validate-part';
import { volumeMm3 } from './volume';

const random = seededRandom(99);
const PARTS = Array.from({ length: 60 }, () => anyPart(random));
const round = (mm: number): number => Number(mm.toFixed(6));

it('mirrors every kind', () => {
  const used = new Set(PARTS.flatMap((p) => p.features.map((f) => f.kind)));
  expect(KINDS.filter((k) => !used.has(k))).toEqual([]);
});

it('twice is the same part', () => {
  for (const part of PARTS) {
    const back = mirrored(mirrored(part));
    const rounded = JSON.parse(JSON.stringify(back), (_, v) => (typeof v === 'number' ? round(v) : v));
    expect(rounded).toEqual(JSON.parse(JSON.stringify(part), (_, v) => (typeof v === 'number' ? round(v) : v)));
  }
});

it('is as valid and as heavy, has the same dimensions, and its contour and marks lie at L - x', () => {
  for (const part of PARTS) {
    const other = mirrored(part);
    expect(validatePart(other)).toMatchObject({ ok: true });
    expect(volumeMm3(other) / volumeMm3(part)).toBeCloseTo(1, 6);
    // The two diameters of a taper change places, and what is rolled on it is reckoned from its left one.
    const tapers = part.outside.filter((q) => q.farDiameterMm !== null).flatMap((q) => [q.id, `${q.id}.far`]);
    const onTaper = part.features.filter((f) => tapers.includes(f.on)).map((f) => f.id);
    const sizes = (p: typeof part) =>
      dimensionsOf(p)
        .filter((d) => d.what !== 'position' && !tapers.includes(d.key) && !onTaper.includes(d.ownerId))
        .map((d) => [d.key, round(d.value)] as const)
        .sort(([a], [b]) => a.localeCompare(b));
    expect(sizes(other)).toEqual(sizes(part));
    const long = partLengthMm(part);
    const [points, back] = [outline(other), [...outline(part)].reverse()];
    expect(points).toHaveLength(back.length);
    points.forEach((q, i) => {
      expect(q.x).toBeCloseTo(long - back[i]!.x, 4);
      expect(q.r).toBeCloseTo(back[i]!.r, 4);
    });
    const marks = (p: typeof part, at: (x: number) => number) =>
      sideMarks(p)
        .map(({ featureId, mark: m }) => {
          const ends = m.kind === 'circle' ? [at(m.atMm), at(m.atMm)] : [at(m.fromMm), at(m.toMm)];
          return { id: `${featureId} ${m.kind}`, fromMm: Math.min(...ends), toMm: Math.max(...ends) };
        })
        .sort((p, q) => p.id.localeCompare(q.id) || p.fromMm - q.fromMm);
    const there = marks(part, (x) => long - x);
    marks(other, (x) => x).forEach((m, i) => {
      expect(m.id).toBe(there[i]!.id);
      expect(m.fromMm).toBeCloseTo(there[i]!.fromMm, 4);
      expect(m.toMm).toBeCloseTo(there[i]!.toMm, 4);
    });
  }
});

it('two keyseats a quarter apart stay that hand: the angle seen from the right end is the same, the order along the shaft is not', () => {
  const key = {
    kind: 'keyseat',
    cutter: 'end-mill',
    widthMm: 6,
    depthMm: 3.5,
    cutterMm: 50,
    open: 'right',
    timedTo: '',
    name: 'Key',
  } as const;
  const shaft = {
    ...newPart('plain-pin', 'Shaft', 20, 100),
    features: [
      { ...key, id: 'k1', on: 'body', atMm: 5, lengthMm: 20, clockDeg: 0 },
      { ...key, id: 'k2', on: 'body', atMm: 70, lengthMm: 20, clockDeg: 90, timedTo: 'k1' },
    ],
  };
  expect(mirrored(shaft).features).toMatchObject([
    { id: 'k1', atMm: 75, clockDeg: 0, open: 'left' },
    { id: 'k2', atMm: 10, clockDeg: 90, timedTo: 'k1', open: 'left' },
  ]);
});

it('limits of a taper go with its ends', () => {
  const pin = newPart('plain-pin', 'Pin', 20, 100);
  const limit = (text: string) => ({ lowerDev: 0, upperDev: 0.01, text });
  const taper = {
    ...pin,
    features: [],
    outside: [{ ...pin.outside[0]!, kind: 'taper' as const, farDiameterMm: 18 }],
    limits: { body: limit('large'), 'body.far': limit('small'), 'body.length': limit('long') },
  };
  const other = mirrored(taper);
  expect(other.outside).toMatchObject([{ diameterMm: 18, farDiameterMm: 20 }]);
  expect(other.limits).toMatchObject({ body: { text: 'small' }, 'body.far': { text: 'large' }, 'body.length': { text: 'long' } });
});

it('leaves a block as it is', () => {
  const jaw = newPart('block', 'Jaw', 20, 40);
  expect(mirrored(jaw)).toBe(jaw);
});
