import { knownTruthScore, RECOVERED } from './known-truth';

const PARTS = 100;
const LEAST = 93;

describe('parts whose truth is known, measured by simulated instruments', () => {
  const score = knownTruthScore(PARTS);
  it.each(RECOVERED)('have their %s inside the stated 95 %% band in at least 93 of 100', (quantity) => {
    expect(score[quantity]).toBeGreaterThanOrEqual(LEAST);
  });

  it('are not hidden in bands so wide that every one fits', () => {
    expect(Object.values(score).reduce((s, n) => s + n, 0)).toBeLessThan(PARTS * RECOVERED.length);
  });
});
