import { BESIDE_WELD, NO_SOFTER, WELD_REACH } from './beside-weld.data';
import type { Material } from './material';

/** A material as it is beside a weld: softer, as it was, or null where the book does not know. */
export function besideWeld(material: Material): Material | null {
  const soft = BESIDE_WELD[material.id];
  if (!soft) return NO_SOFTER.includes(material.id) ? material : null;
  return { ...material, yieldMpa: soft[0], tensileMpa: soft[1] };
}

/** How far a weld softens what it is on, mm from its edge. */
export const weldReachMm = (thicknessMm: number): number => WELD_REACH.find(([to]) => thicknessMm <= to)![1];
