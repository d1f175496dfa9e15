import { parseSignedNumber } from '@iron-patch/core';

/** A signed number as typed in a form; NaN when it is none, so that the contract's check says so at its field. */
export function signedNumber(text: string): number {
  const parsed = parseSignedNumber(text);
  return parsed.ok ? parsed.value.value : NaN;
}
