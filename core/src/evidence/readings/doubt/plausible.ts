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

/** The first digit of a size, read or typed one too low or too high: a ten or a unit of the scale beside the right one. */
function firstDigit(valueMm: number, unit: LengthUnit, expectedMm: number): Slip[] {
  const step = 10 ** Math.floor(Math.log10(toUnit(expectedMm, unit)) + 1e-9);
  return [step, -step].map((s) => ({ mm: valueMm + fromUnit(s, unit), why: 'the first digit is one off' }));
}

/** The point, the unit, thou for inch, or a first digit one off: what would bring a number near what is expected. */
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
