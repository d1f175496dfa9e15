import { threadLimits, THREAD_CLASSES, type Thread } from '../../book/threads';
import type { BookLimits } from './feature-kind';

/** A hole this far from the thread's minor size is another thread's: shares of the pitch, under and over (a quarter leaves three quarters). */
const HOLE_UNDER = 0.1;
const HOLE_OVER = 0.27;

/** Diameter in the crests of an inside thread, mm. */
export const minorMm = (t: Thread): number => t.majorMm - t.form.toMinor * t.pitchMm;
/** Diameter on the flanks, mm. */
export const flankMm = (t: Thread): number => t.majorMm - t.form.toPitchDiameter * t.pitchMm;

/** Whether a hole of that size is one that the thread is cut in. */
export const isHoleOf = (t: Thread, holeMm: number): boolean =>
  holeMm >= minorMm(t) - HOLE_UNDER * t.pitchMm && holeMm <= minorMm(t) + HOLE_OVER * t.pitchMm;

/** Limits of a thread's crests and flanks by its standard; what the book has none for is without. */
export interface ThreadBook {
  readonly crest: { readonly book?: BookLimits };
  readonly flank: { readonly book?: BookLimits };
}

/**
 * The book's limits of a thread.
 *
 * @param threadClass `6g`, `2A`; empty for the usual one of its system
 */
export function threadBook(t: Thread, side: 'outside' | 'inside', threadClass: string): ThreadBook {
  const found = threadLimits(t, side, threadClass || (THREAD_CLASSES[t.system]?.[side][0] ?? ''));
  if (!found.ok) return { crest: {}, flank: {} };
  const { value } = found;
  const book = (b: { readonly lowerMm: number | null; readonly upperMm: number | null }): { book?: BookLimits } =>
    b.lowerMm === null || b.upperMm === null
      ? {}
      : { book: { lower: b.lowerMm, upper: b.upperMm, source: `${value.source}, ${value.threadClass}` } };
  return { crest: book(side === 'outside' ? value.major : value.minor), flank: book(value.pitchDiameter) };
}
