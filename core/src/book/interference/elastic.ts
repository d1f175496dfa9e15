/** What elastic sums need to know of a material. */
export interface Elastic {
  readonly youngMpa: number;
  readonly poisson: number;
}

/** A ring: bore (0 when solid) and outside diameter, mm. */
export interface Ring {
  readonly boreMm: number;
  readonly outsideMm: number;
}

const squares = ({ boreMm: i, outsideMm: o }: Ring): { sum: number; gap: number } => ({ sum: o * o + i * i, gap: o * o - i * i });

/**
 * How much a ring's bore opens under a pressure in it, as a share of the bore per MPa (Lamé, plane stress).
 * Positive opens.
 */
export function boreOpening(ring: Ring, { youngMpa, poisson }: Elastic): number {
  const { sum, gap } = squares(ring);
  return (sum / gap + poisson) / youngMpa;
}

/** How much a ring's outside shrinks under a pressure on it, as a share of the outside per MPa. Positive shrinks. */
export function outsideClosing(ring: Ring, { youngMpa, poisson }: Elastic): number {
  const { sum, gap } = squares(ring);
  return (sum / gap - poisson) / youngMpa;
}

/** How much a ring's bore closes under a pressure on its outside, as a share of the bore per MPa. */
export function boreClosing(ring: Ring, { youngMpa }: Elastic): number {
  const { gap } = squares(ring);
  return (2 * ring.outsideMm ** 2) / (youngMpa * gap);
}

/** How much a ring's outside grows under a pressure in its bore, as a share of the outside per MPa. */
export function outsideOpening(ring: Ring, { youngMpa }: Elastic): number {
  const { gap } = squares(ring);
  return (2 * ring.boreMm ** 2) / (youngMpa * gap);
}

/** Hoop stress at a ring's bore under inside pressure, MPa per MPa: tension. */
export const hoopAtBore = (ring: Ring): number => squares(ring).sum / squares(ring).gap;
/** Tresca stress at a ring's bore under inside pressure, MPa per MPa. */
export const trescaInside = (ring: Ring): number => (2 * ring.outsideMm ** 2) / squares(ring).gap;
/** Tresca stress at a hollow ring's bore under outside pressure, MPa per MPa; a solid shaft carries the pressure itself. */
export const trescaOutside = (ring: Ring): number => (ring.boreMm > 0 ? (2 * ring.outsideMm ** 2) / squares(ring).gap : 1);
