import type { Held } from './work-bend';

/** First root of the frequency equation of a uniform bar in bending, by how its ends are held. Source: Blevins, Formulas for natural frequency and mode shape, table 8-1. */
const FIRST_ROOT: Readonly<Record<Held, number>> = { chuck: 1.8751, 'chuck and centre': 3.9266, centres: Math.PI };

/** Of the speed at which it whirls, what a round bar is turned at, at most. Ours: a real bar is bowed, and its chuck gives. */
export const WHIRL_SHARE = 0.5;

/** Modulus, MPa, and density, kg/m³. */
interface Metal {
  readonly youngMpa: number;
  readonly densityKgM3: number;
}

/** Speed times the square of the free length, rpm mm². */
function stiffness(held: Held, { youngMpa, densityKgM3 }: Metal, diameterMm: number): number {
  const soundMmS = Math.sqrt((youngMpa * 1e6) / densityKgM3) * 1000;
  return ((FIRST_ROOT[held] ** 2 * (diameterMm / 4) * soundMmS) / (2 * Math.PI)) * 60;
}

/**
 * Speed at which round work whirls: bends out of itself and beats about, rpm. (β/L)² (d/4) sqrt(E/ρ).
 *
 * @param diameterMm solid, as thick all along
 * @param lengthMm that is free, above 0
 * @example steel 25 mm, 1000 mm between centres: about 3050 rpm
 */
export const whirlRpm = (held: Held, metal: Metal, diameterMm: number, lengthMm: number): number =>
  stiffness(held, metal, diameterMm) / lengthMm ** 2;

/** How much of a bar may stand free at a speed, mm: it keeps under the share of its whirling speed. */
export const mostFreeMm = (held: Held, metal: Metal, diameterMm: number, rpm: number): number =>
  Math.sqrt((WHIRL_SHARE * stiffness(held, metal, diameterMm)) / rpm);
