import { bad, good, type Outcome } from '../outcome';

/** A number as it was typed: its value and how finely it was given. */
export interface TypedNumber {
  readonly value: number;
  /** Digits after the point; 0 for fractions and whole numbers. */
  readonly decimals: number;
  readonly fraction: boolean;
}

const MIXED = /^(\d+)(?:\s+|\s*-\s*)(\d+)\s*\/\s*(\d+)$/;
const FRACTION = /^(\d+)\s*\/\s*(\d+)$/;
const PLAIN = /^(\d+\.?\d*|\.\d+)$/;
const COMMA_DECIMAL = /^(\d*),(\d+)$/;
const THOUSANDS_THEN_POINT = /^\d{1,3}(,\d{3})+\.\d+$/;
const THOUSANDS_THEN_COMMA = /^\d{1,3}(\.\d{3})+,\d+$/;

const decimalsOf = (text: string): number => (text.split('.')[1] ?? '').length;

function plain(text: string): Outcome<TypedNumber> {
  const value = Number(text);
  return Number.isFinite(value)
    ? good({ value, decimals: decimalsOf(text), fraction: false })
    : bad('too-big', `${text.slice(0, 12)}… has too many digits to be a size.`);
}

function fractionOf(whole: string, above: string, below: string): Outcome<TypedNumber> {
  if (Number(below) === 0) return bad('zero-denominator', 'A fraction cannot have 0 below the line.');
  if (Number(above) >= Number(below) && whole !== '0')
    return bad('improper-fraction', `${whole} ${above}/${below} is not a mixed fraction: the part after the whole must be under 1.`);
  const value = Number(whole) + Number(above) / Number(below);
  return Number.isFinite(value) ? good({ value, decimals: 0, fraction: true }) : bad('too-big', 'Too many digits to be a size.');
}

/** Of the two readings of `37,960` the one that lies near what is expected; null where neither or both do. */
function nearerOf(point: number, thousands: number, expected: number): number | null {
  const near = (x: number): boolean => x > expected / NEAR_TIMES && x < expected * NEAR_TIMES;
  return near(point) === near(thousands) ? null : near(point) ? point : thousands;
}
/** A factor of a thousand lies between the two meanings: within ten either way is near. */
const NEAR_TIMES = 10;

/**
 * An unsigned decimal or fraction as people type it: `0.7491`, `.7491`, `40,25`, `3/4`, `1 3/16`, `6-13/32`.
 * A comma is the decimal sign unless three digits follow it and it could part thousands (`19,027`): then what is expected settles it,
 * and where nothing is, it asks.
 *
 * @param expected about what the number should be, in its own unit
 * @returns the number, or why it is none; never NaN or infinity
 */
export function parseNumber(raw: string, expected?: number): Outcome<TypedNumber> {
  const text = raw.trim();
  if (text === '') return bad('empty', 'Nothing was typed.');
  const mixed = MIXED.exec(text);
  if (mixed) return fractionOf(mixed[1]!, mixed[2]!, mixed[3]!);
  const simple = FRACTION.exec(text);
  if (simple) return fractionOf('0', simple[1]!, simple[2]!);
  if (PLAIN.test(text)) return plain(text);
  if (THOUSANDS_THEN_POINT.test(text)) return plain(text.replaceAll(',', ''));
  if (THOUSANDS_THEN_COMMA.test(text)) return plain(text.replaceAll('.', '').replace(',', '.'));
  const comma = COMMA_DECIMAL.exec(text);
  if (comma) {
    const [, whole, after] = comma as unknown as [string, string, string];
    const couldBeThousands = after.length === 3 && whole.length >= 1 && whole.length <= 3 && !whole.startsWith('0');
    const settled =
      couldBeThousands && expected !== undefined ? nearerOf(Number(`${whole}.${after}`), Number(whole + after), expected) : null;
    if (settled !== null) return plain(settled === Number(whole + after) ? whole + after : `${whole}.${after}`);
    if (couldBeThousands)
      return bad('ambiguous-comma', `${text} can be read two ways. Type ${whole}.${after} or ${whole}${after}.`, '', whole.length);
    return plain(`${whole}.${after}`);
  }
  const at = Math.max(text.search(/[^\d.,/\s-]/), 0);
  return bad('not-a-number', `"${text.slice(0, 24)}" is not a number. Type it like 0.7491, 19.03 or 1 3/16.`, '', at);
}

/** The same with a sign before it, a problem at what does not read as one: `-0.001`, `+3`, `- 1/2`. */
export function parseSignedNumber(raw: string): Outcome<TypedNumber> {
  const [, sign, rest] = /^\s*([+-]?)\s*(.*)$/s.exec(raw)!;
  const parsed = parseNumber(rest!);
  return parsed.ok && sign === '-' ? good({ ...parsed.value, value: -parsed.value.value }) : parsed;
}
