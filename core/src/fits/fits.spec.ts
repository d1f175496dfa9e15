import fc from 'fast-check';
import { generalToleranceMm } from './general-tolerance';
import { houseAllowanceMm, houseRuleWords, STARTING_HOUSE_RULES } from './house-rule';
import { toleranceWidth, zoneDeviations, type Zone } from './iso286';
import { DEVIATION_MICROMETRES, IT_MICROMETRES, STEP_UPPER_MM } from './iso286.data';
import { schoolsOf } from './school';
import { pinForKeptHole, pinForTruedHole, truedSizeMm } from './target';

const limits = (zone: Zone, size: number): [number, number] => {
  const d = zoneDeviations(zone, size);
  if (!d.ok) throw new Error(d.problems[0]!.message);
  return [Math.round(d.value.lowerMm * 1000), Math.round(d.value.upperMm * 1000)];
};

describe('ISO 286 as published', () => {
  it.each([
    ['H7', 25, [0, 21]],
    ['H7', 40, [0, 25]],
    ['f7', 40, [-50, -25]],
    ['g6', 40, [-25, -9]],
    ['h6', 40, [-16, 0]],
    ['p6', 40, [26, 42]],
    ['f7', 1, [-16, -6]],
    ['g6', 250, [-44, -15]],
    ['p6', 100, [37, 59]],
  ] as const)('%s at %d mm is %j µm', (zone, size, expected) => expect(limits(zone, size)).toEqual(expected));

  it.each([
    [18, 18],
    [30, 21],
    [50, 25],
    [80, 30],
    [120, 35],
    [180, 40],
  ])('takes exactly %d mm into the lower step: IT7 %d µm', (size, it7) => {
    expect(limits('H7', size)[1]).toBe(it7);
    expect(limits('H7', size + 0.001)[1]).toBeGreaterThan(it7);
  });

  it('gives a reason outside 1 to 250 mm', () => {
    for (const size of [0.5, 251, NaN, -4])
      expect(toleranceWidth('IT7', size)).toMatchObject({ ok: false, problems: [{ code: 'out-of-table' }] });
  });

  const means = STEP_UPPER_MM.map((upper, i) => Math.sqrt(upper * (STEP_UPPER_MM[i - 1] ?? 1)));
  it('agrees with i = 0.45 D^(1/3) + 0.001 D within the rounding of the standard', () => {
    const unit = (d: number): number => 0.45 * Math.cbrt(d) + 0.001 * d;
    const multiples = { IT6: 10, IT7: 16, IT8: 25, IT9: 40 } as const;
    for (const [grade, multiple] of Object.entries(multiples))
      means.slice(1).forEach((d, i) => {
        const published = IT_MICROMETRES[grade as keyof typeof multiples][i + 1]!;
        expect(Math.abs(published - multiple * unit(d))).toBeLessThan(Math.max(1, 0.06 * published));
      });
  });

  it('agrees with f = -5.5 D^0.41 and g = -2.5 D^0.34 to a micrometre of rounding', () => {
    means.slice(1).forEach((d, i) => {
      expect(Math.abs(DEVIATION_MICROMETRES.f[i + 1]! + 5.5 * d ** 0.41)).toBeLessThan(1);
      expect(Math.abs(DEVIATION_MICROMETRES.g[i + 1]! + 2.5 * d ** 0.34)).toBeLessThan(1);
    });
  });
});

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
    fc.property(fc.double({ min: 1, max: 249, noNaN: true }), fc.double({ min: 0, max: 0.5, noNaN: true }), (size, oval) => {
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
