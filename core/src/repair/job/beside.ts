import { isDiameter } from '../../evidence/readings';
import type { Sized } from './runs-here';

/** The diameter of the same part and side that lies nearest along the axis, mm: what a ring or a key there is for; null where none is measured. */
export function besideMm(m: Sized, all: readonly Sized[]): number | null {
  const { startMm, lengthMm, side } = m.place;
  const own = all.filter(
    (p) => p !== m && p.component.id === m.component.id && p.place.side === side && isDiameter(p.place.kind) && p.shape,
  );
  const gap = ({ place: f }: Sized): number => Math.max(f.startMm - (startMm + lengthMm), startMm - (f.startMm + f.lengthMm), 0);
  const [nearest] = [...own].sort((p, q) => gap(p) - gap(q));
  return nearest ? (side === 'outside' ? nearest.shape!.largestMm : nearest.shape!.smallestMm) : null;
}
