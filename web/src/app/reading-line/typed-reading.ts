import { formatLength, type LengthUnit, type Outcome, type TypedLength } from '@iron-patch/core';
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

/**
 * The reading that a line stands for. Its text is kept as typed; a size that was suggested instead, or told from the nominal size,
 * is kept as the text that stands for it, since neither can be read again without what stood around it.
 */
export function typedReading(target: LineTarget, valueMm: number, line: LineState): TypedReading {
  const { parsed } = line;
  const unit = parsed.ok ? parsed.value.unit : line.unit;
  const asTyped = parsed.ok && Math.abs(parsed.value.valueMm - valueMm) < 1e-9 && !/nominal/i.test(line.text);
  return {
    purpose: target.purpose,
    featureId: target.featureId,
    segmentId: target.segmentId,
    ...target.spot,
    text: asTyped ? parsed.value.text : `${formatLength(valueMm, unit, FULL_DECIMALS[unit])} ${unit}`,
    unit,
    instrumentId: line.instrumentId,
    partTempC: line.partTempC,
    dial: target.purpose === 'cut' ? line.dial : null,
    supersedesId: line.supersedesId,
    withdrawn: false,
    confirmed: line.confirmed,
  };
}
