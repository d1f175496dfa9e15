import { newPart } from '../../making/part';
import { choiceKey } from './choices';
import { choiceOf, itemsOff, jobItems, newItem, type ItemChoice, type ItemKind } from './items';
import { piecesOf } from './pieces';
import { provedOf } from './proved';
import type { ComponentVerdict, JobSheet, ProofRecord } from './records';
import { seenAt, workOut } from './repair';
import { freeze } from './release';
import { drawnPin, testChoice, testReading, testSheet, testShop } from './testing';

const base = testSheet();
const verdicts = (pin: ComponentVerdict | null, barrel: ComponentVerdict | null): JobSheet => ({
  ...base,
  components: base.components.map((c) => ({ ...c, verdict: c.id === 'pin' ? pin : barrel })),
});
const withChoices = (sheet: JobSheet, ...more: readonly [string, unknown][]): JobSheet => ({
  ...sheet,
  choices: [...sheet.choices, ...more.map(([key, value]) => testChoice(key, value))],
});
const item = (kind: ItemKind, name: string, more: Partial<ItemChoice> = {}): ItemChoice => ({ ...newItem(kind, name, [], 5), ...more });
const told = (sheet: JobSheet): string[] => jobItems(sheet).map((i) => `${i.kind} ${i.name}${i.proposed ? '?' : ''}`);

describe('items of a job', () => {
  it.each([
    ['remake', 'reuse', ['make Hinge pin?']],
    ['remake', 'repair', ['make Hinge pin?', 'rework Ramp barrel?']],
    ['buy', 'reuse', ['buy Hinge pin?']],
    ['reuse', 'clean-up', []],
    [null, 'reuse', ['make Hinge pin?']],
    [null, null, ['make Hinge pin?']],
  ] as const)('a pin to %s in a barrel to %s', (pin, barrel, wanted) => expect(told(verdicts(pin, barrel))).toEqual(wanted));

  it('a job with nothing on record awaits one new part, by the job’s own id', () => {
    const empty = testSheet({ components: [], places: [], readings: [] });
    expect(jobItems(empty).map((i) => [i.id, i.partKey, i.planKey])).toEqual([['job', 'part', 'plan']]);
  });

  it('what was drawn before there were items is the item of the worn part, and no second one is asked for', () => {
    const drawn = withChoices(verdicts('remake', 'reuse'), [choiceKey.part, drawnPin()]);
    expect(jobItems(drawn)).toMatchObject([{ id: 'job', componentIds: ['pin'], name: 'Hinge pin' }]);
    // The drawing stays an item whatever becomes of the verdict.
    const bought = withChoices(verdicts('buy', 'reuse'), [choiceKey.part, drawnPin()]);
    expect(told(bought)).toEqual(['make Hinge pin?', 'buy Hinge pin?']);
  });

  it('what somebody says stands in place of what was proposed; what is called off can be taken up again', () => {
    const said = withChoices(verdicts('remake', 'repair'), [
      choiceKey.item('barrel-part'),
      item('rework', 'Barrel, sleeved', { componentIds: ['barrel-part'] }),
    ]);
    expect(told(said)).toEqual(['make Hinge pin?', 'rework Barrel, sleeved']);
    const off = withChoices(verdicts('remake', 'repair'), [
      choiceKey.item('barrel-part'),
      item('rework', 'Barrel', { componentIds: ['barrel-part'], off: true }),
    ]);
    expect(told(off)).toEqual(['make Hinge pin?']);
    expect(itemsOff(off).map((i) => i.name)).toEqual(['Barrel']);
    const taken = withChoices(verdicts('remake', 'repair'), [choiceKey.item('barrel-part'), null]);
    expect(told(taken)).toEqual(['make Hinge pin?', 'rework Ramp barrel?']);
  });

  it('one item of several components speaks for all of them', () => {
    const both = withChoices(verdicts('repair', 'repair'), [
      choiceKey.item('x'),
      item('rework', 'Bored in line', { componentIds: ['pin', 'barrel-part'] }),
    ]);
    expect(told(both)).toEqual(['rework Bored in line']);
  });

  it('stands in the order that was given', () => {
    const sheet = withChoices(
      verdicts('remake', 'reuse'),
      [choiceKey.item('a'), item('buy', 'Bearing', { position: -1 })],
      [choiceKey.item('b'), item('join', 'Press', { position: 9 })],
    );
    expect(told(sheet)).toEqual(['buy Bearing', 'make Hinge pin?', 'join Press']);
  });

  it('what is stored of an item is what was said, nothing of where it is kept', () => {
    const choice = item('buy', 'Bearing', { size: '6205' });
    expect(choiceOf(jobItems(withChoices(verdicts('reuse', 'reuse'), [choiceKey.item('a'), choice]))[0]!)).toEqual(choice);
  });
});

describe('pieces', () => {
  const pieces = (quantity: number, ...scrapped: number[]): string[] =>
    piecesOf(withChoices(base, ...scrapped.map((n): [string, unknown] => [choiceKey.piece('i', n), { scrapped: true, why: 'under' }])), {
      id: 'i',
      quantity,
    }).map((p) => `${p.number}${p.scrapped === null ? '' : ' scrap'}`);

  it.each([
    [1, [], ['1']],
    [3, [], ['1', '2', '3']],
    [2, [1], ['1 scrap', '2', '3']],
    [2, [2, 3], ['1', '2 scrap', '3 scrap', '4']],
    [1, [1, 2], ['1 scrap', '2 scrap', '3']],
    [1, [7], ['1']],
  ] as const)('%d wanted, scrapped %p', (quantity, scrapped, wanted) => expect(pieces(quantity, ...scrapped)).toEqual(wanted));

  it('of another item, or taken back, count for nothing', () => {
    const sheet = withChoices(
      base,
      [choiceKey.piece('other', 1), { scrapped: true, why: 'x' }],
      [choiceKey.piece('i', 1), { scrapped: false, why: 'taken back' }],
    );
    expect(piecesOf(sheet, { id: 'i', quantity: 1 })).toEqual([{ number: 1, scrapped: null }]);
  });
});

/** A pin drawn twice over: as the job's own part, and a bush of another item whose surfaces go by the same names. */
const bush = newPart('plain-pin', 'Bush', 60, 40);
const two = withChoices(
  verdicts('remake', 'repair'),
  [choiceKey.part, drawnPin()],
  [choiceKey.item('bush'), item('make', 'Bush', { quantity: 2 })],
  ['part:bush', bush],
);
const cut = (itemId: string, piece: number, valueMm: number) =>
  testReading({ purpose: 'cut', itemId, piece, segmentId: 'body', dial: 0, valueMm, instrumentId: 'mic' });

describe('several items', () => {
  const repair = workOut({ ...two, readings: [...two.readings, cut('job', 1, 44), cut('bush', 2, 62)] }, testShop);

  it('each has its own drawing, and the one that is looked at is seen', () => {
    expect(repair.items.map((i) => i.item.name)).toEqual(['Hinge pin', 'Ramp barrel', 'Bush']);
    expect(repair.at!.item.id).toBe('job');
    const at = seenAt(repair, 'bush', 2);
    expect([at.part!.part.name, at.piece!.piece.number]).toEqual(['Bush', 2]);
    expect(seenAt(repair, 'gone').at!.item.id).toBe('job');
    expect(seenAt(repair, 'bush', 99).piece!.piece.number).toBe(1);
  });

  it('a reading counts for its item and its piece alone', () => {
    const now = (itemId: string, piece: number): number[] =>
      seenAt(repair, itemId, piece)
        .cuts.filter((c) => c.segment.segment.id === 'body')
        .flatMap((c) => c.cuts.map((x) => x.measuredMm));
    expect([now('job', 1), now('bush', 1), now('bush', 2)]).toEqual([[44], [], [62]]);
  });

  it('released numbers of two items never go by the same key, and one moves without the other', () => {
    const keys = repair.items.flatMap((i) => i.releasable.map((f) => f.key));
    expect(new Set(keys).size).toBe(keys.length);
    const of = (itemId: string) => ({
      id: itemId,
      jobId: 'job',
      itemId,
      personId: 'tomas',
      at: '',
      figures: freeze(seenAt(repair, itemId).releasable, 'mm'),
    });
    const released = { ...two, releases: [of('job'), of('bush')] };
    expect(workOut(released, testShop).items.map((i) => i.moved.length)).toEqual([0, 0, 0]);
    const longer = { ...bush, outside: bush.outside.map((s) => ({ ...s, lengthMm: s.lengthMm + 2 })) };
    const moved = workOut(
      { ...released, choices: released.choices.map((c) => (c.key === 'part:bush' ? { ...c, value: longer } : c)) },
      testShop,
    );
    expect(moved.items.map((i) => i.moved.length > 0)).toEqual([false, false, true]);
    expect(moved.stations.find((s) => s.id === 'cut')).toMatchObject({
      state: 'out',
      waitsFor: expect.stringMatching(/^bush: \d+ released/),
    });
    const accepted = moved.items[2]!.moved.map((m): [string, unknown] => [choiceKey.accept(m.key), { valueMm: m.newMm }]);
    const again = withChoices(
      { ...released, choices: released.choices.map((c) => (c.key === 'part:bush' ? { ...c, value: longer } : c)) },
      ...accepted,
    );
    expect(workOut(again, testShop).items[2]!.moved).toEqual([]);
  });

  it('a proof passes one piece; the report names item and piece', () => {
    const proof = (piece: number): ProofRecord => ({
      ...{ id: `p${piece}`, jobId: 'job', itemId: 'bush', piece, segmentId: 'body' },
      ...{ passed: true, measuredMm: 60, remark: '', personId: 'tomas', at: '' },
    });
    const read = (piece: number) =>
      testReading({ purpose: 'proof', itemId: 'bush', piece, segmentId: 'body', valueMm: 60, instrumentId: 'mic' });
    const proved = workOut({ ...two, readings: [...two.readings, read(1), read(2)], proofs: [proof(1)] }, testShop);
    const bodies = provedOf(proved).filter((p) => /bush.*body/i.test(p.name));
    expect(bodies.map((p) => [p.name, p.proof.signed?.passed])).toEqual([
      ['3 Bush, piece 1: body', true],
      ['3 Bush, piece 2: body', undefined],
    ]);
    expect(proved.holds.some((h) => h.message === '3 Bush, piece 2: body is measured, but nobody passed it.')).toBe(true);
  });
});

it('the metal of what goes into a hole is that of the drawing that fits it', () => {
  const bronze = { ...drawnPin(), materialId: 'bronze-cusn8' };
  const plain = { ...drawnPin(), outside: drawnPin().outside.map((s) => ({ ...s, fitsPlaceIds: [] })) };
  const metal = (...choices: readonly [string, unknown][]) =>
    workOut(withChoices(verdicts('remake', 'reuse'), ...choices), testShop).fits[0]!.setting.pinMaterialId;
  const spacer: [string, unknown] = [choiceKey.item('spacer'), item('make', 'Spacer')];
  expect(metal()).toBe('steel-c45');
  expect(metal(['part:pin', bronze])).toBe('bronze-cusn8');
  expect(metal(spacer, ['part:spacer', plain], ['part:pin', bronze])).toBe('bronze-cusn8');
  expect(metal(spacer, ['part:spacer', bronze], ['part:pin', plain])).toBe('bronze-cusn8');
});

describe('rework of a component that stays', () => {
  const limits = { lowerDev: 0, upperDev: 0.025, text: 'H7' };
  const rework = (more: Partial<ItemChoice>, fit?: object): JobSheet =>
    withChoices(
      verdicts('reuse', 'repair'),
      [choiceKey.item('barrel-part'), item('rework', 'Ramp barrel', { componentIds: ['barrel-part'], ...more })],
      ...(fit ? [[choiceKey.fit('barrel'), fit] as [string, unknown]] : []),
    );
  const station = (sheet: JobSheet, id: string) => workOut(sheet, testShop).stations.find((s) => s.id === id)!;

  it('waits at Draw for what is done, and without a size goes by its steps and how it was tried', () => {
    expect(station(rework({}), 'draw')).toMatchObject({ state: 'not-yet', waitsFor: 'what is done to ramp barrel' });
    const steps = [
      { what: 'Straighten between centres', done: true },
      { what: 'File the thread true', done: false },
    ];
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
    expect(workOut(whole, testShop).holds.filter((h) => h.code === 'undone' || h.code === 'unproved')).toEqual([]);
  });

  it('takes the size from Decide, asks limits of what something sits in, and aims at their middle', () => {
    const fit = { schoolId: 'grease', hole: 'true', truedMm: 40.35 };
    const bare = rework({}, fit);
    expect(station(bare, 'draw').waitsFor).toContain('limits for the diameter of barrel bore');
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
      item('rework', 'Ramp barrel', {
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

describe('bought and joined', () => {
  const job = (here: boolean, did: boolean, tried = ''): JobSheet =>
    withChoices(
      verdicts('buy', 'reuse'),
      [choiceKey.item('pin'), item('buy', 'Bearing', { componentIds: ['pin'], size: '6205', here })],
      [
        choiceKey.item('press'),
        item('join', 'Press it on', { position: 6, after: ['pin'], steps: [{ what: 'Press on to the shoulder', done: did }], tried }),
      ],
    );
  const states = (sheet: JobSheet) => workOut(sheet, testShop).stations.filter((s) => ['draw', 'plan', 'cut', 'prove'].includes(s.id));

  it('what is joined waits for what is bought; all of it goes through without anything drawn', () => {
    expect(states(job(false, false)).map((s) => s.state)).toEqual(['done', 'not-needed', 'under-way', 'not-yet']);
    expect(states(job(false, true))[2]!.waitsFor).toBe('bearing: what is bought to come');
    expect(states(job(true, false))[2]).toMatchObject({ state: 'under-way', waitsFor: 'press it on: press on to the shoulder' });
    const all = workOut(job(true, true, 'Turns by hand.'), testShop);
    expect(all.stations.filter((s) => ['draw', 'plan', 'cut'].includes(s.id)).map((s) => s.state)).toEqual(['done', 'not-needed', 'done']);
    expect(all.holds.some((h) => h.code === 'undone')).toBe(false);
  });

  it('items that wait for each other come to an end', () => {
    const ring = withChoices(
      verdicts('reuse', 'reuse'),
      [choiceKey.item('a'), item('join', 'A', { after: ['b'], steps: [{ what: 'x', done: false }] })],
      [choiceKey.item('b'), item('join', 'B', { after: ['a', 'b'], steps: [{ what: 'y', done: false }] })],
    );
    expect(states(ring)[2]!.state).toBe('not-yet');
  });

  it('what was only proposed holds nothing', () => {
    const stations = states(verdicts('buy', 'repair'));
    expect(stations.slice(0, 3).map((s) => s.state)).toEqual(['not-needed', 'not-needed', 'not-needed']);
  });
});
