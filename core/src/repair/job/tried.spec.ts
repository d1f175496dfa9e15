import { normalDraws, seededRandom } from '../../evidence/proof';
import { surface, type Part } from '../../making/part';
import { choiceKey } from './choices';
import { usualPlan } from './plan-finding';
import { signProblems } from './proof-finding';
import type { JobSheet, ReadingRecord } from './records';
import { workOut, type Repair } from './repair';
import { barrelReadings, testChoice, testInstrument, testReading, testSheet, testShop } from './testing';
import { narrowed, trialWords, type TrialChoice } from './tried';

// The barrel is 40.17 at its tightest near the start, 40.16 further in, and a pin for it 40.05 by the grease rule.
const PIN: Part = {
  ...{ name: 'Pin', materialId: 'steel-c45', limits: {}, features: [], block: null, bores: [] },
  outside: [{ ...surface('body', 'cylinder', 'Body', 60, 40.049), fitsPlaceIds: ['barrel'] }],
};
const crib = [
  ...testShop.instruments.filter((i) => i.id !== 'mic'),
  testInstrument('mic', { uMm: 0.002, rangeHighMm: 60 }),
  testInstrument('rough', { uMm: 0.05, kind: 'caliper', rangeLowMm: 0, rangeHighMm: 150 }),
];
const shop = { ...testShop, instruments: crib };

const at = (minute: number): string => `2026-11-22T10:${String(minute).padStart(2, '0')}:00Z`;
const tried = (minute: number, feel: TrialChoice['feel'], more: Partial<TrialChoice> = {}) =>
  testChoice(choiceKey.trial(`t${minute}`), {
    ...{ itemId: 'job', piece: 1, segmentId: 'body', placeId: 'barrel', feel, wentInMm: feel === 'binds' ? 12 : null, from: 'start' },
    ...{ partTempC: null, remark: '', triedAt: at(minute), removed: false },
    ...more,
  } satisfies TrialChoice);
const read = (minute: number, valueMm: number, more: Partial<ReadingRecord> = {}): ReadingRecord =>
  testReading({ purpose: 'cut', segmentId: 'body', valueMm, instrumentId: 'mic', takenAt: at(minute), ...more });

function job(trials: JobSheet['choices'], readings: readonly ReadingRecord[] = []): Repair {
  const sheet = testSheet();
  const choices = [
    testChoice(choiceKey.part, PIN),
    testChoice(choiceKey.plan, { ...usualPlan(testShop.lathes[0]!), way: 'bar' }),
    testChoice(choiceKey.fit('barrel'), { schoolId: 'grease', hole: 'keep', truedMm: null }),
    ...trials,
  ];
  // The fifth of a millimetre of the barrel told by a fine gauge.
  const places = barrelReadings().map((r) => ({ ...r, instrumentId: 'mic', unit: 'mm' as const }));
  return workOut({ ...sheet, choices, readings: [...sheet.readings.filter((r) => r.placeId !== 'barrel'), ...places, ...readings] }, shop);
}
const body = (r: Repair) => r.cuts.find((c) => c.segment.segment.id === 'body')!.tried;

describe('a piece tried with its mate', () => {
  it('tells its size where nobody read it', () => {
    const { canBe, sentences } = body(job([tried(1, 'binds')]));
    // Tightest up to 12 mm in: between 40.17 at 5 mm and 40.16 at 20.
    expect(canBe!.atMostMm).toBeGreaterThan(40.165);
    expect(canBe!.atMostMm).toBeLessThan(40.2);
    expect(canBe!.atLeastMm).toBeLessThan(40.165);
    expect(canBe!.atLeastMm).toBeGreaterThan(40.14);
    expect(sentences[0]).toMatch(/^By how it went in it is between 40\.\d+ mm and 40\.\d+ mm\.$/);
    expect(body(job([]))).toMatchObject({ trials: [], canBe: null, sentences: [] });
  });

  it('narrows what a coarse caliper says', () => {
    const { canBe } = body(job([tried(2, 'shakes')], [read(1, 40.15, { instrumentId: 'rough' })]));
    expect(canBe!.atMostMm).toBeLessThan(40.195);
    expect(canBe!.atLeastMm).toBeCloseTo(40.05, 2);
  });

  it('says that a reading and a trial cannot both be right', () => {
    const said = body(job([tried(2, 'binds')], [read(1, 40.05)]));
    expect(said.canBe).toBeNull();
    expect(said.against).toMatch(/It reads 40\.050 mm .* Both cannot be right/);
  });

  it('that it went in stays true while it is turned, that it bound does not', () => {
    const bound = body(job([tried(2, 'binds')], [read(1, 40.18), read(3, 40.05)]));
    expect(bound.against).toBeNull();
    expect(bound.bound).toBeNull();
    const went = body(job([tried(2, 'slides')], [read(1, 40.15), read(3, 40.3)]));
    expect(went.against).toContain('at most');
    // The newest of two trials only says that it bound.
    expect(body(job([tried(2, 'binds'), tried(4, 'shakes')])).bound).toBeNull();
  });

  it('a warm piece is smaller once it is cold', () => {
    const cold = body(job([tried(1, 'binds')])).canBe!;
    const warm = body(job([tried(1, 'binds', { partTempC: 50 })])).canBe!;
    // 40.17 of steel by 30 K: 0.0139 mm.
    expect(cold.atMostMm! - warm.atMostMm!).toBeCloseTo(0.01386, 4);
  });

  it('is of its piece, and taken back it says nothing', () => {
    const sheet = job([tried(1, 'binds', { piece: 2 })]);
    expect(body(sheet).trials).toEqual([]);
    expect(body(job([tried(1, 'binds', { removed: true })])).trials).toEqual([]);
    expect(body(job([tried(1, 'binds', { itemId: 'another' })])).trials).toEqual([]);
  });

  it('what bound where it was to run is not passed without a word', () => {
    const proofs = [0, 90].flatMap((clockDeg) =>
      [10, 30, 50].map((stationMm) => read(5, 40.045, { purpose: 'proof', stationMm, clockDeg, takenAt: at(3) })),
    );
    const of = (trials: JobSheet['choices']) =>
      job(trials, [read(1, 40.045), ...proofs]).proofs.find((p) => p.dimension.dimension.key === 'body')!;
    const pass = { passed: true, remark: '', gaugedWith: '', gaugedValue: null };
    expect(signProblems(of([]), pass).map((p) => p.code)).not.toContain('bound');
    expect(signProblems(of([tried(6, 'binds')]), pass)).toMatchObject([{ code: 'bound', path: 'remark' }]);
    expect(signProblems(of([tried(6, 'binds')]), { ...pass, remark: 'burr in the barrel, dressed' })).toEqual([]);
    expect(signProblems(of([tried(6, 'shakes')]), pass).map((p) => p.code)).not.toContain('bound');
  });

  it('in words, in either unit', () => {
    expect(trialWords({ feel: 'binds', wentInMm: 12 }, 'mm')).toBe('goes in 12 mm and binds');
    expect(trialWords({ feel: 'binds', wentInMm: 12.7 }, 'in')).toMatch(/^goes in 0\.50* in and binds$/);
    expect(trialWords({ feel: 'slides', wentInMm: null }, 'mm')).toBe('slides through, no shake');
  });
});

describe('the next cut counts from reading and trial together', () => {
  const cutAt = (r: Repair) => r.cuts.find((c) => c.segment.segment.id === 'body')!;

  it('what a caliper cannot tell its mate does; the working says both', () => {
    const rough = [read(1, 40.15, { instrumentId: 'rough', dial: 0 })];
    const [alone, both] = [cutAt(job([], rough)), cutAt(job([tried(2, 'binds')], rough))];
    expect(alone.advice.leftMm).toBeCloseTo(40.15 - alone.advice.aimMm, 9);
    const { canBe } = both.tried;
    const middle = (canBe!.atLeastMm! + canBe!.atMostMm!) / 2;
    expect(both.advice.leftMm).toBeCloseTo(middle - both.advice.aimMm, 9);
    expect(both.left!.value).toBeCloseTo(both.advice.leftMm, 9);
    expect(both.advice.sentences[0]).toContain('With how it went together it is 40.1');
    // A mic knows it better than the hand: nothing is changed.
    const fine = [read(1, 40.1602, { dial: 0 })];
    expect(cutAt(job([tried(2, 'binds')], fine)).advice.sentences[0]).not.toContain('With how it went together');
  });

  it('lies nearer to what the piece is, and as near as it says, however the hand feels', () => {
    const random = seededRandom(8);
    const normal = normalDraws(random);
    // The hole at a depth: straight between its stations, as they were read.
    const holeAt = (depth: number): number => 40.17 + ((40.16 - 40.17) * Math.min(Math.max(depth - 5, 0), 15)) / 15;
    let [narrower, inside, was, is] = [0, 0, 0, 0];
    for (let i = 0; i < 150; i++) {
      const truth = 40.1 + 0.12 * random();
      const seen = truth + 0.05 * normal();
      const bindsAt = Array.from({ length: 61 }, (_, d) => d).find((d) => holeAt(d) - truth < 0.003 * random());
      const feel =
        bindsAt === undefined
          ? holeAt(60) - truth > 0.015 + 0.01 * random()
            ? 'shakes'
            : 'slides'
          : bindsAt < 1
            ? 'will-not-enter'
            : 'binds';
      const c = cutAt(
        job([tried(2, feel, { wentInMm: feel === 'binds' ? bindsAt! : null })], [read(1, seen, { instrumentId: 'rough', dial: 0 })]),
      );
      const known = narrowed(c.tried, { mm: seen, plusMinusMm: 0.1 });
      if (!known) continue;
      narrower++;
      if (Math.abs(known.mm - truth) <= known.plusMinusMm + 1e-9) inside++;
      [was, is] = [was + (seen - truth) ** 2, is + (known.mm - truth) ** 2];
    }
    expect(narrower).toBeGreaterThan(100);
    expect(inside / narrower).toBeGreaterThan(0.93);
    expect(Math.sqrt(is / was)).toBeLessThan(0.8);
  });
});
