import { formatLength } from '../../terms/quantity';
import { choiceKey } from './choices';
import { firstArticle, playInputs } from './first-article';
import type { ProofRecord, ReadingRecord } from './records';
import { workOut } from './repair';
import { drawnPin, testChoice, testReading, testSheet, testShop } from './testing';

const show = (mm: number): string => formatLength(mm, 'mm');
const choices = [testChoice(choiceKey.part, drawnPin()), testChoice('fit:barrel', { schoolId: 'grease', hole: 'keep', truedMm: null })];
const read = (stationMm: number, clockDeg: number, valueMm: number, more: Partial<ReadingRecord> = {}): ReadingRecord =>
  testReading({ purpose: 'proof', segmentId: 'body', stationMm, clockDeg, valueMm, instrumentId: 'mic', ...more });
const pass: ProofRecord = {
  ...{ id: 'p', jobId: 'job', itemId: 'job', piece: 1, segmentId: 'body', passed: true, measuredMm: 40.04 },
  ...{ gaugedWith: '', remark: 'Tried in the lugs.', personId: 'tomas', at: '2026-11-24T10:00:00Z' },
};
const worked = (readings: readonly ReadingRecord[] = [], proofs: readonly ProofRecord[] = []) =>
  workOut({ ...testSheet({ choices }), readings: [...testSheet().readings, ...readings], proofs }, testShop);
const articles = (...of: Parameters<typeof worked>) =>
  firstArticle(worked(...of).items, { shop: testShop, unit: 'mm', show, dayOf: (at) => at.slice(0, 10) });
const rowOf = (...of: Parameters<typeof worked>) => articles(...of)[0]!.rows.find((r) => r.name === 'Body')!;

describe('the report of what was made', () => {
  it('has every piece that counts, with every dimension of it', () => {
    const all = articles();
    expect(all.map((a) => a.title)).toEqual(['Hinge pin']);
    const proofs = worked().items[0]!.pieces[0]!.proofs;
    expect(all[0]!.rows.map((r) => r.name)).toEqual(proofs.map((p) => p.name));
    expect(all[0]).toMatchObject({ passed: 0, due: proofs.filter((p) => p.dimension.mustProve).length, plays: [] });
    expect(rowOf()).toMatchObject({ from: '40.033', to: '40.049', read: '-', by: '-', result: 'not read' });
  });

  it('tells the smallest and the largest, with what, how sure and how often, and who passed it', () => {
    const readings = [read(25, 0, 40.038), read(25, 90, 40.04), read(103, 0, 40.042)];
    expect(rowOf(readings)).toMatchObject({
      read: '40.038 to 40.042',
      by: expect.stringMatching(/^Outside mic 25 to 50, ±0\.00\d, 3 of 4 spots$/),
    });
    expect(rowOf(readings).result).toMatch(/not passed/);
    const measuredMm = worked(readings).proofs.find((p) => p.name === 'Body')!.measured!.value;
    const signed = { ...pass, measuredMm };
    expect(rowOf(readings, [signed]).result).toBe('passed, Tomas Quill 2026-11-24: Tried in the lugs.');
    expect(rowOf(readings, [{ ...signed, passed: false, remark: '' }]).result).toBe('failed, Tomas Quill 2026-11-24');
    expect(articles(readings, [signed])[0]!.passed).toBe(1);
  });

  it('a pass near a limit, or out of it, is no plain pass', () => {
    const at = (mm: number, remark: string): string => {
      const readings = [read(25, 0, mm), read(25, 90, mm)];
      const measuredMm = worked(readings).proofs.find((p) => p.name === 'Body')!.measured!.value;
      return rowOf(readings, [{ ...pass, measuredMm, remark }]).result;
    };
    // The limits are 40.033 to 40.049, the mic may be off by 0.003 and a little more.
    expect(at(40.041, '')).toMatch(/^passed, Tomas/);
    expect(at(40.048, '')).toMatch(/^passed, though nearer to a limit than the instrument can tell, Tomas/);
    expect(at(40.06, 'The lugs are wide')).toMatch(/^passed, though out, Tomas .*: The lugs are wide$/);
  });

  it('draws the play of what is measured, between the tightest and the widest of the hole', () => {
    const [first] = articles([read(25, 0, 40.04), read(25, 90, 40.04)]);
    const [{ mate, play } = { mate: null, play: null }] = first!.plays;
    const proof = worked([read(25, 0, 40.04), read(25, 90, 40.04)]).proofs.find((p) => p.name === 'Body')!;
    const input = playInputs(proof, mate!);
    expect(input.holeSmallestMm).toBeLessThan(input.holeLargestMm);
    // A uniform place in the hole: its mean is the middle, whatever the two uncertainties are.
    expect(play!.meanMm).toBeCloseTo((input.holeSmallestMm + input.holeLargestMm) / 2 - 40.04, 3);
    expect(play!.lowMm).toBeGreaterThan(input.holeSmallestMm - 40.04 - 0.02);
    expect(play!.highMm).toBeLessThan(input.holeLargestMm - 40.04 + 0.02);
  });
});
