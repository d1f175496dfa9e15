import { slipScore } from './slip-trial';

describe('gross errors in 600 seeded places, worn and not', () => {
  const score = slipScore(600);

  it('are noticed in at least 95 of 100 once the place is measured, and when typed where enough stood there to tell', () => {
    expect(score.largeSlips).toBeGreaterThan(400);
    expect(score.afterwards / score.largeSlips).toBeGreaterThanOrEqual(0.95);
    expect(score.tellable).toBeGreaterThan(150);
    expect(score.atEntry / score.tellable).toBeGreaterThanOrEqual(0.95);
  });

  it('are seen in no more than 3 of 100 places that were read right', () =>
    expect(score.falseAlarms / score.parts).toBeLessThanOrEqual(0.03));
});
