import type { Part } from '../../making/part';
import { formatWithUnit, type LengthUnit } from '../../terms/quantity';
import { inSentence } from '../../terms/words';
import { drawnId, type SeatFinding } from '../job';

/** A drawing with its bearing seats by the table, and what the table could not say. */
export interface SeatedPart {
  readonly part: Part;
  readonly doubts: readonly string[];
}

/** Gives what a bearing sat on the limits of the bearing table on the bearing's bore. What fits a mate that was measured is left to its fit. */
export function withSeats(part: Part, seats: readonly SeatFinding[], unit: LengthUnit): SeatedPart {
  const doubts: string[] = [];
  let seated = part;
  for (const { place, boreMm, zone, lower, upper, words } of seats) {
    const id = drawnId(place.place.id);
    const there = part.outside.find((s) => s.id === id);
    if (!there || there.fitsPlaceIds.length) continue;
    const name = inSentence(place.place.name);
    if (boreMm === null || zone === null || !lower || !upper) {
      doubts.push(`A bearing sits on ${name}: give it limits of its own, the general tolerance holds none. ${words}`);
      continue;
    }
    seated = {
      ...seated,
      outside: seated.outside.map((s) => (s.id === id ? { ...s, diameterMm: boreMm } : s)),
      limits: { ...seated.limits, [id]: { lowerDev: lower.value - boreMm, upperDev: upper.value - boreMm, text: zone } },
    };
    doubts.push(
      `A bearing sits on ${name}: drawn ${formatWithUnit(boreMm, unit)} ${zone}, by the bearing table. Say otherwise where it is.`,
    );
  }
  return { part: seated, doubts };
}
