import { formatLength } from './format-length';
import type { LengthUnit } from './units';

/** Between a length and its unit in a sentence of which the reader's unit is not known yet: nobody types it in a name. */
const JOINT = '\u00a0';
const TOLD = new RegExp(`(-?\\d+(?:\\.\\d+)?)${JOINT}mm`, 'g');
/** A check is told to hundredths of a millimetre, so to thous. */
const DECIMALS = { mm: 2, in: 3 } as const;

/** A length in a sentence that is told in the unit of whoever reads it: see {@link lengthsIn}. */
export const aLength = (mm: number): string => `${formatLength(mm, 'mm', DECIMALS.mm)}${JOINT}mm`;

/**
 * A sentence with the lengths in it, as {@link aLength} put them there, in the reader's unit.
 *
 * @example `Body is 57.87 mm long` for an inch job: `Body is 2.278 in long`
 */
export const lengthsIn = (unit: LengthUnit, sentence: string): string =>
  sentence.replace(TOLD, (_, mm: string) => (unit === 'mm' ? `${mm} mm` : `${formatLength(Number(mm), unit, DECIMALS.in)} in`));
