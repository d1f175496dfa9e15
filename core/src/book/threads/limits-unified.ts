import { good, type Outcome } from '../../terms/outcome';
import { MM_PER_INCH } from '../../terms/quantity';
import type { ThreadLimits } from './thread-limits';
import type { Thread } from './thread';
import { UNIFIED_AT_A_HALF, UNIFIED_SOURCE } from './unified.data';

/** Share of the 2A pitch-diameter tolerance by class. */
const PITCH_SHARE: Readonly<Record<string, number>> = { '1A': 1.5, '2A': 1, '3A': 0.75, '1B': 1.95, '2B': 1.3, '3B': 0.975 };

/** The standard rounds each allowance, tolerance and basic size to 0.0001 in before they are added; whole ten-thousandths. */
const tenThou = (inch: number): number => Math.round(inch * 1e4 + 1e-6);
/** The 2A tolerance itself is carried to six decimals before a class takes its share. */
const sixDecimals = (inch: number): number => Math.round(inch * 1e6) / 1e6;
/** Where the sum lies at a half, the printed table decides; whole ten-thousandths. */
const asPrinted = (t: Thread, what: string, inch: number): number => UNIFIED_AT_A_HALF[t.name]?.[what] ?? tenThou(inch);
const toMm = (ten: number): number => (ten / 1e4) * MM_PER_INCH;
/** Minor diameters of classes 1B and 2B are published to three decimals, from 0.138 in. */
const threeDecimals = (ten: number): number => Math.round(ten / 10 + 1e-9) * 10;

/** Length of engagement that the tolerance is for: the diameter, or nine pitches in extra-fine, constant-pitch and special ones. */
const engagementIn = (t: Thread, d: number, p: number): number =>
  ['UNC', 'UNF', '8-UN'].includes(t.series) || t.name === LISTED_AS_FINE ? d : 9 * p;
/** A special by its series, with the tolerances of the fine series. */
const LISTED_AS_FINE = '1-14 UNS';

function minorTolerance(d: number, p: number, threadClass: string): number {
  const curve = 0.05 * p ** (2 / 3) + (0.03 * p) / d - 0.002;
  if (threadClass === '3B') {
    const least = p <= 1 / 13 ? 0.23 * p - 1.5 * p * p : 0.12 * p;
    return Math.min(Math.max(curve, least), 0.394 * p);
  }
  const coarse = p >= 0.25 ? 0.15 * p : 0.25 * p - 0.4 * p * p;
  return d < 0.25 ? Math.min(Math.max(curve, coarse), 0.394 * p) : coarse;
}

/**
 * Limits of a unified thread, classes 1A to 3B, by the formulas of ASME B1.1 with its rounding.
 *
 * @example 1/2-13 UNC 2A: major 0.4985 to 0.4876, pitch diameter 0.4485 to 0.4435 in
 */
export function unifiedLimits(t: Thread, side: 'outside' | 'inside', threadClass: string): Outcome<ThreadLimits> {
  const [d, p] = [t.majorMm / MM_PER_INCH, t.pitchMm / MM_PER_INCH];
  const two = sixDecimals(0.0015 * Math.cbrt(d) + 0.0015 * Math.sqrt(engagementIn(t, d, p)) + 0.015 * p ** (2 / 3));
  const tolerance = asPrinted(t, threadClass, PITCH_SHARE[threadClass]! * two);
  const [major, pitch] = [tenThou(d), tenThou(d - t.form.toPitchDiameter * p)];
  const base = { side, threadClass, source: UNIFIED_SOURCE };
  if (side === 'outside') {
    const allowance = threadClass === '3A' ? 0 : asPrinted(t, 'allowance', 0.3 * two);
    const majorTolerance = tenThou((threadClass === '1A' ? 0.09 : 0.06) * p ** (2 / 3));
    return good({
      ...base,
      major: { lowerMm: toMm(major - allowance - majorTolerance), upperMm: toMm(major - allowance) },
      pitchDiameter: { lowerMm: toMm(pitch - allowance - tolerance), upperMm: toMm(pitch - allowance) },
      minor: { lowerMm: null, upperMm: toMm(tenThou(d - 1.19078 * p) - allowance) },
    });
  }
  const least = tenThou(d - t.form.toMinor * p);
  const most = least + tenThou(minorTolerance(d, p, threadClass));
  const [low, high] = threadClass === '3B' || d < 0.138 ? [least, most] : [threeDecimals(least), threeDecimals(most)];
  return good({
    ...base,
    major: { lowerMm: toMm(major), upperMm: null },
    pitchDiameter: { lowerMm: toMm(pitch), upperMm: toMm(pitch + tolerance) },
    minor: { lowerMm: toMm(low), upperMm: toMm(high) },
  });
}
