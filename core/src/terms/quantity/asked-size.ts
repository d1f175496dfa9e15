import { parseLength } from './parse-length';
import { MM_PER_INCH } from './units';

/** Sizes that somebody means who types one to look for it. */
export interface AskedSize {
  readonly fromMm: number;
  readonly toMm: number;
}

/** A fraction may be a tape's: a sixty-fourth either way. */
const FRACTION_MM = MM_PER_INCH / 64;

/**
 * What a size that is looked for may mean: as closely as it was typed (25 is 24.5 to 25.5, 25.01 is 25.005 to 25.015), in millimetres and
 * in inches where no unit says which. Empty where it is no size.
 */
export function askedSizes(text: string): readonly AskedSize[] {
  const found: AskedSize[] = [];
  for (const unit of ['mm', 'in'] as const) {
    const typed = parseLength(text, { unit });
    if (!typed.ok) continue;
    const { valueMm, unit: given, decimals } = typed.value;
    const stepMm = (given === 'in' ? MM_PER_INCH : 1) * 10 ** -decimals;
    const half = text.includes('/') ? FRACTION_MM : stepMm / 2;
    if (!found.some((f) => f.fromMm === valueMm - half)) found.push({ fromMm: valueMm - half, toMm: valueMm + half });
  }
  return found;
}
