import { cuttingForceN, cuttingKw } from './cutting-force';
import { workBendMm, type Held } from './work-bend';

const [E, D, L, F]: readonly [number, number, number, number] = [210_000, 25, 300, 400];
const EI = E * (Math.PI / 64) * D ** 4;

describe('work pushed by the tool', () => {
  it.each([
    ['chuck', L, (F * L ** 3) / (3 * EI)],
    ['chuck and centre', L / 2, (7 * F * L ** 3) / (768 * EI)],
    ['centres', L / 2, (F * L ** 3) / (48 * EI)],
  ] as const)('bends as beams are tabled: %s', (held, at, wanted) => expect(workBendMm(held, F, E, D, L, at)).toBeCloseTo(wanted, 9));

  /** The same beam cut into short pieces: its moment integrated twice, what is held at the end found by shooting. */
  function integrated(held: Held, a: number): number {
    const n = 6000;
    const dx = L / n;
    const end = (slope: number, reaction: number): { readonly at: number; readonly last: number } => {
      let [y, s, at] = [0, slope, 0];
      for (let i = 0; i < n; i++) {
        const x = (i + 0.5) * dx;
        const moment = held === 'centres' ? reaction * x - F * Math.max(0, x - a) : reaction * (L - x) - F * Math.max(0, a - x);
        s += (-moment / EI) * dx;
        y += s * dx;
        if (x <= a) at = y;
      }
      return { at, last: y };
    };
    if (held === 'centres') {
      const reaction = (F * (L - a)) / L;
      const slope = -end(0, reaction).last / L;
      return Math.abs(end(slope, reaction).at);
    }
    // The centre's reaction is the one that leaves the end where it is.
    let [low, high] = [0, F];
    for (let i = 0; i < 60; i++) {
      const middle = (low + high) / 2;
      if (end(0, middle).last > 0) low = middle;
      else high = middle;
    }
    return Math.abs(end(0, (low + high) / 2).at);
  }
  it.each([60, 110, 150, 220, 270])('and as its moments add up, with the tool at %d', (a) => {
    for (const held of ['centres', 'chuck and centre'] as const) {
      const wanted = integrated(held, a);
      expect(Math.abs(workBendMm(held, F, E, D, L, a) - wanted)).toBeLessThan(0.01 * wanted + 1e-6);
    }
  });
  it('does not where it is held', () => {
    expect(workBendMm('centres', F, E, D, L, 0)).toBe(0);
    expect(workBendMm('centres', F, E, D, L, L)).toBe(0);
    expect(workBendMm('chuck and centre', F, E, D, L, L)).toBe(0);
  });
});

it('a chip takes its force and power: C45, kc1.1 1820, mc 0.26, 2 mm deep at 0.25', () => {
  // A handbook chip of 0.25 mm has kc = kc1.1 h^-mc = 2610 N/mm².
  const force = cuttingForceN(1820, 0.26, 2, 0.25);
  expect(force / (2 * 0.25)).toBeCloseTo(2610, -1);
  expect(cuttingKw(force, 100)).toBeCloseTo((force * 100) / 60 / 1000 / 0.75, 9);
});
