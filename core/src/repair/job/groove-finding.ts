import { formatWithUnit, type LengthUnit } from '../../terms/quantity';
import { ringsFor, type RingGroove } from '../../book/rings';
import { isRelief } from '../../evidence/readings';
import { besideMm } from './beside';
import type { QuantityFinding } from './place-figures';
import type { Measured } from './measured';

/** A ring groove as measured against the one that the book has for its shaft or bore. */
export interface GrooveFinding {
  readonly ring: RingGroove;
  /** Measured deeper than the book's, on the diameter, mm; below 0 it is shallower. */
  readonly deeperMm: number;
  readonly asInBook: boolean;
  readonly words: string;
}

/** Where the standard names no zone for its groove, a groove this near to it is as in the book, mm on the diameter. */
const USUAL_ROOM_MM = 0.13;

/**
 * Holds a measured ring groove against the book's; null where it or the diameter beside it is not measured, where it is a
 * relief that holds no ring, or no ring is made for that.
 *
 * @example 0.812 in on a shaft of 0.8745: ASME B18.27 has 0.821 for 7/8, so it was cut 0.009 too deep
 */
export function grooveFinding(
  m: Measured,
  values: readonly QuantityFinding[],
  all: readonly Measured[],
  unit: LengthUnit,
): GrooveFinding | null {
  const holdsRing = m.place.kind === 'groove' && !isRelief(m.place.name);
  const groove = holdsRing ? values.find((v) => v.quantity === 'groove-size') : undefined;
  const wallMm = groove ? besideMm(m, all) : null;
  if (!groove || wallMm === null) return null;
  const on = m.place.side === 'outside' ? 'shaft' : 'bore';
  const rings = ringsFor(on, wallMm);
  const ring = rings.ok ? rings.value.find((r) => r.kind === 'ring') : undefined;
  if (!ring) return null;
  const sign = on === 'shaft' ? -1 : 1;
  const deeperMm = sign * (groove.mean.value - ring.grooveMm);
  const room = ring.grooveLimits ? Math.max(Math.abs(ring.grooveLimits.lowerMm), Math.abs(ring.grooveLimits.upperMm)) : USUAL_ROOM_MM;
  const asInBook = deeperMm <= room + groove.plusMinusMm && deeperMm >= -groove.plusMinusMm;
  const show = (mm: number): string => formatWithUnit(mm, unit);
  const book = `${ring.standard} has ${show(ring.grooveMm)} for ${on === 'shaft' ? 'a shaft' : 'a bore'} of ${show(ring.sizeMm)}`;
  const so = asInBook
    ? 'as it is here.'
    : deeperMm > 0
      ? `this one is cut ${show(deeperMm)} deeper, on the diameter: the wall behind it and the section are weaker by that.`
      : `this one is ${show(-deeperMm)} shallower, on the diameter: the ring stands out of it.`;
  return { ring, deeperMm, asInBook, words: `${book}: ${so}` };
}
