import type { Composition } from '../../book/materials';

/** Carbon equivalent CET, per cent: EN 1011-2, C.3.2.1, copper left out. */
export const carbonEquivalent = ([c, mn, cr, mo, ni]: Composition): number => c + (mn + mo) / 10 + cr / 20 + ni / 40;

/** How much hydrogen a way of welding leaves in the seam, ml in 100 g, and how it is called. */
export const HYDROGEN = {
  'basic-dry': { name: 'basic electrodes from the oven', mlPer100g: 5 },
  wire: { name: 'solid wire under gas', mlPer100g: 4 },
  tig: { name: 'tungsten arc', mlPer100g: 2 },
  'rutile-stick': { name: 'rutile electrodes', mlPer100g: 15 },
} as const;
export type WeldWay = keyof typeof HYDROGEN;
export const WELD_WAYS = Object.keys(HYDROGEN) as WeldWay[];

export interface SeamHeat {
  /** Thicker of the two parts at the seam, mm. */
  readonly thickMm: number;
  readonly way: WeldWay;
  /** kJ a millimetre of bead. */
  readonly heatKjMm: number;
}

/** Below this nothing is warmed: it is the shop's own temperature, °C. */
export const NO_PREHEAT_C = 20;
/** CET, thickness and heat for which the formula was found. */
const KNOWN = { cetMost: 0.5, thickLeastMm: 10, thickMostMm: 90, heatLeast: 0.5, heatMost: 4 } as const;

/**
 * How warm a steel has to be before it is welded so that it does not crack from hydrogen: EN 1011-2, C.3.3 (method B),
 * Tp = 697 CET + 160 tanh(d/35) + 62 HD^0.35 + (53 CET - 32) Q - 328.
 *
 * @returns °C, no less than the shop's; null where the steel hardens more than the formula was made for: then a qualified procedure says it
 */
export function preheatC(composition: Composition, { thickMm, way, heatKjMm }: SeamHeat): number | null {
  const cet = carbonEquivalent(composition);
  if (cet > KNOWN.cetMost) return null;
  const d = Math.min(Math.max(thickMm, KNOWN.thickLeastMm), KNOWN.thickMostMm);
  const q = Math.min(Math.max(heatKjMm, KNOWN.heatLeast), KNOWN.heatMost);
  const hd = HYDROGEN[way].mlPer100g;
  const c = 697 * cet + 160 * Math.tanh(d / 35) + 62 * hd ** 0.35 + (53 * cet - 32) * q - 328;
  return c <= NO_PREHEAT_C ? NO_PREHEAT_C : Math.ceil(c / 5) * 5;
}

/** Metal that goes into a seam, mm² of its section: a fillet by its leg, a bevel by its depth and its angle, both with a tenth for the cap. */
export const seamAreaMm2 = (seam: { readonly kind: 'fillet' | 'bevel'; readonly sizeMm: number; readonly bevelDeg: number }): number =>
  1.1 * (seam.kind === 'fillet' ? seam.sizeMm ** 2 / 2 : seam.sizeMm ** 2 * Math.tan((seam.bevelDeg * Math.PI) / 180));

/** Metal laid down a kilojoule, mm³: a 3.2 mm electrode at 120 A and 22 V lays about 14 mm² at 0.64 kJ/mm. Ours. */
const LAID_MM3_PER_KJ = 22;

/** How many times round, the section filled by beads of that heat. */
export const runsFor = (areaMm2: number, heatKjMm: number): number => Math.max(1, Math.ceil(areaMm2 / (LAID_MM3_PER_KJ * heatKjMm) - 1e-9));

/** From this length of seam on between two tacks it opens while it is welded, mm. Ours. */
const TACKS_APART_MM = 100;

/** Where it is tacked, degrees, each across from what was tacked before: four at least, in fours so that each has one across. */
export function tackOrder(diameterMm: number): number[] {
  const count = 4 * Math.ceil(Math.max(1, (Math.PI * diameterMm) / (4 * TACKS_APART_MM)) - 1e-9);
  const step = 360 / count;
  // Quarters first, then the gaps between them: across, then square to that.
  const quarter = (k: number): number[] => [0, 180, 90, 270].map((deg) => (deg + k * step) % 360);
  return Array.from({ length: count / 4 }, (_, k) => quarter(k)).flat();
}

/** A quarter of one time round: from and to, degrees. */
export interface Bead {
  readonly run: number;
  readonly fromDeg: number;
  readonly toDeg: number;
}

/** Runs in quarters across from each other; each run begins an eighth further on, so that its ends do not lie over those of the run below. */
export const beadOrder = (runs: number): Bead[] =>
  Array.from({ length: runs }, (_, r) =>
    [0, 180, 90, 270].map((deg) => ({ run: r + 1, fromDeg: (deg + 45 * r) % 360, toDeg: (deg + 45 * r + 90) % 360 })),
  ).flat();
