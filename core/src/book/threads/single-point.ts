import { bad, good, type Outcome } from '../../terms/outcome';
import { acmeRoomIn } from './limits-acme';
import { TRAPEZOIDAL_CLEARANCE } from './other.data';
import { MM_PER_INCH } from '../../terms/quantity';
import type { Thread } from './thread';

/** The tool's tip: round or flat, mm. */
export interface ThreadTool {
  readonly tip: 'round' | 'flat';
  readonly sizeMm: number;
}

/** Cutting an outside thread with a single point. */
export interface SinglePoint {
  /** Along the cross slide, per side. */
  readonly depthMm: number;
  /** Along the compound set at half the angle less half a degree. */
  readonly alongCompoundMm: number;
  readonly compoundDeg: number;
  /** Depth on the compound at each roughing pass, equal chip area, last one the full depth. */
  readonly passesMm: readonly number[];
  /** Diameter of a stop groove just below the root. */
  readonly grooveMm: number;
}

/** Room that a stop groove has under the root, mm on the diameter. */
const GROOVE_ROOM_MM = 0.2;

/** Depth from the basic major, per side, for the tool's tip; the tip decides how far a 60° tool must go to make the pitch diameter. */
function depthFromMajor(t: Thread, tool: ThreadTool): number {
  const p = t.pitchMm;
  switch (t.form.id) {
    case 'iso60':
      return 0.7577722 * p - (tool.tip === 'round' ? tool.sizeMm : (Math.sqrt(3) / 2) * tool.sizeMm);
    case 'whitworth':
      return 0.6403269 * p;
    case 'ba':
      return 0.6 * p;
    case 'cycle':
      return 0.5327 * p;
    case 'trapezoidal':
      return 0.5 * p + TRAPEZOIDAL_CLEARANCE.find(([upTo]) => p <= upTo)![1];
    case 'acme':
      return 0.5 * p + (acmeRoomIn(p / MM_PER_INCH) / 2) * MM_PER_INCH;
  }
}

/** The compound goes in along the leading flank but for half a degree, from the cross slide: the trailing flank is only skimmed. */
export const compoundAngleDeg = ({ form }: Pick<Thread, 'form'>): number => form.angleDeg / 2 - 0.5;

/**
 * Depths for single-pointing an outside thread.
 *
 * @param blankMm turned diameter before threading; what it is under the basic major comes off the depth
 * @param passes number of roughing passes of equal chip area: d_i = total x sqrt(i/n)
 * @example 3/8-16, tip radius 0.144 P: 0.61343 P = 0.974 mm
 */
export function singlePoint(t: Thread, tool: ThreadTool, blankMm: number, passes: number): Outcome<SinglePoint> {
  if (!(tool.sizeMm >= 0 && tool.sizeMm < 0.3 * t.pitchMm))
    return bad('tip', `The tip is too wide for a pitch of ${t.pitchMm.toFixed(3)} mm: under ${(0.3 * t.pitchMm).toFixed(3)} mm.`, 'tip');
  if (!(blankMm > t.majorMm - t.pitchMm && blankMm <= t.majorMm + 1e-9))
    return bad(
      'blank',
      `Turn the blank between ${(t.majorMm - 0.2 * t.pitchMm).toFixed(3)} and ${t.majorMm.toFixed(3)} mm first.`,
      'blankMm',
    );
  if (!(Number.isInteger(passes) && passes >= 1 && passes <= 60)) return bad('passes', 'Take 1 to 60 passes.', 'passes');
  const depthMm = depthFromMajor(t, tool) - (t.majorMm - blankMm) / 2;
  const compoundDeg = compoundAngleDeg(t);
  const alongCompoundMm = depthMm / Math.cos((compoundDeg * Math.PI) / 180);
  return good({
    depthMm,
    alongCompoundMm,
    compoundDeg,
    passesMm: Array.from({ length: passes }, (_, i) => alongCompoundMm * Math.sqrt((i + 1) / passes)),
    grooveMm: blankMm - 2 * depthMm - GROOVE_ROOM_MM,
  });
}
