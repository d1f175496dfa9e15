import type { Thread } from '../../book/threads';
import { formatWithUnit } from '../../terms/quantity';
import { drillLadderMm } from '../process';
import { holeBefore } from './before-thread';
import { drillSteps, turnedOnMill, type DrillBench } from './drill-steps';
import { setting, type Schedule } from './schedule';

/** A hole that is drilled, or bored where no drill leaves the thread enough, and tapped. */
export function tappedHole(of: { readonly id: string; readonly name: string }, thread: Thread, bench: DrillBench): Schedule | null {
  const hole = holeBefore(thread, bench.drillSets);
  if (!hole) return null;
  const { limits, drill, mm } = hole;
  const told = `${formatWithUnit(limits.lowerMm, bench.unit)} to ${formatWithUnit(limits.upperMm, bench.unit)}, ${limits.source}`;
  return {
    ...{ id: of.id, title: `Drill and tap ${thread.name}, ${of.name}`, tools: [{ kind: 'tap', thread: thread.name }], cuts: null },
    settings: drill
      ? drillSteps(
          of,
          drillLadderMm(mm, bench.drillSets),
          `leaves ${drill.percent.toFixed(0)} % of thread: the hole may be ${told}`,
          turnedOnMill(of, bench),
        )
      : [setting(of, 'hole', 'bore the hole to', mm, told)],
    words: [
      'A drill follows the hole that is there: where that is crooked or torn, it is bored or end-milled true first, square to the face.',
      'The tap started square in the same setting, oil by the metal, back a half turn to break the chip; a plug tap last in a blind hole.',
      'Tried with the part itself: in to its depth by hand, square, no shake; clean and dry before it is locked.',
    ],
  };
}
