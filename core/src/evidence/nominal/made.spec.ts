import { bandFor, madeBands } from './made';

it.each([
  ['mm', 'outside', 'seat', 25],
  ['mm', 'inside', 'any', 47],
  ['in', 'outside', 'any', 25.4],
  ['in', 'inside', 'seat', 38.1],
] as const)('shares of how parts of %s %s, %s, are made come to one, and each band has a width', (unit, side, use, size) => {
  const bands = madeBands(size, unit, side, use);
  expect(bands.reduce((s, b) => s + b.share, 0)).toBeCloseTo(1, 12);
  for (const b of bands) expect(b.highMm).toBeGreaterThan(b.lowMm);
});

it('k6 on 25 is 25.002 to 25.015 (ISO 286-2), and a land of 25.008 in it is told by it', () => {
  const k6 = madeBands(25, 'mm', 'outside', 'seat').find((b) => b.words === 'k6')!;
  expect([k6.lowMm, k6.highMm]).toEqual([expect.closeTo(25.002, 9), expect.closeTo(25.015, 9)]);
  const band = bandFor(madeBands(25, 'mm', 'outside', 'seat'), 25.008);
  expect(band.lowMm).toBeLessThanOrEqual(25.008);
  expect(band.highMm).toBeGreaterThanOrEqual(25.008);
});

it('without a land the usual one is told', () => {
  const bands = madeBands(25, 'mm', 'outside', 'seat');
  expect(bandFor(bands, null)).toBe(bands[0]);
});
