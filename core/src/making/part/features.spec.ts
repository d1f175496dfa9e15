import { seededRandom } from '../../evidence/proof';
import { dimensionsOf } from './dimensions';
import { kindOf, type FeatureKindId, type PartFeature } from './features';
import { hostOf } from './host';
import { boreOutlines, outline } from './outline';
import { placeAll, type Part } from './part';
import { surface } from './surface';
import { anyPart, KINDS, TAKES_NOTHING } from './testing-parts';
import { validatePart } from './validate-part';
import { volumeMm3 } from './volume';

const random = seededRandom(20261127);
const PARTS = Array.from({ length: 90 }, () => anyPart(random));

it('any valid part weighs something, and less than the bars it is turned from', () => {
  const used = new Set(PARTS.flatMap((p) => p.features.map((f) => f.kind)));
  expect(KINDS.filter((k) => !used.has(k))).toEqual([]);
  for (const part of PARTS) {
    const bar = placeAll(part)
      .filter((s) => s.side === 'outside')
      .reduce((v, s) => v + (Math.PI / 4) * Math.max(s.leftMm, s.rightMm) ** 2 * (s.toMm - s.fromMm), 0);
    // A fillet stands outside its own surface, inside its neighbour's.
    expect(volumeMm3({ ...part, features: part.features.filter((f) => f.kind !== 'fillet') })).toBeLessThan(bar);
  }
});

it('each feature takes metal away, a fillet leaves some, some take none', () => {
  for (const part of PARTS)
    part.features.forEach((f, i) => {
      const without = { ...part, features: part.features.filter((_, j) => j !== i) };
      const taken = volumeMm3(without) - volumeMm3(part);
      if (f.kind === 'fillet') expect(taken).toBeLessThan(0);
      else if (TAKES_NOTHING.includes(f.kind)) expect(taken).toBeCloseTo(0, 9);
      else expect([f.kind, taken > 0, taken]).toEqual([f.kind, true, taken]);
    });
});

it('a contour runs from left to right and stays off the axis', () => {
  for (const part of PARTS)
    for (const points of [outline(part), ...boreOutlines(part)])
      points.forEach((p, i) => {
        expect(p.r).toBeGreaterThan(0);
        if (i) expect(p.x).toBeGreaterThanOrEqual(points[i - 1]!.x - 1e-9);
      });
});

it('every dimension stands once, and one operation makes it', () => {
  for (const part of PARTS) {
    const keys = dimensionsOf(part).map((d) => d.key);
    expect(new Set(keys).size).toBe(keys.length);
    for (const f of part.features) {
      const host = hostOf(part, f.on)!;
      const names = kindOf(f.kind)
        .dimensions(f, host)
        .map((d) => d.name);
      const made = kindOf(f.kind)
        .operations(f, host)
        .flatMap((o) => o.makes);
      expect([...made].sort()).toEqual([...names].sort());
    }
  }
});

it('what begins at the end itself has no distance to it; a hair away it has', () => {
  const flats = (atMm: number): string[] => {
    const bare: Part = {
      ...{ name: 'x', materialId: 'steel-c45', outside: [surface('s', 'cylinder', 'End', 60, 20)], bores: [], limits: {}, block: null },
      features: [],
    };
    const start = kindOf('flats').start(hostOf(bare, 's')!);
    const f = { ...start, id: 'f', kind: 'flats', on: 's', name: 'Flats', atMm } as unknown as PartFeature;
    return dimensionsOf({ ...bare, features: [f] })
      .filter((d) => d.ownerId === 'f')
      .map((d) => d.name);
  };
  expect(flats(0)).toEqual(['length', 'across']);
  expect(flats(0.5)).toEqual(['at', 'length', 'across']);
});

it('limits of a book hold the size that they are of', () => {
  for (const part of PARTS)
    for (const d of dimensionsOf(part)) {
      if (!d.book) continue;
      // A pitch is the tool's own.
      if (d.what === 'pitch') expect(d.book.upper).toBe(d.book.lower);
      else expect(d.book.upper).toBeGreaterThan(d.book.lower);
      // Outside threads and some zones lie wholly to one side of the basic size, and a blank is drawn up to half a millimetre off.
      expect(Math.abs(d.value - (d.book.lower + d.book.upper) / 2)).toBeLessThan(0.75);
      expect(d.book.source).not.toBe('');
    }
});

it('comes back from a file without a field lost', () => {
  for (const part of PARTS) expect(JSON.parse(JSON.stringify(part))).toEqual(part);
});

it('a notch leaves less metal than the surface it is in', () => {
  for (const part of PARTS)
    for (const f of part.features) {
      const host = hostOf(part, f.on)!;
      const notch = kindOf(f.kind).raiser(f, host);
      if (!notch) continue;
      expect(notch.coreMm).toBeGreaterThan(0);
      expect(notch.coreMm).toBeLessThanOrEqual(Math.max(host.surface.leftMm, host.surface.rightMm) + 1e-9);
    }
});

describe('limits by the book', () => {
  const shaft = (d: number, kind: FeatureKindId, own: object): Part => {
    const bare: Part = {
      name: 'x',
      materialId: 'steel-c45',
      outside: [surface('s', 'cylinder', 'Seat', 60, d)],
      bores: [],
      features: [],
      limits: {},
      block: null,
    };
    const start = kindOf(kind).start(hostOf(bare, 's')!);
    return { ...bare, features: [{ ...start, id: 'f', kind, on: 's', name: 'It', ...own } as unknown as PartFeature] };
  };
  const band = (part: Part, name: string) => {
    const d = dimensionsOf(part).find((x) => x.key === `f.${name}`)!;
    return d.book && [Number(d.book.lower.toFixed(4)), Number(d.book.upper.toFixed(4))];
  };
  it('a ring groove for a 25 mm shaft: 23.9 h12, 1.3 H13 (DIN 471)', () => {
    const part = shaft(25, 'ring-groove', {});
    expect([band(part, 'diameter'), band(part, 'width')]).toEqual([
      [23.69, 23.9],
      [1.3, 1.44],
    ]);
  });
  it('a keyseat 8 x 7 in 25 mm: 8 N9, 4.0 +0.2 (DIN 6885-1)', () => {
    const part = shaft(25, 'keyseat', {});
    expect([band(part, 'width'), band(part, 'depth')]).toEqual([
      [7.964, 8],
      [4, 4.2],
    ]);
  });
  it('M18 x 1.5 6g: 17.732 to 17.968 over the crests, 16.854 to 16.994 on the flanks (ISO 965-2)', () => {
    const part = shaft(18, 'thread', { thread: 'M18 x 1.5' });
    expect(band(part, 'pitch-diameter')).toEqual([16.854, 16.994]);
    // Over the crests it is the blank's own diameter: one dimension, not two that say different things.
    const blank = dimensionsOf(part).filter((d) => d.what === 'outside');
    expect(blank.map((d) => [d.key, d.book])).toEqual([['s', { lower: 17.732, upper: 17.968, source: expect.stringContaining('6g') }]]);
  });
  it('M18 x 1.5 6H: a hole of 16.376 to 16.676, 17.026 to 17.216 on the flanks (ISO 965-2); no other hole', () => {
    const tube = (holeMm: number): Part => ({
      ...shaft(30, 'chamfer', {}),
      bores: [{ id: 'b', from: 'near', through: true, surfaces: [surface('h', 'cylinder', 'Hole', 0, holeMm)] }],
      features: [
        {
          id: 'f',
          kind: 'thread',
          on: 'h',
          name: 'It',
          end: 'left',
          thread: 'M18 x 1.5',
          threadClass: '',
          lengthMm: 20,
          hand: 'right',
          starts: 1,
        },
      ],
    });
    expect(validatePart(tube(16.5)).ok).toBe(true);
    expect(band(tube(16.5), 'pitch-diameter')).toEqual([17.026, 17.216]);
    const hole = dimensionsOf(tube(16.5)).find((d) => d.key === 'h')!.book!;
    expect([hole.lower, hole.upper].map((mm) => Number(mm.toFixed(3)))).toEqual([16.376, 16.676]);
    for (const wrong of [14, 16.1, 17, 18.5])
      expect(validatePart(tube(wrong))).toMatchObject({ problems: [{ path: 'features.0.thread' }] });
  });
  it('a groove that is no ring’s is refused as one, and taken as measured', () => {
    const odd = { diameterMm: 23.5 };
    expect(validatePart(shaft(25, 'ring-groove', odd))).toMatchObject({ problems: [{ path: 'features.0.ring' }] });
    const measured = shaft(25, 'ring-groove', { ...odd, ring: 'measured' });
    expect(validatePart(measured).ok).toBe(true);
    expect(band(measured, 'diameter')).toBeNull();
  });
});

describe('what a kind refuses', () => {
  const bare: Part = {
    name: 'x',
    materialId: 'steel-c45',
    outside: [surface('s', 'cylinder', 'Body', 40, 30), surface('t', 'cylinder', 'Collar', 20, 40)],
    bores: [],
    features: [],
    limits: {},
    block: null,
  };
  const refused = (kind: FeatureKindId, own: object, on = 's'): string => {
    const f = { ...kindOf(kind).start(hostOf(bare, on)!), id: 'f', kind, on, name: 'It', ...own } as unknown as PartFeature;
    const checked = validatePart({ ...bare, features: [f] });
    return checked.ok ? '' : checked.problems.map((p) => p.path.replace('features.0.', '')).join();
  };
  it.each([
    ['chamfer', { lengthMm: 50 }, 'lengthMm'],
    ['chamfer', { angleDeg: 85, lengthMm: 5 }, 'lengthMm'],
    ['fillet', { end: 'left' }, 'end'],
    ['fillet', { end: 'right', radiusMm: 6 }, 'radiusMm'],
    ['ring-groove', { atMm: 39.5 }, 'atMm'],
    ['relief', { diameterMm: 31 }, 'diameterMm'],
    ['keyseat', { depthMm: 0.3, widthMm: 8 }, 'depthMm'],
    ['keyseat', { lengthMm: 60 }, 'lengthMm'],
    ['keyseat', { lengthMm: 5, widthMm: 8, depthMm: 4 }, 'lengthMm'],
    ['woodruff-seat', { depthMm: 14, cutterMm: 25 }, 'depthMm'],
    ['flats', { acrossMm: 31 }, 'acrossMm'],
    ['spline', { teeth: 40 }, 'toothMm'],
    ['thread', { thread: '' }, 'thread'],
    ['thread', { thread: 'M20' }, 'thread'],
    ['thread', { thread: 'M30 x 1.5', threadClass: '7Q' }, 'threadClass'],
    ['cross-hole', { reach: 'to depth', depthMm: 29.95, diameterMm: 3 }, 'depthMm'],
    ['keyseat', { open: 'right', lengthMm: 20 }, 'open'],
    ['cross-hole', { reach: 'into the bore', diameterMm: 3 }, 'reach'],
    ['hole-pattern', { count: 6, circleMm: 0, end: 'left' }, 'circleMm'],
    ['hole-pattern', { count: 3, circleMm: 28, diameterMm: 4, end: 'left' }, 'circleMm'],
    ['centre-hole', { end: 'right' }, 'end'],
    ['slot', { end: 'right' }, 'end'],
    ['eccentric', { diameterMm: 28, throwMm: 4 }, 'throwMm'],
    ['eccentric-bore', { end: 'right' }, 'end'],
    ['eccentric-bore', { end: 'left', reach: 'to depth' }, 'depthMm'],
    ['eccentric-bore', { end: 'left', reach: 'to depth', depthMm: 60.5, diameterMm: 10 }, 'depthMm'],
    ['eccentric-bore', { end: 'left', diameterMm: 22, throwMm: 4 }, 'throwMm'],
    ['seal-land', { raUm: 1.6 }, 'raUm'],
    ['relation', { to: 's' }, 'to'],
    ['relation', { to: 'gone' }, 'to'],
    ['relation', { to: 't', of: 'gone' }, 'of'],
    ['relation', { to: 't', mm: 0 }, 'mm'],
    ['surface-finish', { raUm: 0.2, how: 'turned' }, 'how'],
    ['hardness', { scale: 'HRC', from: 15 }, 'from'],
    ['hardness', { scale: 'HRC', from: 30, to: 250 }, 'to'],
    ['hardness', { from: 55, to: 55 }, 'to'],
    ['treatment', { plusMinusMm: 0.03 }, 'plusMinusMm'],
    ['treatment', { aSideMm: 20 }, 'aSideMm'],
    ['weld-prep', { end: 'left', rootMm: 20 }, 'rootMm'],
    ['knurl', { pitchMm: 4 }, 'pitchMm'],
    ['knurl', { pitchMm: 2.9, lengthMm: 90 }, 'lengthMm'],
    ['cross-hole', { timedTo: 'nothing', diameterMm: 3 }, 'timedTo'],
    ['flats', { count: 2.5 }, 'count'],
    ['slot', { end: 'sideways' }, 'end'],
    ['slot', { widthMm: Number.NaN }, 'widthMm'],
  ] as const)('%s %j', (kind, own, field) => expect(refused(kind, own)).toBe(field));
});

it('a surface is treated once', () => {
  const f = { ...kindOf('treatment').start(null as never), kind: 'treatment', on: 's', name: 'Treatment' };
  const part = {
    ...{ ...PARTS[0]!, outside: [surface('s', 'cylinder', 'Seat', 40, 25)], bores: [], limits: {} },
    features: [{ ...f, id: 'f' } as unknown as PartFeature, { ...f, id: 'g' } as unknown as PartFeature],
  };
  const checked = validatePart(part);
  expect(checked.ok ? [] : checked.problems.map((p) => [p.path, p.code])).toEqual([['features.1.process', 'twice']]);
});

describe('what a drawing asks for', () => {
  const shaft: Part = {
    name: 'Shaft',
    materialId: 'steel-c45',
    outside: [
      surface('a', 'cylinder', 'Drive end', 30, 25),
      surface('b', 'cylinder', 'Body', 60, 30),
      surface('c', 'cylinder', 'Far seat', 20, 25),
    ],
    bores: [],
    features: [
      {
        id: 'k',
        kind: 'keyseat',
        on: 'b',
        name: 'Keyseat',
        ...kindOf('keyseat').start(hostOf({ ...bareOf(30) }, 's')!),
      } as unknown as PartFeature,
      { id: 'r', kind: 'relation', on: 'c', name: 'True to', which: 'run-out', of: '', to: 'a', mm: 0.008 },
      { id: 'p', kind: 'relation', on: 'b', name: 'Key true', which: 'parallel', of: 'k', to: 'a', mm: 0.05 },
      { id: 'f', kind: 'surface-finish', on: 'c', name: 'Surface', raUm: 0.8, how: 'ground' },
      { id: 'h', kind: 'hardness', on: 'c', name: 'Hardness', scale: 'HRC', from: 58, to: 62, how: 'case', remark: '' },
    ],
    limits: {},
    block: null,
  };
  it('is a dimension with its limits, its unit, and what it is true to', () => {
    expect(validatePart(shaft)).toMatchObject({ ok: true });
    const told = dimensionsOf(shaft)
      .filter((d) => d.own)
      .map((d) => [d.label, d.own!.lower, d.own!.upper, d.unit]);
    expect(told).toEqual([
      ['far seat, run-out to drive end', 0, 0.008, ''],
      ['body, keyseat out of parallel to drive end', 0, 0.05, ''],
      ['far seat, Ra, ground', 0, 0.8, 'µm'],
      ['far seat, hardness, case hardened', 58, 62, 'HRC'],
    ]);
  });
  it('changes neither metal nor outline', () => {
    const bare = { ...shaft, features: shaft.features.slice(0, 1) };
    expect(volumeMm3(shaft)).toBe(volumeMm3(bare));
    expect(outline(shaft)).toEqual(outline(bare));
  });
  it('falls when what it is true to is gone', () => {
    const gone = { ...shaft, outside: shaft.outside.slice(1) };
    expect(validatePart(gone)).toMatchObject({ problems: [{ path: 'features.1.to' }, { path: 'features.2.to' }] });
  });
});

function bareOf(d: number): Part {
  return {
    name: 'x',
    materialId: 'steel-c45',
    outside: [surface('s', 'cylinder', 'Seat', 60, d)],
    bores: [],
    features: [],
    limits: {},
    block: null,
  };
}
