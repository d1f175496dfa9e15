import { good, type Outcome } from '../../terms/outcome';
import { MM_PER_INCH } from '../../terms/quantity';
import type { ThreadLimits } from './thread-limits';
import { ACME_SOURCE } from './other.data';
import type { Thread } from './thread';

/** By class: allowance per root of diameter; tolerance per root of diameter and per root of pitch, inch. */
const CLASS_NUMBERS: Readonly<Record<string, readonly [allowance: number, byDiameter: number, byPitch: number]>> = {
  '2G': [0.008, 0.006, 0.03],
  '3G': [0.006, 0.0028, 0.014],
  '4G': [0.004, 0.002, 0.01],
};

/** Crest room of general purpose ACME on the diameter, inch: finer than 10 threads per inch get half. */
export const acmeRoomIn = (pitchIn: number): number => (pitchIn >= 0.1 - 1e-9 ? 0.02 : 0.01);

/**
 * Limits of a general purpose ACME thread, ASME B1.5.
 *
 * @example 1-5 ACME 2G outside: pitch diameter 0.8920 to 0.8726, minor 0.7800 to 0.7509 in
 */
export function acmeLimits(t: Thread, side: 'outside' | 'inside', threadClass: string): Outcome<ThreadLimits> {
  const [d, p] = [t.majorMm / MM_PER_INCH, t.pitchMm / MM_PER_INCH];
  const [allowanceRate, byDiameter, byPitch] = CLASS_NUMBERS[threadClass]!;
  const mm = (inch: number): number => (Math.round(inch * 1e4) / 1e4) * MM_PER_INCH;
  const tolerance = byDiameter * Math.sqrt(d) + byPitch * Math.sqrt(p);
  const pitch = d - p / 2;
  const room = acmeRoomIn(p);
  const crest = Math.max(0.05 * p, 0.005);
  const base = { side, threadClass, source: ACME_SOURCE };
  if (side === 'outside') {
    const upper = pitch - allowanceRate * Math.sqrt(d);
    return good({
      ...base,
      major: { lowerMm: mm(d - crest), upperMm: mm(d) },
      pitchDiameter: { lowerMm: mm(upper - tolerance), upperMm: mm(upper) },
      minor: { lowerMm: mm(d - p - room - 1.5 * tolerance), upperMm: mm(d - p - room) },
    });
  }
  return good({
    ...base,
    major: { lowerMm: mm(d + room), upperMm: mm(d + 2 * room) },
    pitchDiameter: { lowerMm: mm(pitch), upperMm: mm(pitch + tolerance) },
    minor: { lowerMm: mm(d - p), upperMm: mm(d - p + crest) },
  });
}
