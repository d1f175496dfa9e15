import { good, type Outcome } from '../../terms/outcome';
import { MM_PER_INCH } from '../../terms/quantity';
import type { ThreadLimits } from './thread-limits';
import { WHITWORTH_SOURCE } from './other.data';
import type { Thread } from './thread';

const CLASS_SHARE: Readonly<Record<string, number>> = { close: 2 / 3, medium: 1, free: 1.5, normal: 1.5 };

/** Room at the minor diameter of a nut beyond 0.2 p, inch, by how fine it is. */
const nutMinorExtra = (tpi: number): number => (tpi >= 26 ? 0.004 : tpi >= 22 ? 0.005 : 0.007);

/**
 * Limits of a Whitworth thread by the tolerance formula of BS 84: T = 0.002 D^(1/3) + 0.003 L^(1/2) + 0.005 p^(1/2), inch, with
 * the engagement L taken as the diameter. The allowance of plated bolts to 3/4 in is not taken off.
 */
export function whitworthLimits(t: Thread, side: 'outside' | 'inside', threadClass: string): Outcome<ThreadLimits> {
  const [d, p] = [t.majorMm / MM_PER_INCH, t.pitchMm / MM_PER_INCH];
  const round = (inch: number): number => Math.round(inch * 1e4) / 1e4;
  const mm = (inch: number): number => round(inch) * MM_PER_INCH;
  const T = round(CLASS_SHARE[threadClass]! * (0.002 * Math.cbrt(d) + 0.003 * Math.sqrt(d) + 0.005 * Math.sqrt(p)));
  const [pitch, minor] = [round(d - t.form.toPitchDiameter * p), round(d - t.form.toMinor * p)];
  const base = { side, threadClass, source: `${WHITWORTH_SOURCE}, formula` };
  if (side === 'outside')
    return good({
      ...base,
      major: { lowerMm: mm(d - T - 0.01 * Math.sqrt(p)), upperMm: mm(d) },
      pitchDiameter: { lowerMm: mm(pitch - T), upperMm: mm(pitch) },
      minor: { lowerMm: mm(minor - T - 0.013 * Math.sqrt(p)), upperMm: mm(minor) },
    });
  return good({
    ...base,
    major: { lowerMm: mm(d), upperMm: null },
    pitchDiameter: { lowerMm: mm(pitch), upperMm: mm(pitch + T) },
    minor: { lowerMm: mm(minor), upperMm: mm(minor + 0.2 * p + nutMinorExtra(t.tpi!)) },
  });
}
