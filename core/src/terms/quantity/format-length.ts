import { fromUnit, toUnit, type LengthUnit } from './units';

/** Decimals shown when nothing finer is known: a thousandth of a millimetre, a tenth of a thou. */
export const USUAL_DECIMALS: Readonly<Record<LengthUnit, number>> = { mm: 3, in: 4 };

/** Decimals for a length that is read on a rule or a caliper, such as a shoulder or a station. */
const COARSE_DECIMALS: Readonly<Record<LengthUnit, number>> = { mm: 2, in: 3 };

/**
 * A length in one unit with a fixed number of decimals, without the unit's name.
 *
 * @param mm length in millimetres, any sign
 * @example formatLength(19.05, 'in', 4) // "0.7500"
 */
export function formatLength(mm: number, unit: LengthUnit, decimals = USUAL_DECIMALS[unit]): string {
  const text = toUnit(mm, unit).toFixed(decimals);
  return /^-0(\.0*)?$/.test(text) ? text.slice(1) : text;
}

/** A length of `mm` with its unit, to so many decimals or the usual ones of that unit: `0.7500 in`. */
export const formatWithUnit = (mm: number, unit: LengthUnit, decimals?: number): string => `${formatLength(mm, unit, decimals)} ${unit}`;

/** Lines on an inch of a rule: a place on one is shown whole. */
const RULE_LINES = 32;

/** A place along a part, from mm, as short text: `5`, `12.5`, `0.197`, `0.0625`. */
export function formatPlace(mm: number, unit: LengthUnit): string {
  const lines = toUnit(mm, unit) * RULE_LINES;
  if (unit === 'in' && Math.abs(lines - Math.round(lines)) < 1e-6) return String(Math.round(lines) / RULE_LINES);
  const text = formatLength(mm, unit, COARSE_DECIMALS[unit]);
  return text.includes('.') ? text.replace(/\.?0+$/, '') : text;
}

/** A place along an axis, from mm, in the reader’s unit, with the unit. */
export const placeWithUnit = (mm: number, unit: LengthUnit): string => `${formatPlace(mm, unit)} ${unit}`;

/** `low to high` of two sizes in words; once where both read alike. */
export const spanWords = (low: string, high: string): string => (low === high ? low : `${low} to ${high}`);

/** Decimals that show a number typed in one unit without loss in the other: one more for inch. */
export const decimalsInOther = (decimals: number, from: LengthUnit): number => (from === 'mm' ? decimals + 1 : Math.max(decimals - 1, 0));

/** A length as the nearest inch fraction. */
export interface InchFraction {
  /** `1 3/16`, `3/4`, `2`, `0`; with a leading `-` when negative. */
  readonly text: string;
  /** Length less the fraction, mm. */
  readonly remainderMm: number;
}

/**
 * Nearest inch fraction in lowest terms.
 *
 * @param mm length in millimetres
 * @param denominator a power of two up to 128
 * @example toInchFraction(30.1625, 64).text // "1 3/16"
 */
export function toInchFraction(mm: number, denominator = 64): InchFraction {
  const steps = Math.round((Math.abs(mm) / 25.4) * denominator);
  let above = steps % denominator;
  let below = denominator;
  while (above > 0 && above % 2 === 0) {
    above /= 2;
    below /= 2;
  }
  const whole = Math.floor(steps / denominator);
  const fraction = above === 0 ? '' : `${above}/${below}`;
  const size = [whole > 0 ? String(whole) : '', fraction].filter(Boolean).join(' ') || '0';
  const sign = mm < 0 && steps > 0 ? '-' : '';
  return { text: sign + size, remainderMm: mm - (Math.sign(mm) * steps * 25.4) / denominator };
}

/** The next sixteenth of an inch that is not shorter, as a saw stop is set: `6 1/16`. What is sawn short is scrap. */
export const sawFraction = (mm: number): string => toInchFraction((Math.ceil((mm / 25.4) * 16 - 1e-6) / 16) * 25.4, 16).text;

/** What a rule shows without a glass, in its unit. */
const RULE_MARK: Readonly<Record<LengthUnit, number>> = { mm: 1, in: 1 / 16 };

/** The line of a rule that is nearest, mm: whole millimetres, or sixteenths of an inch. */
export const nearRuleMark = (mm: number, unit: LengthUnit): number =>
  fromUnit(Math.round(toUnit(mm, unit) / RULE_MARK[unit]) * RULE_MARK[unit], unit);
