import type { Side } from './diameter-reading';

/** One place to measure: where along the component and in which direction. */
export interface Spot {
  readonly stationMm: number;
  readonly clockDeg: number;
}

/** Four directions tell an oval from four lobes. */
export const FOUR_CLOCKS = [0, 45, 90, 135] as const;
const TWO_CLOCKS = [0, 90] as const;
/** Stay this far from an edge, where burrs and chamfers lie. */
const EDGE_MM = 3;

/** Stations near both ends and in the middle; a short feature gets fewer. Whole or half millimetres. */
export function defaultStations(startMm: number, lengthMm: number): number[] {
  const edge = Math.min(EDGE_MM, lengthMm / 4);
  const at = lengthMm < 8 ? [0.5] : lengthMm < 16 ? [edge / lengthMm, 1 - edge / lengthMm] : [edge / lengthMm, 0.5, 1 - edge / lengthMm];
  return at.map((f) => Math.round((startMm + f * lengthMm) * 2) / 2);
}

/** A hole is taken in four directions, an outside in two: add 45° and 135° when they differ. */
export const defaultClocks = (side: Side): number[] => [...(side === 'inside' ? FOUR_CLOCKS : TWO_CLOCKS)];

/** Every planned spot in measuring order: station by station, clock by clock. */
export const plannedSpots = (stationsMm: readonly number[], clocksDeg: readonly number[]): Spot[] =>
  [...stationsMm].sort((p, q) => p - q).flatMap((stationMm) => clocksDeg.map((clockDeg) => ({ stationMm, clockDeg })));

const sameSpot = (p: Spot, q: Spot): boolean => Math.abs(p.stationMm - q.stationMm) < 0.01 && Math.abs(p.clockDeg - q.clockDeg) < 0.01;

/** The first planned spot with no reading, or null when all are in. */
export const nextSpot = (planned: readonly Spot[], taken: readonly Spot[]): Spot | null =>
  planned.find((spot) => !taken.some((t) => sameSpot(spot, t))) ?? null;
