import { stretchAt, trueOffsetMm, trueRadiusMm, type TruePart, type TrueStretch } from './true-part';

const plain: TrueStretch = { name: 'Body', side: 'outside', fromMm: 10, toMm: 110, diameterMm: 40, taperPerMm: 0, bellyMm: 0, waves: [] };
const part = (s: Partial<TrueStretch>, bend: TruePart['bend'] = null): TruePart => ({
  name: 'p',
  lengthMm: 120,
  alphaPerK: 0,
  stretches: [{ ...plain, ...s }],
  bend,
});
const across = (s: Partial<TrueStretch>, at: number, deg: number): number => {
  const stretch = part(s).stretches[0]!;
  return trueRadiusMm(stretch, at, deg) + trueRadiusMm(stretch, at, deg + 180);
};

it('a taper goes by its rate to either side of the middle, where the diameter is', () => {
  expect([10, 60, 110].map((x) => across({ taperPerMm: 0.001 }, x, 0))).toEqual([39.95, 40, 40.05].map((x) => expect.closeTo(x, 9)));
});

it('a belly is so much larger in the middle than at both ends', () => {
  const at = (x: number) => across({ bellyMm: 0.04 }, x, 0);
  expect(at(60) - at(10)).toBeCloseTo(0.04, 9);
  expect(at(60) - at(110)).toBeCloseTo(0.04, 9);
});

it('two lobes show across, three lobes hide from two points', () => {
  const wave = (order: number) => ({ waves: [{ order, amplitudeMm: 0.01, peakDeg: 30 }] });
  expect(across(wave(2), 60, 30) - across(wave(2), 60, 120)).toBeCloseTo(0.04, 9);
  for (const deg of [0, 30, 60, 90]) expect(across(wave(3), 60, deg)).toBeCloseTo(40, 9);
});

it('a bend moves the middle by its bow in its own plane, the ends and the plane across not at all', () => {
  const bent = part({}, { bowMm: 0.3, planeDeg: 90 });
  expect(trueOffsetMm(bent, 60, 90)).toBeCloseTo(0.3, 9);
  expect(trueOffsetMm(bent, 60, 270)).toBeCloseTo(-0.3, 9);
  for (const [x, deg] of [
    [0, 90],
    [120, 90],
    [60, 0],
  ] as const)
    expect(trueOffsetMm(bent, x, deg)).toBeCloseTo(0, 9);
  expect(trueOffsetMm(part({}), 60, 90)).toBe(0);
});

it('is found by place and side, its ends included', () => {
  expect([10, 110].map((x) => stretchAt(part({}), x, 'outside')?.name)).toEqual(['Body', 'Body']);
  expect(stretchAt(part({}), 111, 'outside')).toBeNull();
  expect(stretchAt(part({}), 60, 'inside')).toBeNull();
});
