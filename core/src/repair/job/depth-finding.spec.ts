import { depthFinding } from './depth-finding';
import { NO_DETAIL, type PlaceRecord } from './records';
import { testPlace } from './testing';

const value = (quantity: 'depth' | 'over-ring', mm: number) => ({ quantity, mean: { value: mm }, plusMinusMm: 0.03 }) as never;
const place = (detail: Partial<PlaceRecord['detail']> = {}): PlaceRecord =>
  testPlace('d', { kind: 'depth', detail: { ...NO_DETAIL, ringMm: 2.5, grooveWidthMm: 3.2, ...detail } });

it('a depth over a fitted ring agrees with the direct one within the ring’s room in its groove and what the instruments leave open', () => {
  // Groove 3.20, ring 2.50: it may stand 0.70 off.
  expect(depthFinding(place(), [value('depth', 8.1), value('over-ring', 8.3)])).toMatchObject({
    differenceMm: expect.closeTo(0.2, 9),
    allowedMm: expect.closeTo(0.7 + Math.hypot(0.03, 0.03), 9),
    agree: true,
  });
  expect(depthFinding(place(), [value('depth', 8.1), value('over-ring', 9.3)])!.agree).toBe(false);
});

it('read to the ring’s far face its thickness comes off; resting on the far wall its room too', () => {
  const far = depthFinding(place({ ringFace: 'far' }), [value('depth', 8.1), value('over-ring', 10.6)])!;
  expect(far.byRingMm).toBeCloseTo(8.1, 9);
  const rests = depthFinding(place({ ringFace: 'far', ringRestsOn: 'far' }), [value('depth', 8.1), value('over-ring', 11.3)])!;
  expect(rests.byRingMm).toBeCloseTo(8.1, 9);
});

it('says nothing without both depths, the ring and its groove', () => {
  expect(depthFinding(place(), [value('depth', 8.1)])).toBeNull();
  expect(depthFinding(place(), [value('over-ring', 8.3)])).toBeNull();
  expect(depthFinding(place({ ringMm: null }), [value('depth', 8.1), value('over-ring', 8.3)])).toBeNull();
});
