import { normalDraws, seededRandom } from '../proof';
import { fitProfile, type ProfilePoint } from './profile';

const U = 0.003;

/** Stations measured on a given course of sizes, with the scatter of a mic. */
function measured(seed: number, stations: number, course: (x: number) => number): ProfilePoint[] {
  const normal = normalDraws(seededRandom(seed));
  return Array.from({ length: stations }, (_, i) => {
    const stationMm = 3 + (i * 54) / (stations - 1);
    return { stationMm, sizeMm: course(stationMm) + U * normal(), uMm: U };
  });
}

describe.each([4, 5, 7])('a step among %d stations', (stations) => {
  const seeds = Array.from({ length: 200 }, (_, i) => i + 1);

  it('is found with its place in at least 95 of 100, its height in its band in at least 93', () => {
    let [found, held] = [0, 0];
    for (const seed of seeds) {
      const uniform = seededRandom(seed * 31);
      const edge = 3 + (54 * (1 + Math.floor(uniform() * (stations - 1)) - 0.5)) / (stations - 1);
      const rise = (uniform() < 0.5 ? -1 : 1) * (0.06 + 0.3 * uniform());
      const p = fitProfile(
        'outside',
        measured(seed, stations, (x) => 30 + (x > edge ? rise : 0)),
      )!;
      if (p.kind !== 'step' || p.step!.fromMm > edge || p.step!.toMm < edge) continue;
      found++;
      if (Math.abs(p.step!.riseMm - rise) <= p.step!.plusMinusMm) held++;
    }
    expect(found).toBeGreaterThanOrEqual(190);
    expect(held / found).toBeGreaterThanOrEqual(0.93);
  });

  it.each([
    ['a straight shaft', () => 30],
    ['a taper', (x: number) => 30 + 0.002 * x],
    ['a barrel', (x: number) => 30 - 0.0002 * (x - 30) ** 2],
    ['an hourglass beside a taper', (x: number) => 30 + 0.0002 * (x - 30) ** 2 - 0.001 * x],
  ])('is not made of %s, but in 5 of 100', (_, course) => {
    const wrong = seeds.filter((seed) => fitProfile('outside', measured(seed, stations, course))!.kind === 'step');
    expect(wrong.length).toBeLessThanOrEqual(10);
  });
});

it('needs four stations, and has no direction of entry', () => {
  const sizes = [30, 30.2, 30.2];
  expect(
    fitProfile(
      'outside',
      sizes.map((sizeMm, i) => ({ stationMm: 10 * i, sizeMm, uMm: U })),
    )!.step,
  ).toBeNull();
  const points = [30, 30, 30.2, 30.2].map((sizeMm, i) => ({ stationMm: 10 * i, sizeMm, uMm: U }));
  expect(fitProfile('outside', [...points].reverse())!.step).toEqual(fitProfile('outside', points)!.step);
});
