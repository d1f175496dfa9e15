import { bad, good, type Outcome } from '../../terms/outcome';
import { MM_PER_INCH } from '../../terms/quantity';
import { PIN_SOURCES, SPLIT_PIN_SHANKS, SPLIT_PINS, TAPER_PINS_INCH, TAPER_PINS_MM } from './pins.data';

/** The split pin, named by its hole in mm, for a bolt or a clevis pin; a problem where none is made for that diameter. */
export function splitPinFor(what: 'bolt' | 'clevis pin', diameterMm: number): Outcome<number> {
  const at = what === 'bolt' ? 1 : 3;
  const row = diameterMm > 0 ? SPLIT_PINS.find((r) => diameterMm > r[at] && diameterMm <= r[at + 1]!) : undefined;
  return row
    ? good(row[0])
    : bad('out-of-table', `${PIN_SOURCES.split} is in the book for a ${what} up to ${SPLIT_PINS.at(-1)![at + 1]} mm.`, 'diameterMm');
}

/** A hole this near to a listed one is that one's, mm. */
const SAME_HOLE_MM = 0.051;

/** How thick the shank of the split pin for a hole may be, mm; null for a hole that is none's. */
export function splitPinShank(holeMm: number): { readonly largestMm: number; readonly smallestMm: number; readonly source: string } | null {
  const row = SPLIT_PIN_SHANKS.find(([hole]) => Math.abs(hole - holeMm) <= SAME_HOLE_MM);
  return row ? { largestMm: row[1], smallestMm: row[2], source: PIN_SOURCES.split } : null;
}

/** A taper pin told the same way for both systems. */
export interface TaperPin {
  readonly name: string;
  /** Length for a change of 1 in diameter: 50 (ISO) or 48 (inch). */
  readonly ratio: 50 | 48;
  /** Which end the name means: small for ISO, large for inch. */
  readonly namedBy: 'small end' | 'large end';
  readonly namedMm: number;
  readonly source: string;
}

export const TAPER_PINS: readonly TaperPin[] = [
  ...TAPER_PINS_MM.map((d): TaperPin => ({ name: `${d} mm`, ratio: 50, namedBy: 'small end', namedMm: d, source: PIN_SOURCES.taper })),
  ...TAPER_PINS_INCH.map(([number, large]): TaperPin => ({
    name: `number ${number}`,
    ratio: 48,
    namedBy: 'large end',
    namedMm: large * MM_PER_INCH,
    source: PIN_SOURCES.taperInch,
  })),
];

/** Both ends of a taper pin of a length, mm. */
export function taperPinEnds(pin: TaperPin, lengthMm: number): { readonly smallMm: number; readonly largeMm: number } {
  const change = lengthMm / pin.ratio;
  return pin.namedBy === 'small end'
    ? { smallMm: pin.namedMm, largeMm: pin.namedMm + change }
    : { smallMm: pin.namedMm - change, largeMm: pin.namedMm };
}

/** A pin this near to a listed one at its small end is worn from that one, mm. */
const WORN_FROM_MM = 0.3;

/** The listed taper pin that an old one was: nearest of those no smaller than it at its small end, as pins only wear. */
export function taperPinWornFrom(smallMm: number, longMm: number): TaperPin | undefined {
  const off = (p: TaperPin): number => taperPinEnds(p, longMm).smallMm - smallMm;
  return TAPER_PINS.filter((p) => off(p) > -WORN_FROM_MM / 10 && off(p) < WORN_FROM_MM).sort(
    (p, q) => Math.abs(off(p)) - Math.abs(off(q)),
  )[0];
}

/**
 * Taper pins that clean up a worn tapered hole, smallest first: those that are larger at both ends than it has worn to there.
 *
 * @param worn largest diameter the hole is worn to at its wide and at its narrow end, mm
 * @param depthMm how deep the pin goes through
 */
export const nextTaperPins = (worn: { readonly largeMm: number; readonly smallMm: number }, depthMm: number): TaperPin[] =>
  TAPER_PINS.map((pin) => ({ pin, ...taperPinEnds(pin, depthMm) }))
    .filter((p) => p.largeMm > worn.largeMm && p.smallMm > worn.smallMm)
    .sort((p, q) => p.largeMm - q.largeMm)
    .map((p) => p.pin);
