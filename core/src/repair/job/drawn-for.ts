import { fittings, type Part } from '../../making/part';
import { chosenPart } from './choices';
import { jobItems } from './items';
import type { JobSheet } from './records';

/** The drawing whose surface fits a place; where none says so, the only one there is; null where that tells nothing. */
export function drawnFor(sheet: JobSheet, placeId: string): Part | null {
  const parts = jobItems(sheet).flatMap((i) => {
    const part = i.kind === 'make' ? chosenPart(sheet, i.partKey) : null;
    return part ? [part] : [];
  });
  const fits = (part: Part): boolean => fittings(part).some((s) => s.fitsPlaceIds.includes(placeId));
  return parts.find(fits) ?? (parts.length === 1 ? parts[0]! : null);
}
