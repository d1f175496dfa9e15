import { doubtOf, type DoubtInput } from './reading-doubt';
import { testInstrument } from './testing';

const mic01in = testInstrument('mic-in', { name: 'Outside mic 0 to 1 in', unit: 'in', rangeLowMm: 0, rangeHighMm: 25.4 });
const mic2550 = testInstrument('mic');
const caliper = testInstrument('caliper', { name: 'Caliper 150', kind: 'caliper', rangeLowMm: 0, rangeHighMm: 150 });
const tele = testInstrument('tele', { name: 'Telescoping gauge', kind: 'telescoping-gauge', rangeLowMm: 8, rangeHighMm: 150 });
const at = (more: Partial<DoubtInput>): DoubtInput => ({
  valueMm: 40,
  unit: 'mm',
  decimals: 3,
  instrument: mic2550,
  crib: [mic01in, mic2550, caliper, tele],
  reads: 'outside',
  jobUnit: 'mm',
  uMm: 0.002,
  stationMm: 10,
  clockDeg: 0,
  points: 2,
  expectedMm: null,
  taken: [],
  scaleMm: [],
  limits: null,
  cut: null,
  ...more,
});
const offers = (more: Partial<DoubtInput>): string[] => (doubtOf(at(more))?.offers ?? []).map((o) => o.words);
const other = (valueMm: number, stationMm: number, clockDeg: number) =>
  ({ id: `${stationMm} ${clockDeg}`, stationMm, clockDeg, valueMm, uMm: 0.002, points: 2, unit: 'mm', decimals: 3 }) as const;

describe('what is proved', () => {
  const limits = { lowerMm: 20.226, upperMm: 20.239 };
  const mic = testInstrument('mic-25', { rangeLowMm: 0, rangeHighMm: 25 });
  const about = (valueMm: number, more: Partial<DoubtInput> = {}) =>
    doubtOf(at({ valueMm, limits, instrument: mic, expectedMm: 20.232, ...more }));
  it('may be out of its limits, but not by the size of another place', () => {
    expect(about(20.45)).toBeNull();
    expect(about(19.95)).toBeNull();
    expect(about(18.025)!.message).toBe('18.025 mm where 20.226 mm to 20.239 mm was to come out. Of another place, or misread?');
  });
  it('offers what a slip of the thimble or of the point would make right', () => {
    expect(about(20.732)!.offers[0]).toMatchObject({ kind: 'take', valueMm: expect.closeTo(20.232, 9) });
    expect(about(2.0232)!.offers[0]).toMatchObject({ kind: 'take', valueMm: expect.closeTo(20.232, 9) });
  });
  it('of wide limits is asked about later, and an indicator’s reading never', () => {
    expect(about(18.9, { limits: { lowerMm: 19.9, upperMm: 20.5 } })).toBeNull();
    expect(about(0.02, { reads: 'indicator', expectedMm: null })).toBeNull();
  });
});

describe('what an instrument cannot show', () => {
  it('is asked about, with the instruments that can', () => {
    const doubt = doubtOf(at({ valueMm: 1.575 * 25.4, unit: 'in', instrument: mic01in }))!;
    expect(doubt.message).toBe('Outside mic 0 to 1 in cannot show 1.575 in: which instrument, or which size?');
    expect(doubt.offers.flatMap((o) => (o.kind === 'instrument' ? [o.instrumentId] : []))).toEqual(['mic', 'caliper']);
  });
  it('typed as thou is offered first as thou', () => {
    for (const [typed, first] of [
      [687.8, 'Take 0.6878 in (thou)'],
      [182, 'Take 0.182 in (thou)'],
    ] as const)
      expect(offers({ valueMm: typed * 25.4, unit: 'in', decimals: typed === 182 ? 0 : 1, instrument: mic01in })[0]).toBe(first);
    const big = { ...caliper, unit: 'in' as const };
    expect(offers({ valueMm: 1750 * 25.4, unit: 'in', decimals: 0, instrument: big })[0]).toBe('Take 1.750 in (thou)');
  });
  it('and longer than anything in a shop is never kept as it stands', () => {
    const doubt = doubtOf(at({ valueMm: 787.6 * 25.4, unit: 'in', decimals: 1, instrument: mic01in }))!;
    expect(doubt.message).toContain('787.6 in is over 20 m');
    expect(doubt.offers).toEqual([{ kind: 'take', valueMm: expect.closeTo(0.7876 * 25.4, 9), words: 'Take 0.7876 in (thou)' }]);
    expect(doubtOf(at({ valueMm: 30_000, instrument: undefined }))).toMatchObject({ offers: [] });
  });
  it('in the job’s unit, from an instrument that shows the other, is offered first in that unit', () => {
    expect(offers({ valueMm: 0.7515, unit: 'mm', decimals: 4, jobUnit: 'in', instrument: tele, reads: 'inside', scaleMm: [] })[0]).toBe(
      'Take 19.0881 mm (typed in inch)',
    );
  });
  it('never offers an outside mic for a bore', () => {
    const doubt = doubtOf(at({ valueMm: 30, reads: 'inside', instrument: { ...tele, rangeLowMm: 50 } }))!;
    expect(doubt.offers.flatMap((o) => (o.kind === 'instrument' ? [o.instrumentId] : []))).not.toContain('mic');
  });
  it('is nothing of an indicator', () => expect(doubtOf(at({ valueMm: 0.3, reads: 'indicator', instrument: mic2550 }))).toBeNull());
});

describe('among its neighbours', () => {
  const taken = [other(39.98, 10, 45), other(39.983, 10, 90), other(39.981, 30, 0), other(39.979, 30, 45)];
  it('names one turn of the thimble, and two digits swapped', () => {
    expect(offers({ valueMm: 40.481, taken })[0]).toContain('one turn of the thimble, 0.5 mm');
    expect(offers({ valueMm: 39.891, taken })[0]).toContain('two digits swapped');
  });
  it('leaves wear alone', () => {
    for (const valueMm of [39.95, 39.9, 39.7, 40.01]) expect(doubtOf(at({ valueMm, taken }))).toBeNull();
  });
  it('stops doubting the right ones once a wrong first value is gone', () => {
    expect(doubtOf(at({ valueMm: 39.98, expectedMm: 0.5 }))).not.toBeNull();
    expect(doubtOf(at({ valueMm: 39.98, expectedMm: null }))).toBeNull();
  });
  it('weighs a first reading against the part', () => {
    expect(offers({ valueMm: 182 * 25.4, unit: 'in', decimals: 0, instrument: undefined, scaleMm: [4.7] })[0]).toBe('Take 0.182 in (thou)');
    expect(doubtOf(at({ valueMm: 30, scaleMm: [40, 12] }))).toBeNull();
  });
});

describe('at the lathe', () => {
  const cut = { side: 'outside', beforeMm: 41, dialMm: 40.5 } as const;
  it('cutting makes no outside bigger, beyond heat and the bands', () => {
    expect(doubtOf(at({ valueMm: 41.01, cut: { side: 'outside', beforeMm: 41, dialMm: null } }))).toBeNull();
    expect(doubtOf(at({ valueMm: 41.2, cut: { side: 'outside', beforeMm: 41, dialMm: null } }))!.message).toContain(
      'cutting makes no outside bigger',
    );
  });
  it('offers an unlogged cut before a slip where more came off than was dialled, a slip first where less did', () => {
    expect(offers({ valueMm: 40, cut })).toEqual([
      'Right: there was a cut that is not written down',
      expect.stringContaining('one turn of the thimble'),
    ]);
    expect(offers({ valueMm: 40.99, cut })[0]).toContain('one turn of the thimble');
  });
  it('a bore is the same in a mirror: it grows, and boring makes no hole smaller', () => {
    const bored = { instrument: undefined, cut: { side: 'inside', beforeMm: 24.2, dialMm: 24.885 } } as const;
    for (const valueMm of [24.885, 24.86, 24.92]) expect(doubtOf(at({ valueMm, ...bored }))).toBeNull();
    expect(doubtOf(at({ valueMm: 24.0, ...bored }))!.message).toContain('boring makes no hole smaller');
    expect(offers({ valueMm: 25.3, ...bored })[0]).toBe('Right: there was a cut that is not written down');
    expect(offers({ valueMm: 24.5, ...bored })).not.toContain('Right: there was a cut that is not written down');
  });
  it('says nothing where the dial and the mic agree, spring and all', () => {
    for (const valueMm of [40.5, 40.52, 40.56, 40.46]) expect(doubtOf(at({ valueMm, cut }))).toBeNull();
  });
});
