import { nearestDrills, type Drill, type DrillKind } from '../drills';
import { bad, good, type Outcome } from '../outcome';
import { FORMS } from './form';
import type { Thread } from './thread';

/** A drill at hand with the share of full thread that it leaves. */
export interface TapDrill {
  readonly drill: Drill;
  readonly percent: number;
}

/** Diameter of the hole for a share of full thread height, mm: D - 1.29904 P x percent/100 for 60°, likewise 2 x the form's height. */
const holeMm = (t: Thread, percent: number): number => t.majorMm - fullMm(t) * (percent / 100);

/** Twice the height that counts as 100 %: 0.6495 P a side at 60°, the form's own depth otherwise. */
const fullMm = (t: Thread): number => (t.form.id === 'iso60' ? 2 * FORMS.iso60.toPitchDiameter : t.form.toMinor) * t.pitchMm;

/**
 * Drills at hand for tapping, nearest to the wanted share of thread first.
 *
 * @param kinds which drill sets the shop has
 * @example 1/4-20 at 75 %: number 7 (0.2010 in), 75.4 %
 */
export function tapDrills(t: Thread, percent: number, kinds: readonly DrillKind[], how = 6): Outcome<TapDrill[]> {
  if (!(percent >= 40 && percent <= 100))
    return bad('percent', 'Take 40 to 100 % of full thread; 75 is usual, 60 in tough stuff or deep holes.', 'percent');
  if (!kinds.length) return bad('drills', 'Choose at least one drill set.', 'kinds');
  return good(
    nearestDrills(holeMm(t, percent), kinds, how, t.majorMm).map((drill) => ({
      drill,
      percent: (100 * (t.majorMm - drill.diameterMm)) / fullMm(t),
    })),
  );
}
