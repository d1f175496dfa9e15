import { testReading, testSheet, testShop } from '@iron-patch/core/testing';
import { typedReading } from '../../testing/typed-reading';
import { Foresight } from './foresight';

const typed = typedReading('40.10');
const sheet = testSheet();
const jobId = sheet.job.id;

describe('a reading that is foreseen', () => {
  let foresight: Foresight;
  beforeEach(() => {
    jest.useFakeTimers({ now: new Date('2026-11-25T10:00:00Z') });
    foresight = new Foresight();
    foresight.foresee(sheet, testShop, typed, 'tomas', 40.1);
  });
  afterEach(() => jest.useRealTimers());

  it('is worked out before it is taken, and not again after', () => {
    const record = foresight.taken(jobId, typed, 'tomas', 40.1);
    expect(record).toMatchObject({ text: '40.10', valueMm: 40.1, personId: 'tomas', jobId });
    expect(record).not.toHaveProperty('confirmed');
    const then = { ...sheet, readings: [...sheet.readings, record] };
    const repair = foresight.repairOf(then, testShop);
    expect(foresight.repairOf({ ...then, readings: [...then.readings] }, testShop)).toBe(repair);
    expect(repair.live).toContain(record);
  });

  it('does not count until it is taken', () => {
    expect(foresight.repairOf(sheet, testShop).live).toHaveLength(sheet.readings.length);
  });

  it('is taken once: the same number once more is another reading', () => {
    const first = foresight.taken(jobId, typed, 'tomas', 40.1);
    expect(foresight.taken(jobId, typed, 'tomas', 40.1).id).not.toBe(first.id);
  });

  it.each([
    ['number', { ...typed, text: '40.11' }, 'tomas', 40.11, jobId],
    ['place', { ...typed, clockDeg: 0 }, 'tomas', 40.1, jobId],
    ['person', typed, 'ines', 40.1, jobId],
    ['job', typed, 'tomas', 40.1, 'other'],
  ])('is nothing to another %s, and still there for its own', (_, reading, person, valueMm, job) => {
    const other = foresight.taken(job, reading, person, valueMm);
    expect(other).toMatchObject({ text: reading.text, clockDeg: reading.clockDeg, personId: person, jobId: job });
    const own = foresight.taken(jobId, typed, 'tomas', 40.1);
    expect(own.id).not.toBe(other.id);
    const then = { ...sheet, readings: [...sheet.readings, own] };
    expect(foresight.repairOf(then, testShop)).toBe(foresight.repairOf(then, testShop));
  });

  it('takes the time of Enter when it stood in the line for long', () => {
    jest.advanceTimersByTime(20_000);
    expect(foresight.taken(jobId, typed, 'tomas', 40.1).takenAt).toBe('2026-11-25T10:00:20.000Z');
  });

  it('is worked out anew on a sheet that changed meanwhile', () => {
    const record = foresight.taken(jobId, typed, 'tomas', 40.1);
    const other = testReading({ placeId: 'barrel', stationMm: 20, clockDeg: 45, valueMm: 40.2 });
    const then = { ...sheet, readings: [...sheet.readings, other, record] };
    expect(foresight.repairOf(then, testShop).live).toHaveLength(sheet.readings.length + 2);
  });
});
