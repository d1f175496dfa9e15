import { DRILL_KINDS, inCrib } from '../../book/drills';
import { tapHole, type Thread } from '../../book/threads';
import { formatWithUnit } from '../../terms/quantity';
import { drillLadderMm } from '../process';
import { drillSteps, turnedOnMill, type DrillBench } from './drill-steps';
import { setting, type Schedule } from './schedule';

/** Usual share of full thread, percent. */
const SHARE = 75;

/** A hole that is drilled, or bored where no drill leaves the thread enough, and tapped. */
export function tappedHole(of: { readonly id: string; readonly name: string }, thread: Thread, bench: DrillBench): Schedule | null {
  const hole = tapHole(thread, SHARE, DRILL_KINDS, (d) => inCrib(bench.drillSets, d));
  if (!hole.ok) return null;
  const { limits, drills } = hole.value;
  const [best] = drills;
  const told = `${formatWithUnit(limits.lowerMm, bench.unit)} to ${formatWithUnit(limits.upperMm, bench.unit)}, ${limits.source}`;
  const middleMm = (limits.lowerMm + limits.upperMm) / 2;
  return {
    ...{ id: of.id, title: `Drill and tap ${thread.name}, ${of.name}`, tools: [{ kind: 'tap', thread: thread.name }], cuts: null },
    settings: best
      ? drillSteps(
          of,
          drillLadderMm(best.drill.diameterMm, bench.drillSets),
          `leaves ${best.percent.toFixed(0)} % of thread: the hole may be ${told}`,
          turnedOnMill(of, bench),
        )
      : [setting(of, 'hole', 'bore the hole to', middleMm, told)],
    words: [
      'A drill follows the hole that is there: where that is crooked or torn, it is bored or end-milled true first, square to the face.',
      'The tap started square in the same setting, oil by the metal, back a half turn to break the chip; a plug tap last in a blind hole.',
      'Tried with the part itself: in to its depth by hand, square, no shake; clean and dry before it is locked.',
    ],
  };
}
