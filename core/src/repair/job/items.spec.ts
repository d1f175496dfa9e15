import { newPart } from '../../making/part';
import { choiceKey } from './choices';
import { choiceOf, itemsOff, jobItems, newStep } from './items';
import { piecesOf } from './pieces';
import { provedOf } from './proved';
import type { JobSheet, ProofRecord } from './records';
import { seenAt, workOut } from './repair';
import { freeze } from './release';
import { drawnPin, testItem, testReading, testSheet, testShop, verdicts, withChoices } from './testing';

const base = testSheet();
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
      testItem('rework', 'Barrel, sleeved', { componentIds: ['barrel-part'] }),
    ]);
    expect(told(said)).toEqual(['make Hinge pin?', 'rework Barrel, sleeved']);
    const off = withChoices(verdicts('remake', 'repair'), [
      choiceKey.item('barrel-part'),
      testItem('rework', 'Barrel', { componentIds: ['barrel-part'], off: true }),
    ]);
    expect(told(off)).toEqual(['make Hinge pin?']);
    expect(itemsOff(off).map((i) => i.name)).toEqual(['Barrel']);
    const taken = withChoices(verdicts('remake', 'repair'), [choiceKey.item('barrel-part'), null]);
    expect(told(taken)).toEqual(['make Hinge pin?', 'rework Ramp barrel?']);
  });

  it('what is drawn stays an item when its verdict changes or its component is taken off', () => {
    const drawn = withChoices(verdicts('remake', 'reuse'), ['part:pin', drawnPin()]);
    expect(told(drawn)).toEqual(['make Hinge pin?']);
    for (const verdict of ['buy', 'reuse', 'repair', null] as const) {
      const other = { ...drawn, components: drawn.components.map((c) => (c.id === 'pin' ? { ...c, verdict } : c)) };
      expect(told(other)).toEqual(['make Hinge pin?']);
    }
    const gone = { ...drawn, components: drawn.components.filter((c) => c.id !== 'pin') };
    expect(jobItems(gone)).toMatchObject([{ id: 'pin', kind: 'make', name: 'Hinge pin', componentIds: [] }]);
    // Another item speaks for the component now: the drawing is still there.
    const spoken = withChoices(drawn, [choiceKey.item('x'), testItem('rework', 'Pin, mended', { componentIds: ['pin'] })]);
    expect(told(spoken)).toEqual(['make Hinge pin?', 'rework Pin, mended']);
    // Called off, it is gone for good until it is taken up again.
    const off = withChoices(drawn, [choiceKey.item('pin'), testItem('make', 'Hinge pin', { componentIds: ['pin'], off: true })]);
    expect(told(off)).toEqual([]);
  });

  it('one item of several components speaks for all of them', () => {
    const both = withChoices(verdicts('repair', 'repair'), [
      choiceKey.item('x'),
      testItem('rework', 'Bored in line', { componentIds: ['pin', 'barrel-part'] }),
    ]);
    expect(told(both)).toEqual(['rework Bored in line']);
  });

  it('stands in the order that was given', () => {
    const sheet = withChoices(
      verdicts('remake', 'reuse'),
      [choiceKey.item('a'), testItem('buy', 'Bearing', { position: -1 })],
      [choiceKey.item('b'), testItem('join', 'Press', { position: 9 })],
    );
    expect(told(sheet)).toEqual(['buy Bearing', 'make Hinge pin?', 'join Press']);
  });

  it('what is stored of an item is what was said, nothing of where it is kept', () => {
    const choice = testItem('buy', 'Bearing', { size: '6205' });
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
  [choiceKey.item('bush'), testItem('make', 'Bush', { quantity: 2 })],
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
      ...{ passed: true, measuredMm: 60, gaugedWith: '', remark: '', personId: 'tomas', at: '' },
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
  const spacer: [string, unknown] = [choiceKey.item('spacer'), testItem('make', 'Spacer')];
  expect(metal()).toBe('steel-c45');
  expect(metal(['part:pin', bronze])).toBe('bronze-cusn8');
  expect(metal(spacer, ['part:spacer', plain], ['part:pin', bronze])).toBe('bronze-cusn8');
  expect(metal(spacer, ['part:spacer', bronze], ['part:pin', plain])).toBe('bronze-cusn8');
});

describe('bought and joined', () => {
  const job = (here: boolean, did: boolean, tried = ''): JobSheet =>
    withChoices(
      verdicts('buy', 'reuse'),
      [choiceKey.item('pin'), testItem('buy', 'Bearing', { componentIds: ['pin'], size: '6205', here })],
      [
        choiceKey.item('press'),
        testItem('join', 'Press it on', {
          position: 6,
          after: ['pin'],
          steps: [{ ...newStep('Press on to the shoulder', 'join'), done: did }],
          tried,
        }),
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
      [choiceKey.item('a'), testItem('join', 'A', { after: ['b'], steps: [newStep('x', 'join')] })],
      [choiceKey.item('b'), testItem('join', 'B', { after: ['a', 'b'], steps: [newStep('y', 'join')] })],
    );
    expect(states(ring)[2]!.state).toBe('not-yet');
  });

  it('what was only proposed holds nothing', () => {
    const stations = states(verdicts('buy', 'repair'));
    expect(stations.slice(0, 3).map((s) => s.state)).toEqual(['not-needed', 'not-needed', 'not-needed']);
  });
});
