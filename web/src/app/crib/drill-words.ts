import { formatLength, toInchFraction, type DrillKind, type DrillSet, type LengthUnit } from '@iron-patch/core';

export const DRILL_WORDS: Readonly<Record<DrillKind, string>> = {
  fraction: 'Inch fractions',
  number: 'Number drills',
  letter: 'Letter drills',
  metric: 'Metric drills',
};

export const unitOfDrills = (kind: DrillKind): LengthUnit => (kind === 'metric' ? 'mm' : 'in');

/** `Metric drills 1 to 13 mm, by 0.5 mm`. */
export function drillSetWords({ kind, fromMm, toMm, stepMm }: DrillSet): string {
  const unit = unitOfDrills(kind);
  const show = (mm: number): string => (kind === 'fraction' ? toInchFraction(mm).text : String(Number(formatLength(mm, unit, 4))));
  return `${DRILL_WORDS[kind]} ${show(fromMm)} to ${show(toMm)} ${unit}, ${stepMm === null ? 'all that are sold' : `by ${show(stepMm)} ${unit}`}`;
}
