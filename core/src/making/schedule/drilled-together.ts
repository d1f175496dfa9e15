import { formatWithUnit, placeWithUnit } from '../../terms/quantity';
import { drillBeforeReamer, drillLadderMm, peckDepthsMm } from '../process';
import { drillSteps, turnedOnMill, type DrillBench } from './drill-steps';
import { edgeToCentreMm } from './milled';
import { setting, type Schedule } from './schedule';

/** A straight hole for a pin through parts that are clamped together. */
export interface HoleTogether {
  readonly id: string;
  /** What goes through it. */
  readonly name: string;
  readonly sizeMm: number;
  /** The hole that is there, at its tightest and at its widest, mm; null where there is none. */
  readonly there: { readonly smallestMm: number; readonly largestMm: number } | null;
  /** Outside of what it goes through, and what that is called; null where nobody measured it. */
  readonly across: { readonly mm: number; readonly name: string } | null;
}

/**
 * A hole drilled and reamed through parts in one setting: from the edge to its centre line, drills one after another, reamer, pecks.
 *
 * @returns null for a hole that no reamer is listed for
 */
export function drilledTogether(hole: HoleTogether, bench: DrillBench): Schedule | null {
  const { sizeMm, there, across } = hole;
  const last = drillBeforeReamer(sizeMm, bench.drillSets);
  if (!last) return null;
  const show = (mm: number): string => formatWithUnit(mm, bench.unit);
  // What is no larger than the hole that is there cuts nothing.
  const ladder = drillLadderMm(last.diameterMm, bench.drillSets).filter((mm) => mm > (there?.smallestMm ?? 0));
  const turning = turnedOnMill(hole, bench);
  const pecks = across ? peckDepthsMm(last.diameterMm, across.mm) : [];
  return {
    ...{ id: hole.id, title: `Drill and ream for ${hole.name}`, tools: [{ kind: 'reamer', sizeMm }] },
    settings: [
      ...(across
        ? [
            setting(
              hole,
              'centre',
              'from the edge to the centre line',
              edgeToCentreMm(across.mm, bench.finderMm),
              `half of ${across.name}, ${show(across.mm)}, and half a finder of ${placeWithUnit(bench.finderMm, bench.unit)}`,
            ),
          ]
        : []),
      ...drillSteps(hole, ladder, 'leaves what a reamer takes', turning),
      setting(hole, 'reamer', 'reamer', sizeMm, 'as it was decided to be trued to'),
      ...turning('reamer', 'reamer', 'reamer', sizeMm),
    ],
    cuts: pecks.length > 1 ? { on: null, toMm: pecks } : null,
    words: [
      across
        ? 'A paper between finder and edge comes on top, unless it was used to take up the spindle’s wobble.'
        : 'The outside of what it goes through was not measured: with it the way from its edge to the centre line stands here.',
      ...(there
        ? [
            there.largestMm > last.diameterMm
              ? `At its widest the old hole is ${show(there.largestMm)}, more than that drill: there the reamer alone cleans it up, and only where both are on one line.`
              : 'A drill follows the hole that is there: where that is crooked or beside the centre, an end mill goes first.',
          ]
        : []),
      ...(last.here
        ? []
        : [`No drill that leaves the reamer enough hangs in the crib: ${show(last.diameterMm)} is the nearest that is sold.`]),
      'Through both in one setting, without moving either; the reamer with oil, in cast iron dry, never turned back.',
    ],
  };
}
