import { bad, good, type Outcome } from '../outcome';
import { DEVIATION_MICROMETRES, IT_MICROMETRES, STEP_UPPER_MM } from './iso286.data';

export type ToleranceGrade = keyof typeof IT_MICROMETRES;
export type Zone = 'H7' | 'f7' | 'g6' | 'h6' | 'p6';
export const ZONES: readonly Zone[] = ['H7', 'f7', 'g6', 'h6', 'p6'];

/** Deviations from the nominal size, mm; lower is below upper. */
export interface Deviations {
  readonly lowerMm: number;
  readonly upperMm: number;
}

export const ISO286_LEAST_MM = 1;
export const ISO286_MOST_MM = 250;

function stepOf(nominalMm: number): Outcome<number> {
  if (!(nominalMm >= ISO286_LEAST_MM && nominalMm <= ISO286_MOST_MM))
    return bad(
      'out-of-table',
      `The table holds sizes from ${ISO286_LEAST_MM} to ${ISO286_MOST_MM} mm; ${nominalMm} mm is outside. Use a house rule.`,
    );
  return good(STEP_UPPER_MM.findIndex((upper) => nominalMm <= upper));
}

/** Width of a standard tolerance, mm; a reason outside 1 to 250 mm. */
export function toleranceWidth(grade: ToleranceGrade, nominalMm: number): Outcome<number> {
  const step = stepOf(nominalMm);
  return step.ok ? good(IT_MICROMETRES[grade][step.value]! / 1000) : step;
}

/**
 * Limits of a zone as published.
 *
 * @example zoneDeviations('f7', 40) // -0.050 to -0.025 mm
 */
export function zoneDeviations(zone: Zone, nominalMm: number): Outcome<Deviations> {
  const step = stepOf(nominalMm);
  if (!step.ok) return step;
  const grade = `IT${zone.slice(1)}` as ToleranceGrade;
  const width = IT_MICROMETRES[grade][step.value]! / 1000;
  const letter = zone[0]!;
  if (letter === 'H') return good({ lowerMm: 0, upperMm: width });
  const deviation = DEVIATION_MICROMETRES[letter as keyof typeof DEVIATION_MICROMETRES][step.value]! / 1000;
  return good(letter === 'p' ? { lowerMm: deviation, upperMm: deviation + width } : { lowerMm: deviation - width, upperMm: deviation });
}
