import { MM_PER_INCH } from '../../terms/quantity';
import { THREADS, threadOf } from './all-threads';
import { neededEngagement, stressAreaMm2 } from './engagement';
import { conversionWords, convertThread, identifyThread } from './identify';
import { BA_ROWS } from './other.data';
import { taperPipe } from './pipe';
import { threadBush, wireInsert } from './repair-bush';
import { singlePoint } from './single-point';
import { threadLimits } from './limits';
import { minorMm, pitchDiameterMm, specialUnified } from './thread';

const t = (name: string) => {
  const found = threadOf(name);
  if (!found) throw new Error(`no ${name}`);
  return found;
};
const good = <T>(o: { ok: true; value: T } | { ok: false }): T => {
  if (!o.ok) throw new Error('refused');
  return o.value;
};

describe('the book of threads', () => {
  it.each([
    ['3/8-24 UNF', 9.525, 24],
    ['#10-32 UNF', 4.826, 32],
    ['1 3/8-6 UNC', 34.925, 6],
    ['5/8 BSF', 15.875, 14],
    ['G 1/2', 20.955, 14],
    ['1/2 NPT', 21.336, 14],
    ['1-5 ACME', 25.4, 5],
    ['1 1/16-16 UN', 26.9875, 16],
  ])('%s is %d mm, %d to the inch', (name, major, tpi) => {
    expect(t(name).majorMm).toBeCloseTo(major, 6);
    expect(t(name).tpi).toBe(tpi);
  });

  it('has one thread a name, every size positive, the pitch well under the diameter', () => {
    expect(new Set(THREADS.map((x) => x.name)).size).toBe(THREADS.length);
    for (const x of THREADS) expect(minorMm(x)).toBeGreaterThan(0.4 * x.majorMm);
  });

  it('BA sizes follow pitch 0.9^n and diameter 6 p^1.2', () => {
    for (const [n, major, pitch] of BA_ROWS) {
      expect(Math.abs(pitch - 0.9 ** n)).toBeLessThan(0.006);
      expect(Math.abs(major - 6 * (0.9 ** n) ** 1.2)).toBeLessThan(0.06);
    }
  });

  it('pitch and minor diameters as published: M10 9.026 and 8.376, 1/2 BSW 0.4466 in', () => {
    expect(pitchDiameterMm(t('M10'))).toBeCloseTo(9.026, 3);
    expect(minorMm(t('M10'))).toBeCloseTo(8.376, 3);
    expect(pitchDiameterMm(t('1/2 BSW')) / MM_PER_INCH).toBeCloseTo(0.4466, 4);
    expect(pitchDiameterMm(t('Tr 30 x 6'))).toBe(27);
  });

  it('NPT E0, E1, L1 and K0 as published, and nothing of what is neither NPT nor R', () => {
    for (const [name, e0, e1, l1, k0] of [
      ['1/8 NPT', 0.36351, 0.3736, 0.1615, 0.33388],
      ['1/4 NPT', 0.47739, 0.49163, 0.2278, 0.43294],
      ['1/2 NPT', 0.75843, 0.77843, 0.32, 0.70129],
      ['3/4 NPT', 0.96768, 0.98887, 0.339, 0.91054],
      ['1 NPT', 1.21363, 1.23863, 0.4, 1.14407],
      ['2 NPT', 2.26902, 2.29627, 0.436, 2.19946],
    ] as const) {
      const inch = taperPipe(name)!.map(([, mm]) => mm / MM_PER_INCH);
      [e0, e1, l1, k0].forEach((published, i) => expect(Math.abs(inch[i]! - published)).toBeLessThan(0.000015));
    }
    expect(taperPipe('R 1')!.map(([, mm]) => mm)).toEqual([33.249, 10.4]);
    expect(taperPipe('G 1')).toBeUndefined();
  });
});

describe('single point', () => {
  const unc = t('3/8-16 UNC');

  it('is 0.61343 P deep for a tip of 0.144 P, more for a sharper tip, less for a small blank', () => {
    const p = unc.pitchMm;
    expect(good(singlePoint(unc, { tip: 'round', sizeMm: 0.14434 * p }, unc.majorMm, 8)).depthMm / p).toBeCloseTo(0.61343, 4);
    expect(good(singlePoint(unc, { tip: 'flat', sizeMm: p / 8 }, unc.majorMm, 8)).depthMm / p).toBeCloseTo(0.75777 - 0.10825, 4);
    const small = good(singlePoint(unc, { tip: 'round', sizeMm: 0.1 }, unc.majorMm - 0.1, 8));
    const full = good(singlePoint(unc, { tip: 'round', sizeMm: 0.1 }, unc.majorMm, 8));
    expect(full.depthMm - small.depthMm).toBeCloseTo(0.05, 9);
    expect(full.alongCompoundMm).toBeCloseTo(full.depthMm / Math.cos((29.5 * Math.PI) / 180), 9);
  });

  it('takes passes of equal chip area', () => {
    const { passesMm, alongCompoundMm } = good(singlePoint(unc, { tip: 'round', sizeMm: 0.1 }, unc.majorMm, 9));
    expect(passesMm).toHaveLength(9);
    expect(passesMm[8]).toBeCloseTo(alongCompoundMm, 9);
    expect(passesMm[0]).toBeCloseTo(alongCompoundMm / 3, 9);
    const areas = passesMm.map((d, i) => d ** 2 - (passesMm[i - 1] ?? 0) ** 2);
    for (const a of areas) expect(a).toBeCloseTo(areas[0]!, 9);
  });

  it('other forms have their own depth', () => {
    expect(good(singlePoint(t('1/2 BSW'), { tip: 'round', sizeMm: 0.2 }, 12.7, 5)).depthMm).toBeCloseTo(0.64033 * t('1/2 BSW').pitchMm, 4);
    expect(good(singlePoint(t('Tr 30 x 6'), { tip: 'flat', sizeMm: 1 }, 30, 5)).depthMm).toBeCloseTo(3.5, 9);
    expect(good(singlePoint(t('1-5 ACME'), { tip: 'flat', sizeMm: 1 }, 25.4, 5)).depthMm / MM_PER_INCH).toBeCloseTo(0.11, 6);
    expect(good(singlePoint(t('2 BA'), { tip: 'round', sizeMm: 0.1 }, 4.7, 5)).depthMm).toBeCloseTo(0.486, 6);
  });

  it.each([
    [{ tip: 'round', sizeMm: 2 } as const, unc.majorMm, 5, 'tip'],
    [{ tip: 'round', sizeMm: 0.1 } as const, 5, 5, 'blankMm'],
    [{ tip: 'round', sizeMm: 0.1 } as const, unc.majorMm, 0, 'passes'],
  ])('names what is wrong', (tool, blank, passes, path) =>
    expect(singlePoint(unc, tool, blank, passes)).toMatchObject({ problems: [{ path }] }),
  );
});

describe('which thread is it', () => {
  it.each([
    ['outside', 9.46, 1.058, '3/8-24 UNF'],
    ['outside', 15.85, 1.5, 'M16 x 1.5'],
    ['outside', 9.85, 1.5, 'M10'],
    ['outside', 26.2, 3.175, '1-8 UNC'],
    ['inside', 8.5, 1.5, 'M10'],
    ['outside', 29.8, 6, 'Tr 30 x 6'],
  ] as const)('%s %d mm, pitch %d mm', (side, d, p, name) => {
    const answer = good(identifyThread(side, d, p));
    if (name === '1-8 UNC') expect(answer.matches).toHaveLength(0);
    else expect(answer.matches[0]!.thread.name).toBe(name);
  });

  it('leaves 55° and 60° side by side and says that the angle decides', () => {
    const answer = good(identifyThread('outside', 6.3, 1.27));
    expect(answer.matches.map((m) => m.thread.name)).toEqual(expect.arrayContaining(['1/4-20 UNC', '1/4 BSW']));
    expect(answer.matches[0]!.thread.name).toBe('1/4-20 UNC');
    expect(answer.words).toContain('profile gauge');
  });

  it('says when it is no standard pair, and names the two nearest', () => {
    const answer = good(identifyThread('outside', 11.2, 1.3));
    expect(answer.matches).toHaveLength(0);
    expect(answer.nearest).toHaveLength(2);
    expect(answer.words).toMatch(/^Not a standard pair\. Nearest: .+ and .+\./);
  });

  it('flags a rare one', () => {
    expect(good(identifyThread('outside', 24.95, 1)).words).toContain('rare');
  });

  it('finds every thread of the book back from its own basic sizes', () => {
    for (const x of THREADS) {
      const { matches } = good(identifyThread('outside', x.majorMm, x.pitchMm));
      expect(matches.map((m) => m.thread.name)).toContain(x.name);
    }
  });

  it('refuses nonsense', () => {
    expect(identifyThread('outside', 0, 1)).toMatchObject({ problems: [{ path: 'diameterMm' }] });
    expect(identifyThread('outside', 10, 12)).toMatchObject({ problems: [{ path: 'pitchMm' }] });
    expect(identifyThread('outside', 10, NaN)).toMatchObject({ ok: false });
  });
});

describe('converted, engaged, bushed', () => {
  it('3/8-16 goes to M10, M12 to 1/2-13 or 7/16-14, with what changes', () => {
    expect(convertThread(t('3/8-16 UNC'))[0]!.thread.name).toBe('M10');
    expect(convertThread(t('M12'))[0]!.thread.name).toMatch(/^(1\/2-13|7\/16-14) UNC$|^1\/2-12/);
    expect(convertThread(t('1-5 ACME'))[0]!.thread.name).toBe('Tr 26 x 5');
    expect(conversionWords(t('3/8-16 UNC'), t('M10'))).toContain('Diameter +5.0 %');
  });

  it('has stress areas as published: M10 58.0, M20 245 mm², 1/2-13 0.1419, 1-8 0.606 in²', () => {
    expect(stressAreaMm2(t('M10'))).toBeCloseTo(58, 1);
    expect(stressAreaMm2(t('M20'))).toBeCloseTo(244.8, 1);
    expect(stressAreaMm2(t('1/2-13 UNC')) / MM_PER_INCH ** 2).toBeCloseTo(0.1419, 4);
    expect(stressAreaMm2(t('1-8 UNC')) / MM_PER_INCH ** 2).toBeCloseTo(0.606, 3);
  });

  it('a nut as strong as its bolt needs well under a diameter; soft aluminium needs more and strips itself', () => {
    const steel = good(neededEngagement(t('M10'), 800, 800));
    expect(steel.neededMm / 10).toBeGreaterThan(0.4);
    expect(steel.neededMm / 10).toBeLessThan(0.9);
    expect(steel.strips).toBe('bolt thread');
    const soft = good(neededEngagement(t('M10'), 800, 200));
    expect(soft.strips).toBe('nut thread');
    expect(soft.neededMm).toBeGreaterThan(2 * steel.neededMm);
    expect(neededEngagement(t('2 BA'), 400, 400)).toMatchObject({ ok: false });
  });

  it('judges the wall of a threaded bush by the inner pitch', () => {
    expect(good(threadBush(t('M10'), t('M16 x 1.5')))).toMatchObject({
      wallMm: expect.closeTo((16 - 1.6238 - 10) / 2, 4),
      strongEnough: true,
    });
    expect(good(threadBush(t('M10'), t('M14 x 1.5')))).toMatchObject({ strongEnough: false });
    expect(threadBush(t('M10'), t('M10'))).toMatchObject({ ok: false });
  });

  it('a wire insert wants its own tap and a wall', () => {
    expect(good(wireInsert(t('M8'), 25))).toMatchObject({ tapMajorMm: expect.closeTo(9.624, 3), strongEnough: true });
    expect(good(wireInsert(t('M8'), 15)).strongEnough).toBe(false);
    expect(wireInsert(t('1/2 BSW'), 40)).toMatchObject({ problems: [{ code: 'form' }] });
    expect(wireInsert(t('M8'), 9)).toMatchObject({ problems: [{ path: 'bossMm' }] });
  });

  it('a pair in no series is a special by formula', () => {
    // Published: 1-14 UNS 2A is 0.9983 to 0.9880 major, 0.9519 to 0.9463 pitch diameter.
    const limits = threadLimits(t('1-14 UNS'), 'outside', '2A');
    expect(limits).toMatchObject({
      value: {
        major: { lowerMm: expect.closeTo(0.988 * 25.4, 4), upperMm: expect.closeTo(0.9983 * 25.4, 4) },
        pitchDiameter: { upperMm: expect.closeTo(0.9519 * 25.4, 4), lowerMm: expect.closeTo(0.9463 * 25.4, 4) },
      },
    });
    expect(specialUnified(0.45, 22)).toMatchObject({ series: 'special', majorMm: expect.closeTo(11.43, 9) });
  });
});
