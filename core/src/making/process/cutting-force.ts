/**
 * Main cutting force of a turning cut, N: Kienzle, F = kc1.1 b h^(1 - mc), with a straight-on edge (b is the depth, h the feed).
 *
 * @param kc11 N/mm² for a chip of 1 mm by 1 mm
 * @param depthMm a side
 * @param feedMm a turn
 */
export const cuttingForceN = (kc11: number, mc: number, depthMm: number, feedMm: number): number => kc11 * depthMm * feedMm ** (1 - mc);

/** What the spindle must give for it, kW, at a surface speed in m/min; belts and gears take about a quarter. */
export const cuttingKw = (forceN: number, surfaceMMin: number): number => (forceN * surfaceMMin) / 60_000 / 0.75;

/** Share of the main force that pushes tool and work apart: 0.3 to 0.5 for an ordinary tool. */
export const PUSH_SHARE = 0.4;
