import { addedFeature } from '../drawing';
import { newPart, surface, type Part, type PartFeature } from '../part';
import { edgeToCentreMm, flatDepthMm, flatWidthMm } from './milled';
import type { Bench } from './schedule';
import { schedulesOf } from './schedules';

const shaft: Part = { ...newPart('plain-pin', 'Shaft', 40, 100), outside: [surface('a', 'cylinder', 'Body', 100, 40)], features: [] };
const bench = {
  lathe: {
    name: 'Lathe',
    gearsRpm: [100],
    cross: { unit: 'mm', perTurn: 5, perLine: 0.05, reads: 'diameter' },
    carriage: { unit: 'mm', perTurn: 20, perLine: 0.1 },
  },
  ...{
    drillSets: [],
    holeMm: null,
    hssMMin: 20,
    partingMm: 3,
    finderMm: 10,
    unit: 'mm',
    cutMm: (s: { diameterMm: number }) => s.diameterMm,
  },
} as unknown as Bench;
const values = (kind: PartFeature['kind'], fields: object): Record<string, number> => {
  const { part } = addedFeature(shaft, 'a', kind, 'f', fields)!;
  const schedule = schedulesOf(part, bench).find((s) => s.id === 'f')!;
  return Object.fromEntries(schedule.settings.map((s) => [s.figure.key.split('.').at(-1)!, s.figure.value]));
};
const CLOSE = 1e-9;

it('two flats 32 apart on a round of 40 are 4 deep and 24 wide: 12, 16, 20 is a right angle', () => {
  expect([flatDepthMm(40, 32), flatWidthMm(40, 32)]).toEqual([4, 24]);
  expect(flatWidthMm(40, 41)).toBe(0);
  const two = values('flats', { count: 2, atMm: 10, lengthMm: 20, acrossMm: 32 });
  expect(two).toMatchObject({ depth: 4, width: expect.closeTo(24, 9) });
  expect(two['index']).toBeCloseTo(Math.PI, 9);
});

it('three flats are measured from flat to round: 36 there is 4 deep as well', () => {
  const three = values('flats', { count: 3, atMm: 10, lengthMm: 20, acrossMm: 36 });
  expect(three).toMatchObject({ depth: 4, width: expect.closeTo(24, 9) });
});

it('from an edge it is half the round and half the finder to the middle', () => {
  expect(edgeToCentreMm(40, 10)).toBe(25);
  expect(values('cross-hole', { atMm: 50, diameterMm: 6, reach: 'through' })['centre']).toBe(25);
});

it('a hole across is as deep as the round, half of it to the bore’s wall, or as drawn', () => {
  expect(values('cross-hole', { atMm: 50, diameterMm: 6, reach: 'through' })['deep']).toBe(40);
  expect(values('cross-hole', { atMm: 50, diameterMm: 6, reach: 'to depth', depthMm: 12 })['deep']).toBe(12);
});

it('four holes on a circle of 30 in an end: each 15 from its middle, a quarter turn from the next, 21.21 apart', () => {
  const holes = values('hole-pattern', { end: 'right', count: 4, circleMm: 30, clockDeg: 45, diameterMm: 4, depthMm: 8 });
  const at = [0, 1, 2, 3].map((i) => [holes[`x${i}`]!, holes[`y${i}`]!] as const);
  at.forEach(([x, y], i) => {
    expect(Math.hypot(x, y)).toBeCloseTo(15, 9);
    const [x2, y2] = at[(i + 1) % 4]!;
    expect(Math.hypot(x - x2, y - y2)).toBeCloseTo(21.2132, 4);
    expect(Math.abs(x * x2 + y * y2)).toBeLessThan(CLOSE * 1e3);
  });
  // The first of them, at half past one seen from the right end, lies to the right and up.
  expect(at[0]![0]).toBeGreaterThan(0);
  expect(at[0]![1]).toBeGreaterThan(0);
  expect(values('hole-pattern', { end: 'left', count: 4, circleMm: 30, clockDeg: 45, diameterMm: 4, depthMm: 8 })['x0']).toBeCloseTo(
    -at[0]![0],
    9,
  );
});
