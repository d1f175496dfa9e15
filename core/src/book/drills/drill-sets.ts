import type { Drill, DrillKind } from './drill';

/** Drills of one kind that hang in the crib, from one size to another. */
export interface DrillSet {
  readonly id: string;
  readonly kind: DrillKind;
  readonly fromMm: number;
  readonly toMm: number;
  /** Steps in which they go up, mm; null where every drill that is sold is there. */
  readonly stepMm: number | null;
  readonly version: number;
}

/** Sizes are compared to a tenth of a micrometre. */
const SAME_MM = 1e-4;

const onStep = (mm: number, stepMm: number): boolean => Math.abs(mm - Math.round(mm / stepMm) * stepMm) <= SAME_MM;

/** Does a drill hang in the crib? */
export const inCrib = (sets: readonly DrillSet[], { kind, diameterMm }: Drill): boolean =>
  sets.some(
    (s) =>
      s.kind === kind &&
      diameterMm >= s.fromMm - SAME_MM &&
      diameterMm <= s.toMm + SAME_MM &&
      (s.stepMm === null || onStep(diameterMm, s.stepMm)),
  );
