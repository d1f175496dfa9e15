import { weldReachMm } from '../../book/materials';
import { hostOf, kindOf, type Part } from '../part';

/** A stretch of the axis that a weld heats, mm from the left end. */
export interface Heated {
  readonly fromMm: number;
  readonly toMm: number;
}

/**
 * Where a part is softened by welds on it: from each end that is made ready for one, and beside each surface that is built up, as far as the heat
 * reaches for that wall. A weld that nothing of the drawing speaks of is not in it.
 */
export function heatedOf(part: Part): Heated[] {
  return part.features.flatMap((f): Heated[] => {
    const host = hostOf(part, f.on);
    if (!host || host.surface.side === 'inside') return [];
    if (f.kind === 'weld-prep') {
      const cut = kindOf(f.kind).cut(f, host);
      const xs = cut?.shape === 'turned' ? cut.contour.map((p) => p.x) : [];
      return xs.length ? [grown(Math.min(...xs), Math.max(...xs), wallAt(host, f.end === 'left' ? Math.max(...xs) : Math.min(...xs)))] : [];
    }
    if (f.kind !== 'treatment' || f.process !== 'build-up') return [];
    const { fromMm, toMm } = host.surface;
    return [grown(fromMm, toMm, wallAt(host, (fromMm + toMm) / 2))];
  });
}

const wallAt = (host: { radiusAt(x: number): number; beyondAt(x: number): number }, x: number): number =>
  host.radiusAt(x) - host.beyondAt(x);

const grown = (fromMm: number, toMm: number, wallMm: number): Heated => ({
  fromMm: fromMm - weldReachMm(wallMm),
  toMm: toMm + weldReachMm(wallMm),
});

/** Whether a place lies where a weld softens it. */
export const isHeated = (zones: readonly Heated[], atMm: number): boolean => zones.some((z) => atMm >= z.fromMm && atMm <= z.toMm);
