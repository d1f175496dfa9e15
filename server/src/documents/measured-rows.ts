import { formatLength, type PlaceFinding, type LengthUnit } from '@iron-patch/core';

/** A place as it was measured in one state of its part, as it was found or after an act; none where nothing was read. */
function measuredRow(f: PlaceFinding, both: (mm: number) => string, unit: LengthUnit): string[][] {
  const name = f.state.actId === null ? f.place.name : `${f.place.name}, ${f.state.words}`;
  if (f.shape) {
    const oval = f.ovality ? formatLength(f.ovality.value, unit) : '-';
    return [[name, both(f.shape.smallestMm), both(f.shape.largestMm), oval, String(f.shape.readings)]];
  }
  const total = f.indicator?.figure;
  return total ? [[`${name}: ${total.label.split(' of ')[0]!}`, '-', both(total.value), '-', String(f.readings.length)]] : [];
}

/** Every place that was read, as it was found and beside it as it was after each act: place, smallest, largest, oval, readings. */
export const measuredRows = (places: readonly PlaceFinding[], both: (mm: number) => string, unit: LengthUnit): string[][] =>
  places.flatMap((f) => [f, ...f.after]).flatMap((f) => measuredRow(f, both, unit));
