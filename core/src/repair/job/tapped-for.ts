import { findThread, type Thread } from '../../book/threads';
import { tappedHole, type Schedule } from '../../making/schedule';
import { placeOutside } from '../../making/part';
import { inSentence } from '../../terms/words';
import { chosenPart } from './choices';
import { drillBench, withMissing } from './drill-bench';
import type { JobItem } from './items';
import type { JobSheet, Shop } from './records';

const TAPS = /\btap(s|ped|ping)?\b/i;

/** The largest thread on the outside of a drawn part: what goes into the metal; the other end of a stud carries the nut. */
function threadOf(item: JobItem, sheet: JobSheet): Thread | undefined {
  const part = chosenPart(sheet, item.partKey);
  if (!part || part.block) return undefined;
  const outside = new Set(placeOutside(part).map((s) => s.id));
  const threads = part.features.flatMap((f) => {
    const thread = f.kind === 'thread' && outside.has(f.on) ? findThread(f.thread) : undefined;
    return thread ? [thread] : [];
  });
  return threads.toSorted((p, q) => q.majorMm - p.majorMm)[0];
}

/** Holes that are drilled and tapped in a component for what is made on the same route: a threaded bush, a larger stud. */
export function tappedFor(item: JobItem, items: readonly JobItem[], sheet: JobSheet, shop: Shop): Schedule[] {
  if (item.kind !== 'rework' || !item.route || ![item.name, ...item.steps.map((s) => s.what)].some((w) => TAPS.test(w))) return [];
  const materials = sheet.components.filter((c) => item.componentIds.includes(c.id)).map((c) => c.materialId);
  const bench = drillBench(materials, sheet, shop);
  return items
    .filter((o) => o.kind === 'make' && o.route === item.route)
    .flatMap((o) => {
      const thread = threadOf(o, sheet);
      const schedule = thread && tappedHole({ id: `${item.id}.${o.id}`, name: `for ${inSentence(o.name)}` }, thread, bench);
      return schedule ? [withMissing(schedule, sheet, shop)] : [];
    });
}
