import { drilledTogether, type HoleTogether, type Schedule } from '../../making/schedule';
import { inSentence } from '../../terms/words';
import { drillBench, withMissing } from './drill-bench';
import type { FitFinding } from './fit-finding';
import type { JobItem } from './items';
import type { PartFinding } from './part-finding';
import type { PlaceFinding } from './place-finding';
import type { JobSheet, Shop } from './records';
import { mateOf } from './pair';

/** What of a job tells how its parts are drilled together. */
interface Given {
  readonly places: readonly PlaceFinding[];
  readonly sheet: JobSheet;
  readonly shop: Shop;
}

/** Holes this near in size are one that goes through, mm. */
const SAME_MM = 1e-6;

/** Components that a pin in such holes goes through: those of the holes, and what sits in or on them. */
function piercedBy(holes: readonly FitFinding[], places: readonly PlaceFinding[]): Set<string> {
  const own = new Set(holes.map((f) => f.hole.component.id));
  const beside = places.flatMap((p) => {
    const mate = mateOf(p, places);
    return mate && own.has(mate.component.id) && p.component.role === 'mate' ? [p.component.id] : [];
  });
  return new Set([...own, ...beside]);
}

/** The outside that the hole goes through: the smallest of its own part, as a flange is larger than its hub; else that of what sits in it. */
function goesThrough(holes: readonly FitFinding[], of: readonly PlaceFinding[]): HoleTogether['across'] {
  const own = new Set(holes.map((f) => f.hole.component.id));
  const outside = of.flatMap((p) => (p.place.side === 'outside' && p.shape ? [{ p, mm: p.shape.largestMm }] : []));
  const [first] = outside.filter(({ p }) => own.has(p.component.id)).sort((p, q) => p.mm - q.mm);
  const taken = first ?? outside.sort((p, q) => q.mm - p.mm)[0];
  return taken ? { mm: taken.mm, name: inSentence(taken.p.place.name) } : null;
}

/**
 * Holes that are drilled and reamed through what is joined, each of one size: those that a joined pin fits and that are to be trued.
 *
 * @param joined parts of the items that it waits for
 */
export function jointHoles(item: JobItem, joined: readonly (PartFinding | null)[], { places, sheet, shop }: Given): Schedule[] {
  if (item.kind !== 'join' || !item.steps.some((s) => s.act === 'pin')) return [];
  return joined.flatMap((part) =>
    (part?.segments ?? []).flatMap(({ segment, fits }): Schedule[] => {
      const trued = fits.filter((f) => f.choice?.hole === 'true' && f.truedMm !== null && f.hole.shape !== null);
      const sizes = trued.map((f) => f.truedMm!);
      const sizeMm = sizes[0];
      if (sizeMm === undefined || sizes.some((mm) => Math.abs(mm - sizeMm) > SAME_MM)) return [];
      const pierced = piercedBy(trued, places);
      const of = places.filter((p) => pierced.has(p.component.id));
      const schedule = drilledTogether(
        {
          id: `${item.id}.${segment.id}`,
          name: inSentence(part!.part.name || segment.name),
          sizeMm,
          there: {
            smallestMm: Math.min(...trued.map((f) => f.hole.shape!.smallestMm)),
            largestMm: Math.max(...trued.map((f) => f.hole.shape!.largestMm)),
          },
          across: goesThrough(trued, of),
        },
        drillBench(
          of.map((p) => p.component.materialId),
          sheet,
          shop,
        ),
      );
      if (!schedule) return [];
      return [withMissing(schedule, sheet, shop)];
    }),
  );
}
