import { workBendMm } from './work-bend';

/** Smallest bore that a bar of each thickness goes into with its tip, mm (ISO 6261, boring bars for indexable inserts). */
const GOES_INTO: readonly (readonly [barMm: number, boreMm: number])[] = [
  [8, 11],
  [10, 13],
  [12, 16],
  [16, 20],
  [20, 25],
  [25, 32],
  [32, 40],
  [40, 50],
];
/** Share of a hole that any other bar fills and still clears its chips. */
export const BAR_SHARE = 0.7;

/** Shanks that a bar is made of: Young's modulus, MPa, and how many of its own thicknesses it stands out before it chatters. */
export const SHANKS = {
  steel: { words: 'steel', youngMpa: 210_000, ratio: 4 },
  carbide: { words: 'carbide', youngMpa: 600_000, ratio: 6 },
} as const;
export type Shank = keyof typeof SHANKS;

/** Whether a bar goes into a hole with room for its tip and the chips. */
export function barGoesInto(barMm: number, holeMm: number): boolean {
  const least = GOES_INTO.find(([bar]) => bar === barMm)?.[1] ?? barMm / BAR_SHARE;
  return least <= holeMm + 1e-9;
}

/** The thickest bar that is sold for a hole, mm. */
export const soldBarMm = (holeMm: number): number => GOES_INTO.findLast(([, bore]) => bore <= holeMm)?.[0] ?? BAR_SHARE * holeMm;

/**
 * How far the push of the cut moves the tip of a boring bar, mm: F L³ / 3EI, its holder stiff.
 *
 * @param pushN away from the wall
 * @param outMm from where the bar is held to its tip
 */
export const barBendMm = (pushN: number, shank: Shank, barMm: number, outMm: number): number =>
  workBendMm('chuck', pushN, SHANKS[shank].youngMpa, barMm, outMm, outMm);
