import { zoneDeviations } from '../../book/fits';
import { bad, good, type Outcome } from '../../terms/outcome';
import { parseLength, type LengthUnit } from '../../terms/quantity';
import type { TypedLimits } from './part';

const NUMBER = String.raw`[\d.,]+(?:\s*(?:mm|in|"|thou|tenths?|µm|um))?`;
const BOTH = new RegExp(String.raw`^(?:±|\+\s*/?\s*-)\s*(${NUMBER})$`, 'i');
const ONE = new RegExp(String.raw`^([+-])\s*(${NUMBER})$`, 'i');
const TWO = new RegExp(String.raw`^([+-]?)\s*(${NUMBER})(?:\s*[,/ ]?\s*([+-])\s*|\s*[,/]\s*|\s+)(${NUMBER})$`, 'i');
const SIZES = new RegExp(String.raw`^(${NUMBER})\s*(?:to|\.\.|–|-)\s*(${NUMBER})$`, 'i');
const ZONE = /^[a-z]{1,2}\d{1,2}$/i;

/** A deviation or a size within a tolerance: a bare number is in the reader's unit. */
function lengthMm(text: string, unit: LengthUnit): number | null {
  const trimmed = text.trim();
  if (/^0*[.,]?0*$/.test(trimmed.replace(/[^\d.,]/g, '')) && /\d/.test(trimmed)) return 0;
  const found = parseLength(trimmed, { unit });
  return found.ok ? found.value.valueMm : null;
}

const ordered = (a: number, b: number, text: string): Outcome<TypedLimits> =>
  good({ lowerDev: Math.min(a, b), upperDev: Math.max(a, b), text });

/**
 * Limits in any usual way: `±0.02`, `+/-0.02`, `+0.02 -0`, `+0.02 0`, `-0.01 -0.03`, `40.00 to 40.02`, `H7`. A single `-0.002` means +0 -0.002, a
 * single `+0.1` means +0.1 -0.
 *
 * @param sizeMm the size that they are of, mm
 * @returns deviations from the size, mm; a reason where the words say none
 */
export function parseLimits(text: string, sizeMm: number, unit: LengthUnit): Outcome<TypedLimits> {
  const typed = text.trim();
  const say = bad('limits', 'Say limits as ±0.02, +0.02 -0, 40.00 to 40.02 or H7.', 'limits');
  if (ZONE.test(typed)) {
    const d = zoneDeviations(typed, sizeMm);
    return d.ok ? ordered(d.value.lowerMm, d.value.upperMm, typed) : d;
  }
  const both = BOTH.exec(typed);
  if (both) {
    const mm = lengthMm(both[1]!, unit);
    return mm === null ? say : ordered(-mm, mm, typed);
  }
  const two = TWO.exec(typed);
  const [a, b] = two ? [lengthMm(two[2]!, unit), lengthMm(two[4]!, unit)] : [null, null];
  // Without a sign the first is a size, unless it is nought; nought needs none.
  if (two && a !== null && b !== null && (two[1] || a === 0) && (two[3] || b === 0))
    return ordered((two[1] === '-' ? -1 : 1) * a, (two[3] === '-' ? -1 : 1) * b, typed);
  const sizes = SIZES.exec(typed);
  if (sizes && !/^[+-]/.test(typed)) {
    const [from, to] = [lengthMm(sizes[1]!, unit), lengthMm(sizes[2]!, unit)];
    if (from === null || to === null) return say;
    // Two sizes lie about the one that they limit; two deviations would not.
    return from > 0 && Math.abs((from + to) / 2 - sizeMm) < sizeMm / 4 ? ordered(from - sizeMm, to - sizeMm, typed) : say;
  }
  const one = ONE.exec(typed);
  if (one) {
    const mm = lengthMm(one[2]!, unit);
    return mm === null ? say : ordered(0, one[1] === '-' ? -mm : mm, typed);
  }
  return say;
}
