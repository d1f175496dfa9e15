import { judge, worst } from './judge';
import { drawPlay, playDistribution } from './play-distribution';
import { normalDraws, seededRandom } from './random';

const limits = { lowerMm: 40.033, upperMm: 40.049 };

it.each([
  [40.041, 0.004, 'fits'],
  [40.047, 0.004, 'close'],
  [40.049, 0.004, 'close'],
  [40.052, 0.004, 'close'],
  [40.054, 0.004, 'out'],
  [40.028, 0.004, 'out'],
  [40.041, 0.02, 'close'],
] as const)('%d ± %d is %s', (size, u, verdict) => expect(judge(size, u, limits)).toBe(verdict));

it('takes the worse of verdicts', () => {
  expect(worst(['fits', 'close'])).toBe('close');
  expect(worst(['fits', 'out', 'unknown'])).toBe('out');
  expect(worst([])).toBe('unknown');
});

describe('play as a distribution', () => {
  const input = {
    pinMm: 40.041,
    pinPlusMinusMm: 0.004,
    holeSmallestMm: 40.16,
    holeLargestMm: 40.31,
    holePlusMinusMm: 0.016,
    draws: 40_000,
    seed: 1,
  };

  it('has the mean and spread of a uniform place plus two normals', () => {
    const d = playDistribution(input);
    expect(d.meanMm).toBeCloseTo(40.235 - 40.041, 2);
    expect(d.lowMm).toBeGreaterThan(0.11);
    expect(d.highMm).toBeLessThan(0.28);
    expect(d.bindsShare).toBe(0);
    expect(d.bins.reduce((s, b) => s + b.count, 0)).toBe(input.draws);
  });

  it('is the same for the same seed and not for another', () => {
    expect(playDistribution(input)).toEqual(playDistribution(input));
    expect(playDistribution({ ...input, seed: 2 }).meanMm).not.toBe(playDistribution(input).meanMm);
  });

  it('binds half the time when pin and hole are the same size', () => {
    const d = playDistribution({ ...input, pinMm: 40.16, holeLargestMm: 40.16 });
    expect(d.bindsShare).toBeCloseTo(0.5, 1);
  });

  it('reports on the way', () => {
    expect([...drawPlay({ ...input, draws: 60_000 })]).toEqual([20_000, 40_000, 60_000]);
  });
});

it('draws standard normals', () => {
  const draw = normalDraws(seededRandom(9));
  const xs = Array.from({ length: 100_000 }, draw);
  const mean = xs.reduce((s, x) => s + x, 0) / xs.length;
  const variance = xs.reduce((s, x) => s + (x - mean) ** 2, 0) / xs.length;
  expect(Math.abs(mean)).toBeLessThan(0.01);
  expect(Math.abs(variance - 1)).toBeLessThan(0.02);
});
