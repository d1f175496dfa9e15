import { generalAngleDeg, generalEdgeMm, generalToleranceMm, GENERAL_TOLERANCE_SOURCE } from '../../book/fits';
import type { Dimension } from './dimension';
import type { Part } from './part';

/** Limits of a dimension, in its own measure, and who says so. */
export interface DimensionLimits {
  readonly lower: number;
  readonly upper: number;
  readonly from: 'typed' | 'book' | 'general';
  readonly words: string;
}

const NO_GENERAL: readonly Dimension['what'][] = ['roughness', 'hardness', 'relation', 'pitch', 'pitch-diameter'];

/** Half width of the shop's general tolerance for a dimension; null where none is known for its sort. */
function general(d: Dimension): number | null {
  if (d.what === 'edge') return generalEdgeMm(d.value);
  if (d.what === 'angle') return generalAngleDeg(d.surface.lengthMm);
  return NO_GENERAL.includes(d.what) ? null : generalToleranceMm(d.value);
}

/**
 * The limits of a dimension that follows no fit: as typed, else by the standard that it is cut by, else the shop's general tolerance;
 * null for a seat that nobody gave any, and for what no general tolerance is known.
 */
export function limitsOf(part: Pick<Part, 'limits'>, d: Dimension): DimensionLimits | null {
  if (d.own) return { ...d.own, from: 'typed', words: 'as the drawing asks' };
  const typed = part.limits[d.key];
  if (typed) return { lower: d.value + typed.lowerDev, upper: d.value + typed.upperDev, from: 'typed', words: typed.text };
  if (d.book) return { lower: d.book.lower, upper: d.book.upper, from: 'book', words: d.book.source };
  const band = d.seat ? null : general(d);
  return band === null
    ? null
    : { lower: Math.max(d.value - band, 0), upper: d.value + band, from: 'general', words: GENERAL_TOLERANCE_SOURCE };
}
