import { bad, good, type Outcome } from '../outcome';
import { parseNumber } from './parse-number';
import { fromUnit, MM_PER_INCH, MM_PER_THOU, toUnit, type LengthUnit } from './units';

/** A length as somebody typed it. The text is kept as it was. */
export interface TypedLength {
  readonly text: string;
  readonly valueMm: number;
  /** The unit it was given in; the caller's unit when none was written (fractions without one are inch). */
  readonly unit: LengthUnit;
  /** Decimals typed, in `unit`: what the instrument showed. */
  readonly decimals: number;
  /** The size that it was counted from, mm: `3 thou under` what is expected, `+3 thou over nominal`; absent for a size by itself. */
  readonly countedFromMm?: number;
}

export interface ParseLengthOptions {
  /** Unit of a bare decimal: that of the instrument in hand, else of the job. There is no default on purpose. */
  readonly unit: LengthUnit;
  /** What `nominal` means in "+3 thou over nominal", mm. */
  readonly nominalMm?: number;
  /** The size that is shown as expected: "3 thou under" counts from it, and it settles what the comma in "37,960" means. */
  readonly expectedMm?: number;
  /** The reading itself goes both ways, as an indicator's does: "-3 thou" is minus three, not three under something. */
  readonly allowNegative?: boolean;
  readonly allowZero?: boolean;
  /** Largest size taken, mm. */
  readonly mostMm?: number;
}

/** Longest part that the shop can hold; anything above is a slip of the finger. */
export const MOST_LENGTH_MM = 20_000;
/** A mic's reading typed in thou, or without its point, may look this long: where somebody is asked before it is kept. */
export const MOST_MISTYPED_MM = 10_000 * MM_PER_INCH;
const LONGEST_TEXT = 64;

interface UnitWord {
  readonly mmEach: number;
  readonly unit: LengthUnit;
  readonly decimalShift: number;
}
const MILLIMETRE: UnitWord = { mmEach: 1, unit: 'mm', decimalShift: 0 };
const INCH: UnitWord = { mmEach: MM_PER_INCH, unit: 'in', decimalShift: 0 };
const THOU: UnitWord = { mmEach: MM_PER_THOU, unit: 'in', decimalShift: 3 };
const TENTH: UnitWord = { mmEach: MM_PER_THOU / 10, unit: 'in', decimalShift: 4 };
const MICRON: UnitWord = { mmEach: 0.001, unit: 'mm', decimalShift: 3 };
const UNIT_WORDS: Readonly<Record<string, UnitWord>> = {
  mm: MILLIMETRE,
  in: INCH,
  inch: INCH,
  inches: INCH,
  '"': INCH,
  thou: THOU,
  tenth: TENTH,
  tenths: TENTH,
  um: MICRON,
  µm: MICRON,
  μm: MICRON,
  micron: MICRON,
  microns: MICRON,
};
/** Words that only ever tell a difference. */
const DIFFERENCES: readonly UnitWord[] = [THOU, TENTH, MICRON];

const FRACTION_SIGNS: Readonly<Record<string, string>> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

/** Signs as telephones and word processors write them, as they stand on a keyboard. */
const plainSigns = (text: string): string =>
  text
    .replace(/[½¼¾⅛⅜⅝⅞]/g, (sign) => ` ${FRACTION_SIGNS[sign]!} `)
    .replace(/[“”„″‟]|''|’’|′′/g, '"')
    .replace(/[−–—‒]/g, '-')
    .replace(/\u00a0/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();

const OVER_UNDER = /^([+-]?)\s*(.+?)\s+(over|under)(?:\s+(.+))?$/i;
/** A size and what is added or taken off: the second is a difference, a decimal, or anything after a plus. */
const SUM = /^(.+?)\s*([+-])\s*([\d.,/ ]+\s*\S*)$/;
const NUMBER_THEN_WORD = /^([+-]?)\s*([\d.,/\s-]*)\s*(.*)$/u;

interface Amount extends TypedLength {
  readonly fraction: boolean;
  readonly word: UnitWord | undefined;
}

const sizeLike = (text: string): string => `"${text.slice(0, 24)}" is not a size. Type it like 0.7491, 19.03mm or 1 3/16.`;

function parseAmount(text: string, o: Pick<ParseLengthOptions, 'unit' | 'expectedMm'>): Outcome<Amount> {
  const [, sign, digits, rest] = NUMBER_THEN_WORD.exec(text)!;
  const word = rest!.trim().toLowerCase().replace(/\.$/, '');
  const known = word === '' ? undefined : UNIT_WORDS[word];
  const unit = known?.unit ?? o.unit;
  const number = parseNumber(digits!, known && DIFFERENCES.includes(known) ? undefined : expectedIn(o.expectedMm, unit));
  if (!number.ok) {
    const first = number.problems[0]!;
    return first.code === 'empty' && word !== '' ? bad('not-a-number', sizeLike(text), '', 0) : number;
  }
  if (word !== '' && known === undefined)
    return bad('unknown-unit', `"${word.slice(0, 16)}" is not a unit used here. Give mm, in, thou or µm.`, '', text.length - rest!.length);
  const { value, decimals, fraction } = number.value;
  const bareUnit: LengthUnit = fraction ? 'in' : o.unit;
  const mm = known ? value * known.mmEach : fromUnit(value, bareUnit);
  return good({
    text,
    valueMm: sign === '-' ? -mm : mm,
    unit: known?.unit ?? bareUnit,
    decimals: fraction ? 4 : decimals + (known?.decimalShift ?? 0),
    fraction,
    word: known,
  });
}

const expectedIn = (mm: number | undefined, unit: LengthUnit): number | undefined => (mm === undefined ? undefined : toUnit(mm, unit));

const plainLength = ({ fraction: _, word: __, ...rest }: Amount): TypedLength => rest;
const counted = (text: string, amount: Amount, fromMm: number, sign: number): TypedLength => ({
  ...plainLength(amount),
  text,
  valueMm: fromMm + sign * amount.valueMm,
  countedFromMm: fromMm,
});

const NO_EXPECTED = 'Nothing is expected here yet that it could be counted from. Type the size itself, or name it: "+3 thou over 40mm".';

function parseOverUnder(match: RegExpExecArray, o: ParseLengthOptions): Outcome<TypedLength> {
  const [text, sign, amountText, way, baseText] = match as unknown as [string, string, string, string, string | undefined];
  const amount = parseAmount(amountText, { unit: o.unit });
  if (!amount.ok) return amount;
  const towards = (sign === '-' ? -1 : 1) * (way.toLowerCase() === 'under' ? -1 : 1);
  if (baseText === undefined) {
    if (o.allowNegative) return good({ ...plainLength(amount.value), text, valueMm: towards * amount.value.valueMm });
    return o.expectedMm === undefined ? bad('no-expected', NO_EXPECTED, '', 0) : good(counted(text, amount.value, o.expectedMm, towards));
  }
  if (/^nominal$/i.test(baseText)) {
    if (o.nominalMm === undefined)
      return bad(
        'no-nominal',
        'There is no nominal size for this spot yet. Type the size itself, or name it: "+3 thou over 40mm".',
        '',
        text.length - baseText.length,
      );
    return good(counted(text, amount.value, o.nominalMm, towards));
  }
  const base = parseAmount(baseText, o);
  return base.ok ? good(counted(text, amount.value, base.value.valueMm, towards)) : base;
}

/** `1 1/2 + 2 thou`, `40 - 0.02`; null where it is no sum, as in `1 - 1/2 in`. */
function parseSum(text: string, o: ParseLengthOptions): Outcome<TypedLength> | null {
  const match = SUM.exec(text);
  if (!match) return null;
  const [, first, sign, second] = match as unknown as [string, string, string, string];
  const added = parseAmount(second.trim(), { unit: o.unit });
  const base = parseAmount(first.trim(), o);
  if (!added.ok || !base.ok) return null;
  const isDifference = added.value.word !== undefined ? DIFFERENCES.includes(added.value.word) || sign === '+' : !added.value.fraction;
  if (sign === '-' && !isDifference) return null;
  const decimals = Math.max(base.value.decimals, added.value.decimals);
  return good({ ...counted(text, added.value, base.value.valueMm, sign === '-' ? -1 : 1), unit: base.value.unit, decimals });
}

/** A signed amount at a size is counted from what is expected: `-3 thou`, `+2 tenths`, `-0.02`. */
function fromExpected(text: string, amount: Amount, o: ParseLengthOptions): TypedLength | null {
  const signed = /^\s*[+-]/.test(text);
  if (!signed || o.allowNegative || o.expectedMm === undefined) return null;
  const isDifference = amount.word !== undefined && DIFFERENCES.includes(amount.word);
  return text.startsWith('-') || isDifference ? counted(text, amount, o.expectedMm, 1) : null;
}

/** Threads to the inch, as a pitch gauge is marked: the pitch of one. */
const TO_THE_INCH = /^([\d.,]+)\s*(?:tpi|threads? (?:an|per) inch)$/i;
const PITCH_DECIMALS = 5;

function parseToTheInch(text: string, many: string): Outcome<TypedLength> {
  const number = parseNumber(many);
  if (!number.ok) return number;
  return number.value.value === 0
    ? bad('zero', 'No threads to the inch are no pitch.', '', 0)
    : good({ text, valueMm: MM_PER_INCH / number.value.value, unit: 'in', decimals: PITCH_DECIMALS });
}

function parseAny(text: string, o: ParseLengthOptions): Outcome<TypedLength> {
  const plain = plainSigns(text);
  const many = TO_THE_INCH.exec(plain)?.[1];
  if (many) return parseToTheInch(plain, many);
  const overUnder = OVER_UNDER.exec(plain);
  if (overUnder) return parseOverUnder(overUnder, o);
  const sum = parseSum(plain, o);
  if (sum) return sum;
  const amount = parseAmount(plain, o);
  if (!amount.ok) return amount;
  return good(fromExpected(plain, amount.value, o) ?? plainLength(amount.value));
}

/**
 * Reads a length as typed at the bench: `0.7491`, `.7491`, `19.027mm`, `3/4`, `1 3/16`, `6-13/32`, `1½`, `15 thou`, `12 micron`,
 * `22 tpi`, `1 1/2 + 2 thou`, `+3 thou over nominal`, `3 thou under`, `-0.02 over 40mm`, `40,25`, and `37,960` where what is expected settles it.
 *
 * @returns millimetres with the text and unit as typed, or a reason with the character where it goes wrong
 * @example parseLength('1 3/16', { unit: 'mm' }) // 30.1625 mm, typed in inch
 * @example parseLength('3 thou under', { unit: 'in', expectedMm: 19.05 }) // 18.9738 mm, counted from 19.05
 */
export function parseLength(raw: string, options: ParseLengthOptions): Outcome<TypedLength> {
  const text = raw.trim();
  if (text === '') return bad('empty', 'Type a size first.');
  if (text.length > LONGEST_TEXT)
    return bad('too-long', `That is ${text.length} characters long. One size at a time, please.`, '', LONGEST_TEXT);
  const parsed = parseAny(text, options);
  if (!parsed.ok) return parsed;
  const { valueMm } = parsed.value;
  if (valueMm < 0 && !options.allowNegative) return bad('negative', `${text} is below zero. A size is measured from zero up.`, '', 0);
  if (valueMm === 0 && !options.allowZero) return bad('zero', 'Zero is no size. Type what the instrument shows.', '', 0);
  const most = options.mostMm ?? MOST_LENGTH_MM;
  if (Math.abs(valueMm) > most) return bad('too-big', `${text} is over ${most} mm. Check the point and the unit.`, '', 0);
  return good({ ...parsed.value, text });
}
