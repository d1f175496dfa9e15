import { readAsReworked } from './reworked';
import { testReading, testSheet } from './testing';

const proof = testReading({ purpose: 'proof', segmentId: 'barrel', itemId: 'bore-out', stationMm: 20, clockDeg: 45, valueMm: 42.01 });

it('what proves a bored place is a reading of that place after the item that bored it', () => {
  const [read] = readAsReworked([proof], testSheet());
  expect(read).toMatchObject({ purpose: 'found', placeId: 'barrel', afterActId: 'bore-out', itemId: null, segmentId: null });
  // What was read stays what was read.
  const { valueMm, stationMm, clockDeg, text, instrumentId, takenAt, id } = proof;
  expect(read).toMatchObject({ valueMm, stationMm, clockDeg, text, instrumentId, takenAt, id });
});

it('proofs of a new part’s surfaces, cuts, and what was found are none of it', () => {
  const others = [{ ...proof, segmentId: 'head' }, { ...proof, purpose: 'cut' as const }, testReading({ placeId: 'barrel', valueMm: 40 })];
  expect(readAsReworked(others, testSheet())).toEqual([]);
});

it('the same reading is the same object again, so that nothing is worked out anew for it', () => {
  expect(readAsReworked([proof], testSheet())[0]).toBe(readAsReworked([proof], testSheet())[0]);
});
