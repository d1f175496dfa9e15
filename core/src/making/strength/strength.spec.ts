import { materialOf, type Material } from '../../book/materials';
import { newPart, surface, type Part, type PartFeature } from '../part';
import { crossHoleFactor, grooveFactor, keyseatFactor, LOADS, shoulderFactor, type Load } from './factors';
import { enduranceMpa, notchSensitivity, sizeFactor, surfaceFactor, yieldMpa } from './fatigue';
import { notchesOf } from './notches';
import { sectionOf, strengthAlong, weakest } from './strength';

const KSI = 6.894757;
const steel = (tensileMpa: number): Material => ({ ...materialOf('steel-c45')!, tensileMpa });
const off = (p: number, q: number): number => Math.abs(p / q - 1);

describe('published stress concentration factors', () => {
  it('a shoulder as in Shigley’s example 7-1: 1.68 bent, 1.42 twisted', () => {
    expect(off(shoulderFactor('bending', 1.65, 1.1, 0.11).kt, 1.68)).toBeLessThan(0.05);
    expect(off(shoulderFactor('torsion', 1.65, 1.1, 0.11).kt, 1.42)).toBeLessThan(0.02);
  });
  // Kt = A (r/d)^b as fitted to the older charts by others: D/d, A, b.
  it.each([
    ['bending', 2, 0.90879, -0.28598],
    ['bending', 1.5, 0.93836, -0.25759],
    ['bending', 1.2, 0.97098, -0.21796],
    ['torsion', 2, 0.86331, -0.23865],
    ['torsion', 1.33, 0.84897, -0.23161],
    ['torsion', 1.2, 0.83425, -0.21649],
    ['tension', 2, 1.0147, -0.30035],
    ['tension', 1.5, 0.99957, -0.28221],
  ] as const)('a shoulder %s, %s to 1, agrees with another fit, and where it is sharp is no milder', (load, ratio, a, b) => {
    for (const r of [0.05, 0.1, 0.2]) expect([r, off(shoulderFactor(load, ratio, 1, r).kt, a * r ** b) < 0.08]).toEqual([r, true]);
    for (const r of [0.02, 0.03]) {
      const share = shoulderFactor(load, ratio, 1, r).kt / (a * r ** b);
      expect([r, share > 0.95 && share < 1.18]).toEqual([r, true]);
    }
  });
  it('grow as a corner gets sharper, also beyond what was published', () => {
    for (const load of LOADS)
      for (const factor of [shoulderFactor, grooveFactor]) {
        const row = [0.5, 0.2, 0.1, 0.05, 0.02, 0.01, 0.002].map((r) => factor(load, 1.4, 1, r).kt);
        row.slice(1).forEach((kt, i) => expect(kt).toBeGreaterThan(row[i]!));
      }
  });
  it('the first estimates of Shigley’s table 7-1: sharp 2.7, 2.2, 3.0; well rounded 1.7, 1.5, 1.9', () => {
    const first: Record<Load, readonly [number, number]> = { bending: [2.7, 1.7], torsion: [2.2, 1.5], tension: [3, 1.9] };
    for (const load of LOADS) {
      expect(off(shoulderFactor(load, 1.5, 1, 0.02).kt, first[load][0])).toBeLessThan(0.15);
      expect(off(shoulderFactor(load, 1.5, 1, 0.1).kt, first[load][1])).toBeLessThan(0.1);
    }
    expect(keyseatFactor('bending', 'end-mill').kt).toBe(2.14);
  });
  it('the two ranges of each fit meet, and no step is no notch', () => {
    for (const load of LOADS) {
      const at = (h: number) => shoulderFactor(load, 1 + 2 * h, 1, 0.1).kt;
      expect(off(at(0.19999), at(0.20001))).toBeLessThan(0.02);
      expect(shoulderFactor(load, 1.0001, 1, 0.001).kt).toBeLessThan(1.4);
    }
    for (const load of ['bending', 'torsion'] as const) {
      const at = (h: number) => grooveFactor(load, 1 + 2 * h, 1, 0.1).kt;
      expect(off(at(0.19999), at(0.20001))).toBeLessThan(0.03);
    }
    expect(shoulderFactor('bending', 2, 1, 0.01).inRange).toBe(false);
    // No jump where the published range ends either.
    expect(off(shoulderFactor('torsion', 1.8, 1, 0.0999).kt, shoulderFactor('torsion', 1.8, 1, 0.1001).kt)).toBeLessThan(0.01);
  });
  it('a groove against Neuber’s interpolation between a deep and a shallow one', () => {
    const nu = 0.3;
    for (const [d, r, t] of [
      [30, 1, 2],
      [30, 0.5, 1.5],
      [20, 1, 4],
      [40, 2, 3],
    ] as const) {
      const s = Math.sqrt(d / 2 / r + 1);
      const n = 3 * (d / 2 / r + 1) + (1 + 4 * nu) * s + (1 + nu) / (1 + s);
      const deep = {
        bending: ((3 / 4) * (s + 1) * ((3 * d) / 2 / r - (1 - 2 * nu) * s + 4 + nu)) / n,
        torsion: (3 * (1 + s) ** 2) / (4 * (1 + 2 * s)),
      };
      const shallow = { bending: 1 + 2 * Math.sqrt(t / r), torsion: 1 + Math.sqrt(t / r) };
      for (const load of ['bending', 'torsion'] as const) {
        const [p, q] = [deep[load] - 1, shallow[load] - 1];
        const neuber = 1 + (p * q) / Math.hypot(p, q);
        expect([d, r, t, load, off(grooveFactor(load, d + 2 * t, d, r).kt, neuber) < 0.1]).toEqual([d, r, t, load, true]);
      }
    }
  });
  it('a cross hole: 3 and 2 where it is small; as Shigley’s table A-16 has it for a solid bar', () => {
    expect(crossHoleFactor('tension', 100, 0, 0.001).kt).toBeCloseTo(3, 3);
    expect(crossHoleFactor('torsion', 100, 0, 0.001).kt).toBeCloseTo(2, 3);
    // Hole / bar, A and Kts of the net section: Kts / A on the whole one.
    for (const [a, area, kts] of [
      [0.1, 0.92, 1.68],
      [0.2, 0.83, 1.58],
    ] as const)
      expect(off(crossHoleFactor('torsion', 1, 0, a).kt, kts / area)).toBeLessThan(0.02);
    expect(crossHoleFactor('bending', 30, 0, 15).inRange).toBe(false);
  });
});

describe('fatigue of the section', () => {
  it('notch sensitivity as in Shigley’s example 6-6: 690 MPa, 3 mm: 0.84', () =>
    expect(off(notchSensitivity(steel(690), 'bending', 3), 0.84)).toBeLessThan(0.01));
  it('surface and size as in its examples 6-3 and 6-4: 520 MPa machined 0.860, 32 mm 0.86', () => {
    expect(surfaceFactor(520)).toBeCloseTo(0.86, 2);
    expect(sizeFactor('bending', 32)).toBeCloseTo(0.858, 2);
  });
  it('the endurance of example 7-1 before its reliability: 29.3 ksi / 0.814', () =>
    expect(off(enduranceMpa(steel(105 * KSI), 'bending', 27.94)!, (29.3 * KSI) / 0.814)).toBeLessThan(0.01));
  it('cast iron hardly feels a notch, a plastic has no endurance, shear yields at 0.577', () => {
    const iron = materialOf('iron-grey-200') ?? { ...steel(200), family: 'iron' as const };
    expect(notchSensitivity(iron, 'bending', 1)).toBe(0.2);
    expect(enduranceMpa(materialOf('acetal') ?? { ...steel(60), family: 'plastic' }, 'bending', 20)).toBeNull();
    const c45 = materialOf('steel-c45')!;
    expect(yieldMpa(c45, 'torsion') / yieldMpa(c45, 'bending')).toBeCloseTo(0.577, 3);
  });
});

it('section moduli against adding up the ring by strips', () => {
  const [D, d, n] = [40, 25, 40_000];
  let [inertia, area] = [0, 0];
  for (let i = 0; i < n; i++) {
    const y = -D / 2 + ((i + 0.5) * D) / n;
    const chord = (r: number): number => (Math.abs(y) < r ? 2 * Math.sqrt(r * r - y * y) : 0);
    const strip = ((chord(D / 2) - chord(d / 2)) * D) / n;
    area += strip;
    inertia += y * y * strip;
  }
  expect(off(sectionOf('bending', D, d), inertia / (D / 2))).toBeLessThan(1e-4);
  expect(off(sectionOf('torsion', D, d), (2 * inertia) / (D / 2))).toBeLessThan(1e-4);
  expect(off(sectionOf('tension', D, d), area)).toBeLessThan(1e-4);
});

describe('a shaft along its axis', () => {
  const c45 = materialOf('steel-c45')!;
  const shaft = (features: PartFeature[] = []): Part => ({
    ...newPart('plain-pin', 'Shaft', 30, 100),
    outside: [surface('a', 'cylinder', 'Seat', 40, 25), surface('b', 'cylinder', 'Body', 60, 35)],
    features,
  });
  const fillet = (radiusMm: number) => ({ id: 'f', kind: 'fillet', on: 'a', name: 'Fillet', end: 'right', radiusMm }) as PartFeature;
  const least = (part: Part, load: Load = 'bending') => weakest(strengthAlong(part, c45, load))!;

  it('is weakest at its sharp shoulder, and better with a radius and more with a larger one', () => {
    const sharp = least(shaft());
    expect(sharp).toMatchObject({ atMm: 40, words: 'the shoulder of Seat, no radius given', outsideMm: 25 });
    expect(least(shaft([fillet(1)])).forEver!).toBeGreaterThan(1.1 * sharp.forEver!);
    expect(least(shaft([fillet(3)])).forEver!).toBeGreaterThan(least(shaft([fillet(1)])).forEver!);
  });
  it('a groove, a keyseat, a hole, a thread each make it weaker where they are', () => {
    const smooth = least(shaft([fillet(3)]));
    const key = { id: 'k', kind: 'keyseat', on: 'a', name: 'Keyseat', cutter: 'end-mill', atMm: 5, lengthMm: 20, widthMm: 8, depthMm: 4 };
    for (const more of [
      { ...key, cutterMm: 50, open: 'none', clockDeg: 0, timedTo: '' },
      { id: 'g', kind: 'ring-groove', on: 'a', name: 'Groove', atMm: 5, widthMm: 1.3, diameterMm: 23.9, ring: 'book' },
      {
        id: 'h',
        kind: 'cross-hole',
        on: 'a',
        name: 'Hole',
        atMm: 10,
        diameterMm: 5,
        reach: 'through',
        depthMm: 10,
        sinkMm: 0,
        sinkDeg: 90,
        clockDeg: 0,
        timedTo: '',
        thread: '',
      },
      {
        id: 't',
        kind: 'thread',
        on: 'a',
        name: 'Thread',
        end: 'left',
        thread: 'M25 x 1.5',
        threadClass: '',
        lengthMm: 20,
        hand: 'right',
        starts: 1,
      },
    ]) {
      const cut = shaft([fillet(3), more as unknown as PartFeature]);
      expect(notchesOf(cut)).toHaveLength(2);
      for (const load of ['bending', 'tension'] as const) {
        expect([more.name, least(cut, load).words]).toEqual([more.name, more.name]);
        expect(least(cut, load).forEver!).toBeLessThan(load === 'bending' ? smooth.forEver! : Infinity);
      }
    }
  });
  it('a taper is weakest at its small end', () => {
    const cone: Part = { ...shaft(), outside: [{ ...surface('a', 'cylinder', 'Cone', 40, 30), kind: 'taper', farDiameterMm: 20 }] };
    expect(least(cone)).toMatchObject({ atMm: 40, outsideMm: 20 });
  });
  it('a tube bears less than the bar, and nothing is said of a part without an outside', () => {
    const bored = {
      ...shaft([fillet(3)]),
      bores: [{ id: 'b', from: 'near' as const, through: true, surfaces: [surface('h', 'cylinder', 'Bore', 0, 15)] }],
    };
    expect(least(bored).forEver!).toBeLessThan(least(shaft([fillet(3)])).forEver!);
    expect(weakest(strengthAlong({ ...shaft(), outside: [] }, c45, 'bending'))).toBeNull();
  });
  it('Shigley’s shoulder as a part: 2.97 kip·in for ever', () => {
    // Example 7-1: d 1.1 in, D 1.65 in, r 0.11 in, Sut 105 ksi; Kf 1.58; Z = 0.1307 in³; 35.9 ksi x 0.1307 / 1.58 = 2.97 kip·in.
    const part: Part = {
      ...shaft(),
      outside: [surface('a', 'cylinder', 'Seat', 60, 27.94), surface('b', 'cylinder', 'Body', 60, 41.91)],
      features: [fillet(2.794)],
    };
    const found = strengthAlong(part, steel(105 * KSI), 'bending').find((b) => b.words.startsWith('the shoulder'))!;
    expect(off(found.kf, 1.58)).toBeLessThan(0.05);
    expect(off(found.forEver!, 2970 * 0.112985)).toBeLessThan(0.05);
  });
});
