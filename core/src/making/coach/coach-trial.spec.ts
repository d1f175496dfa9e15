import { coachScore, TEMPERS, type TemperName } from './coach-trial';

/** Of 200 parts, so a share and the luck of the draw. */
const PARTS = 200;
/** Most scrapped and fewest in their limits, in 100. */
const WANTED: Readonly<Record<TemperName, readonly [scrapped: number, inLimits: number]>> = {
  stiff: [6, 88],
  'takes 70 to 95 %': [6, 88],
  'springs 2 to 10 %': [8, 88],
  'springs 5 to 30 %': [22, 70],
  'springs as a round nose does': [8, 88],
};

describe.each(Object.keys(TEMPERS) as TemperName[])('IT7 on a lathe that is or has: %s', (temper) => {
  const coach = coachScore(temper, 'coach', PARTS, 50_000);
  const thumb = coachScore(temper, 'half, then the rest', PARTS, 50_000);
  const share = (n: number): number => (100 * n) / PARTS;
  it('comes home, in fewer than five cuts', () => {
    expect(share(coach.scrapped)).toBeLessThanOrEqual(WANTED[temper][0]);
    expect(share(coach.inLimits)).toBeGreaterThanOrEqual(WANTED[temper][1]);
    expect(coach.cuts).toBeLessThan(5);
  });
  it('is ahead of half, then the rest', () => {
    expect(coach.inLimits).toBeGreaterThan(thumb.inLimits);
    expect(coach.scrapped).toBeLessThanOrEqual(thumb.scrapped);
  });
});

it('a springy lathe does scrap what is turned by half, then the rest: the lathes are no easy ones', () =>
  expect(coachScore('springs 5 to 30 %', 'half, then the rest', PARTS, 1).scrapped).toBeGreaterThan(PARTS / 2));
