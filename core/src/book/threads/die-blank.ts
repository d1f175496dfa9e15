import { threadLimits, THREAD_CLASSES } from './limits';
import type { Thread } from './thread';

/** What a blank is turned under the thread's diameter before a die cuts it, as a share of the pitch: a die pushes metal up. */
const UNDER_SHARE = 0.1;
/** Systems that round dies are made for. */
const CUT_BY_DIE: ReadonlySet<Thread['system']> = new Set(['metric', 'unified', 'whitworth', 'ba', 'cycle']);

/**
 * Diameter of the blank for a thread that a die cuts, mm: a tenth of the pitch under it, kept within the limits of its usual class. Null
 * where no die is made for such a thread.
 *
 * @example M10: 9.85; 1/4-20: 0.245 in
 */
export function dieBlankMm(t: Thread): number | null {
  if (!CUT_BY_DIE.has(t.system) || t.tapered) return null;
  const usual = t.majorMm - UNDER_SHARE * t.pitchMm;
  const limits = threadLimits(t, 'outside', THREAD_CLASSES[t.system]?.outside[0] ?? '');
  if (!limits.ok) return usual;
  const { upperMm, lowerMm } = limits.value.major;
  return Math.min(Math.max(usual, lowerMm ?? usual), upperMm ?? usual);
}
