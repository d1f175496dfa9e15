import { bad, good, type Outcome } from '../../terms/outcome';
import { MM_PER_INCH } from '../../terms/quantity';
import { inchFitMm, INCH_CLASSES } from './ansi-b41';
import { ANSI_B41_SOURCE } from './ansi-b41.data';
import { isHoleZone, zoneDeviations, type Deviations } from './iso286';
import { ISO286_SOURCE } from './iso286.data';

/** Limits of a hole and a shaft that go together, about one nominal size. */
export interface FitPair {
  readonly name: string;
  readonly nominalMm: number;
  readonly hole: Deviations;
  readonly shaft: Deviations;
  /** Smallest hole less largest shaft; negative is interference. */
  readonly leastClearanceMm: number;
  /** Largest hole less smallest shaft. */
  readonly mostClearanceMm: number;
  readonly source: string;
}

const pairOf = (name: string, nominalMm: number, hole: Deviations, shaft: Deviations, source: string): FitPair => ({
  name,
  nominalMm,
  hole,
  shaft,
  leastClearanceMm: hole.lowerMm - shaft.upperMm,
  mostClearanceMm: hole.upperMm - shaft.lowerMm,
  source,
});

/** `H7/g6`, `H7 g6` or `G7/h6`: hole and shaft apart; null when it is not written so. */
export function splitIsoFit(name: string): { readonly hole: string; readonly shaft: string } | null {
  const match = /^\s*([A-Z]{1,2}\s?\d{1,2})\s*[/\s-]\s*([a-z]{1,2}\s?\d{1,2})\s*$/.exec(name);
  return match && isHoleZone(match[1]!) ? { hole: match[1]!.replace(' ', ''), shaft: match[2]!.replace(' ', '') } : null;
}

/**
 * The limits of an ISO 286 fit (`H7/g6`) or an ANSI B4.1 class (`RC4`) at a nominal size.
 *
 * @param nominalMm over 0 to 500 mm; ANSI to 19.69 in
 * @example fitPair('H7/g6', 25) // clearance 0.007 to 0.041 mm
 */
export function fitPair(name: string, nominalMm: number): Outcome<FitPair> {
  const iso = splitIsoFit(name);
  if (iso) {
    const hole = zoneDeviations(iso.hole, nominalMm);
    const shaft = zoneDeviations(iso.shaft, nominalMm);
    if (!hole.ok) return hole;
    if (!shaft.ok) return shaft;
    return good(pairOf(`${iso.hole}/${iso.shaft}`, nominalMm, hole.value, shaft.value, ISO286_SOURCE));
  }
  const key = name.trim().toUpperCase();
  if (!(INCH_CLASSES as readonly string[]).includes(key))
    return bad('fit', `"${name}" is not a fit in the book. Write hole and shaft like H7/g6, or a class like RC4.`);
  const fit = inchFitMm(key, nominalMm / MM_PER_INCH);
  return fit.ok ? good(pairOf(key, nominalMm, fit.value.hole, fit.value.shaft, ANSI_B41_SOURCE)) : fit;
}
