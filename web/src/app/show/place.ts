import { formatLength, type LengthUnit } from '@iron-patch/core';

/** A place along the part as short text in the reader's unit: `5`, `12.5`, `0.197`. */
export const placeText = (mm: number, unit: LengthUnit): string => {
  const text = formatLength(mm, unit, unit === 'mm' ? 2 : 3);
  return text.includes('.') ? text.replace(/\.?0+$/, '') : text;
};
