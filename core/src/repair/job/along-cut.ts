import { along } from '../../making/schedule';
import type { PlacedSurface } from '../../making/part';
import { formatWithUnit, placeWithUnit, type LengthUnit } from '../../terms/quantity';
import { FROM_END, isSlender } from './along-surface';
import type { ReadingRecord } from './records';

/** A place along a surface where it is read between two cuts. */
export interface AlongSpot {
  /** From the zero face. */
  readonly stationMm: number;
  /** The reading of it that counts, and the diameter at 20 °C that it tells; null where it was not read since the last cut. */
  readonly read: { readonly reading: ReadingRecord; readonly mm: number } | null;
}

/** How a surface came out along its length at the last cut. */
export interface AlongCut {
  /** Near its left end, in its middle, near its right end. */
  readonly spots: readonly [AlongSpot, AlongSpot, AlongSpot];
  /** Half width of the 95 % band of the coarsest of the readings, mm. */
  readonly plusMinusMm: number;
  /** So long for its thickness that it bends away from the tool: it is worth reading along. */
  readonly slender: boolean;
}

/** To what the stations are rounded, mm. */
const STEP_MM = 0.1;
/** A reading belongs to a station that it lies this near to, mm. */
const SAME_MM = STEP_MM / 2;

/** Read along the work at no setting of its own, rather than where the cuts are measured. */
export const isAlong = ({ purpose, stationMm, dial }: Pick<ReadingRecord, 'purpose' | 'stationMm' | 'dial'>): boolean =>
  purpose === 'cut' && stationMm > 0 && dial === null;

/**
 * Places along an outside cylinder, and what was read there since its last cut.
 *
 * @param read along it, oldest first, with the diameter that each tells and the half width of its band, mm
 * @param since when the last cut of it was measured, ms; what is older is of a size that is not there any more
 */
export function alongCut(
  surface: Pick<PlacedSurface, 'fromMm' | 'toMm' | 'lengthMm' | 'diameterMm'>,
  read: readonly { readonly reading: ReadingRecord; readonly mm: number; readonly plusMinusMm: number }[],
  since: number,
): AlongCut {
  const { fromMm, toMm } = surface;
  const own = read.filter((r) => Date.parse(r.reading.takenAt) >= since);
  const spot = (share: number): AlongSpot => {
    // The zero face itself is where the cuts are measured.
    const stationMm = Math.max(STEP_MM, Math.round((fromMm + share * (toMm - fromMm)) / STEP_MM) * STEP_MM);
    const last = own.findLast((r) => Math.abs(r.reading.stationMm - stationMm) < SAME_MM);
    return { stationMm, read: last ? { reading: last.reading, mm: last.mm } : null };
  };
  return {
    spots: [spot(FROM_END), spot(0.5), spot(1 - FROM_END)],
    plusMinusMm: Math.max(0, ...own.map((r) => r.plusMinusMm)),
    slender: isSlender(surface),
  };
}

/** What to mind at the next cut, as one place is thinner than where the cuts are measured; empty where none is by more than can be told. */
export function thinWords(a: AlongCut, measuredMm: number, nextMm: number | null, lowerMm: number, unit: LengthUnit): string {
  const [thinnest] = a.spots.flatMap(({ stationMm, read }) => (read ? [{ stationMm, mm: read.mm }] : [])).sort((p, q) => p.mm - q.mm);
  if (!thinnest || measuredMm - thinnest.mm <= a.plusMinusMm) return '';
  const thinner = measuredMm - thinnest.mm;
  const where = `At ${placeWithUnit(thinnest.stationMm, unit)} it is ${formatWithUnit(thinner, unit)} thinner than where the cuts are measured`;
  if (thinnest.mm < lowerMm)
    return `${where}: that reads under the limit already. Stop: measure it again, cold, and ask whether the mate can take it there.`;
  return nextMm !== null && nextMm - thinner < lowerMm
    ? `${where}: the next cut would go under the limit there. Put that right first.`
    : `${where}: put that right before the last cuts.`;
}

/**
 * Taper and belly in words: what to do at the tailstock, and what it does not cure. Empty until both ends are read.
 *
 * @param tail at which end of the surface the tailstock stands
 * @param wholeMm from chuck or centre to the tailstock's centre
 */
export function alongWords({ spots, plusMinusMm }: AlongCut, tail: 'left' | 'right', wholeMm: number, unit: LengthUnit): string[] {
  const [left, middle, right] = spots;
  const [head, end] = tail === 'right' ? [left, right] : [right, left];
  if (!head.read || !end.read) return [];
  const show = (mm: number): string => formatWithUnit(Math.abs(mm), unit);
  const { shiftMm, bellyMm } = along(head.read.mm, middle.read?.mm ?? null, end.read.mm, Math.abs(end.stationMm - head.stationMm), wholeMm);
  const way = shiftMm > 0 ? 'towards the tool: the tailstock end is thick' : 'away from the tool: the tailstock end is thin';
  const taper =
    Math.abs(end.read.mm - head.read.mm) <= plusMinusMm
      ? 'No taper that this instrument can tell: leave the tailstock where it is.'
      : `Set the tailstock over by ${show(shiftMm)} ${way}. Then one more pass, and measure again.`;
  if (bellyMm === null) return [taper];
  if (Math.abs(bellyMm) <= plusMinusMm) return [taper, 'No belly that this instrument can tell.'];
  return [
    taper,
    bellyMm > 0
      ? `A belly of ${show(bellyMm)} in the middle: the work bends away from the tool. A sharp tool, a lighter cut and spring passes, or a travelling rest; the tailstock does not cure it.`
      : `Hollow by ${show(bellyMm)} in the middle: worn ways, or a rest that presses. The tailstock does not cure it.`,
  ];
}
