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

/** The point, the unit, thou for inch, or a first digit that slipped: what would bring a number near what is expected. */
function slips(valueMm: number, unit: LengthUnit, expectedMm: number): Slip[] {
  const inUnit = toUnit(valueMm, unit);
  const leading = toUnit(expectedMm, unit).toFixed(4);
  const firstDigit = fromUnit(Number(leading.slice(0, 3) + inUnit.toFixed(4).slice(3)), unit);
  return [...coarseSlips(valueMm, unit), { mm: firstDigit, why: 'a digit slipped' }];
}

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
