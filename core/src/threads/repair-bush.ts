import { bad, good, type Outcome } from '../outcome';
import { minorMm, type Thread } from './thread';

/** A solid threaded bush: its wall between the outside thread's root and the inside thread's crest. */
export interface ThreadBush {
  readonly wallMm: number;
  readonly leastWallMm: number;
  readonly strongEnough: boolean;
  readonly words: string;
}

/**
 * Wall left in a solid threaded bush = (minor of its outside thread - major of its inside thread)/2, not under about the inner pitch.
 */
export function threadBush(inner: Thread, outer: Thread): Outcome<ThreadBush> {
  const wallMm = (minorMm(outer) - inner.majorMm) / 2;
  if (wallMm <= 0)
    return bad('wall', `${outer.name} is too small outside for ${inner.name} inside: nothing is left between them.`, 'outer');
  const strongEnough = wallMm >= inner.pitchMm;
  return good({
    wallMm,
    leastWallMm: inner.pitchMm,
    strongEnough,
    words: strongEnough
      ? 'Wall enough. Lock it: retaining compound, a pin or a stake across the joint.'
      : 'Wall too thin: take the next larger outside thread, or a wire insert.',
  });
}

/** A wire insert: the hole it wants. */
export interface WireInsert {
  /** Major of the insert's own tap: the thread's major and two thread heights. */
  readonly tapMajorMm: number;
  readonly drillMm: number;
  /** Metal left in a boss round the insert's tap. */
  readonly wallMm: number;
  readonly strongEnough: boolean;
}

/** The insert's wire is a rhomb of the thread's own height: its tap stands 2 x 0.6495 P over the thread. */
const INSERT_MAJOR = 1.299038;
/** Drill for the insert's tap, over the nominal, in pitches: minor of the tapped hole and a little. */
const INSERT_DRILL = 0.25;

/** Hole, tap and wall of a wire insert in a boss; the wall should be half the thread's diameter in iron, more in aluminium. */
export function wireInsert(t: Thread, bossMm: number): Outcome<WireInsert> {
  if (t.form.angleDeg !== 60) return bad('form', 'Wire inserts are made for 60° threads.', 'inner');
  const tapMajorMm = t.majorMm + INSERT_MAJOR * t.pitchMm;
  if (!(bossMm > tapMajorMm)) return bad('wall', `The boss must be larger than the insert's tap, ${tapMajorMm.toFixed(2)} mm.`, 'bossMm');
  const wallMm = (bossMm - tapMajorMm) / 2;
  return good({ tapMajorMm, drillMm: t.majorMm + INSERT_DRILL * t.pitchMm, wallMm, strongEnough: wallMm >= t.majorMm / 2 });
}
