import { validatePart } from '../../making/part';
import { jobItems, workOut, type JobSheet } from '../job';
import { testInstrument, testPlace, testReading, testSheet, testShop } from '../job/testing';
import { partFromEvidence } from './from-evidence';
import { drawnId } from '../job';

const exact = testInstrument('exact', { uMm: 0.001, repeatMm: 0.001, rangeLowMm: 0, rangeHighMm: 1000 });
const shop = { ...testShop, instruments: [...testShop.instruments, exact] };

const jobOf = (seatMm: number, more: Partial<JobSheet> = {}): JobSheet => {
  const place = (id: string, startMm: number, bearing: boolean) =>
    testPlace(id, {
      ...{
        name: id === 'seat' ? 'Bearing seat' : 'Body',
        startMm,
        lengthMm: 20,
        stationsMm: [startMm + 10],
        clocksDeg: [0, 90],
        instrumentId: 'exact',
      },
      suspicions: bearing ? ['bearing'] : [],
    });
  const read = (placeId: string, stationMm: number, valueMm: number) =>
    [0, 90].map((clockDeg) => testReading({ placeId, stationMm, clockDeg, valueMm, instrumentId: 'exact' }));
  return testSheet({
    components: testSheet().components.slice(0, 1),
    places: [place('seat', 0, true), place('body', 20, false)],
    readings: [...read('seat', 10, seatMm), ...read('body', 30, 32.4)],
    ...more,
  });
};
function drawn(sheet: JobSheet) {
  const item = jobItems(sheet).find((i) => i.kind === 'make')!;
  return partFromEvidence(item, workOut(sheet, shop), sheet)!;
}

it('what carried a bearing of 25 is drawn 25 k5 (ISO 286-2: +0.002 to +0.011), never with the general tolerance', () => {
  const { part, doubts } = drawn(jobOf(25.006));
  const id = drawnId('seat');
  expect(part.outside.find((s) => s.id === id)!.diameterMm).toBe(25);
  expect(part.limits[id]).toEqual({ lowerDev: expect.closeTo(0.002, 9), upperDev: expect.closeTo(0.011, 9), text: 'k5' });
  expect(doubts).toContain('A bearing sits on bearing seat: drawn 25.000 mm k5, by the bearing table. Say otherwise where it is.');
  expect(doubts.join()).not.toContain('What bearing seat was is not known');
  expect(validatePart(part).ok).toBe(true);
});

it('where no bearing has that bore it asks for limits, and says why', () => {
  const { part, doubts } = drawn(jobOf(26.3));
  expect(part.limits).toEqual({});
  expect(doubts.join()).toMatch(/A bearing sits on bearing seat: give it limits of its own/);
});

it('what is no seat keeps the size that was read', () => {
  const body = drawn(jobOf(25.006)).part.outside.find((s) => s.id === drawnId('body'))!;
  expect(body.diameterMm).toBeCloseTo(32.4, 9);
});
