import fc from 'fast-check';
import { generalToleranceMm } from './general-tolerance';
import { houseAllowanceMm, houseRuleWords, STARTING_HOUSE_RULES } from './house-rule';
import { askSchool, schoolId, schoolOfId, schoolsOf } from './school';
import { pinForKeptHole, pinForTruedHole, truedSizeMm } from './target';

describe('house rules', () => {
  const grease = STARTING_HOUSE_RULES.find((r) => r.id === 'grease')!;

  it('are base plus rate times diameter, the same number in both units', () => {
    expect(houseAllowanceMm(grease, 25.4)).toBeCloseTo(0.0035 * 25.4, 9);
    expect(houseAllowanceMm(grease, 40.16)).toBeCloseTo(0.0508 + 0.06024, 9);
  });

  it('say themselves in words', () => {
    expect(houseRuleWords(grease)).toBe('house rule running in grease or dirt: 0.0020 in + 0.0015 per in');
  });

  it('make the pin of the check case: 40.049, play 0.261, and say true the hole', () => {
    const target = pinForKeptHole({ smallestMm: 40.16, largestMm: 40.31, ovalityMm: 0.14 }, { kind: 'house', rule: grease });
    if (!target.ok) throw new Error('no target');
    expect(target.value.upperMm).toBeCloseTo(40.049, 3);
    expect(target.value.playAtLargestMm).toBeCloseTo(0.261, 3);
    expect(target.value.trueTheHole).toBe(true);
    expect(target.value.upperMm - target.value.lowerMm).toBeCloseTo(0.016, 9);
  });

  it('do not ask to true a hole that is oval within half the play allowed', () => {
    const target = pinForKeptHole({ smallestMm: 40.16, largestMm: 40.2, ovalityMm: 0.04 }, { kind: 'house', rule: grease });
    expect(target).toMatchObject({ ok: true, value: { trueTheHole: false } });
  });
});

it('bores true to the next step that cleans up', () => {
  expect(truedSizeMm(40.31, 'mm')).toBeCloseTo(40.35, 9);
  expect(truedSizeMm(40.33, 'mm')).toBeCloseTo(40.35, 9);
  expect(truedSizeMm(40.331, 'mm')).toBeCloseTo(40.4, 9);
  expect(truedSizeMm(0.5052 * 25.4, 'in')).toBeCloseTo(0.508 * 25.4, 6);
  const target = pinForTruedHole(40.35, { kind: 'house', rule: STARTING_HOUSE_RULES[1]! });
  expect(target).toMatchObject({ value: { upperMm: expect.closeTo(40.2387, 4) } });
});

it('keeps limits in order and play never below the clearance, in every school', () => {
  fc.assert(
    fc.property(fc.double({ min: 12, max: 249, noNaN: true }), fc.double({ min: 0, max: 0.5, noNaN: true }), (size, oval) => {
      for (const school of schoolsOf(STARTING_HOUSE_RULES)) {
        const t = pinForKeptHole({ smallestMm: size, largestMm: size + oval, ovalityMm: oval }, school);
        if (!t.ok) throw new Error(t.problems[0]!.message);
        expect(t.value.lowerMm).toBeLessThan(t.value.aimMm);
        expect(t.value.aimMm).toBeLessThan(t.value.upperMm);
        expect(t.value.playAtLargestMm).toBeGreaterThanOrEqual(t.value.playAtSmallestMm - 1e-12);
      }
    }),
    { seed: 5, numRuns: 60 },
  );
});

it('knows the general tolerances of ISO 2768-1 m', () => {
  expect([3, 6, 6.1, 30, 55, 120, 121].map(generalToleranceMm)).toEqual([0.1, 0.1, 0.2, 0.2, 0.3, 0.3, 0.5]);
});

describe('schools', () => {
  it('are found again by their id, old ids too', () => {
    for (const school of schoolsOf(STARTING_HOUSE_RULES)) expect(schoolOfId(schoolId(school), STARTING_HOUSE_RULES)).toEqual(school);
    expect(schoolOfId('iso:f7', [])).toEqual({ kind: 'pair', fit: 'H7/f7' });
    expect(schoolOfId('iso:G7/h6', [])).toEqual({ kind: 'pair', fit: 'G7/h6' });
    expect(schoolOfId('inch:FN5', [])).toEqual({ kind: 'pair', fit: 'FN5' });
    expect(schoolOfId('grease', [])).toBeUndefined();
  });

  it('take the step of what the hole was made to, not of what it wore to', () => {
    const f7 = { kind: 'pair', fit: 'H7/f7' } as const;
    expect(askSchool(f7, 50.08)).toMatchObject({ value: { clearanceMm: 0.03 } });
    expect(askSchool(f7, 50.08, 50)).toMatchObject({ value: { clearanceMm: 0.025 } });
  });

  it('say that a pair is none, or that its table does not reach', () => {
    expect(askSchool({ kind: 'pair', fit: 'f7/H7' }, 20)).toMatchObject({ ok: false, problems: [{ code: 'fit' }] });
    expect(askSchool({ kind: 'pair', fit: 'H7/f7' }, 600)).toMatchObject({ ok: false, problems: [{ code: 'out-of-table' }] });
    expect(askSchool({ kind: 'pair', fit: 'H7/f7' }, 0)).toMatchObject({ ok: false, problems: [{ code: 'no-size' }] });
  });
});
