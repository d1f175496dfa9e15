import { choiceKey } from './choices';
import type { ProofRecord, ReadingRecord } from './records';
import { signProblems } from './proof-finding';
import { workOut } from './repair';
import { drawnPin, testChoice, testInstrument, testReading, testSheet, testShop } from './testing';

const sheet = testSheet({
  choices: [testChoice(choiceKey.part, { ...drawnPin(), outside: drawnPin().outside.map((s) => ({ ...s, fitsPlaceIds: [] })) })],
});
const read = (valueMm: number, clockDeg: number, more: Partial<ReadingRecord> = {}): ReadingRecord =>
  testReading({ purpose: 'proof', segmentId: 'body', stationMm: 60, clockDeg, valueMm, instrumentId: 'mic', ...more });
const signed = (measuredMm: number, passed = true): ProofRecord => ({
  ...{ id: 'p', jobId: 'job', itemId: 'job', piece: 1, segmentId: 'body' },
  ...{ passed, measuredMm, gaugedWith: '', remark: '', personId: 'tomas', at: '' },
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

describe('what no instrument of the crib reads', () => {
  const drawn = () => {
    const pin = drawnPin();
    return {
      ...pin,
      outside: pin.outside.map((s) => ({ ...s, fitsPlaceIds: [] })),
      features: [
        { id: 'f', kind: 'surface-finish', on: 'body', name: 'Surface', raUm: 0.8, how: 'ground' },
        { id: 'h', kind: 'hardness', on: 'body', name: 'Hardness', scale: 'HRC', from: 58, to: 62, how: 'case', remark: '' },
        { id: 'r', kind: 'relation', on: 'body', name: 'True', which: 'run-out', of: '', to: pin.outside[0]!.id, mm: 0.02 },
      ],
    };
  };
  const asked = testSheet({ choices: [testChoice(choiceKey.part, drawn())] });
  const indicator = testInstrument('dial', { name: 'Dial indicator', kind: 'indicator', rangeLowMm: 0, rangeHighMm: 1 });
  const shop = { ...testShop, instruments: [...testShop.instruments, indicator] };
  const tried = (segmentId: string, measuredMm: number | null, more: Partial<ProofRecord> = {}): ProofRecord => ({
    ...signed(0),
    ...{ segmentId, measuredMm, gaugedWith: 'tester', ...more },
  });
  const found = (key: string, proofs: readonly ProofRecord[] = [], readings: readonly ReadingRecord[] = [], sheet = asked) =>
    workOut({ ...sheet, readings: [...sheet.readings, ...readings], proofs }, shop).proofs.find((p) => p.dimension.dimension.key === key)!;

  it('is released, must be proved, and waits for a gauge', () => {
    const job = workOut(asked, shop);
    const keys = ['segment.f.roughness', 'segment.h.hardness', 'segment.r.off'];
    expect(keys.filter((k) => job.releasable.some((x) => x.key === k))).toEqual(keys);
    expect(found('h.hardness')).toMatchObject({ gauged: true, verdict: 'unknown', signed: null, measured: null });
    expect(job.holds.map((h) => h.message)).toContain('Body, hardness, case hardened is not tried with a gauge.');
  });
  it.each([
    [60, 'fits'],
    [57, 'out'],
    [63, 'out'],
    [null, 'unknown'],
  ] as const)('a tester that shows %s HRC says %s of 58 to 62', (value, verdict) =>
    expect(found('h.hardness', [tried('h.hardness', value)])).toMatchObject({ verdict }),
  );
  it('a pass stands with its gauge; out of its limits it needs a reason; another limit makes it fall', () => {
    expect(found('h.hardness', [tried('h.hardness', 60)]).signed?.passed).toBe(true);
    expect(found('h.hardness', [tried('h.hardness', null)]).signed?.passed).toBe(true);
    expect(found('h.hardness', [tried('h.hardness', 57)]).signed).toBeNull();
    expect(found('h.hardness', [tried('h.hardness', 57, { remark: 'The customer agreed.' })]).signed?.passed).toBe(true);
    const harder = { ...drawn(), features: drawn().features.map((f) => (f.id === 'h' ? { ...f, from: 61, to: 64 } : f)) };
    const sheet = { ...asked, choices: [testChoice(choiceKey.part, harder)] };
    expect(found('h.hardness', [tried('h.hardness', 60)], [], sheet).signed).toBeNull();
  });
  it('a nut that does not go on is no finished part, though no number says so', () => {
    const failed = [tried('h.hardness', null, { passed: false, gaugedWith: 'file' })];
    const { stations } = workOut({ ...asked, proofs: failed }, shop);
    expect(stations.find((s) => s.id === 'prove')).toMatchObject({ state: 'out', waitsFor: 'Body, hardness, case hardened was failed' });
  });
  it('smoother than asked is no fault: only the upper limit counts', () => {
    expect(found('f.roughness', [tried('f.roughness', 0.1)]).verdict).toBe('fits');
    expect(found('f.roughness', [tried('f.roughness', 0.9)]).verdict).toBe('out');
  });
  it('run-out is read with an indicator, and none at all is the best there is', () => {
    const at = (valueMm: number) => read(valueMm, 0, { segmentId: 'r.off', instrumentId: 'dial', stationMm: 0, quantity: 'indicator' });
    expect(found('r.off', [], [at(0)])).toMatchObject({ gauged: false, verdict: 'fits' });
    expect(found('r.off', [], [at(0.019)])).toMatchObject({ verdict: 'close' });
    expect(found('r.off', [], [at(0.04)])).toMatchObject({ verdict: 'out' });
    expect(found('r.off', [], [at(-0.04)])).toMatchObject({ verdict: 'out' });
  });
  it('what keeps a signature away', () => {
    const give = { passed: true, remark: '', gaugedWith: 'tester', gaugedValue: 60 };
    const hard = found('h.hardness');
    expect(signProblems(hard, give)).toEqual([]);
    expect(signProblems(hard, { ...give, gaugedValue: null })).toEqual([]);
    expect(signProblems(hard, { ...give, gaugedWith: ' ' })).toMatchObject([{ path: 'gaugedWith' }]);
    expect(signProblems(hard, { ...give, gaugedValue: 57 })).toMatchObject([{ path: 'remark' }]);
    expect(signProblems(hard, { ...give, gaugedValue: 57, passed: false })).toEqual([]);
    expect(signProblems(found('r.off'), give)).toMatchObject([{ path: 'segmentId' }]);
    expect(signProblems(undefined, give)).toMatchObject([{ path: 'segmentId' }]);
  });
});
