import { bad, good, type Outcome } from '../../terms/outcome';
import type { ThreadLimits } from './thread-limits';
import { G_TOLERANCES } from './pipe.data';
import type { Thread } from './thread';

/** Class B of the outside thread has twice the tolerance of class A. */
const CLASS_SHARE: Readonly<Record<string, number>> = { A: 1, B: 2, G: 1 };

/**
 * Limits of a parallel pipe thread, ISO 228-1; tapered ones are gauged, not measured.
 *
 * @example G 1/2 A: major 20.955 to 20.671, pitch diameter 19.793 to 19.651 mm
 */
export function pipeLimits(t: Thread, side: 'outside' | 'inside', threadClass: string): Outcome<ThreadLimits> {
  if (t.tapered) return bad('no-limits', `${t.name} is tapered: it is gauged by how far a ring or plug goes on, not by limits.`);
  const [, pitchTolerance, minorTolerance] = G_TOLERANCES.find(([upTo]) => t.majorMm <= upTo)!;
  const um = (mm: number): number => Math.round(mm * 1000) / 1000;
  // The standard rounds the height of the thread to the micrometre and takes it off once and twice.
  const height = um(t.form.toPitchDiameter * t.pitchMm);
  const [pitch, minor] = [um(t.majorMm - height), um(t.majorMm - 2 * height)];
  const base = { side, threadClass, source: t.source };
  if (side === 'outside')
    return good({
      ...base,
      major: { lowerMm: um(t.majorMm - 2 * pitchTolerance), upperMm: t.majorMm },
      pitchDiameter: { lowerMm: um(pitch - CLASS_SHARE[threadClass]! * pitchTolerance), upperMm: pitch },
      minor: { lowerMm: null, upperMm: minor },
    });
  return good({
    ...base,
    major: { lowerMm: t.majorMm, upperMm: null },
    pitchDiameter: { lowerMm: pitch, upperMm: um(pitch + pitchTolerance) },
    minor: { lowerMm: minor, upperMm: um(minor + minorTolerance) },
  });
}
