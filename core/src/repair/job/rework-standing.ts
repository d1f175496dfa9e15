import { placeWithUnit } from '../../terms/quantity';
import type { Figure } from '../../terms/working';
import { movedLastAt, type ItemStep, type JobItem } from './items';
import { readingFigure, toDiameter } from './measured';
import type { SegmentFinding } from './part-finding';
import type { PlaceFinding } from './place-finding';
import type { JobSheet, ReadingRecord, Shop } from './records';

/** The size that stands in front of the tool, and why nothing is planned from it; null where something is. */
export interface Standing {
  readonly figure: Figure | null;
  readonly cannot: string | null;
}

/** Acts that put metal on: what was read before them is not what is cut. */
const PUTS_ON: readonly ItemStep['act'][] = ['weld', 'plate'];

/**
 * What stands where something is cut of a component that stays: the first reading at the machine since its sizes moved, else what was read of the
 * place before anything of it was cut.
 *
 * @param readings of the item, those that count
 */
export function standingAt(
  { segment: { id, side }, diameter }: SegmentFinding,
  item: JobItem,
  { place, readings }: { readonly place: PlaceFinding | null; readonly readings: readonly ReadingRecord[] },
  sheet: JobSheet,
  shop: Shop,
): Standing {
  const { unit, shopTempC } = sheet.job;
  const since = movedLastAt(item);
  const inside = side === 'inside';
  const counts = (r: ReadingRecord): boolean => Date.parse(r.takenAt) > since;
  const first = readings.find((r) => r.purpose === 'cut' && r.segmentId === id && counts(r));
  if (first) {
    const at20 = toDiameter(first, side, place?.component.materialId ?? '', shopTempC, shop).valueMm;
    return { figure: readingFigure(first, at20, shop, unit), cannot: null };
  }
  const putOn = item.steps.find((s) => PUTS_ON.includes(s.act) && !s.done);
  if (putOn) return { figure: null, cannot: `Once “${putOn.what}” is done: skim it, read it at Cut, and its cuts follow from that.` };
  const figure = (inside ? place?.smallest : place?.largest) ?? null;
  if (!figure || !place?.readings.some(counts)) {
    const why = figure ? 'It was read before its sizes moved' : 'Nobody has read it yet';
    return { figure: null, cannot: `${why}: skim it, read it at Cut, and its cuts follow from that.` };
  }
  const past = inside ? figure.value > diameter.value : figure.value < diameter.value;
  const than = inside ? 'wider' : 'thinner';
  return {
    figure,
    cannot: past
      ? `Read at ${placeWithUnit(figure.value, unit)}, ${than} than it is to be: metal has to be put on first, then it is read at Cut.`
      : null,
  };
}
