import { COMPOSITION } from '../../book/materials';
import { beadOrder, carbonEquivalent, preheatC, runsFor, seamAreaMm2, tackOrder } from './weld';

const apart = (a: number, b: number): number => Math.min((a - b + 360) % 360, (b - a + 360) % 360);

describe('welding', () => {
  it('warms what cracks: the four terms of EN 1011-2 added by hand', () => {
    // S355 as listed: 0.2 + 1.5/10 = 0.35. 30 thick, 5 ml, 1.5 kJ/mm: 243.95 + 111.20 + 108.89 - 20.18 - 328 = 115.9.
    expect(carbonEquivalent(COMPOSITION['steel-s355']!)).toBeCloseTo(0.35, 9);
    expect(preheatC(COMPOSITION['steel-s355']!, { thickMm: 30, way: 'basic-dry', heatKjMm: 1.5 })).toBe(120);
    // Thin mild steel is welded as it is.
    expect(preheatC(COMPOSITION['steel-mild']!, { thickMm: 10, way: 'wire', heatKjMm: 1 })).toBe(20);
    // What hardens more than the formula knows is no number of ours.
    expect(preheatC(COMPOSITION['steel-42crmo4']!, { thickMm: 10, way: 'wire', heatKjMm: 1 })).toBeNull();
    expect(preheatC(COMPOSITION['steel-c45']!, { thickMm: 10, way: 'wire', heatKjMm: 1 })).toBeNull();
  });

  it('more for thick, damp and hard; less for more heat', () => {
    const at = (more: object = {}): number => preheatC(COMPOSITION['steel-c35']!, { thickMm: 25, way: 'wire', heatKjMm: 1, ...more })!;
    expect(at({ thickMm: 50 })).toBeGreaterThan(at());
    expect(at({ way: 'rutile-stick' })).toBeGreaterThan(at());
    expect(at({ heatKjMm: 2 })).toBeLessThan(at());
    // Beyond the thickness that the formula was found for it grows no more.
    expect(at({ thickMm: 90 })).toBe(at({ thickMm: 300 }));
  });

  it('fills a section with beads', () => {
    // A fillet with legs of 6: 18 mm² and a tenth.
    expect(seamAreaMm2({ kind: 'fillet', sizeMm: 6, bevelDeg: 0 })).toBeCloseTo(19.8, 9);
    // A V of 45° each side, 8 deep: 64 mm².
    expect(seamAreaMm2({ kind: 'bevel', sizeMm: 8, bevelDeg: 45 })).toBeCloseTo(70.4, 9);
    expect(runsFor(19.8, 0.9)).toBe(1);
    expect(runsFor(70.4, 1)).toBe(4);
    expect(runsFor(0.01, 1)).toBe(1);
  });

  it.each([20, 90, 104, 250, 600])('tacks a ring of %d across, evenly, close enough', (diameterMm) => {
    const order = tackOrder(diameterMm);
    expect(order.slice(0, 4)).toEqual([0, 180, 90, 270]);
    // Each second one lies across from the one before.
    for (let i = 0; i < order.length; i += 2) expect(apart(order[i]!, order[i + 1]!)).toBe(180);
    const round = [...order].sort((a, b) => a - b);
    const gaps = round.map((deg, i) => (i ? deg - round[i - 1]! : 360 - round.at(-1)! + deg));
    for (const gap of gaps) expect(gap).toBeCloseTo(360 / order.length, 9);
    expect((Math.PI * diameterMm) / order.length).toBeLessThanOrEqual(100);
  });

  it('lays each run all round in quarters across from each other, ends never one over the other', () => {
    const beads = beadOrder(3);
    for (const run of [1, 2, 3]) {
      const own = beads.filter((b) => b.run === run);
      expect(own.map((b) => b.fromDeg).sort((a, b) => a - b)).toEqual(own.map((b) => b.toDeg).sort((a, b) => a - b));
      expect(apart(own[0]!.fromDeg, own[1]!.fromDeg)).toBe(180);
      expect(apart(own[2]!.fromDeg, own[3]!.fromDeg)).toBe(180);
    }
    const ends = (run: number): number[] => beads.filter((b) => b.run === run).map((b) => b.fromDeg);
    for (const deg of ends(2)) expect(Math.min(...ends(1).map((x) => apart(x, deg)))).toBe(45);
  });
});
