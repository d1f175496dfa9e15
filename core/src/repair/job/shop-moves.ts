import type { Figure } from '../../terms/working';
import type { LengthUnit } from '../../terms/quantity';
import type { JobSheet, Shop } from './records';
import { MOVED_LEAST_MM, newestRelease } from './release';
import { workOut, type Repair } from './repair';

/** A number of a job before and after; null where it cannot be worked out. */
export interface ShopMove {
  readonly key: string;
  readonly label: string;
  readonly beforeMm: number | null;
  readonly afterMm: number | null;
}

/** An open job with the numbers that a change of the shop would move. */
export interface MovedJob {
  readonly jobId: string;
  readonly number: number;
  readonly title: string;
  readonly unit: LengthUnit;
  /** Released for cutting: its frozen numbers stay, and the moved ones are marked until somebody accepts them. */
  readonly released: boolean;
  readonly moves: readonly ShopMove[];
}

/** The numbers that a fit decides: clearance and the limits of the new part. */
function decided(repair: Repair): Map<string, { readonly figure: Figure; readonly of: string }> {
  const found = new Map<string, { figure: Figure; of: string }>();
  for (const fit of repair.fits)
    for (const figure of fit.figures ? [fit.figures.clearance, fit.figures.upper, fit.figures.lower] : [])
      found.set(figure.key, { figure, of: fit.hole.place.name });
  return found;
}

const differs = (a: number | null, b: number | null): boolean => (a === null || b === null ? a !== b : Math.abs(a - b) >= MOVED_LEAST_MM);

/**
 * What a change of the shop (its house rules, say) would move in one job; null when the job is returned or nothing moves.
 */
export function movedByShop(sheet: JobSheet, before: Shop, after: Shop): MovedJob | null {
  const now = workOut(sheet, before);
  if (!now.next) return null;
  const [was, will] = [decided(now), decided(workOut(sheet, after))];
  const moves = [...new Set([...was.keys(), ...will.keys()])].flatMap((key): ShopMove[] => {
    const [a, b] = [was.get(key), will.get(key)];
    const [beforeMm, afterMm] = [a?.figure.value ?? null, b?.figure.value ?? null];
    const named = (a ?? b)!;
    return differs(beforeMm, afterMm) ? [{ key, label: `${named.of}: ${named.figure.label}`, beforeMm, afterMm }] : [];
  });
  const { id, number, title, unit } = sheet.job;
  return moves.length ? { jobId: id, number, title, unit, released: newestRelease(sheet) !== null, moves } : null;
}
