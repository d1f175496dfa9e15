import { materialOf, type Material } from '../../book/materials';
import { newPart, surface, type Part, type PartFeature } from '../part';
import { goodman, leastSafe, safetyAlong } from './safety';

const KSI = 6.894757;
const NM_PER_LBF_IN = 0.112985;
const fillet = { id: 'f', kind: 'fillet', on: 'a', name: 'Fillet', end: 'right', radiusMm: 2.794 } as PartFeature;
const shaft: Part = {
  ...newPart('plain-pin', 'Shaft', 30, 100),
  outside: [surface('a', 'cylinder', 'Seat', 60, 27.94), surface('b', 'cylinder', 'Body', 60, 41.91)],
  features: [fillet],
};
const steel: Material = { ...materialOf('steel-c45')!, tensileMpa: 105 * KSI, yieldMpa: 82 * KSI };

it('the Goodman line as in Shigley’s example 7-1: 1.62', () => {
  // d 1.1 in, M 1260 and T 1100 lbf·in, Kf 1.58, Kfs 1.39.
  const d3 = Math.PI * 1.1 ** 3;
  const alternating = (1.58 * 32 * 1260) / d3;
  const mean = (Math.sqrt(3) * 1.39 * 16 * 1100) / d3;
  expect(goodman(alternating, mean, 29_300, 105_000)).toBeCloseTo(1.62, 2);
});

it('the shoulder of that example, without its reliability: about 1.9 against fatigue, 4.5 against yield', () => {
  const load = { bendingNm: 1260 * NM_PER_LBF_IN, torqueNm: 1100 * NM_PER_LBF_IN, pullN: 0 };
  const worst = leastSafe(safetyAlong(shaft, steel, load))!;
  expect(worst.words).toContain('the shoulder of Seat');
  // 1 / (15.2 / 36.0 + 10.1 / 105) = 1.93; our Kf is 3 % larger.
  expect(worst.fatigue).toBeGreaterThan(1.8);
  expect(worst.fatigue).toBeLessThan(1.95);
  // The book has 4.50 with its Kf in it: without, as here, by as much more.
  const d3 = Math.PI * 1.1 ** 3;
  expect(worst.yield).toBeCloseTo(82_000 / Math.hypot((32 * 1260) / d3, (Math.sqrt(3) * 16 * 1100) / d3), 1);
});

it('twice the load is half as safe, none is safe without end, and one more load is never safer', () => {
  const one = { bendingNm: 100, torqueNm: 50, pullN: 2000 };
  const twice = { bendingNm: 200, torqueNm: 100, pullN: 4000 };
  const [a, b] = [leastSafe(safetyAlong(shaft, steel, one))!, leastSafe(safetyAlong(shaft, steel, twice))!];
  expect(a.fatigue! / b.fatigue!).toBeCloseTo(2, 6);
  expect(a.yield / b.yield).toBeCloseTo(2, 6);
  expect(leastSafe(safetyAlong(shaft, steel, { bendingNm: 0, torqueNm: 0, pullN: 0 }))!.yield).toBe(Infinity);
  expect(leastSafe(safetyAlong(shaft, steel, { ...one, torqueNm: 0 }))!.fatigue!).toBeGreaterThan(a.fatigue!);
  expect(leastSafe([])).toBeNull();
});
