import { hostOf, kindOf, type PartFeature, type Treatment } from '../../making/part';
import { choiceKey } from './choices';
import { outsideSlips } from './outside-slip';
import { signProblems } from './proof-finding';
import type { ProofRecord, ReadingRecord } from './records';
import { workOut } from './repair';
import { drawnPin, testChoice, testReading, testSheet, testShop } from './testing';

const LIMITS = { text: '+0.033 +0.049', lowerDev: 0.033, upperDev: 0.049 };
const treatment = (more: Partial<Treatment>): Treatment => ({
  ...{ id: 't', kind: 'treatment', on: 'body', name: 'Treatment', process: 'plate-ground', where: 'elsewhere' },
  ...{ aSideMm: 0.075, plusMinusMm: 0.025, by: 'hard chrome', masked: 'threads' },
  ...more,
});
const sheetOf = (more: Partial<Treatment>, limits = LIMITS) => {
  const pin = drawnPin();
  const outside = pin.outside.map((s) => (s.id === 'body' ? { ...s, diameterMm: 40, fitsPlaceIds: [] } : s));
  return testSheet({
    choices: [testChoice(choiceKey.part, { ...pin, outside, limits: { body: limits }, features: [...pin.features, treatment(more)] })],
  });
};
const read = (purpose: 'cut' | 'proof', segmentId: string, valueMm: number, minute: number, clockDeg = 0): ReadingRecord =>
  testReading({
    ...{ id: `${purpose}-${segmentId}-${minute}-${clockDeg}`, purpose, segmentId, valueMm, clockDeg, dial: 0, instrumentId: 'mic' },
    ...{ stationMm: 60, takenAt: `2026-11-27T10:${String(minute).padStart(2, '0')}:00Z` },
  });
const signed = (segmentId: string, measuredMm: number, minute: number, passed = true): ProofRecord => ({
  ...{ id: `p${minute}`, jobId: 'job', itemId: 'job', piece: 1, segmentId, passed, measuredMm, gaugedWith: '', remark: '' },
  ...{ personId: 'tomas', at: `2026-11-27T10:${String(minute).padStart(2, '0')}:00Z` },
});
const work = (more: Partial<Treatment>, readings: readonly ReadingRecord[] = [], proofs: readonly ProofRecord[] = []) => {
  const sheet = sheetOf(more);
  return workOut({ ...sheet, readings: [...sheet.readings, ...readings], proofs }, testShop);
};
const bodyCut = (r: ReturnType<typeof work>) => r.cuts.find((c) => c.segment.segment.id === 'body');
const rounded = ({ lowerMm, upperMm }: { lowerMm: number; upperMm: number }) => [lowerMm.toFixed(3), upperMm.toFixed(3)];

// 40.033 to 40.049 finished, 0.05 to 0.1 of chrome a side after grinding: 40.049 - 0.2 and 40.033 - 0.1.
const BEFORE = ['39.849', '39.933'];

it('is cut to what it has to be before it, in the plan and at the machine', () => {
  const repair = work({});
  expect(rounded(bodyCut(repair)!.segment.limits)).toEqual(BEFORE);
  expect(bodyCut(repair)!.segment.segment.name).toBe('Body, before plating');
  const passes = repair.plan!.passes.find((p) => p.segment.segment.id === 'body')!;
  expect(passes.passes.ok && passes.passes.value.at(-1)!.toMm).toBeCloseTo(39.891, 9);
  expect(repair.part!.unlimited.map((d) => d.dimension.key)).not.toContain('t.before');
});

it('asks for a bar that is thick enough for what is ground off again', () => {
  const plain = work({}).plan!.need.diameter.value;
  const sheet = sheetOf({});
  const pin = {
    ...drawnPin(),
    outside: drawnPin()
      .outside.filter((s) => s.id === 'body')
      .map((s) => ({ ...s, diameterMm: 40, fitsPlaceIds: [] })),
  };
  const left = treatment({ process: 'ground', aSideMm: 0.5, plusMinusMm: 0.1, by: '' });
  const ground = workOut(
    { ...sheet, choices: [testChoice(choiceKey.part, { ...pin, limits: { body: LIMITS }, features: [left] })] },
    testShop,
  );
  // 40.049 + 0.8 and 40.033 + 1.2: their middle, and the skin.
  expect(ground.plan!.need.diameter.value).toBeCloseTo((40.849 + 41.233) / 2 + 1, 6);
  expect(plain).toBeGreaterThan(0);
});

it('a keyseat counts from the finished size, and says how much deeper it is cut before that', () => {
  const sheet = sheetOf({});
  const key = { id: 'k', kind: 'keyseat', on: 'body', name: 'Keyseat' };
  const host = hostOf(drawnPin(), 'body')!;
  const of = (t: Treatment) => {
    const pin = {
      ...drawnPin(),
      limits: { body: LIMITS },
      features: [{ ...kindOf('keyseat').start(host), ...key } as unknown as PartFeature, t],
    };
    const { plan, sizes } = workOut({ ...sheet, choices: [testChoice(choiceKey.part, pin)] }, testShop);
    return {
      words: plan!.setUps.flatMap((s) => s.schedules).find((s) => s.id === 'k')!.words[0],
      wanted: sizes.find((s) => s.key === 'k.depth')!.wantedMm,
    };
  };
  const plain = of(treatment({ on: drawnPin().outside.find((x) => x.id !== 'body')!.id })).wanted;
  const ground = of(treatment({ process: 'ground', aSideMm: 0.15, plusMinusMm: 0.05 }));
  expect(ground.words).toContain('go 0.150 mm deeper');
  expect(ground.wanted - plain).toBeCloseTo(0.15, 9);
  const plated = of(treatment({}));
  expect(plated.words).toContain('go 0.075 mm less deep');
  expect(plated.wanted - plain).toBeCloseTo(-0.075, 9);
});

it('what is read to the raw surface reads otherwise until that has its size, and from then on as drawn', () => {
  const here = treatment({ process: 'ground', where: 'here', aSideMm: 0.15, plusMinusMm: 0.05 });
  const host = hostOf(drawnPin(), 'body')!;
  const cut = (kind: 'keyseat' | 'flats', own: object) =>
    ({ ...kindOf(kind).start(host), ...own, id: 'k', kind, on: 'body', name: kind }) as unknown as PartFeature;
  const wanted = (feature: PartFeature, key: string, t: Treatment, passed = false): number => {
    const base = sheetOf({});
    // 40.033 to 40.049 with 0.1 to 0.2 left on a side: 40.249 to 40.433.
    const read2 = [0, 90].map((deg) => read('proof', 't.before', 40.3, 5, deg));
    const pin = { ...drawnPin(), limits: { body: LIMITS }, features: [feature, t] };
    const sheet = { ...base, choices: [testChoice(choiceKey.part, pin)], readings: [...base.readings, ...read2] };
    const { sizes } = workOut({ ...sheet, proofs: passed ? [signed('t.before', 40.3, 10)] : [] }, testShop);
    return sizes.find((x) => x.key === `k.${key}`)!.wantedMm;
  };
  const other = treatment({ on: drawnPin().outside.find((x) => x.id !== 'body')!.id });
  for (const [feature, key, more] of [
    [cut('keyseat', {}), 'depth', 0.15],
    // One flat is read to the round on the other side, two are read over each other.
    [cut('flats', { count: 1, acrossMm: 36 }), 'across', 0.15],
    [cut('flats', { count: 2, acrossMm: 34 }), 'across', 0],
  ] as const) {
    const drawn = wanted(feature, key, other);
    expect([key, wanted(feature, key, here) - drawn]).toEqual([key, expect.closeTo(more, 9)]);
    expect([key, wanted(feature, key, here, true) - drawn]).toEqual([key, expect.closeTo(0, 9)]);
  }
});

it('cannot be released where the layer varies by more than the finished limits', () => {
  const [bare] = work({ process: 'plate', aSideMm: 0.025, plusMinusMm: 0.005 }).part!.unlimited.filter(
    (d) => d.dimension.key === 't.before',
  );
  expect(bare!.words).toContain('plated thicker and ground');
});

describe('at Prove', () => {
  const before = [0, 90].map((deg) => read('proof', 't.before', 39.89, 5, deg));
  const after = [0, 90].map((deg) => read('proof', 'body', 40.04, 50, deg));
  const finished = (r: ReturnType<typeof work>) => r.proofs.find((p) => p.dimension.dimension.key === 'body')!;
  const say = { passed: true, remark: 'as agreed', gaugedWith: '', gaugedValue: null };

  it('what it was before is read and passed first', () => {
    const open = work({}, [...before, ...after]);
    expect(open.proofs[0]!.dimension.dimension.key).toBe('t.before');
    expect(signProblems(finished(open), say)).toMatchObject([{ code: 'awaits' }]);
    const passed = work({}, [...before, ...after], [signed('t.before', 39.89, 10)]);
    expect(signProblems(finished(passed), say)).toEqual([]);
    const failed = work({}, [...before, ...after], [signed('t.before', 39.89, 10, false)]);
    expect(signProblems(finished(failed), say)).toMatchObject([{ code: 'awaits' }]);
  });

  it('a pass that does not stand any more counts for nothing: it is cut again', () => {
    const passed = signed('t.before', 39.89, 10);
    const gone = before.map((r) => ({ ...r, id: `${r.id}-w`, supersedesId: r.id, withdrawn: true }));
    expect(bodyCut(work({}, [...before, ...gone], [passed]))).toBeDefined();
  });

  it('once it is passed the other shop has it: nothing of it is cut here any more', () => {
    expect(bodyCut(work({}, before, [signed('t.before', 39.89, 10)]))).toBeUndefined();
  });

  it('what is built up is cut back here to its finished size, and cuts of before do not count', () => {
    const own = { process: 'build-up', where: 'here', aSideMm: 1.25, plusMinusMm: 0.25 } as const;
    const cuts = [read('cut', 'body', 38.2, 1), read('cut', 'body', 37.6, 2)];
    // 40.049 less twice 1.5, 40.033 less twice 1.
    expect(rounded(bodyCut(work(own, cuts))!.segment.limits)).toEqual(['37.049', '38.033']);
    expect(bodyCut(work(own, cuts))!.cuts).toHaveLength(2);
    const sized = [0, 90].map((deg) => read('proof', 't.before', 37.6, 5, deg));
    const back = bodyCut(work(own, [...cuts, ...sized, read('cut', 'body', 42, 20)], [signed('t.before', 37.6, 10)]))!;
    expect(rounded(back.segment.limits)).toEqual(['40.033', '40.049']);
    expect(back.cuts.map((c) => c.measuredMm.toFixed(1))).toEqual(['42.0']);
    // Plated work is never cut back here, whatever stands in a field that is not asked for.
    expect(bodyCut(work({ where: 'here' }, before, [signed('t.before', 39.89, 10)]))).toBeUndefined();
  });
});

it('the slip says what it is now, what is laid on, what it has to be after, and what is kept free', () => {
  const show = (mm: number) => mm.toFixed(3);
  const [slip] = outsideSlips(work({}).items, show);
  expect(slip!.rows[0]).toEqual({
    ...{ surface: 'Body', process: 'plated thicker and ground to size, hard chrome', now: '39.849 to 39.933, not read yet' },
    ...{ layer: '0.050 to 0.100 a side', after: '40.033 to 40.049', masked: 'threads' },
  });
  const read2 = [0, 90].map((deg) => read('proof', 't.before', 39.9, 5, deg));
  expect(outsideSlips(work({}, read2).items, show)[0]!.rows[0]!.now).toBe('39.900');
  expect(outsideSlips(workOut(testSheet({}), testShop).items, show)).toEqual([]);
  // What this shop grinds stays here; what it grinds after the fire goes out to be hardened.
  expect(outsideSlips(work({ process: 'ground', where: 'here', aSideMm: 0.2 }).items, show)).toEqual([]);
  const [hard] = outsideSlips(work({ process: 'harden-ground', where: 'here', aSideMm: 0.2, by: '' }).items, show);
  expect(hard!.rows[0]).toMatchObject({ process: 'hardened, comes back to be ground', after: '' });
});

it('what was tried before it was treated tells nothing of what it is after', () => {
  const tried = (minute: number) =>
    testChoice(choiceKey.trial(`t${minute}`), {
      ...{ itemId: 'job', piece: 1, segmentId: 'body', placeId: 'barrel', feel: 'slides', wentInMm: null, from: 'start', partTempC: null },
      ...{ remark: '', removed: false, triedAt: `2026-11-27T10:0${minute}:00Z` },
    });
  const sheet = sheetOf({});
  const readings = [...sheet.readings, read('proof', 't.before', 39.9, 3), read('proof', 't.before', 39.9, 4, 90)];
  const worked = (proofs: readonly ProofRecord[]) =>
    workOut({ ...sheet, readings, proofs, choices: [...sheet.choices, tried(2), tried(7)] }, testShop)
      .proofs.find((p) => p.dimension.dimension.key === 'body')!
      .tried!.trials.map((t) => t.id);
  expect(worked([])).toEqual(['t2', 't7']);
  expect(worked([signed('t.before', 39.9, 5)])).toEqual(['t7']);
});
