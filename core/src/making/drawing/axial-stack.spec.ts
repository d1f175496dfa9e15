import { seededRandom } from '../../evidence/proof';
import { dimensionsOf, limitsOf, mirrored, newPart, placeOutside, surface, type Part } from '../part';
import { addedFeature } from './adding';
import { answered, asksOf } from './asks';
import { stackFinding, type AxialStack } from './axial-stack';
import { shoulderMoved } from './shoulder-moved';
import { likelyWalls, stackFaces } from './stack-faces';
import { parseStack, stackLines } from './stack-lines';

// A 25 mm seat of 34 behind a shoulder of 32: a 6205 (15 mm wide), a spacer, a ring 1.2 thick in a groove 1.3 wide (DIN 471).
const SHAFT: Part = addedFeature(
  {
    ...newPart('plain-pin', 'Shaft', 25, 60),
    outside: [
      surface('body', 'cylinder', 'Body', 40, 32),
      surface('seat', 'cylinder', 'Seat', 34, 25),
      surface('nose', 'cylinder', 'Nose', 20, 20),
    ],
    features: [],
  },
  'seat',
  'ring-groove',
  'g',
  { atMm: 27.1, widthMm: 1.3, diameterMm: 23.9 },
)!.part;
const pieces = (text: string): AxialStack['pieces'] => {
  const got = parseStack(text, 'mm');
  if (!got.ok) throw new Error(got.problems[0]!.message);
  return got.value;
};
const STACK: AxialStack = { shoulder: 'seat.left', grooveId: 'g', pieces: pieces('6205\nSpacer: 12 ±0.05'), leastMm: 0.05, mostMm: 0.3 };
const found = (part: Part, stack: AxialStack) => {
  const got = stackFinding(part, stack);
  if (!got.ok) throw new Error(got.problems[0]!.message);
  return got.value;
};

it('the play is what is left between the shoulder, all that sits there, and the ring against its wall', () => {
  // Wall at 28.4 from the shoulder; 15 + 12 + 1.2 = 28.2.
  expect(found(SHAFT, STACK).play.value).toBeCloseTo(0.2, 9);
  expect(stackFaces(SHAFT).map((f) => [f.id, f.keeps, Number(f.atMm.toFixed(6))])).toEqual([
    ['seat.left', 'right', 40],
    ['nose.left', 'right', 74],
    ['g', 'left', 68.4],
    ['g', 'right', 67.1],
  ]);
});

it('its least and most are the worst of every corner of the tolerances', () => {
  const f = found(SHAFT, STACK);
  const devs = (key: string): readonly [number, number] => {
    const d = dimensionsOf(SHAFT).find((x) => x.key === key)!;
    const l = limitsOf(SHAFT, d)!;
    return [l.lower - d.value, l.upper - d.value];
  };
  // Another construction: the shaft and its bearings made at every corner, and measured.
  let [least, most] = [Infinity, -Infinity];
  for (const at of devs('g.at'))
    for (const width of devs('g.width'))
      for (const bearing of [-0.12, 0])
        for (const spacer of [-0.05, 0.05]) {
          const room = 27.1 + at + 1.3 + width - 1.2 - (15 + bearing) - (12 + spacer);
          [least, most] = [Math.min(least, room), Math.max(most, room)];
        }
  expect(f.least.value).toBeCloseTo(least, 9);
  expect(f.most.value).toBeCloseTo(most, 9);
  expect(f.tooWideMm).toBeCloseTo(most - least - 0.25, 9);
  expect(f.good).toBe(false);
});

it('a groove that is moved to where it says has its play in the middle of what is wanted', () => {
  const random = seededRandom(5);
  for (let i = 0; i < 60; i++) {
    const stack = { ...STACK, leastMm: random(), mostMm: 1 + random(), pieces: pieces(`6205\nSpacer: ${(5 + 7 * random()).toFixed(2)}`) };
    const part = i % 2 ? mirrored(SHAFT) : SHAFT;
    const told = { ...stack, shoulder: i % 2 ? 'seat.right' : 'seat.left' };
    const { atMm } = found(part, told);
    const ask = asksOf(part).find((a) => a.id === 'g.atMm')!;
    const moved = found(answered(part, ask, atMm), told);
    expect((moved.least.value + moved.most.value) / 2).toBeCloseTo((stack.leastMm + stack.mostMm) / 2, 3);
  }
});

it('seen from the other end it is the same', () => {
  const [here, there] = [found(SHAFT, STACK), found(mirrored(SHAFT), { ...STACK, shoulder: 'seat.right' })];
  expect(there.play.value).toBeCloseTo(here.play.value, 9);
  // From the right its wall is the groove's left one, and the seat's length counts instead of the groove's width.
  expect(there.most.value - there.least.value).toBeGreaterThan(0);
});

it('steps between the shoulder and the groove count with their tolerances', () => {
  const stepped: Part = { ...SHAFT, outside: [SHAFT.outside[0]!, surface('land', 'cylinder', 'Land', 10, 26), ...SHAFT.outside.slice(1)] };
  const stack = { ...STACK, shoulder: 'land.left', pieces: pieces('6205\nSpacer: 22 ±0.05') };
  const [whole, far] = [found(SHAFT, STACK), found(stepped, stack)];
  expect(placeOutside(stepped)[2]!.fromMm).toBe(50);
  expect(far.play.value).toBeCloseTo(whole.play.value, 9);
  const land = limitsOf(
    stepped,
    dimensionsOf(stepped).find((d) => d.key === 'land.length')!,
  )!;
  expect(far.most.value - far.least.value).toBeCloseTo(whole.most.value - whole.least.value + (land.upper - land.lower), 9);
});

it('says what is gone, and never divides the room of nothing', () => {
  expect(stackFinding(SHAFT, { ...STACK, shoulder: 'gone.left' })).toMatchObject({ ok: false });
  expect(stackFinding({ ...SHAFT, features: [] }, STACK)).toMatchObject({ ok: false });
  expect(found(SHAFT, { ...STACK, pieces: [] }).play.value).toBeCloseTo(27.2, 9);
});

it('a groove of no listed ring asks for its ring, and takes it with what sits there', () => {
  const odd: Part = { ...SHAFT, features: SHAFT.features.map((f) => ({ ...f, diameterMm: 23.2, ring: 'measured' }) as typeof f) };
  expect(stackFinding(odd, STACK)).toMatchObject({ ok: false, problems: [{ path: 'pieces' }] });
  expect(found(odd, { ...STACK, pieces: pieces('6205\nSpacer: 11\nRing: 1.5') }).play.value).toBeCloseTo(28.4 - 15 - 11 - 1.5, 9);
});

it('lines are read as people write them, and come back as they were', () => {
  // ISO 492, width of a bearing of 25 mm bore: 0 to -120 µm, of 60 mm: 0 to -150.
  expect(pieces('6205-2RS')).toEqual([{ name: '6205-2RS', lengthMm: 15, lowerDev: -0.12, upperDev: 0 }]);
  expect(pieces('Bearing 6212')[0]).toMatchObject({ lengthMm: 22, lowerDev: -0.15 });
  expect(pieces('Wheel: 1.250 in +0 -0.002in')[0]).toMatchObject({
    name: 'Wheel',
    lengthMm: expect.closeTo(31.75, 9),
    lowerDev: expect.closeTo(-0.0508, 9),
  });
  const all = pieces('6205\nSpacer: 12 ±0.05\nWasher: 2.5');
  expect(pieces(stackLines(all, 'mm'))).toEqual(all);
  for (const bad of ['Spacer', 'Spacer:', ': 12', 'Spacer: wide', 'Spacer: -3', '99999']) expect(parseStack(bad, 'mm').ok).toBe(false);
  expect(parseStack('', 'mm')).toEqual({ ok: true, value: [] });
  expect(parseStack(Array.from({ length: 31 }, () => '6205').join('\n'), 'mm').ok).toBe(false);
});

/** Every dimension of a part at one of its limits, as a turner might leave it; what it then is on the surface plate. */
function atCorner(part: Part, low: (key: string) => boolean): Part {
  const dev = (key: string): number => {
    const d = dimensionsOf(part).find((x) => x.key === key);
    const l = d && limitsOf(part, d);
    return l ? (low(key) ? l.lower : l.upper) - d.value : 0;
  };
  return {
    ...part,
    outside: part.outside.map((s) => ({ ...s, lengthMm: s.lengthMm + dev(`${s.id}.length`) })),
    bores: part.bores.map((b) => ({ ...b, surfaces: b.surfaces.map((s) => ({ ...s, lengthMm: s.lengthMm + dev(`${s.id}.length`) })) })),
    features: part.features.map((f) => {
      if (f.kind === 'ring-groove') return { ...f, atMm: f.atMm + dev(`${f.id}.at`), widthMm: f.widthMm + dev(`${f.id}.width`) };
      return f.kind === 'cross-hole' ? { ...f, atMm: f.atMm + dev(`${f.id}.at`), diameterMm: f.diameterMm + dev(`${f.id}.diameter`) } : f;
    }),
  };
}

/** Least and most of a size over random corners; every corner must lie within what was told, and the two told must be reached. */
function holdsAtCorners(part: Part, stack: AxialStack, sizeOf: (p: Part) => readonly [least: number, most: number]): void {
  const f = found(part, stack);
  const random = seededRandom(11);
  let [least, most] = [Infinity, -Infinity];
  for (let i = 0; i < 400; i++) {
    const seen = new Map<string, boolean>();
    const low = (key: string): boolean => seen.get(key) ?? seen.set(key, random() < 0.5).get(key)!;
    const [lo, hi] = sizeOf(atCorner(part, low));
    [least, most] = [Math.min(least, lo), Math.max(most, hi)];
  }
  expect(f.least.value).toBeCloseTo(least, 9);
  expect(f.most.value).toBeCloseTo(most, 9);
}

describe('a pin of 30 with a ring of DIN 471 at either end (groove 28.6 by 1.6, ring 1.5)', () => {
  const plain: Part = { ...newPart('plain-pin', 'Pin', 30, 100), outside: [surface('body', 'cylinder', 'Body', 100, 30)], features: [] };
  const put = (part: Part, id: string, atMm: number): Part =>
    addedFeature(part, 'body', 'ring-groove', id, { atMm, widthMm: 1.6, diameterMm: 28.6 })!.part;
  const pin = put(put(plain, 'a', 5), 'b', 93);
  const stack: AxialStack = { shoulder: 'a', grooveId: 'b', pieces: pieces('Lever: 86 ±0.1'), leastMm: 0.1, mostMm: 0.6 };

  it('what sits between them has the room between the walls that the rings are pushed against, less both rings', () => {
    // Walls at 5 and at 94.6, two rings of 1.5, a lever of 86.
    expect(found(pin, stack).play.value).toBeCloseTo(94.6 - 5 - 3 - 86, 9);
    expect(found(pin, { ...stack, shoulder: 'b', grooveId: 'a' }).play.value).toBeCloseTo(0.6, 9);
    expect(found(mirrored(pin), stack).play.value).toBeCloseTo(0.6, 9);
  });

  it('least and most are those of its corners, with the body’s length in neither', () =>
    holdsAtCorners(pin, stack, (p) => {
      const [a, b] = ['a', 'b'].map((id) => p.features.find((f) => f.id === id) as { atMm: number; widthMm: number });
      const room = b!.atMm + b!.widthMm - a!.atMm - 3;
      return [room - 86.1, room - 85.9];
    }));

  it('either ring can be moved, and no shoulder', () => {
    const [b, a] = [found(pin, stack), found(pin, { ...stack, shoulder: 'b', grooveId: 'a' })];
    expect([a.shoulderMm, b.shoulderMm]).toEqual([null, null]);
    // The one moves out by what the other does.
    expect(b.atMm - 93).toBeCloseTo(5 - a.atMm, 6);
  });
});

describe('a headed pin of 20 with a split pin in a hole of 5 (ISO 1234: shank 4.4 to 4.6)', () => {
  const headed: Part = addedFeature(
    {
      ...newPart('plain-pin', 'Pin', 20, 70),
      outside: [surface('head', 'cylinder', 'Head', 8, 30), surface('body', 'cylinder', 'Body', 70, 20)],
      features: [],
    },
    'body',
    'cross-hole',
    'h',
    { atMm: 62, diameterMm: 5 },
  )!.part;
  const stack: AxialStack = { shoulder: 'body.left', grooveId: 'h', pieces: pieces('Lever: 55\nWasher: 3 ±0.2'), leastMm: 0.2, mostMm: 2 };

  it('the washer is stopped by the pin against the far wall of its hole', () => {
    // Far wall at 64.5 from the head, pin 4.6 at the thickest.
    expect(found(headed, stack).play.value).toBeCloseTo(64.5 - 4.6 - 58, 9);
    holdsAtCorners(headed, stack, (p) => {
      const h = p.features[0] as { atMm: number; diameterMm: number };
      const wall = h.atMm + h.diameterMm / 2;
      return [wall - 4.6 - 58.2, wall - 4.4 - 57.8];
    });
  });

  it('a hole of no listed split pin asks for its pin; a tapped one keeps nothing', () => {
    const odd: Part = { ...headed, features: headed.features.map((f) => ({ ...f, diameterMm: 4.5 }) as typeof f) };
    expect(stackFinding(odd, stack)).toMatchObject({ ok: false, problems: [{ path: 'pieces' }] });
    expect(found(odd, { ...stack, pieces: pieces('Lever: 55\nWasher: 3\nSplit pin: 4') }).play.value).toBeCloseTo(64.25 - 62, 9);
    const tapped: Part = { ...headed, features: headed.features.map((f) => ({ ...f, thread: 'M6' }) as typeof f) };
    expect(stackFinding(tapped, stack)).toMatchObject({ ok: false, problems: [{ path: 'grooveId' }] });
  });

  it('the hole, or the shoulder, moved to where it says has its play in the middle of what is wanted', () => {
    const { atMm, shoulderMm } = found(headed, stack);
    const middle = (part: Part): number => {
      const f = found(part, stack);
      return (f.least.value + f.most.value) / 2;
    };
    expect(
      middle(
        answered(
          headed,
          asksOf(headed).find((a) => a.id === 'h.atMm')!,
          atMm,
        ),
      ),
    ).toBeCloseTo(1.1, 3);
    const stepped = shoulderMoved(headed, 'body.left', shoulderMm!)!;
    expect(middle(stepped)).toBeCloseTo(1.1, 3);
    // The hole stays where it was, and so does the end.
    const of = (part: Part) => [placeOutside(part)[1]!.fromMm + (part.features[0] as { atMm: number }).atMm, placeOutside(part)[1]!.toMm];
    expect(of(stepped).map((x) => Number(x.toFixed(6)))).toEqual(of(headed).map((x) => Number(x.toFixed(6))));
  });
});

describe('a bearing in a bore of 52, kept by a ring of DIN 472 (groove 55 by 2.15, ring 2)', () => {
  const hub = (from: 'near' | 'far'): Part =>
    addedFeature(
      {
        ...newPart('plain-pin', 'Hub', 90, 60),
        outside: [surface('body', 'cylinder', 'Body', 60, 90)],
        bores: [
          {
            ...{ id: 'bore', from, through: true },
            surfaces: [surface('seat', 'cylinder', 'Seat', 22, 52), surface('waist', 'cylinder', 'Waist', 0, 40)],
          },
        ],
        features: [],
      },
      'seat',
      'ring-groove',
      'r',
      from === 'near' ? { atMm: 2.6, widthMm: 2.15, diameterMm: 55 } : { atMm: 17.25, widthMm: 2.15, diameterMm: 55 },
    )!.part;
  const stack = (from: 'near' | 'far'): AxialStack => ({
    ...{
      shoulder: from === 'near' ? 'seat.right' : 'seat.left',
      grooveId: 'r',
      pieces: pieces('6205\nShim: 0.3'),
      leastMm: 0,
      mostMm: 0.3,
    },
  });

  it.each(['near', 'far'] as const)('the shoulder inside, less bearing, shim and ring, from the %s end', (from) => {
    // Shoulder 22 in, the wall that the ring is pushed against 2.6 in: 19.4, less 15, 0.3 and 2.
    expect(found(hub(from), stack(from)).play.value).toBeCloseTo(2.1, 9);
    holdsAtCorners(hub(from), stack(from), (p) => {
      const [deep, g] = [p.bores[0]!.surfaces[0]!.lengthMm, p.features[0] as { atMm: number; widthMm: number }];
      // Told from the left end of its surface: in a bore from the far end that is the deep one.
      const room = from === 'near' ? deep - g.atMm : g.atMm + g.widthMm;
      return [room - 15.3 - 2, room - 15.18 - 2];
    });
  });

  it('has no shoulder to move there, and a floor is one to lean on', () => {
    expect(shoulderMoved(hub('near'), 'seat.right', 24)).toBeNull();
    const blind = hub('near');
    const floor = { ...blind, bores: [{ ...blind.bores[0]!, through: false, surfaces: [blind.bores[0]!.surfaces[0]!] }] };
    expect(stackFaces(floor).find((f) => f.name === 'floor of seat')).toMatchObject({ keeps: 'left', atMm: 22 });
    expect(found(floor, stack('near')).play.value).toBeCloseTo(2.1, 9);
  });
});

it('two walls that nothing can sit between are told, on one side of each other or on two of the metal', () => {
  expect(stackFinding(SHAFT, { ...STACK, shoulder: 'nose.left' })).toMatchObject({ ok: false, problems: [{ code: 'apart' }] });
  expect(stackFinding(SHAFT, { ...STACK, shoulder: 'g' })).toMatchObject({ ok: false, problems: [{ code: 'apart' }] });
});

it('a shoulder is not moved through its neighbour, nor past what is cut there', () => {
  expect(shoulderMoved(SHAFT, 'seat.left', -1)).toBeNull();
  expect(shoulderMoved(SHAFT, 'seat.left', 80)).toBeNull();
  expect(shoulderMoved(SHAFT, 'seat.left', 67.5)).toBeNull();
  expect(placeOutside(shoulderMoved(SHAFT, 'seat.left', 41)!).map((s) => [s.id, s.fromMm, s.toMm])).toEqual([
    ['body', 0, 41],
    ['seat', 41, 74],
    ['nose', 74, 94],
  ]);
});

it('proposes the shoulder beside the ring that faces it, else the other ring, and nothing where nothing keeps anything', () => {
  // The nose's shoulder is nearer, but looks away.
  expect(likelyWalls(SHAFT)).toEqual({ shoulder: 'seat.left', grooveId: 'g' });
  expect(likelyWalls(mirrored(SHAFT))).toEqual({ shoulder: 'seat.right', grooveId: 'g' });
  const plain = { ...SHAFT, outside: [surface('seat', 'cylinder', 'Seat', 94, 25)] };
  expect(likelyWalls(plain)).toBeNull();
  const two = { ...plain, features: [...plain.features, { ...plain.features[0]!, id: 'h', atMm: 80 } as (typeof plain.features)[0]] };
  expect(new Set(Object.values(likelyWalls(two)!))).toEqual(new Set(['g', 'h']));
  expect(likelyWalls({ ...SHAFT, features: [] })).toBeNull();
});

it('nothing sits across a shoulder that stands in its way, nor is that proposed', () => {
  // A collar of 34 between the seat's shoulder and the groove behind it, then between two rings; a step down alone is no hindrance.
  const collared = (first: number): Part => ({
    ...SHAFT,
    outside: [
      surface('body', 'cylinder', 'Body', 40, first),
      surface('land', 'cylinder', 'Land', 20, 25),
      surface('collar', 'cylinder', 'Collar', 5, 34),
      surface('seat', 'cylinder', 'Seat', 34, 25),
    ],
  });
  expect(stackFinding(collared(32), { ...STACK, shoulder: 'land.left' })).toMatchObject({ ok: false, problems: [{ code: 'apart' }] });
  expect(likelyWalls(collared(32))).toEqual({ shoulder: 'seat.left', grooveId: 'g' });
  const rings = (part: Part): Part => addedFeature(part, 'land', 'ring-groove', 'h', { atMm: 5, widthMm: 1.3, diameterMm: 23.9 })!.part;
  expect(stackFinding(rings(collared(25)), { ...STACK, shoulder: 'h' })).toMatchObject({ ok: false, problems: [{ code: 'apart' }] });
  const down: Part = {
    ...SHAFT,
    outside: [SHAFT.outside[0]!, surface('land', 'cylinder', 'Land', 10, 28), ...SHAFT.outside.slice(1)],
  };
  expect(stackFinding(down, { ...STACK, shoulder: 'land.left' }).ok).toBe(true);
});
