import { DRILL_KINDS, inCrib, type DrillSet } from '../../book/drills';
import { tapHole, type InsideMinor, type TapDrill, type Thread } from '../../book/threads';

/** Usual share of full thread, percent. */
const SHARE = 75;
/** Bored, it keeps so much of what it may be off either limit. */
const OFF_LIMITS = 0.25;

/** The hole before an inside thread. */
export interface HoleBefore {
  readonly limits: InsideMinor;
  /** Of the crib where one fits; null where none that is sold does, and it is bored. */
  readonly drill: TapDrill | null;
  /** As the drill leaves it, or bored to, mm. */
  readonly mm: number;
}

/** What a hole is drilled or bored to before an inside thread is cut in it; null for a taper thread, which has drills of its own. */
export function holeBefore(thread: Thread, sets: readonly DrillSet[]): HoleBefore | null {
  const hole = tapHole(thread, SHARE, DRILL_KINDS, (d) => inCrib(sets, d));
  if (!hole.ok) return null;
  const { limits, drills, aimMm } = hole.value;
  const off = OFF_LIMITS * (limits.upperMm - limits.lowerMm);
  const drill = drills[0] ?? null;
  return { limits, drill, mm: drill?.drill.diameterMm ?? Math.min(Math.max(aimMm, limits.lowerMm + off), limits.upperMm - off) };
}
