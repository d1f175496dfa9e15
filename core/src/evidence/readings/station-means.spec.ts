import { analyseSection } from './section';
import { analyseShape } from './shape';
import type { DiameterReading } from './diameter-reading';

const U = 0.004;
/** A size all along, an oval (largest less smallest) with its long axis, a taper, and readings in given directions a station. */
function read(
  plan: readonly (readonly [stationMm: number, clocksDeg: readonly number[]])[],
  { ovalMm = 0, axisDeg = 0, taperPerMm = 0, ovalGrows = 0, seed = 1 } = {},
): DiameterReading[] {
  let state = seed;
  // A linear congruential die (Park and Miller), three throws added: another kind of scatter than a normal one.
  const throwDie = (): number => (state = (state * 48271) % 2147483647) / 2147483647 - 0.5;
  const noise = (): number => (throwDie() + throwDie() + throwDie()) * 2 * (U / 2);
  return plan.flatMap(([stationMm, clocksDeg]) =>
    clocksDeg.map((clockDeg) => ({
      stationMm,
      clockDeg,
      valueMm:
        40 +
        taperPerMm * stationMm +
        ((ovalMm + ovalGrows * stationMm) / 2) * Math.cos((2 * (clockDeg - axisDeg) * Math.PI) / 180) +
        noise(),
      instrumentMm: U,
      points: 2 as const,
    })),
  );
}
const profileOf = (readings: readonly DiameterReading[]) => analyseShape('inside', readings, 11.5e-6)!.profile!;
const FOUR = [0, 45, 90, 135];

describe('stations read in unlike directions', () => {
  const skipped = [
    [5, FOUR],
    [20, FOUR],
    [35, [0]],
  ] as const;

  it('an oval with skipped spots is no taper', () => {
    for (let seed = 1; seed <= 200; seed++) {
      const { kind, taperPerMm, taperPlusMinus } = profileOf(read(skipped, { ovalMm: 0.15, seed }));
      expect(kind).not.toBe('taper');
      expect(Math.abs(taperPerMm)).toBeLessThanOrEqual(taperPlusMinus);
    }
  });

  it('and none where the two ends were read in one direction each, at a right angle', () => {
    const { kind } = profileOf(
      read(
        [
          [5, [0]],
          [35, [90]],
        ],
        { ovalMm: 0.15 },
      ),
    );
    expect(kind).not.toBe('taper');
  });

  it('a true taper under an oval is within its band in at least 93 of 100, and found', () => {
    let [held, found] = [0, 0];
    for (let seed = 1; seed <= 200; seed++) {
      const p = profileOf(read(skipped, { ovalMm: 0.06, axisDeg: 30, taperPerMm: 0.004, seed }));
      if (Math.abs(p.taperPerMm - 0.004) <= p.taperPlusMinus) held++;
      if (p.kind === 'taper') found++;
    }
    expect(held).toBeGreaterThanOrEqual(186);
    expect(found).toBeGreaterThanOrEqual(180);
  });

  it('an oval that grows along the hole is not taken for a taper of more than its band', () => {
    let held = 0;
    for (let seed = 1; seed <= 200; seed++) {
      const p = profileOf(read(skipped, { ovalMm: 0.05, ovalGrows: 0.002, seed }));
      if (Math.abs(p.taperPerMm) <= p.taperPlusMinus) held++;
    }
    expect(held).toBeGreaterThanOrEqual(186);
  });
});

it('stations read alike keep their own means', () => {
  const { taperPerMm } = profileOf(
    read(
      [
        [5, FOUR],
        [35, FOUR],
      ],
      { taperPerMm: 0.005, ovalMm: 0.2 },
    ),
  );
  expect(taperPerMm).toBeCloseTo(0.005, 3);
});

it('a shaft is looked at as a shaft: wear on one side takes off, and its smallest is the one that is doubtful', () => {
  // Four directions of a round shaft with one side worn: the untouched directions are its size.
  const worn = [0, 45, 90, 135].map((clockDeg, i) => ({
    stationMm: 5,
    clockDeg,
    valueMm: 40 - [0.1, 0, 0, 0][i]!,
    instrumentMm: U,
    points: 2 as const,
  }));
  const shape = analyseShape('outside', worn, 11.5e-6)!;
  const section = analyseSection(5, worn, 'outside');
  expect(shape.sections[0]).toEqual(section);
  expect(shape.sections[0]).not.toEqual(analyseSection(5, worn, 'inside'));
  expect(Math.abs(shape.largestMm - 40)).toBeLessThanOrEqual(shape.largestPlusMinusMm);
});
