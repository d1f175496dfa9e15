import fc from 'fast-check';
import { NAMED_FITS, nearestFits, nearestZones } from './nearest';
import { fitPair, splitIsoFit } from './pair';
import { PREFERRED_FITS } from './preferred.data';

it.each([
  ['H7/g6', 25, 0.007, 0.041],
  ['H8/f7', 40, 0.025, 0.089],
  ['H7/p6', 25, -0.035, -0.001],
  ['H7/s6', 100, -0.093, -0.036],
  ['K7/h6', 40, -0.018, 0.023],
  ['H7/k6', 50, -0.018, 0.023],
])('%s at %d mm has clearance %d to %d mm', (name, size, least, most) => {
  const pair = fitPair(name, size);
  if (!pair.ok) throw new Error('no pair');
  expect(pair.value.leastClearanceMm).toBeCloseTo(least, 9);
  expect(pair.value.mostClearanceMm).toBeCloseTo(most, 9);
});

it('has the published range of an inch class: RC4 at 1 in is 0.0008 to 0.0028 in', () => {
  const pair = fitPair('rc4', 25.4);
  expect(pair).toMatchObject({
    value: { leastClearanceMm: expect.closeTo(0.0008 * 25.4, 9), mostClearanceMm: expect.closeTo(0.0028 * 25.4, 9) },
  });
});

it('reads a pair as people write it, and refuses what is none', () => {
  expect(splitIsoFit('H7 g6')).toEqual({ hole: 'H7', shaft: 'g6' });
  expect(splitIsoFit('JS7-h6')).toEqual({ hole: 'JS7', shaft: 'h6' });
  for (const text of ['g6/H7', 'H7', 'H7/', 'RC4', 'H7/G6', '']) expect(splitIsoFit(text)).toBeNull();
  expect(fitPair('H7/q6', 20)).toMatchObject({ ok: false });
  expect(fitPair('H7/h6', 501)).toMatchObject({ ok: false, problems: [{ code: 'out-of-table' }] });
});

it('every preferred fit does what its kind says at 25 mm', () => {
  for (const { fit, kind } of PREFERRED_FITS) {
    const pair = fitPair(fit, 25.4);
    if (!pair.ok) throw new Error(fit);
    const { leastClearanceMm: least, mostClearanceMm: most } = pair.value;
    if (kind === 'runs') expect(least).toBeGreaterThan(0);
    if (kind === 'slides') expect(least).toBeGreaterThanOrEqual(0);
    if (kind === 'taps') expect(least * most).toBeLessThan(0);
    if (kind === 'presses') expect(most).toBeLessThanOrEqual(0);
  }
});

it('finds a zone and a fit back from their own limits, for any size', () => {
  fc.assert(
    fc.property(fc.constantFrom(...NAMED_FITS), fc.double({ min: 7, max: 400, noNaN: true }), (name, size) => {
      const pair = fitPair(name, size);
      if (!pair.ok) return;
      const [best] = nearestFits(size, pair.value.leastClearanceMm, pair.value.mostClearanceMm, 1);
      expect(best!.missMm).toBeLessThan(1e-9);
      const iso = splitIsoFit(name);
      if (iso) expect(nearestZones(size, pair.value.shaft, 'shaft', 1)[0]!.missMm).toBeLessThan(1e-9);
    }),
    { seed: 3, numRuns: 100 },
  );
});

it('names f7 first for the limits of f7, and RC4 or its like for its clearance', () => {
  expect(nearestZones(40, { lowerMm: -0.05, upperMm: -0.025 }, 'shaft', 3)[0]).toMatchObject({ zone: 'f7', missMm: 0 });
  expect(nearestFits(25.4, 0.0203, 0.0711, 1)[0]!.pair.name).toBe('RC4');
});
