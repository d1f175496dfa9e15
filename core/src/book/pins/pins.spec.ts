import { CLEVIS_PINS, SPLIT_PINS } from './pins.data';
import { nextTaperPins, splitPinFor, splitPinShank, TAPER_PINS, taperPinEnds } from './pins';

it.each([
  ['bolt', 12, 3.2],
  ['bolt', 14, 3.2],
  ['bolt', 20, 4],
  ['bolt', 20.1, 5],
  ['clevis pin', 12, 3.2],
  ['clevis pin', 16, 4],
  ['clevis pin', 110, 13],
] as const)('%s of %d mm takes a split pin %d', (what, d, pin) => expect(splitPinFor(what, d)).toEqual({ ok: true, value: pin }));

it('has its ranges end to end, and says what is outside', () => {
  SPLIT_PINS.slice(1).forEach((r, i) => {
    expect(r[1]).toBe(SPLIT_PINS[i]![2]);
    expect(r[3]).toBe(SPLIT_PINS[i]![4]);
  });
  expect(splitPinFor('bolt', 121)).toMatchObject({ ok: false });
  expect(splitPinFor('bolt', -1)).toMatchObject({ ok: false });
});

it('names taper pins by their own end: ISO small, inch large', () => {
  const iso = TAPER_PINS.find((p) => p.name === '6 mm')!;
  expect(taperPinEnds(iso, 50)).toEqual({ smallMm: 6, largeMm: 7 });
  const four = TAPER_PINS.find((p) => p.name === 'number 4')!;
  expect(taperPinEnds(four, 48)).toEqual({ smallMm: expect.closeTo(5.35, 9), largeMm: expect.closeTo(6.35, 9) });
  // Published: a number 4 pin 1 in long has a small end of 0.2292 in.
  expect(taperPinEnds(four, 25.4).smallMm / 25.4).toBeCloseTo(0.2292, 4);
});

it('finds the next pin that cleans up a worn hole', () => {
  const [next] = nextTaperPins({ largeMm: 6.6, smallMm: 6 }, 30);
  expect(taperPinEnds(next!, 30).largeMm).toBeGreaterThan(6.6);
  expect(next!.name).toBe('number 5');
});

it('gives each clevis pin the split pin that ISO 1234 gives its diameter', () => {
  for (const [d, hole] of CLEVIS_PINS) if (d <= 100) expect(splitPinFor('clevis pin', d)).toEqual({ ok: true, value: hole });
  expect(CLEVIS_PINS.find(([d]) => d === 16)![1]).toBe(4);
});

it('a split pin is thinner than its hole, each size listed, and no other hole is one’s', () => {
  // ISO 1234: 3.2 has a shank of 2.7 to 2.9, 10 one of 9.3 to 9.5.
  expect(splitPinShank(3.2)).toMatchObject({ largestMm: 2.9, smallestMm: 2.7 });
  expect(splitPinShank(10)).toMatchObject({ largestMm: 9.5, smallestMm: 9.3 });
  expect(splitPinShank(4.5)).toBeNull();
  for (const [hole] of SPLIT_PINS) expect(splitPinShank(hole)!.largestMm).toBeLessThan(hole);
});
