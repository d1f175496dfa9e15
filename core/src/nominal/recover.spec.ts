import { candidatesBetween } from './candidates';
import { recoverNominal, wearDensity } from './recover';

const first = (r: ReturnType<typeof recoverNominal>): string => r.ranked[0]!.name;

describe('what was it?', () => {
  it('finds 40 mm f7 from an unworn land, whatever the worn place shows', () => {
    const r = recoverNominal({ side: 'outside', land: { sizeMm: 39.975, uMm: 0.003 }, worn: { sizeMm: 39.67, uMm: 0.003 } }, 0.4);
    expect(first(r)).toBe('40 mm f7');
    expect(r.ranked[0]!.probability).toBeGreaterThan(0.9);
    expect(r.canTell).toBe(true);
    expect(r.ranked[0]!.reasons[0]).toContain('inside f7');
  });

  it('finds 3/4 in from a land a thou under', () => {
    const r = recoverNominal({ side: 'outside', land: { sizeMm: 0.749 * 25.4, uMm: 0.003 }, worn: null }, 0.6);
    expect(first(r)).toBe('3/4 in');
  });

  it('never lets a worn round number win over the unworn land', () => {
    const r = recoverNominal({ side: 'outside', land: { sizeMm: 24.985, uMm: 0.003 }, worn: { sizeMm: 24.5, uMm: 0.002 } });
    expect(first(r)).toContain('25 mm');
    expect(r.ranked.find((x) => x.sizeMm === 24.5)?.probability ?? 0).toBeLessThan(0.001);
  });

  it('says that it cannot tell without a land when candidates stand closer than the wear', () => {
    const r = recoverNominal({ side: 'outside', land: null, worn: { sizeMm: 24.35, uMm: 0.01 } });
    expect(r.canTell).toBe(false);
    expect(r.note).toContain('cannot be told apart');
  });

  it('shares a belief: more inch, and the inch candidate gains', () => {
    const evidence = { side: 'outside' as const, land: { sizeMm: 25.4, uMm: 0.03 }, worn: null };
    const share = (belief: number): number => recoverNominal(evidence, belief).ranked.find((x) => x.name === '1 in')!.probability;
    expect(share(0.9)).toBeGreaterThan(share(0.1));
    const { evidence: by } = recoverNominal(evidence, 0.5);
    expect(by.in).toBeGreaterThan(by.mm);
  });

  it('gives probabilities that sum to one, and none without evidence', () => {
    const r = recoverNominal({ side: 'inside', land: null, worn: { sizeMm: 40.16, uMm: 0.008 } });
    expect(r.ranked.reduce((s, x) => s + x.probability, 0)).toBeCloseTo(1, 9);
    expect(recoverNominal({ side: 'inside', land: null, worn: null }).ranked).toEqual([]);
  });
});

it('weighs eighths over sixty-fourths and whole over half millimetres', () => {
  const weight = (name: string): number => candidatesBetween(18, 21).find((c) => c.name === name)!.weight;
  expect(weight('3/4 in')).toBeGreaterThan(weight('49/64 in'));
  expect(weight('20 mm')).toBeGreaterThan(weight('19.5 mm'));
});

it('integrates the density of wear to one, tail and all', () => {
  let sum = 0;
  for (let x = -1; x < 4; x += 0.0005) sum += wearDensity(x, 0.01, 0.15) * 0.0005;
  expect(sum).toBeCloseTo(1, 3);
  expect(wearDensity(-3, 0.01, 0.15)).toBeLessThan(1e-100);
});
