import { formatLength, fromUnit, toUnit, type LengthUnit } from '../../../terms/quantity';
import { coarseSlips, type Slip } from './slips';

/** A question to ask before a reading is kept, and what was probably meant. */
export interface Doubt {
  readonly message: string;
  readonly suggestionMm: number | null;
}

/** Share of the expected size by which an honest reading may differ: wear, plating and dirt stay well inside it. */
const PLAUSIBLE_SHARE = 0.12;
/** Never doubt a reading that is nearer than this, mm. */
const PLAUSIBLE_LEAST_MM = 1.5;

const within = (valueMm: number, expectedMm: number): boolean =>
  Math.abs(valueMm - expectedMm) <= Math.max(PLAUSIBLE_SHARE * expectedMm, PLAUSIBLE_LEAST_MM) &&
  valueMm < 2 * expectedMm &&
  valueMm > expectedMm / 2;

/**
 * The first digit of a size: one too low or too high, a ten or a unit of the scale beside the right one, or left out, `0.491` for 0.7491 and `0.16`
 * for 40.16.
 */
function firstDigit(valueMm: number, unit: LengthUnit, expectedMm: number): Slip[] {
  const [value, expected] = [toUnit(valueMm, unit), toUnit(expectedMm, unit)];
  const step = 10 ** Math.floor(Math.log10(expected) + 1e-9);
  const first = Math.floor(expected / step + 1e-9) * step;
  // Behind the point those that follow move up into its place; before it they stand where they stood.
  const leftOut = step < 1 ? first + value / 10 : first + value;
  return [
    ...[step, -step].map((s) => ({ mm: fromUnit(value + s, unit), why: 'the first digit is one off' })),
    ...(value < step * (step < 1 ? 10 : 1) ? [{ mm: fromUnit(leftOut, unit), why: 'the first digit is left out' }] : []),
  ];
}

/** The point, the unit, thou for inch, or a first digit that is one off or left out: what would bring a number near what is expected. */
const slips = (valueMm: number, unit: LengthUnit, expectedMm: number): Slip[] => [
  ...coarseSlips(valueMm, unit),
  ...firstDigit(valueMm, unit, expectedMm),
];

/**
 * Asks again when a reading cannot be right: 0.491 or 7.491 where 0.749 was expected.
 *
 * @param expectedMm what the plan expects here; null when nothing is known yet, then nothing is doubted
 * @returns null when the reading may stand
 */
export function doubtReading(valueMm: number, unit: LengthUnit, expectedMm: number | null): Doubt | null {
  if (expectedMm === null || within(valueMm, expectedMm)) return null;
  const likely = slips(valueMm, unit, expectedMm).find((s) => within(s.mm, expectedMm));
  const said = `${formatLength(valueMm, unit)} ${unit} where about ${formatLength(expectedMm, unit)} was expected.`;
  return likely
    ? { message: `${said} Did you mean ${formatLength(likely.mm, unit)} ${unit} (${likely.why})?`, suggestionMm: likely.mm }
    : { message: `${said} Measure again, or say that it is right.`, suggestionMm: null };
}
