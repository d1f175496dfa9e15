import { formatLength, parseLength, type LengthUnit, type Outcome, type TypedLength } from '@iron-patch/core';
import type { TypedReading } from '../sheet-data';
import type { LineTarget } from './spot';

/** What stands in the line beside the number. */
export interface LineState {
  readonly text: string;
  readonly parsed: Outcome<TypedLength>;
  /** The reader's unit, for a value that was not typed. */
  readonly unit: LengthUnit;
  readonly instrumentId: string;
  readonly partTempC: number | null;
  readonly dial: number | null;
  /** Id of the reading whose place it takes. */
  readonly supersedesId: string | null;
  readonly confirmed: boolean;
}

/** Digits that keep all that an instrument shows. */
const FULL_DECIMALS = { mm: 4, in: 5 } as const;
/** A text that is read again and differs by more stands for another size, mm. */
const SAME_MM = 0.0005;

/** What was counted from another size, with that size in place of what stood around it: `3 thou under` becomes `3 thou under 0.75 in`. */
function standalone(text: string, fromMm: number, unit: LengthUnit): string {
  const base = `${formatLength(fromMm, unit, FULL_DECIMALS[unit])} ${unit}`;
  if (/nominal/i.test(text)) return text.replace(/nominal/i, base);
  if (/\b(over|under)$/i.test(text)) return `${text} ${base}`;
  return /^[+-−]/.test(text) && !/\b(over|under)\b/i.test(text) ? `${text} over ${base}` : text;
}

/**
 * The reading that a line stands for. Its text is kept as typed, with the size that it was counted from where there is one; a size
 * that was suggested instead is kept as the text that stands for it. Either can be read again by itself.
 */
export function typedReading(target: LineTarget, valueMm: number, line: LineState): TypedReading {
  const { parsed } = line;
  const unit = parsed.ok ? parsed.value.unit : line.unit;
  const plain = `${formatLength(valueMm, unit, FULL_DECIMALS[unit])} ${unit}`;
  const typed =
    parsed.ok && Math.abs(parsed.value.valueMm - valueMm) < 1e-9
      ? parsed.value.countedFromMm === undefined
        ? parsed.value.text
        : standalone(parsed.value.text, parsed.value.countedFromMm, unit)
      : plain;
  const again = parseLength(typed, { unit, allowNegative: target.signed, allowZero: target.signed });
  const text = again.ok && Math.abs(again.value.valueMm - valueMm) < SAME_MM ? typed : plain;
  return {
    purpose: target.purpose,
    placeId: target.placeId,
    segmentId: target.segmentId,
    itemId: target.itemId,
    piece: target.piece,
    afterActId: target.afterActId,
    ...target.spot,
    text,
    unit,
    instrumentId: line.instrumentId,
    partTempC: line.partTempC,
    dial: target.purpose === 'cut' ? line.dial : null,
    supersedesId: line.supersedesId,
    withdrawn: false,
    confirmed: line.confirmed,
  };
}
