import { materialOf } from '../../book/materials';
import { mostFreeMm, WHIRL_SHARE, whirlRpm } from './whirl';
import type { Held } from './work-bend';

const steel = materialOf('steel-c45')!;

/** Bend under its own weight, in w / EI, at x of L = 1: the shape that it nearly whirls in. */
const BEND: Readonly<Record<Held, (x: number) => number>> = {
  chuck: (x) => (x ** 2 * (6 - 4 * x + x ** 2)) / 24,
  'chuck and centre': (x) => (x ** 2 * (3 - 5 * x + 2 * x ** 2)) / 48,
  centres: (x) => (x * (1 - 2 * x ** 2 + x ** 3)) / 24,
};

it.each(['chuck', 'chuck and centre', 'centres'] as const)(
  'held by %s it whirls as Rayleigh has it from how it bends under its weight',
  (held) => {
    const [d, L, N] = [20, 600, 4000];
    const y = Array.from({ length: N }, (_, i) => BEND[held]((i + 0.5) / N));
    const [sum, square] = [y.reduce((s, v) => s + v, 0) / N, y.reduce((s, v) => s + v * v, 0) / N];
    // ω² = EI/(ρ A L⁴) ∫y / ∫y², in SI units.
    const inertia = (Math.PI / 64) * (d / 1000) ** 4;
    const perLength = steel.densityKgM3 * (Math.PI / 4) * (d / 1000) ** 2;
    const omega = Math.sqrt((steel.youngMpa * 1e6 * inertia * sum) / (perLength * (L / 1000) ** 4 * square));
    const rayleigh = (omega * 60) / (2 * Math.PI);
    // Rayleigh is never under it, and with this shape less than 2 % over.
    expect(rayleigh / whirlRpm(held, steel, d, L)).toBeGreaterThan(0.9999);
    expect(rayleigh / whirlRpm(held, steel, d, L)).toBeLessThan(1.02);
  },
);

it('25 mm of steel, a metre between centres, whirls at about 3050 a minute; half as long four times as fast', () => {
  expect(whirlRpm('centres', steel, 25, 1000)).toBeGreaterThan(2950);
  expect(whirlRpm('centres', steel, 25, 1000)).toBeLessThan(3150);
  expect(whirlRpm('centres', steel, 25, 500) / whirlRpm('centres', steel, 25, 1000)).toBeCloseTo(4, 9);
});

it('what may stand free at a speed whirls at twice that speed', () => {
  const free = mostFreeMm('chuck', steel, 20, 800);
  expect(whirlRpm('chuck', steel, 20, free) * WHIRL_SHARE).toBeCloseTo(800, 6);
});
