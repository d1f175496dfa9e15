import { bad, good, type Outcome } from '../../terms/outcome';
import { THREADS } from './all-threads';
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

/** An outside thread that a bush could have. */
export interface OuterThread {
  readonly thread: Thread;
  readonly wallMm: number;
  /** Metal left between it and the edge, mm. */
  readonly bossWallMm: number;
}

/**
 * Outside threads for a bush: parallel ones of its system of units, in common use or of its own system, whose root leaves the bush its wall and
 * whose tapped hole cleans the old one up; smallest first, the inner one's own form before others of that size.
 *
 * @param holeMm what the old hole cleans up at; 0 where the new thread's own hole is larger anyhow
 * @param bossMm outside of the metal round it
 * @example 5/16 BSF in a hole that cleans up at 0.451 in: 9/16 BSF is the first, 1/2 BSF (minor 0.420) is none
 */
export function outerThreads(inner: Thread, holeMm: number, bossMm: number, how = 6): OuterThread[] {
  return THREADS.filter(
    (t) =>
      (t.common || t.system === inner.system) && !t.tapered && t.unit === inner.unit && t.form.id !== 'acme' && t.form.id !== 'trapezoidal',
  )
    .map((thread): OuterThread => ({
      thread,
      wallMm: (minorMm(thread) - inner.majorMm) / 2,
      bossWallMm: (bossMm - thread.majorMm) / 2,
    }))
    .filter((o) => o.wallMm >= inner.pitchMm && minorMm(o.thread) >= holeMm && o.bossWallMm > 0)
    .sort(
      (p, q) =>
        p.thread.majorMm - q.thread.majorMm ||
        Number(q.thread.system === inner.system) - Number(p.thread.system === inner.system) ||
        p.thread.pitchMm - q.thread.pitchMm,
    )
    .slice(0, how);
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
