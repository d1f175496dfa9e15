import { FEATURE_KINDS, hostOf, surface, type Part } from '../../making/part';
import { choiceKey } from './choices';
import type { JobSheet } from './records';
import { freeze } from './release';
import { workOut } from './repair';
import { drawnPin, testChoice, testReading, testSheet, testShop } from './testing';

const fitChoice = testChoice(choiceKey.fit('barrel'), { schoolId: 'grease', hole: 'keep', truedMm: null });
const drawn = (): JobSheet => testSheet({ choices: [fitChoice, testChoice(choiceKey.part, drawnPin())] });

describe('a change of any one input after the release', () => {
  const whole = drawn();
  const plan = { latheId: 'gap-bed', barId: 'bar60', tool: 'carbide', partingMm: 3, touched: 'left', grippedMm: 25, finishes: 2 } as const;
  const hole = {
    ...FEATURE_KINDS['cross-hole'].start(hostOf(drawnPin(), 'body')!),
    id: 'h',
    kind: 'cross-hole',
    on: 'body',
    name: 'Hole',
  } as const;
  const pin: Part = {
    ...drawnPin(),
    features: [...drawnPin().features, hole],
    bores: [{ id: 'b', from: 'near', through: false, surfaces: [surface('oil', 'cylinder', 'Oil bore', 20, 8)] }],
  };
  const of = (part: Part, more: object = plan, readings = whole.readings, fit = fitChoice): JobSheet => ({
    ...whole,
    readings,
    choices: [fit, testChoice(choiceKey.part, part), testChoice(choiceKey.plan, more)],
  });
  const shop = { ...testShop, rack: [...testShop.rack, { ...testShop.rack[0]!, id: 'bar65', diameterMm: 65 }] };
  const release = {
    id: 'r',
    jobId: 'job',
    itemId: 'job',
    personId: 'tomas',
    at: '',
    figures: freeze(workOut(of(pin), shop).releasable, 'mm'),
  };
  const movedBy = (sheet: JobSheet): string[] => workOut({ ...sheet, releases: [release] }, shop).moved.map((m) => m.key);
  const feature = (id: string, own: object): Part => ({
    ...pin,
    features: pin.features.map((f) => (f.id === id ? { ...f, ...own } : f)),
  });

  it('none, none', () => expect(movedBy(of(pin))).toEqual([]));
  it('another way to hold it moves stops, and what is cut in another set-up does', () => {
    expect(movedBy(of(pin, { ...plan, way: 'round-chuck' }))).toEqual(
      expect.arrayContaining(['set-up.1.part-off', 'stock.length', 'set-up.2.head-left.to']),
    );
    // Body from set-up 1 to set-up 2, and its shoulder with it.
    const moved = movedBy(of(pin, { ...plan, way: 'bar', moved: [{ id: 'body', to: 2 }] }));
    expect(moved).toEqual(expect.arrayContaining(['set-up.1.body.shoulder', 'set-up.2.body.shoulder']));
    expect(movedBy(of(pin, { ...plan, way: 'bar', moved: [] }))).toEqual([]);
  });
  it('a release of before set-ups had only their own stops misses none of those that are gone', () => {
    const figures = release.figures.filter((f) => f.key !== 'plan.holdings');
    const everywhere = [...figures, { ...figures[0]!, key: 'set-up.2.body.shoulder', label: 'tool at shoulder' }];
    const old = { ...release, figures: everywhere };
    expect(workOut({ ...of(pin), releases: [old] }, shop).moved).toEqual([]);
    // A stop that stands where it stood is still held to what was released.
    const wrong = everywhere.map((f) => (f.key === 'set-up.1.part-off' ? { ...f, valueMm: f.valueMm + 1 } : f));
    expect(workOut({ ...of(pin), releases: [{ ...old, figures: wrong }] }, shop).moved.map((m) => m.key)).toEqual(['set-up.1.part-off']);
  });
  it.each<[string, JobSheet, string]>([
    [
      'length',
      of({ ...pin, outside: pin.outside.map((s) => (s.id === 'body' ? { ...s, lengthMm: s.lengthMm + 1 } : s)) }),
      'segment.body.length',
    ],
    ['chamfer', of(feature('body-right', { lengthMm: 1.5 })), 'segment.body-right.length'],
    ['hole', of(feature('h', { diameterMm: 7 })), 'segment.h.diameter'],
    ['where the hole is', of(feature('h', { atMm: 30 })), 'segment.h.at'],
    [
      'bore',
      of({ ...pin, bores: pin.bores.map((b) => ({ ...b, surfaces: b.surfaces.map((s) => ({ ...s, diameterMm: 9 })) })) }),
      'segment.oil.diameter',
    ],
    ['one more feature', of({ ...pin, features: [...pin.features, { ...hole, id: 'h2', atMm: 70 }] }), 'segment.h2.diameter'],
    ['one less', of({ ...pin, features: pin.features.filter((f) => f.id !== 'h') }), 'segment.h.diameter'],
    ['tool', of(pin, { ...plan, tool: 'hss' }), 'plan.surface-speed'],
    ['bar', of(pin, { ...plan, barId: 'bar65' }), 'plan.bar-diameter'],
    ['material', of({ ...pin, materialId: 'stainless-304' }), 'plan.surface-speed'],
    ['parting tool', of(pin, { ...plan, partingMm: 4 }), 'set-up.1.part-off'],
    [
      'fit',
      of(pin, plan, whole.readings, testChoice(choiceKey.fit('barrel'), { schoolId: 'grease', hole: 'true', truedMm: 40.5 })),
      'segment.body.diameter',
    ],
    [
      'reading',
      of(pin, plan, [...whole.readings, testReading({ placeId: 'barrel', stationMm: 20, clockDeg: 90, valueMm: 40.1 })]),
      'segment.body.diameter',
    ],
  ])('%s', (_, sheet, key) => expect(movedBy(sheet)).toContain(key));

  it('limits that move about the same middle', () => {
    const limited = (by: number): Part => ({ ...pin, limits: { oil: { lowerDev: -by, upperDev: by, text: `±${by}` } } });
    expect(movedBy(of(limited(0.05)))).toEqual(expect.arrayContaining(['segment.oil.diameter.lower', 'segment.oil.diameter.upper']));
    const frozen = { ...release, figures: freeze(workOut(of(limited(0.05)), shop).releasable, 'mm') };
    const moved = workOut({ ...of(limited(0.08)), releases: [frozen] }, shop).moved.map((m) => m.key);
    expect(moved).toEqual(['segment.oil.diameter.lower', 'segment.oil.diameter.upper']);
  });

  it('nothing moves of a part whose steps and grooves are called alike', () => {
    const step = (id: string, d: number) => surface(id, 'cylinder', 'Step', 12, d);
    const edged = (on: string) => ({ ...drawnPin().features.find((f) => f.id === 'body-right')!, id: `${on}-right`, on });
    const alike = {
      ...pin,
      outside: [...pin.outside, step('s1', 30), step('s2', 24)],
      features: [...pin.features.filter((f) => f.id !== 'body-right'), edged('s1'), edged('s2')],
    };
    const figures = workOut(of(alike), shop).releasable;
    expect(new Set(figures.map((f) => f.key)).size).toBe(figures.length);
    expect(workOut({ ...of(alike), releases: [{ ...release, figures: freeze(figures, 'mm') }] }, shop).moved).toEqual([]);
  });

  it('a seat whose limits lie to one side of its size is turned to their middle: 40 k6 is 40.002 to 40.018 (ISO 286-2)', () => {
    const seat: Part = {
      ...drawnPin(),
      outside: drawnPin().outside.map((s) => ({ ...s, fitsPlaceIds: [] })),
      limits: { body: { lowerDev: 0.002, upperDev: 0.018, text: 'k6' } },
    };
    const repair = workOut(of(seat), shop);
    const body = repair.part!.segments.find((s) => s.segment.id === 'body')!;
    expect(body.diameter.value).toBeCloseTo(40.01, 9);
    expect(repair.plan!.passes.find((p) => p.segment === body)!.passFigures.at(-1)!.value).toBeCloseTo(40.01, 9);
  });

  it('limits typed for a dimension are its own, and freeze with it', () => {
    const tight = { ...pin, limits: { oil: { lowerDev: 0, upperDev: 0.015, text: 'H7' } } };
    const oil = workOut(of(tight), shop).part!.segments.find((s) => s.segment.id === 'oil')!;
    expect([oil.limits.lowerMm, oil.limits.upperMm]).toEqual([8, 8.015]);
  });
});

describe('a bore', () => {
  const pin: Part = {
    ...drawnPin(),
    bores: [{ id: 'b', from: 'far', through: true, surfaces: [surface('oil', 'cylinder', 'Oil bore', 0, 12)] }],
    limits: { oil: { lowerDev: 0, upperDev: 0.018, text: 'H7' } },
  };
  const sheet = { ...drawn(), choices: [fitChoice, testChoice(choiceKey.part, pin)] };
  const read = (purpose: 'cut' | 'proof', valueMm: number, more: object) =>
    testReading({ purpose, segmentId: 'oil', valueMm, instrumentId: 'tele', ...more });

  it('is bored outwards: the dial falls, the size grows, and what is left is to the wanted size', () => {
    const repair = workOut({ ...sheet, readings: [...sheet.readings, read('cut', 11, { dial: 0.5 })] }, testShop);
    const cut = repair.cuts.find((c) => c.segment.segment.id === 'oil')!;
    expect(cut.advice.leftMm).toBeCloseTo(1.009, 6);
    // The same number in the Working as on the screen.
    expect(cut.left!.value).toBeCloseTo(1.009, 6);
    expect(cut.advice.nextDial).toBeLessThan(0.5);
    expect(cut.advice.nextMm).toBeGreaterThan(11);
  });
  it('is over its limit, not under it, where too much came out', () => {
    const repair = workOut({ ...sheet, readings: [...sheet.readings, read('cut', 12.3, { dial: 0.5 })] }, testShop);
    expect(repair.cuts.find((c) => c.segment.segment.id === 'oil')!.advice.sentences[0]).toContain('Over the limit');
  });
  it('is planned from a drilled hole, proved like the outside, and stands in the release', () => {
    const repair = workOut(
      { ...sheet, readings: [...sheet.readings, read('proof', 12.05, { clockDeg: 0 }), read('proof', 12.06, { clockDeg: 90 })] },
      testShop,
    );
    const passes = repair.plan!.passes.find((p) => p.segment.segment.id === 'oil')!;
    expect(passes.fromMm).toBeLessThanOrEqual(10);
    // 12 H7 is 12.000 to 12.018: bored to its middle.
    expect(passes.passFigures.at(-1)!.value).toBeCloseTo(12.009, 9);
    expect(repair.proofs.find((p) => p.dimension.dimension.key === 'oil')).toMatchObject({
      verdict: 'out',
      dimension: { mustProve: true },
    });
    expect(repair.releasable.map((f) => f.key)).toContain('segment.oil.diameter');
  });
});
