/**
 * What a metal that was hardened, aged or drawn still has beside a weld, MPa: yield and tensile strength once the heat has undone it.
 *
 * Sources: steels as annealed, mean values of the usual tables for AISI 4130, 4140 and 4340, and hot rolled 1018 (Shigley, table A-20); aluminium in
 * the heat-affected zone, EN 1999-1-1, table 3.2b.
 */
export const BESIDE_WELD: Readonly<Record<string, readonly [yieldMpa: number, tensileMpa: number]>> = {
  'steel-1018-drawn': [220, 400],
  'steel-4130': [361, 560],
  'steel-42crmo4': [417, 655],
  'steel-34crnimo6': [472, 745],
  'aluminium-6082': [125, 185],
  'aluminium-6061': [115, 175],
};

/** Sold as rolled, normalised or annealed: a weld leaves them no softer than they came. */
export const NO_SOFTER: readonly string[] = [
  'steel-mild',
  'steel-s355',
  'steel-c35',
  'steel-c45',
  'steel-c60',
  'steel-4140-soft',
  'steel-16mncr5',
  'steel-8620',
  'steel-chrome-rod',
  'stainless-304',
  'stainless-316',
];

/**
 * How far that reaches from a weld by the thickness of what is welded, mm: EN 1999-1-1, 6.1.6.3, for aluminium welded under inert gas. For steel no
 * code says it: the same is taken, ours, more than is usual.
 */
export const WELD_REACH: readonly (readonly [toThicknessMm: number, reachMm: number])[] = [
  [6, 20],
  [12, 30],
  [25, 35],
  [Infinity, 40],
];
