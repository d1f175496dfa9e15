import { choiceKey } from './choices';
import { newStep, type ItemChoice } from './items';
import type { JobSheet } from './records';
import { freeze } from './release';
import { seenAt, workOut } from './repair';
import { drawnPin, testItem, testReading, testShop, verdicts, withChoices } from './testing';

describe('rework of a component that stays', () => {
  const limits = { lowerDev: 0, upperDev: 0.025, text: 'H7' };
  const rework = (more: Partial<ItemChoice>, fit?: object): JobSheet =>
    withChoices(
      verdicts('reuse', 'repair'),
      [choiceKey.item('barrel-part'), testItem('rework', 'Ramp barrel', { componentIds: ['barrel-part'], ...more })],
      ...(fit ? [[choiceKey.fit('barrel'), fit] as [string, unknown]] : []),
    );
  const station = (sheet: JobSheet, id: string) => workOut(sheet, testShop).stations.find((s) => s.id === id)!;

  it('waits at Draw for what is done, and without a size goes by its steps and how it was tried', () => {
    expect(station(rework({}), 'draw')).toMatchObject({ state: 'not-yet', waitsFor: 'what is done to ramp barrel' });
    const steps = [{ ...newStep('Straighten between centres', 'rework'), done: true }, newStep('File the thread true', 'rework')];
    const half = rework({ steps });
    expect(['draw', 'plan', 'cut', 'prove'].map((id) => station(half, id).state)).toEqual(['done', 'not-needed', 'under-way', 'not-yet']);
    expect(station(half, 'cut').waitsFor).toBe('file the thread true');
    expect(workOut(half, testShop).holds.map((h) => h.message)).toContain(
      'Ramp barrel: file the thread true is neither done nor taken off.',
    );
    const did = steps.map((s) => ({ ...s, done: true }));
    expect(station(rework({ steps: did }), 'prove').waitsFor).toBe('how ramp barrel was tried');
    const whole = rework({ steps: did, tried: 'Runs within 0.05 on V-blocks.' });
    expect(['draw', 'plan', 'cut'].map((id) => station(whole, id).state)).toEqual(['done', 'not-needed', 'done']);
    // What was straightened is looked over for cracks before it goes.
    expect(workOut(whole, testShop).holds.filter((h) => h.code === 'undone' || h.code === 'unproved')).toMatchObject([
      { station: 'prove', message: expect.stringContaining('for cracks') },
    ]);
  });

  it('takes the size from Decide, asks limits of what something sits in, and aims at their middle', () => {
    const fit = { schoolId: 'grease', hole: 'true', truedMm: 40.35 };
    const bare = rework({}, fit);
    expect(station(bare, 'draw').waitsFor).toContain('limits for the diameter of barrel bore');
    // Taken up and never given limits it is not handed over as if nothing were to be done.
    expect(workOut(bare, testShop).holds.map((h) => h.message)).toContain(
      'Ramp barrel: the diameter of barrel bore has no limits yet, so nobody can prove it.',
    );
    const cuts = [{ placeId: 'barrel', sizeMm: null, limits }];
    const [bored] = workOut(rework({ cuts }, fit), testShop).items.find((i) => i.item.kind === 'rework')!.part!.dimensions;
    expect(bored!.figure.value).toBeCloseTo(40.3625, 9);
    expect(bored!.limits).toEqual({ lowerMm: 40.35, upperMm: expect.closeTo(40.375, 9) as number });
    // A size typed goes before the one of Decide; one of another component counts for nothing.
    const typed = [
      { placeId: 'barrel', sizeMm: 41, limits },
      { placeId: 'body', sizeMm: 39, limits },
    ];
    const part = workOut(rework({ cuts: typed }, fit), testShop).items.find((i) => i.item.kind === 'rework')!.part!;
    expect(part.dimensions.map((d) => [d.dimension.key, d.dimension.value])).toEqual([['barrel', 41]]);
  });

  it('one more place that is to be cut after the release is marked', () => {
    const cuts = [{ placeId: 'barrel', sizeMm: 40.35, limits }];
    const first = workOut(rework({ cuts }), testShop).items.find((i) => i.item.kind === 'rework')!;
    const itemId = 'barrel-part';
    const release = { id: 'r', jobId: 'job', itemId, personId: 'tomas', at: '', figures: freeze(first.releasable, 'mm') };
    const bigger = rework({ cuts: [{ ...cuts[0]!, limits: { ...limits, upperDev: 0.05 } }] });
    const none = rework({ cuts: [] });
    const moved = (s: JobSheet) => workOut({ ...s, releases: [release] }, testShop).items.find((i) => i.item.id === itemId)!.moved;
    expect(moved(rework({ cuts }))).toEqual([]);
    expect(moved(bigger).map((m) => m.key)).toContain(`item.${itemId}.segment.barrel.diameter.upper`);
    expect(moved(none).every((m) => m.newMm === null)).toBe(true);
    const empty = { ...release, figures: [] };
    expect(
      workOut({ ...rework({ cuts }), releases: [empty] }, testShop).items.find((i) => i.item.id === itemId)!.moved.length,
    ).toBeGreaterThan(0);
  });

  it('a bore that is cut is coached outwards, and over its limit is wrong', () => {
    const cuts = [{ placeId: 'barrel', sizeMm: 40.35, limits }];
    const sheet = rework({ cuts });
    const at = (valueMm: number) => {
      const r = testReading({ purpose: 'cut', itemId: 'barrel-part', segmentId: 'barrel', dial: 0, valueMm });
      return seenAt(workOut({ ...sheet, readings: [...sheet.readings, r] }, testShop), 'barrel-part').cuts[0]!;
    };
    expect(at(40.2).left!.value).toBeCloseTo(0.1625, 6);
    expect(at(40.2).advice.nextDial).toBeLessThan(0);
    expect(at(40.5).advice.state).toBe('under');
  });
});

describe('made to what was bored', () => {
  // Bored to 40.352 and 40.354 where 40.35 was asked for: the pin is made for the hole as it is.
  const choices: readonly [string, unknown][] = [
    [choiceKey.part, drawnPin()],
    [choiceKey.fit('barrel'), { schoolId: 'grease', hole: 'true', truedMm: 40.35 }],
    [
      choiceKey.item('barrel-part'),
      testItem('rework', 'Ramp barrel', {
        componentIds: ['barrel-part'],
        cuts: [{ placeId: 'barrel', sizeMm: null, limits: { lowerDev: -0.012, upperDev: 0.012, text: '±0.012' } }],
      }),
    ],
  ];
  const sheet = withChoices(verdicts('remake', 'repair'), ...choices);
  const bored = (valueMm: number, clockDeg: number) =>
    testReading({ purpose: 'proof', itemId: 'barrel-part', segmentId: 'barrel', stationMm: 20, clockDeg, valueMm });
  const largest = (s: JobSheet): number => workOut(s, testShop).fits[0]!.figures!.upper.value;
  // Grease: 0.0508 and 0.0015 of the hole.
  const wanted = (hole: number): number => hole - 0.0508 - 0.0015 * hole;

  it.each([
    ['before it is bored, the size decided', [], 40.35],
    ['as it was bored', [40.354, 40.352], 40.352],
    ['a little under what was asked', [40.346, 40.348], 40.346],
    ['far off what was asked, it is to be bored still', [40.2, 40.21], 40.35],
  ] as const)('%s', (_, read, hole) => {
    const readings = [...sheet.readings, ...read.map((v, i) => bored(v, i * 90))];
    expect(largest({ ...sheet, readings })).toBeCloseTo(wanted(hole), 6);
    // What the rework was asked for stays what it was.
    const rework = workOut({ ...sheet, readings }, testShop).items.find((i) => i.item.kind === 'rework')!;
    expect(rework.part!.dimensions[0]!.figure.value).toBeCloseTo(40.35, 9);
  });

  it('the evidence as found stays as it was, and a withdrawn proof counts no more', () => {
    const first = bored(40.354, 0);
    const readings = [...sheet.readings, first, bored(40.354, 90)];
    const repair = workOut({ ...sheet, readings }, testShop);
    expect(repair.places.find((f) => f.place.id === 'barrel')!.shape!.largestMm).toBeCloseTo(40.31, 6);
    expect(repair.fits[0]!.toTrue).toBe(false);
    const gone = [...readings, { ...first, id: 'w', supersedesId: first.id, withdrawn: true }];
    const other = [...gone, { ...readings.at(-1)!, id: 'w2', supersedesId: readings.at(-1)!.id, withdrawn: true }];
    expect(workOut({ ...sheet, readings: other }, testShop).fits[0]!.toTrue).toBe(true);
  });

  it('released numbers of the pin move when the hole comes out otherwise', () => {
    const repair = workOut(sheet, testShop);
    const release = { id: 'r', jobId: 'job', itemId: 'job', personId: 'tomas', at: '', figures: freeze(repair.releasable, 'mm') };
    const moved = workOut({ ...sheet, releases: [release], readings: [...sheet.readings, bored(40.36, 0)] }, testShop).moved;
    expect(moved.map((m) => m.key)).toContain('segment.body.diameter');
  });
});
