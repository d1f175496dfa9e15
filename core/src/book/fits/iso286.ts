import { bad, good, type Outcome } from '../../terms/outcome';
import { IT_MICROMETRES, J_DEVIATION, MAIN_STEP_DEVIATION, STEP_UPPER_MM, SUB_STEP_DEVIATION, SUB_STEP_UPPER_MM } from './iso286.data';

export type ToleranceGrade = keyof typeof IT_MICROMETRES;

/** Deviations from the nominal size, mm; lower is below upper. */
export interface Deviations {
  readonly lowerMm: number;
  readonly upperMm: number;
}

/** A zone as typed, taken apart: `H7` is the letter h of a hole, grade IT7. */
interface ZoneParts {
  readonly hole: boolean;
  readonly letter: string;
  readonly grade: ToleranceGrade;
}

const ISO286_MOST_MM = 500;
export const GRADES = Object.keys(IT_MICROMETRES) as readonly ToleranceGrade[];
/** Every shaft letter in the book, loosest first; a hole's letter is the same in capitals. */
export const ZONE_LETTERS = [
  ...['a', 'b', 'c', 'cd', 'd', 'e', 'ef', 'f', 'fg', 'g', 'h', 'js', 'j', 'k', 'm', 'n', 'p'],
  ...['r', 's', 't', 'u', 'v', 'x', 'y', 'z', 'za', 'zb', 'zc'],
] as const;

const outOfTable = (message: string): Outcome<never> => bad('out-of-table', `${message} Use a house rule or type the limits.`);

function sizeInTable(nominalMm: number): Outcome<number> {
  if (nominalMm > 0 && nominalMm <= ISO286_MOST_MM) return good(nominalMm);
  return outOfTable(`ISO 286 is in the book for sizes over 0 to ${ISO286_MOST_MM} mm; ${nominalMm} mm is outside.`);
}

const mainStep = (nominalMm: number): number => STEP_UPPER_MM.findIndex((upper) => nominalMm <= upper);
const subStep = (nominalMm: number): number => SUB_STEP_UPPER_MM.findIndex((upper) => nominalMm <= upper);

/** `H7`, `js6`, `ZC11`, `f 7` taken apart, or what is wrong with it. */
function parseZone(zone: string): Outcome<ZoneParts> {
  const match = /^\s*([A-Za-z]{1,2})\s*(0?[0-9]|1[0-6])\s*$/.exec(zone);
  const letter = match?.[1]!.toLowerCase() ?? '';
  const hole = match?.[1] === letter.toUpperCase();
  const known = (ZONE_LETTERS as readonly string[]).includes(letter) && (hole || match?.[1] === letter);
  if (!match || !known)
    return bad(
      'zone',
      `"${zone}" is not a zone. Write the letter and the grade, like H7 for a hole or f7 for a shaft; grades run from 01 to 16.`,
    );
  const grade = `IT${match[2]}` as ToleranceGrade;
  return grade in IT_MICROMETRES ? good({ hole, letter, grade }) : bad('zone', `There is no grade ${match[2]}; grades run 01, 0, 1 to 16.`);
}

/** Width of a standard tolerance, mm; a reason outside sizes to 500 mm. */
export function toleranceWidth(grade: ToleranceGrade, nominalMm: number): Outcome<number> {
  const size = sizeInTable(nominalMm);
  return size.ok ? good(IT_MICROMETRES[grade][mainStep(nominalMm)]! / 1000) : size;
}

const gradeNumber = (grade: ToleranceGrade): number => (grade === 'IT01' ? -1 : Number(grade.slice(2)));

/**
 * Deviation of a shaft letter, micrometres: upper when the letter lies at or below nominal (a to h), lower above it (k to zc);
 * undefined where the standard gives none.
 */
function shaftDeviation(letter: string, grade: ToleranceGrade, nominalMm: number): number | undefined {
  if (letter === 'k' && (gradeNumber(grade) < 4 || gradeNumber(grade) > 7)) return 0;
  if ((letter === 'a' || letter === 'b') && nominalMm <= 1) return undefined;
  if (letter in MAIN_STEP_DEVIATION) return MAIN_STEP_DEVIATION[letter as keyof typeof MAIN_STEP_DEVIATION][mainStep(nominalMm)];
  return SUB_STEP_DEVIATION[letter as keyof typeof SUB_STEP_DEVIATION]?.[subStep(nominalMm)] ?? undefined;
}

/** What is added to K, M, N (to IT8) and P to ZC (to IT7): the step from the next finer grade, micrometres. */
function delta(grade: ToleranceGrade, nominalMm: number): number {
  const finer = GRADES[GRADES.indexOf(grade) - 1];
  if (!finer || gradeNumber(grade) < 3 || nominalMm <= 3) return 0;
  const step = mainStep(nominalMm);
  return IT_MICROMETRES[grade][step]! - IT_MICROMETRES[finer][step]!;
}

/** Upper deviation of a hole K to ZC, micrometres (ISO 286-1 table 3); undefined where the standard gives none. */
function tightHoleUpper(letter: string, grade: ToleranceGrade, nominalMm: number): number | undefined {
  const fine = gradeNumber(grade) <= (['k', 'm', 'n'].includes(letter) ? 8 : 7);
  if (letter === 'k' && !fine) return nominalMm <= 3 ? 0 : undefined;
  if (letter === 'n' && !fine && nominalMm > 3) return 0;
  if (letter === 'm' && grade === 'IT6' && nominalMm > 250 && nominalMm <= 315) return M6_OVER_250;
  const shaft = letter === 'k' ? MAIN_STEP_DEVIATION.k[mainStep(nominalMm)] : shaftDeviation(letter, grade, nominalMm);
  return shaft === undefined ? undefined : -shaft + (fine ? delta(grade, nominalMm) : 0);
}

/** The one published exception to the rule of tightHoleUpper: M6 over 250 to 315 mm has its upper deviation at -9, not -11. */
const M6_OVER_250 = -9;

/** Half of js in micrometres; an odd width of IT7 to IT11 is published rounded down to the micrometre below. */
function jsHalf(grade: ToleranceGrade, width: number): number {
  const odd = gradeNumber(grade) >= 7 && gradeNumber(grade) <= 11;
  return odd ? Math.floor(width / 2) : width / 2;
}

function jDeviations(parts: ZoneParts, width: number, nominalMm: number): readonly [number, number] | undefined {
  const name = `${parts.hole ? 'J' : 'j'}${parts.grade.slice(2)}` as keyof typeof J_DEVIATION;
  const value = J_DEVIATION[name]?.[mainStep(nominalMm)];
  if (value === undefined) return undefined;
  return parts.hole ? [value - width, value] : [value, value + width];
}

function micrometres(parts: ZoneParts, nominalMm: number): readonly [number, number] | undefined {
  const { hole, letter, grade } = parts;
  const width = IT_MICROMETRES[grade][mainStep(nominalMm)]!;
  if (letter === 'js') return [-jsHalf(grade, width), jsHalf(grade, width)];
  if (letter === 'j') return jDeviations(parts, width, nominalMm);
  if (hole && TIGHT.has(letter)) {
    const upper = tightHoleUpper(letter, grade, nominalMm);
    return upper === undefined ? undefined : [upper - width, upper];
  }
  const deviation = shaftDeviation(letter, grade, nominalMm);
  if (deviation === undefined) return undefined;
  if (TIGHT.has(letter)) return [deviation, deviation + width];
  return hole ? [0 - deviation, width - deviation] : [deviation - width, deviation];
}

/** Letters that lie above nominal on a shaft and below it in a hole. */
const TIGHT: ReadonlySet<string> = new Set(['k', 'm', 'n', 'p', 'r', 's', 't', 'u', 'v', 'x', 'y', 'z', 'za', 'zb', 'zc']);

/**
 * Limits of a zone as published, for sizes over 0 to 500 mm; a reason for what is no zone, a size outside, or a letter that the
 * standard does not define at that size.
 *
 * @example zoneDeviations('f7', 40) // -0.050 to -0.025 mm
 * @example zoneDeviations('P7', 40) // -0.042 to -0.017 mm
 */
export function zoneDeviations(zone: string, nominalMm: number): Outcome<Deviations> {
  const parts = parseZone(zone);
  if (!parts.ok) return parts;
  const size = sizeInTable(nominalMm);
  if (!size.ok) return size;
  const limits = micrometres(parts.value, nominalMm);
  if (!limits) return outOfTable(`ISO 286 gives no ${zone.trim()} at ${nominalMm} mm.`);
  return good({ lowerMm: limits[0] / 1000, upperMm: limits[1] / 1000 });
}

/** Whether the text names a hole's zone (capitals); false for a shaft's or for what is no zone. */
export function isHoleZone(zone: string): boolean {
  const parts = parseZone(zone);
  return parts.ok && parts.value.hole;
}
