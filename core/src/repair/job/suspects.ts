import { grossErrors, repeatConflicts, type RepeatConflict, type Suspect } from '../../evidence/readings';
import { choiceKey } from './choices';
import { weighables } from './weighables';
import type { Measured } from './measured';
import type { JobSheet, Shop } from './records';

/** Readings of a place that stand out: by a slip, or from a repeat of the same instrument. */
export interface StandingOut {
  readonly suspects: readonly Suspect[];
  readonly repeats: readonly RepeatConflict[];
}

export const NOTHING_STANDS_OUT: StandingOut = { suspects: [], repeats: [] };
const READING = 'reading:';

/** Key of the choice that says of one reading that it is right. */
export const rightKey = (placeId: string, readingId: string): string => choiceKey.settle(placeId, `${READING}${readingId}`);

/** What stands out among the readings that count, before anybody said that it is right. */
export function standingOut(m: Measured, shop: Shop): StandingOut {
  const own = weighables(m, 'size', shop);
  if (own.length < 2) return NOTHING_STANDS_OUT;
  const instrumentOf = new Map(m.readings.map((r) => [r.id, r.instrumentId]));
  return { suspects: grossErrors(own), repeats: repeatConflicts(own, (id) => instrumentOf.get(id) ?? '') };
}

/** The same without what somebody said is right. */
export function stillStandingOut({ suspects, repeats }: StandingOut, sheet: JobSheet, placeId: string): StandingOut {
  const right = (id: string): boolean => sheet.choices.some((c) => c.key === rightKey(placeId, id));
  const open = suspects.filter((s) => !right(s.id));
  const told = new Set(open.map((s) => s.id));
  return {
    suspects: open,
    // A repeat that a suspect already names is told once.
    repeats: repeats.filter((r) => !told.has(r.first.id) && !told.has(r.second.id) && !(right(r.first.id) && right(r.second.id))),
  };
}
