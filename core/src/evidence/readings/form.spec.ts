import fc from 'fast-check';
import { disputes, type InstrumentReading } from './agreement';
import { depthCheck } from './depth-check';
import { fitHarmonics, ordersAllowed } from './harmonics';
import { leastSquares } from './least-squares';
import { planFor, type PlanInput } from './measuring-plan';
import { planAdvice } from './plan-advice';
import { fitProfile } from './profile';
import { roundness } from './roundness';
import { analyseSection } from './section';
import { analyseShape } from './shape';
import { fitLobes, vBlockFactor, vBlockSees } from './v-block';

const rad = (deg: number): number => (deg * Math.PI) / 180;
const round = (n: number): number[] => Array.from({ length: n }, (_, i) => (i * 360) / n);
const mic = (stationMm: number, clockDeg: number, valueMm: number, instrumentId = 'mic', instrumentMm = 0.002): InstrumentReading => ({
  stationMm,
  clockDeg,
  valueMm,
  instrumentMm,
  points: 2,
  instrumentId,
});

describe('least squares', () => {
  it('gives the line of a worked example (slope 0.6, intercept 2.2) and its residuals', () => {
    // y = 2, 4, 5, 4, 5 at x = 1 to 5: the usual textbook case.
    const fit = leastSquares(
      [1, 2, 3, 4, 5].map((x) => [1, x]),
      [2, 4, 5, 4, 5],
    )!;
    expect(fit.coefficients[0]).toBeCloseTo(2.2, 9);
    expect(fit.coefficients[1]).toBeCloseTo(0.6, 9);
    expect(fit.residuals.reduce((s, r) => s + r * r, 0)).toBeCloseTo(2.4, 9);
    expect(fit.spare).toBe(3);
  });

  it('says when the readings cannot tell', () => {
    expect(
      leastSquares(
        [
          [1, 2],
          [1, 2],
        ],
        [1, 2],
      ),
    ).toBeNull();
    expect(leastSquares([[1, 2]], [1])).toBeNull();
  });
});

describe('waves round the clock', () => {
  it('are as many as the angles can tell apart', () => {
    expect(ordersAllowed([0, 60, 120], [2, 4, 6])).toEqual([2]);
    expect(ordersAllowed([0, 45, 90, 135], [2, 4, 6])).toEqual([2]);
    expect(ordersAllowed([0, 30, 60, 90, 120, 150], [2, 4, 6])).toEqual([2, 4]);
    expect(ordersAllowed([0, 90], [2, 4])).toEqual([]);
  });

  it('come back with amplitude and crest', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.001, max: 1, noNaN: true }), fc.double({ min: 0, max: 71, noNaN: true }), (amplitude, peak) => {
        const fit = fitHarmonics(
          round(12).map((clockDeg) => ({ clockDeg, valueMm: 7 + amplitude * Math.cos(5 * rad(clockDeg - peak)) })),
          [1, 5],
          0,
        )!;
        expect(fit.waves[1]!.amplitudeMm).toBeCloseTo(amplitude, 9);
        expect(Math.abs(fit.waves[1]!.peakDeg - peak) % 72).toBeLessThan(1e-5);
        expect(fit.waves[0]!.amplitudeMm).toBeCloseTo(0, 9);
      }),
      { seed: 5 },
    );
  });

  it('tell four lobes from an oval with six directions and keep both in the smallest size', () => {
    const section = analyseSection(
      0,
      [0, 30, 60, 90, 120, 150].map((deg) => mic(0, deg, 30 + 0.05 * Math.cos(2 * rad(deg)) + 0.02 * Math.cos(4 * rad(deg)))),
    );
    expect(section.ovalityMm).toBeCloseTo(0.1, 9);
    expect(section.waves.map((w) => w.order)).toEqual([2, 4]);
    expect(section.largestMm).toBeCloseTo(30.07, 9);
    expect(
      analyseShape('outside', [mic(0, 0, 30), mic(0, 60, 30), mic(0, 120, 30)], 0)!
        .blind.map((b) => b.text)
        .join(' '),
    ).toContain('four lobes');
  });
});

describe('a V-block', () => {
  it.each([
    [90, 2, 1],
    [90, 3, 2],
    [90, 5, 2],
    [90, 7, 0],
    [90, 9, 0],
    [60, 2, 0],
    [60, 3, 3],
    [60, 4, 0],
    [60, 5, 0],
    [60, 6, 3],
    [60, 9, 3],
  ])('of %d° shows %d lobes %d times', (v, lobes, factor) => expect(vBlockFactor(lobes, v)).toBeCloseTo(factor, 9));

  it('never shows a part that is only off centre', () => {
    for (const v of [60, 90, 108, 120]) expect(vBlockFactor(1, v)).toBeCloseTo(0, 9);
  });

  it('says which lobes it is blind to', () => {
    expect(vBlockSees(90).blind).toEqual([7, 9]);
    expect(vBlockSees(60).sees).toEqual([3, 6, 9]);
  });

  it('gives the true lobe by taking its factor out, also where it shows it upside down', () => {
    const shown = round(16).map((clockDeg) => ({ clockDeg, valueMm: vBlockFactor(4, 90) * 0.01 * Math.cos(4 * rad(clockDeg - 20)) }));
    const lobe = fitLobes(shown, 90, 0)!.lobes[0]!;
    expect(lobe.order).toBe(4);
    expect(lobe.amplitudeMm).toBeCloseTo(0.01, 9);
    expect(lobe.peakDeg).toBeCloseTo(20, 5);
    expect(fitLobes(shown, 90, 0)!.outOfRoundMm).toBeCloseTo(0.02, 5);
    expect(fitLobes(shown.slice(0, 2), 90, 0)).toBeNull();
  });
});

describe('roundness', () => {
  const oval = (n: number, x = 0) =>
    round(n).map((clockDeg) => ({ clockDeg, valueMm: 0.02 * Math.cos(2 * rad(clockDeg)) + x * Math.cos(rad(clockDeg)) }));

  it('of an oval is its largest less smallest radius by both circles, wherever its middle lies', () => {
    for (const x of [0, 0.3]) {
      const r = roundness(oval(36, x), 0.001)!;
      expect(r.leastSquaresMm).toBeCloseTo(0.04, 9);
      expect(r.minimumZoneMm).toBeCloseTo(0.04, 6);
      expect(r.centre.x).toBeCloseTo(x, 9);
    }
  });

  it('by the minimum zone is never more than by least squares, and less where one spot sticks out', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: -0.02, max: 0.02, noNaN: true }), { minLength: 8, maxLength: 24 }), (rises) => {
        const r = roundness(
          rises.map((valueMm, i) => ({ clockDeg: (i * 360) / rises.length, valueMm })),
          0.001,
        )!;
        expect(r.minimumZoneMm).toBeLessThanOrEqual(r.leastSquaresMm + 1e-12);
      }),
      { seed: 11, numRuns: 40 },
    );
    const bump = round(8).map((clockDeg) => ({ clockDeg, valueMm: clockDeg === 0 ? 0.02 : 0 }));
    // By hand: a centre shifted 0.01 to the bump leaves 0.01 there and at 180°, and -0.01 cos 45° beside it.
    const r = roundness(bump, 0.001)!;
    expect(r.minimumZoneMm).toBeCloseTo(0.01 + 0.01 * Math.SQRT1_2, 7);
    expect(r.leastSquaresMm).toBeGreaterThan(r.minimumZoneMm + 0.001);
    expect(roundness(bump.slice(0, 3), 0.001)).toBeNull();
  });
});

describe('along the axis', () => {
  const at = (sizes: readonly number[], uMm = 0.001) => sizes.map((sizeMm, i) => ({ stationMm: i * 10, sizeMm, uMm }));

  it.each([
    ['outside', [30, 30, 30, 30], 'straight'],
    ['outside', [30, 30.02, 30.04, 30.06], 'taper'],
    ['outside', [30, 30.05, 30.05, 30], 'barrel'],
    ['outside', [30, 29.95, 29.95, 30], 'hourglass'],
    ['inside', [30, 29.95, 29.95, 30], 'bell-mouth'],
    ['inside', [30, 30], 'not known'],
    ['inside', [30, 30.2], 'taper'],
  ] as const)('%s %p is %s', (side, sizes, kind) => expect(fitProfile(side, at(sizes))!.kind).toBe(kind));

  it('measures taper and belly', () => {
    const p = fitProfile('outside', at([30, 30.06, 30.08, 30.06]))!;
    // 30, 30.06, 30.08, 30.06 = a parabola: second differences all -0.04, so belly (15² / 10²) x 0.02 = 0.045, slope at the middle 0.02 / 10.
    expect(p.bellyMm).toBeCloseTo(0.045, 9);
    expect(p.taperPerMm).toBeCloseTo(0.002, 9);
    expect(fitProfile('outside', at([30]))).toBeNull();
  });
});

describe('a depth over the fitted ring', () => {
  const base = { directMm: 40, overRingMm: 40.3, ringMm: 1.75, grooveWidthMm: 1.85, plusMinusMm: 0.05 };
  it.each([
    ['near', 'near', 40.02, 40.02, true],
    ['far', 'near', 40.1, 40, true],
    ['near', 'far', 41.75, 40, true],
    ['far', 'far', 41.85, 40, true],
    ['near', 'near', 40.2, 40.2, false],
  ] as const)('lying on the %s wall, %s face read %d: wall at %d', (restsOn, face, overRingMm, wall, agree) => {
    const check = depthCheck({ ...base, overRingMm, restsOn, face });
    expect(check.byRingMm).toBeCloseTo(wall, 9);
    expect(check.allowedMm).toBeCloseTo(0.15, 9);
    expect(check.agree).toBe(agree);
  });
});

describe('two instruments', () => {
  it('that disagree beyond both their uncertainties are put side by side, at the worst spot', () => {
    const found = disputes([mic(5, 0, 30), mic(5, 0, 30.06, 'caliper', 0.013), mic(9, 90, 30), mic(9, 90, 30.09, 'caliper', 0.013)]);
    expect(found).toHaveLength(1);
    expect(found[0]).toMatchObject({ stationMm: 9, differenceMm: expect.closeTo(0.09, 9) });
    expect(found[0]!.allowedMm).toBeCloseTo(2 * Math.hypot(0.002, 0.013), 9);
  });

  it('that agree, or never met at one spot, or touch in different ways, are left alone', () => {
    expect(disputes([mic(5, 0, 30), mic(5, 0, 30.02, 'caliper', 0.013)])).toEqual([]);
    expect(disputes([mic(5, 0, 30), mic(5, 45, 31, 'caliper', 0.013)])).toEqual([]);
    expect(disputes([mic(5, 0, 30), { ...mic(5, 0, 31, 'head', 0.003), points: 3 }])).toEqual([]);
  });
});

describe('the measuring plan by suspicion', () => {
  const plan = (more: Partial<PlanInput>) =>
    planFor({ kind: 'diameter', side: 'inside', startMm: 0, lengthMm: 60, suspicions: [], unit: 'mm', ...more });

  it('reaches for two points where an oval is suspected, for three where lobes are', () => {
    expect(plan({ suspicions: ['oval'] }).clocksDeg).toEqual([0, 45, 90, 135]);
    expect(plan({ suspicions: ['oval'] }).instruments[0]).toBe('telescoping-gauge');
    expect(plan({ suspicions: ['lobed'] }).instruments[0]).toBe('bore-head');
    expect(plan({ suspicions: ['oval', 'lobed'] }).clocksDeg).toHaveLength(6);
  });

  it('takes more stations for a taper and for a bend, and the track of a seal with both its sides', () => {
    expect(plan({ suspicions: ['tapered'] }).stationsMm).toHaveLength(5);
    expect(plan({ kind: 'straightness', lengthMm: 400 }).stationsMm).toHaveLength(7);
    expect(plan({ kind: 'straightness' }).instruments).toEqual(['indicator']);
    expect(plan({ side: 'outside', suspicions: ['seal-groove'] }).stationsMm).toEqual([5, 25, 30, 35, 55]);
  });

  it('says why, and where the unworn land may be', () => {
    expect(plan({ suspicions: ['bearing'] }).why[0]).toContain('bearing');
    expect(plan({ side: 'outside' }).unworn).toContain('under the seal');
  });

  it('asks for 45° and 135° once two directions differ', () => {
    const shape = analyseShape('outside', [mic(20, 0, 30.12), mic(20, 90, 30)], 1e-5)!;
    const [first] = planAdvice('outside', shape, { stationsMm: [20], clocksDeg: [0, 90] }, 'mm');
    expect(first).toMatchObject({ addClocksDeg: [45, 135], text: 'Oval 0.120 mm or more at 20 mm: add 45° and 135°.' });
    expect(planAdvice('outside', shape, { stationsMm: [20], clocksDeg: [0, 45, 90, 135] }, 'mm')).toEqual([]);
    expect(planAdvice('outside', null, { stationsMm: [20], clocksDeg: [0, 90] }, 'mm')).toEqual([]);
  });

  it('asks for a station between two that differ, and for repeats off the curve', () => {
    const step = analyseShape('outside', [mic(0, 0, 30), mic(40, 0, 29.8)], 1e-5)!;
    expect(planAdvice('outside', step, { stationsMm: [0, 40], clocksDeg: [0] }, 'mm')[0]!.addStationsMm).toEqual([20]);
    // Half way is 20 mm, 0.787 in: the line of an inch rule beside it is 13/16.
    const inch = planAdvice('outside', step, { stationsMm: [0, 40], clocksDeg: [0] }, 'in')[0]!;
    expect(inch.addStationsMm[0]).toBeCloseTo(0.8125 * 25.4, 9);
    expect(inch.text).toContain('add 0.8125 in to see where it steps');
    expect(planAdvice('outside', step, { stationsMm: [0, 40], clocksDeg: [0], kind: 'taper' }, 'mm')).toEqual([]);
    const scored = analyseShape('outside', [mic(0, 0, 30), mic(0, 45, 29.9), mic(0, 90, 30), mic(0, 135, 29.9)], 1e-5)!;
    const said = planAdvice('outside', scored, { stationsMm: [0], clocksDeg: [0, 45, 90, 135] }, 'mm');
    expect(said.map((a) => a.text).join(' ')).toContain('has a flat');
    // No oval and no arc looks like that: between the directions nobody has looked.
    expect(said[0]!.addClocksDeg).toEqual([22.5, 67.5, 112.5, 157.5]);
  });
});
