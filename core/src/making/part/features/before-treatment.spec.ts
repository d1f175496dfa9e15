import { beforeLimits, type ASide, type Changes, type DiameterLimits } from './before-treatment';

const EPS = 1e-9;
const SHARES = [0, 0.25, 0.5, 0.75, 1];
const between = ({ lowerMm, upperMm }: DiameterLimits): number[] => SHARES.map((s) => lowerMm + s * (upperMm - lowerMm));
const isIn = (mm: number, { lowerMm, upperMm }: DiameterLimits): boolean => mm >= lowerMm - EPS && mm <= upperMm + EPS;

/** The way of one part through the shops: what it is in the end, or how much layer stays on it, for a size before and a layer laid on. */
const radiusAfter = (beforeMm: number, laidMm: number, side: 'outside' | 'inside'): number =>
  side === 'outside' ? beforeMm / 2 + laidMm : beforeMm / 2 - laidMm;

/** Whether every part that begins in these limits comes out right. */
function allRight(before: DiameterLimits, finished: DiameterLimits, side: 'outside' | 'inside', changes: Changes, layer: ASide): boolean {
  return between(before).every((b) => {
    if (changes === 'stays')
      return SHARES.every((s) => isIn(2 * radiusAfter(b, layer.fromMm + s * (layer.toMm - layer.fromMm), side), finished));
    return between(finished).every((f) => {
      const onOneSide = side === 'outside' ? (f - b) / 2 : (b - f) / 2;
      const left = changes === 'left-on' ? -onOneSide : onOneSide;
      return left >= layer.fromMm - EPS && left <= layer.toMm + EPS;
    });
  });
}

it('a chromed rod and a ground journal, by hand', () => {
  const rod = beforeLimits({ lowerMm: 40, upperMm: 40.016 }, 'outside', 'stays', { fromMm: 0.02, toMm: 0.025 })!;
  expect(rod.lowerMm).toBeCloseTo(39.96, 9);
  expect(rod.upperMm).toBeCloseTo(39.966, 9);
  // 0.1 to 0.15 a side on a journal of 30.002 to 30.015.
  const journal = beforeLimits({ lowerMm: 30.002, upperMm: 30.015 }, 'outside', 'left-on', { fromMm: 0.1, toMm: 0.15 })!;
  expect(journal.lowerMm).toBeCloseTo(30.215, 9);
  expect(journal.upperMm).toBeCloseTo(30.302, 9);
  // A bore is mirrored: honed out of a smaller hole, chromed out of a larger one.
  const bore = beforeLimits({ lowerMm: 50, upperMm: 50.025 }, 'inside', 'left-on', { fromMm: 0.1, toMm: 0.15 })!;
  expect([bore.lowerMm, bore.upperMm].map((x) => x.toFixed(3))).toEqual(['49.725', '49.800']);
});

it('every size in its limits comes out right, and every size beside them may not', () => {
  let tried = 0;
  let none = 0;
  for (const side of ['outside', 'inside'] as const)
    for (const changes of ['stays', 'cut-back', 'left-on'] as const)
      for (const band of [0.004, 0.02, 0.1])
        for (const spread of [0, 0.004, 0.02, 0.08]) {
          const finished = { lowerMm: 30, upperMm: 30 + band };
          const layer = { fromMm: 0.05, toMm: 0.05 + spread };
          const before = beforeLimits(finished, side, changes, layer);
          tried++;
          if (!before) {
            none++;
            // No size at all comes out right: looked for over the whole of what a layer could ask.
            for (let mm = 29.5; mm <= 30.6; mm += 0.001)
              expect(allRight({ lowerMm: mm, upperMm: mm }, finished, side, changes, layer)).toBe(false);
            continue;
          }
          expect(allRight(before, finished, side, changes, layer)).toBe(true);
          for (const beside of [before.lowerMm - 1e-4, before.upperMm + 1e-4])
            expect(allRight({ lowerMm: beside, upperMm: beside }, finished, side, changes, layer)).toBe(false);
        }
  expect(tried).toBe(72);
  expect(none).toBeGreaterThan(10);
});
