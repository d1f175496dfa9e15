import { seededRandom } from '../../evidence/proof';
import { dimensionsOf, limitsOf, mirrored, newPart, placeOutside, surface, type Part } from '../part';
import { addedFeature } from './adding';
import { answered, asksOf } from './asks';
import { shoulderFaces, stackFinding, type AxialStack } from './axial-stack';
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
  expect(shoulderFaces(SHAFT).map((f) => [f.id, f.atMm])).toEqual([
    ['seat.left', 40],
    ['nose.left', 74],
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
