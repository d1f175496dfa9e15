import { choiceKey } from './choices';
import { goodPieces, isCutToSize, pieceName } from './item-finding';
import { newStep } from './items';
import type { JobSheet, ProofRecord } from './records';
import { workOut } from './repair';
import { drawnPin, testChoice, testItem, testReading, testSheet, testShop } from './testing';

const LIMITS = { lowerDev: -0.02, upperDev: 0, text: '+0 -0.02' };
const pin = { ...drawnPin(), outside: drawnPin().outside.map((s) => ({ ...s, fitsPlaceIds: [] })), limits: { body: LIMITS } };
/** Two pins, and a second item that straightens the barrel's part. */
const sheetOf = (...more: readonly (readonly [string, unknown])[]): JobSheet =>
  testSheet({
    choices: [
      testChoice(choiceKey.part, pin),
      testChoice(choiceKey.item('job'), testItem('make', 'Pin', { componentIds: ['pin'], quantity: 2 })),
      testChoice(choiceKey.item('press'), testItem('rework', 'Straighten', { componentIds: ['barrel-part'] })),
      ...more.map(([key, value]) => testChoice(key, value)),
    ],
  });
const itemsOf = (sheet: JobSheet) => workOut(sheet, testShop).items;
const proof = (piece: number, at: string): ProofRecord => ({
  ...{ id: `p${piece}`, jobId: 'job', itemId: 'job', piece, segmentId: 'body', passed: true, measuredMm: 39.99 },
  ...{ gaugedWith: '', remark: '', personId: 'tomas', at },
});
const READ = '2026-11-20T10:00:00Z';

it('every piece has its own cuts and proofs', () => {
  const read = (piece: number, clockDeg: number) =>
    testReading({ purpose: 'proof', segmentId: 'body', piece, clockDeg, stationMm: 60, valueMm: 39.99, instrumentId: 'mic' });
  const cut = testReading({ purpose: 'cut', segmentId: 'body', piece: 1, valueMm: 41, instrumentId: 'mic' });
  const [item] = itemsOf({ ...sheetOf(), readings: [read(2, 0), read(2, 90), cut], proofs: [proof(2, READ)] });
  const body = (n: number) => item!.pieces[n]!.proofs.find((p) => p.dimension.dimension.key === 'body')!;
  expect([body(0).readings.length, body(1).readings.length]).toEqual([0, 2]);
  expect([body(0).signed, body(1).signed?.passed]).toEqual([null, true]);
  const cuts = item!.pieces.map((p) => p.cuts.find((c) => c.segment.segment.id === 'body')!.cuts.length);
  expect(cuts).toEqual([1, 0]);
});

it('a scrapped piece counts no more, and another is made', () => {
  const [item] = itemsOf(sheetOf([choiceKey.piece('job', '1'), { scrapped: true, why: 'bored through' }]));
  expect(item!.pieces.map((p) => p.piece.number)).toEqual([1, 2, 3]);
  expect(goodPieces(item!).map((p) => p.piece.number)).toEqual([2, 3]);
});

it('what was proved before something moved its sizes is proved again; what was read at the lathe stays', () => {
  const steps = [{ ...newStep('Weld the lug on', 'make'), moves: true, done: true, doneAt: '2026-11-22T09:00:00Z' }];
  const moved = testChoice(choiceKey.item('job'), testItem('make', 'Pin', { componentIds: ['pin'], steps }));
  const sheet = sheetOf();
  const readings = [
    testReading({ purpose: 'proof', segmentId: 'body', stationMm: 60, valueMm: 39.99, instrumentId: 'mic' }),
    testReading({ purpose: 'cut', segmentId: 'body', valueMm: 40, instrumentId: 'mic' }),
  ];
  const of = (choices: JobSheet['choices']) => {
    const item = itemsOf({ ...sheet, choices, readings, proofs: [proof(1, READ)] }).find((i) => i.item.id === 'job');
    const [piece] = item!.pieces;
    const proved = piece!.proofs.find((p) => p.dimension.dimension.key === 'body')!;
    return [proved.readings.length, piece!.cuts.find((c) => c.segment.segment.id === 'body')!.cuts.length];
  };
  expect(of(sheet.choices)).toEqual([1, 1]);
  expect(of([...sheet.choices.filter((c) => c.key !== moved.key), moved])).toEqual([0, 1]);
});

it('a part that is made is cut to size, one that is only pressed straight is not', () => {
  const [made, pressed] = itemsOf(sheetOf());
  expect(isCutToSize(made!)).toBe(true);
  expect(isCutToSize(pressed!)).toBe(false);
});

it('says which item and which piece only where there are several', () => {
  const all = itemsOf(sheetOf());
  const [made] = all;
  expect(pieceName(made!, made!.pieces[1]!.piece, all)).toBe('piece 2');
  expect(pieceName(made!, made!.pieces[1]!.piece, [made!, { ...made!, number: 2 }])).toBe('1 Pin, piece 2');
  const single = { ...made!, pieces: made!.pieces.slice(0, 1) };
  expect(pieceName(single, single.pieces[0]!.piece, [single])).toBe('');
});

it('figures of a further item are released under its own name', () => {
  const second = sheetOf([choiceKey.item('bush'), testItem('make', 'Bush', {})], [`${choiceKey.part}:bush`, pin]);
  const keys = itemsOf(second).map((i) => i.releasable.map((f) => f.key));
  expect(keys[0]).toContain('segment.body.diameter');
  const bush = keys.at(-1)!;
  expect(bush.length).toBeGreaterThan(0);
  expect(bush.every((k) => k.startsWith('item.bush.'))).toBe(true);
  expect(new Set(keys.flat()).size).toBe(keys.flat().length);
});
