import fc from 'fast-check';
import { fitOutlook, SLIDE_LEAST_MM, tapMostMm, type OutlookInput } from './outlook';

const pair = (pin: [number, number], hole: [number, number], plusMinusMm = 0.004, pinC = 20, holeC = 20): OutlookInput => ({
  pin: { lowerMm: pin[0], upperMm: pin[1], alphaPerK: 11.5e-6, tempC: pinC },
  hole: { smallestMm: hole[0], largestMm: hole[1], plusMinusMm, alphaPerK: 18e-6, tempC: holeC },
});

it('has the play of the limits, now', () => {
  const { playNow } = fitOutlook(pair([24.96, 24.98], [25.01, 25.04]));
  expect(playNow.leastMm).toBeCloseTo(0.03, 9);
  expect(playNow.mostMm).toBeCloseTo(0.08, 9);
});

it('a 25 mm steel pin at 60 °C loses 0.0115 mm; a bronze hole 40 K warmer gains 0.018', () => {
  const cold = fitOutlook(pair([25, 25], [25, 25])).playWarm.leastMm;
  expect(fitOutlook(pair([25, 25], [25, 25], 0.004, 60)).playWarm.leastMm - cold).toBeCloseTo(-0.0115, 9);
  expect(fitOutlook(pair([25, 25], [25, 25], 0.004, 20, 60)).playWarm.leastMm - cold).toBeCloseTo(0.018, 9);
});

it.each([
  ['room to spare', [24.95, 24.96], 'slides'],
  ['a few microns over', [25.003, 25.005], 'taps'],
  ['far over', [25.05, 25.06], 'presses'],
] as const)('%s: it %s', (_, pin, way) => {
  expect(fitOutlook(pair([...pin], [25, 25])).goesIn[way]).toBeGreaterThan(0.95);
});

it('agrees with drawing a hundred thousand pairs (seeded)', () => {
  const input = pair([24.99, 25.008], [25, 25], 0.008);
  let seed = 7;
  const random = (): number => {
    seed = (seed * 1664525 + 1013904223) % 4294967296;
    return (seed + 0.5) / 4294967296;
  };
  const n = 100_000;
  let [slides, presses] = [0, 0];
  for (let i = 0; i < n; i++) {
    const pin = 24.99 + 0.018 * random();
    const hole = 25 + 0.004 * Math.sqrt(-2 * Math.log(random())) * Math.cos(2 * Math.PI * random());
    if (hole - pin > SLIDE_LEAST_MM) slides++;
    if (hole - pin <= -tapMostMm(25)) presses++;
  }
  const { goesIn } = fitOutlook(input);
  expect(goesIn.slides).toBeCloseTo(slides / n, 2);
  expect(goesIn.presses).toBeCloseTo(presses / n, 2);
});

it('shares always add up, stay within 0 and 1, and a larger pin never slides more easily', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 5, max: 200, noNaN: true }),
      fc.double({ min: -0.1, max: 0.1, noNaN: true }),
      fc.double({ min: 0, max: 0.05, noNaN: true }),
      fc.double({ min: 0, max: 0.03, noNaN: true }),
      (size, over, width, u) => {
        const { goesIn } = fitOutlook(pair([size + over - width, size + over], [size, size], u));
        expect(goesIn.slides + goesIn.taps + goesIn.presses).toBeCloseTo(1, 6);
        for (const share of Object.values(goesIn)) expect(share).toBeGreaterThanOrEqual(-1e-9);
        const larger = fitOutlook(pair([size + over - width + 0.001, size + over + 0.001], [size, size], u)).goesIn;
        expect(larger.slides).toBeLessThanOrEqual(goesIn.slides + 1e-6);
      },
    ),
    { seed: 4, numRuns: 200 },
  );
});
