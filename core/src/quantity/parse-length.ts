import { bad, good, type Outcome } from '../outcome';
import { parseNumber } from './parse-number';
import { fromUnit, MM_PER_INCH, MM_PER_THOU, type LengthUnit } from './units';

/** A length as somebody typed it. The text is kept as it was. */
export interface TypedLength {
  readonly text: string;
  readonly valueMm: number;
  /** The unit it was given in; the caller's unit when none was written (fractions without one are inch). */
  readonly unit: LengthUnit;
  /** Decimals typed, in `unit`: what the instrument showed. */
  readonly decimals: number;
}

export interface ParseLengthOptions {
  /** Unit of a bare decimal. There is no default on purpose. */
  readonly unit: LengthUnit;
  /** What `nominal` means in "+3 thou over nominal", mm. */
  readonly nominalMm?: number;
  readonly allowNegative?: boolean;
  readonly allowZero?: boolean;
  /** Largest size taken, mm. */
  readonly mostMm?: number;
}

/** Longest part that the shop can hold; anything above is a slip of the finger. */
export const MOST_LENGTH_MM = 20_000;
const LONGEST_TEXT = 64;

interface UnitWord {
  readonly mmEach: number;
  readonly unit: LengthUnit;
  readonly decimalShift: number;
}
const UNIT_WORDS: Readonly<Record<string, UnitWord>> = {
  mm: { mmEach: 1, unit: 'mm', decimalShift: 0 },
  in: { mmEach: MM_PER_INCH, unit: 'in', decimalShift: 0 },
  inch: { mmEach: MM_PER_INCH, unit: 'in', decimalShift: 0 },
  inches: { mmEach: MM_PER_INCH, unit: 'in', decimalShift: 0 },
  '"': { mmEach: MM_PER_INCH, unit: 'in', decimalShift: 0 },
  '″': { mmEach: MM_PER_INCH, unit: 'in', decimalShift: 0 },
  thou: { mmEach: MM_PER_THOU, unit: 'in', decimalShift: 3 },
  tenths: { mmEach: MM_PER_THOU / 10, unit: 'in', decimalShift: 4 },
  um: { mmEach: 0.001, unit: 'mm', decimalShift: 3 },
  µm: { mmEach: 0.001, unit: 'mm', decimalShift: 3 },
};

const OFFSET = /^([+-])\s*(.+?)\s+(over|under)\s+(.+)$/i;
const NUMBER_THEN_WORD = /^([+-]?)\s*([\d.,/\s-]*)\s*(.*)$/u;

interface Amount extends TypedLength {
  readonly fraction: boolean;
}

function parseAmount(text: string, unit: LengthUnit): Outcome<Amount> {
  const [, sign, digits, rest] = NUMBER_THEN_WORD.exec(text)!;
  const word = rest!.trim().toLowerCase().replace(/\.$/, '');
  const number = parseNumber(digits!);
  if (!number.ok) {
    const first = number.problems[0]!;
    if (first.code === 'empty' && word !== '')
      return bad('not-a-number', `"${text.slice(0, 24)}" is not a size. Type it like 0.7491, 19.03mm or 1 3/16.`, '', 0);
    return number;
  }
  const known = word === '' ? undefined : UNIT_WORDS[word];
  if (word !== '' && known === undefined)
    return bad('unknown-unit', `"${word.slice(0, 16)}" is not a unit used here. Give mm, in, thou or µm.`, '', text.length - rest!.length);
  const { value, decimals, fraction } = number.value;
  const bareUnit: LengthUnit = fraction ? 'in' : unit;
  const mm = known ? value * known.mmEach : fromUnit(value, bareUnit);
  return good({
    text,
    valueMm: sign === '-' ? -mm : mm,
    unit: known?.unit ?? bareUnit,
    decimals: fraction ? 4 : decimals + (known?.decimalShift ?? 0),
    fraction,
  });
}

function parseOffset(match: RegExpExecArray, options: ParseLengthOptions): Outcome<TypedLength> {
  const [text, sign, amountText, way, baseText] = match as unknown as [string, string, string, string, string];
  const amount = parseAmount(amountText, options.unit);
  if (!amount.ok) return amount;
  const towards = (sign === '-' ? -1 : 1) * (way.toLowerCase() === 'under' ? -1 : 1);
  if (/^nominal$/i.test(baseText)) {
    if (options.nominalMm === undefined)
      return bad(
        'no-nominal',
        'There is no nominal size for this spot yet. Type the size itself, or name it: "+3 thou over 40mm".',
        '',
        text.length - baseText.length,
      );
    return good({ ...amount.value, valueMm: options.nominalMm + towards * amount.value.valueMm });
  }
  const base = parseAmount(baseText, options.unit);
  if (!base.ok) return base;
  return good({ ...amount.value, valueMm: base.value.valueMm + towards * amount.value.valueMm });
}

/**
 * Reads a length as typed at the bench: `0.7491`, `.7491`, `19.027mm`, `3/4`, `1 3/16`, `6-13/32`, `15 thou`,
 * `+3 thou over nominal`, `-0.02 over 40mm`, `40,25`.
 *
 * @returns millimetres with the text and unit as typed, or a reason with the character where it goes wrong
 * @example parseLength('1 3/16', { unit: 'mm' }) // 30.1625 mm, typed in inch
 */
export function parseLength(raw: string, options: ParseLengthOptions): Outcome<TypedLength> {
  const text = raw.trim();
  if (text === '') return bad('empty', 'Type a size first.');
  if (text.length > LONGEST_TEXT)
    return bad('too-long', `That is ${text.length} characters long. One size at a time, please.`, '', LONGEST_TEXT);
  const offset = OFFSET.exec(text);
  const parsed = offset ? parseOffset(offset, options) : parseAmount(text, options.unit);
  if (!parsed.ok) return parsed;
  const { valueMm, unit, decimals } = parsed.value;
  if (valueMm < 0 && !options.allowNegative) return bad('negative', `${text} is below zero. A size is measured from zero up.`, '', 0);
  if (valueMm === 0 && !options.allowZero) return bad('zero', 'Zero is no size. Type what the instrument shows.', '', 0);
  const most = options.mostMm ?? MOST_LENGTH_MM;
  if (Math.abs(valueMm) > most) return bad('too-big', `${text} is over ${most} mm. Check the point and the unit.`, '', 0);
  return good({ text, valueMm, unit, decimals });
}
