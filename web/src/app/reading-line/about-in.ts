import { formatLength, type LengthUnit } from '@iron-patch/core';

/** A length in the unit that a bare number is taken in; where the job is in the other one, in that too. */
export const aboutIn = (mm: number, lineUnit: LengthUnit, jobUnit: LengthUnit): string =>
  lineUnit === jobUnit ? formatLength(mm, jobUnit) : `${formatLength(mm, lineUnit)} (${formatLength(mm, jobUnit)} ${jobUnit})`;
