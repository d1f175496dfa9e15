import { feedForRaMm, feedsFor, ridgesMm } from './feed';

/** A surface swept by a round nose, looked at point by point: the mean line first, then how far all of it stands from it. */
function swept(feedMm: number, noseMm: number): { high: number; ra: number } {
  const n = 20_000;
  const z = Array.from({ length: n }, (_, i) => {
    const x = (feedMm * (i + 0.5)) / n - feedMm / 2;
    return noseMm - Math.sqrt(noseMm * noseMm - x * x);
  });
  const mean = z.reduce((s, v) => s + v, 0) / n;
  return { high: Math.max(...z) - Math.min(...z), ra: z.reduce((s, v) => s + Math.abs(v - mean), 0) / n };
}

it('ridges of a round nose, against the swept surface looked at point by point', () => {
  for (const [f, r] of [
    [0.1, 0.4],
    [0.25, 0.8],
    [0.13, 0.2],
  ] as const) {
    const told = ridgesMm(f, r);
    const seen = swept(f, r);
    expect(told.high / seen.high).toBeCloseTo(1, 3);
    expect(told.ra / seen.ra).toBeCloseTo(1, 1);
  }
});

it('the tables of insert makers: 0.4 mm at 0.1 a turn is 0.8 µm at best, the same finish at 0.14 with a nose of 0.8', () => {
  expect(ridgesMm(0.1, 0.4).ra * 1000).toBeCloseTo(0.8, 1);
  expect(feedForRaMm(0.0008, 0.4)).toBeCloseTo(0.1, 2);
  expect(feedForRaMm(0.0008, 0.8)).toBeCloseTo(0.1 * Math.SQRT2, 2);
});

it('a feed for a finish is the feed that leaves it', () => {
  for (const ra of [0.0004, 0.0016, 0.0063])
    for (const nose of [0.2, 0.4, 1.2]) expect(ridgesMm(feedForRaMm(ra, nose), nose).ra).toBeCloseTo(ra, 9);
});

it('finishing is slowed by the finish that is asked for and both by a small nose; a coarse finish hurries nothing', () => {
  const usual = feedsFor(0.4, null);
  expect(feedsFor(0.4, 0.4).finish).toBeLessThan(usual.finish);
  expect(feedsFor(0.4, 12.5)).toEqual(usual);
  const keen = feedsFor(0.1, null);
  expect(keen.rough).toBeLessThan(0.1);
  expect(keen.finish).toBeLessThan(0.1);
});
