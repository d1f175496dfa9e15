import { choiceKey } from './choices';
import type { ProofRecord, ReadingRecord } from './records';
import { workOut } from './repair';
import { drawnPin, testChoice, testReading, testSheet, testShop } from './testing';

const sheet = testSheet({
  choices: [testChoice(choiceKey.part, { ...drawnPin(), outside: drawnPin().outside.map((s) => ({ ...s, fitsPlaceIds: [] })) })],
});
const read = (valueMm: number, clockDeg: number, more: Partial<ReadingRecord> = {}): ReadingRecord =>
  testReading({ purpose: 'proof', segmentId: 'body', stationMm: 60, clockDeg, valueMm, instrumentId: 'mic', ...more });
const signed = (measuredMm: number, passed = true): ProofRecord => ({
  ...{ id: 'p', jobId: 'job', itemId: 'job', piece: 1, segmentId: 'body' },
  ...{ passed, measuredMm, remark: '', personId: 'tomas', at: '' },
});
const body = (readings: readonly ReadingRecord[], proofs: readonly ProofRecord[]) =>
  workOut({ ...sheet, readings: [...sheet.readings, ...readings], proofs }, testShop).proofs.find((p) => p.name === 'Body')!;

describe('a signature', () => {
  const two = [read(40.01, 0), read(40.03, 90)];

  it('stands for the size that was signed', () => expect(body(two, [signed(40.02)]).signed?.passed).toBe(true));

  it.each([
    ['all its readings are withdrawn', [...two, ...two.map((r) => read(0, r.clockDeg, { supersedesId: r.id, withdrawn: true }))]],
    ['one of them is corrected', [...two, read(40.06, 90, { supersedesId: two[1]!.id })]],
    ['another makes it a different size', [...two, read(40.1, 0, { stationMm: 30 })]],
    ['another tells that it is oval beyond its limits, though its mean stays', [...two, read(41, 45)]],
  ])('falls when %s', (_, readings) => expect(body(readings, [signed(40.02)]).signed).toBeNull());

  it('the newest counts, whether it passed or failed', () => {
    expect(body(two, [signed(40.02), signed(40.02, false)]).signed?.passed).toBe(false);
    expect(body(two, [signed(40.02, false), signed(40.5)]).signed).toBeNull();
  });
});
