import { INCH_CLASSES } from './ansi-b41';
import { GRADES, ZONE_LETTERS, zoneDeviations, type Deviations } from './iso286';
import { fitPair, type FitPair } from './pair';
import { PREFERRED_FITS } from './preferred.data';

/** A zone with how far its ends lie from the limits asked for. */
export interface NearZone {
  readonly zone: string;
  readonly limits: Deviations;
  /** Sum of the two ends' distances, mm: 0 is an exact match. */
  readonly missMm: number;
}

/** A fit with how far its least and most clearance lie from those asked for. */
export interface NearFit {
  readonly pair: FitPair;
  readonly missMm: number;
}

const miss = (a: number, b: number, c: number, d: number): number => Math.abs(a - b) + Math.abs(c - d);

/** Grades that work is made to; finer and coarser ones are only named when asked for. */
const USUAL_GRADES = GRADES.filter((g) => g !== 'IT01' && g !== 'IT0' && Number(g.slice(2)) >= 4 && Number(g.slice(2)) <= 12);

/**
 * "Which zone are these limits?": zones nearest to the given deviations from a nominal size, nearest first.
 *
 * @param how many to name
 */
export function nearestZones(nominalMm: number, limits: Deviations, side: 'hole' | 'shaft', how = 5): NearZone[] {
  const found: NearZone[] = [];
  for (const letter of ZONE_LETTERS)
    for (const grade of USUAL_GRADES) {
      const zone = `${side === 'hole' ? letter.toUpperCase() : letter}${grade.slice(2)}`;
      const own = zoneDeviations(zone, nominalMm);
      if (!own.ok) continue;
      found.push({ zone, limits: own.value, missMm: miss(own.value.lowerMm, limits.lowerMm, own.value.upperMm, limits.upperMm) });
    }
  return found.sort((a, b) => a.missMm - b.missMm).slice(0, how);
}

/** Every pair that the book answers for by name: the preferred ISO pairs and all inch classes. */
export const NAMED_FITS: readonly string[] = [
  ...PREFERRED_FITS.map((p): string => p.fit).filter((name) => name.includes('/')),
  ...INCH_CLASSES,
];

/** "Which fit gives this clearance?": named fits whose least and most clearance are nearest, nearest first. Negative is interference. */
export function nearestFits(nominalMm: number, leastMm: number, mostMm: number, how = 5): NearFit[] {
  return NAMED_FITS.flatMap((name): NearFit[] => {
    const pair = fitPair(name, nominalMm);
    return pair.ok ? [{ pair: pair.value, missMm: miss(pair.value.leastClearanceMm, leastMm, pair.value.mostClearanceMm, mostMm) }] : [];
  })
    .sort((a, b) => a.missMm - b.missMm)
    .slice(0, how);
}
