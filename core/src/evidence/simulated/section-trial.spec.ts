import { normalDraws, seededRandom } from '../proof';
import { analyseSection, analyseShape, type DiameterReading } from '../readings';
import { endScore } from './section-trial';

describe.each([3, 4, 6, 8])('sections in %d directions: round, oval, worn over an arc of 40 to 180°, and both', (directions) => {
  const score = endScore(50, directions);
  it('have the end that decides a fit in its 95 % band in at least 93 of 100', () =>
    expect(score.tight / score.sections).toBeGreaterThanOrEqual(0.93));
  it('and the other end where the arc is wider than the step between directions', () =>
    expect(score.wide / score.wideCounted).toBeGreaterThanOrEqual(0.93));
});

it('bands of a pure oval are those of somebody who knows that it is one, once there are directions to tell', () => {
  // Knowing the model, the end of an oval in eight directions has sqrt(1/8 + 2/8) of one reading's uncertainty, at 95 % twice that.
  expect(endScore(25, 8, 1, 'oval').halfWidth).toBeLessThan(2.5 * 2 * Math.sqrt(3 / 8));
  expect(endScore(25, 6, 1, 'round').halfWidth).toBeLessThan(2.5 * 2 * Math.sqrt(1 / 6));
});

it.each([1, 3, 5])(
  'calls no more than 6 of 100 round bores oval at %d stations',
  (stations) => {
    const normal = normalDraws(seededRandom(7 + stations));
    const bores = 300;
    let oval = 0;
    for (let i = 0; i < bores; i++) {
      const readings = Array.from({ length: stations }, (_, s) =>
        [0, 45, 90, 135].map((clockDeg): DiameterReading => ({
          stationMm: 10 * s,
          clockDeg,
          valueMm: 40 + 0.004 * normal(),
          instrumentMm: 0.004 * Math.SQRT2,
          repeatMm: 0.004,
          points: 2,
        })),
      ).flat();
      const { mostOval } = analyseShape('inside', readings, 11.5e-6)!;
      if (mostOval.ovalityMm > mostOval.ovalityPlusMinusMm!) oval++;
      else expect(mostOval.longAxisDeg).toBeNull();
    }
    expect(oval / bores).toBeLessThanOrEqual(0.06);
  },
  60_000,
);

it('does not believe an oval curve beyond the readings of a hole that is worn on one side', () => {
  // 40.000 all round, 0.2 deep over 80° about 90°: an oval through the four directions would call it 0.04 too small.
  const sizes = [40, 40, 40.2, 40];
  const section = analyseSection(
    0,
    sizes.map((valueMm, i) => ({ stationMm: 0, clockDeg: 45 * i, valueMm, instrumentMm: 0.003, points: 2 as const })),
    'inside',
  );
  expect(section.smallestMm).toBeCloseTo(40, 3);
  expect(section.smallestPlusMinusMm).toBeLessThan(0.03);
});

it('two directions hold the fourth wave in the band of their mean', () => {
  let held = 0;
  const uniform = seededRandom(5);
  for (let i = 0; i < 300; i++) {
    const [a2, a4, p2, p4] = [0.1 * uniform(), 0.02 * uniform(), 360 * uniform(), 360 * uniform()];
    const at = (deg: number): number =>
      40 + a2 * Math.cos((2 * (deg - p2) * Math.PI) / 180) + a4 * Math.cos((4 * (deg - p4) * Math.PI) / 180);
    const section = analyseSection(
      0,
      [0, 90].map((clockDeg) => ({ stationMm: 0, clockDeg, valueMm: at(clockDeg), instrumentMm: 0.002, points: 2 as const })),
      'outside',
    );
    if (Math.abs(section.meanMm - 40) <= section.meanPlusMinusMm) held++;
  }
  expect(held).toBeGreaterThanOrEqual(276);
});
