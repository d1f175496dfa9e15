import { fitHarmonics, ordersAllowed, type ClockPoint, type HarmonicFit, type Wave } from './harmonics';

/** V-blocks on the bench, included angle in degrees. */
export const V_BLOCKS_DEG = [60, 90, 108, 120] as const;
/** Below this magnifying a lobe number is not seen. */
const BLIND = 0.2;
const MOST_LOBES = 9;

/**
 * How many times larger an indicator over a symmetrical V-block shows a lobe than it is on the radius:
 * F = 1 + cos(n (90° + v/2)) / sin(v/2), v the included angle, the indicator on the bisector.
 *
 * Published: 90° shows 2 lobes x1, 3 and 5 x2 and is blind to 7 and 9; 60° shows 3, 6, 9 x3 and no other.
 */
export function vBlockFactor(lobes: number, vDeg: number): number {
  const half = (vDeg * Math.PI) / 360;
  return 1 + Math.cos(lobes * (Math.PI / 2 + half)) / Math.sin(half);
}

/** Lobe numbers from 2 on that a V-block shows, and those it is blind to. */
export function vBlockSees(vDeg: number): { readonly sees: readonly number[]; readonly blind: readonly number[] } {
  const all = Array.from({ length: MOST_LOBES - 1 }, (_, i) => i + 2);
  const seen = (n: number): boolean => Math.abs(vBlockFactor(n, vDeg)) >= BLIND;
  return { sees: all.filter(seen), blind: all.filter((n) => !seen(n)) };
}

/** Lobes found by turning a part in a V-block under an indicator. */
export interface LobeFit {
  readonly fit: HarmonicFit;
  /** Waves of the true radius, the block's factor taken out; the largest first. */
  readonly lobes: readonly Wave[];
  /** Highest less lowest of the true radius as far as the block shows it, mm. */
  readonly outOfRoundMm: number;
  readonly plusMinusMm: number;
  readonly blind: readonly number[];
}

/**
 * Lobes from indicator readings in a V-block.
 *
 * @param points rise of the indicator by clock angle, mm
 * @returns null when the angles are too few for the lobes that the block shows
 */
export function fitLobes(points: readonly ClockPoint[], vDeg: number, noiseMm: number): LobeFit | null {
  const { sees, blind } = vBlockSees(vDeg);
  // One turn of a part that is also off centre in nothing: a V-block shows no first wave that is not form.
  const orders = ordersAllowed(
    points.map((p) => p.clockDeg),
    sees,
  );
  const fit = orders.length ? fitHarmonics(points, orders, noiseMm) : null;
  if (fit === null) return null;
  const lobes = fit.waves
    .map((w) => {
      const factor = vBlockFactor(w.order, vDeg);
      const turned = factor < 0 ? (w.peakDeg + 180 / w.order) % (360 / w.order) : w.peakDeg;
      return {
        order: w.order,
        a: w.a / factor,
        b: w.b / factor,
        amplitudeMm: w.amplitudeMm / Math.abs(factor),
        peakDeg: turned,
        plusMinusMm: w.plusMinusMm / Math.abs(factor),
      };
    })
    .sort((p, q) => q.amplitudeMm - p.amplitudeMm);
  const trace = Array.from({ length: 720 }, (_, i) =>
    lobes.reduce((s, w) => s + w.a * Math.cos((w.order * i * Math.PI) / 360) + w.b * Math.sin((w.order * i * Math.PI) / 360), 0),
  );
  return {
    fit,
    lobes,
    outOfRoundMm: Math.max(...trace) - Math.min(...trace),
    plusMinusMm: 2 * Math.hypot(...lobes.map((w) => w.plusMinusMm)),
    blind,
  };
}
