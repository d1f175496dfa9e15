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

/** A size among words: its bounds, the words that are left, and how surely it is one. */
export interface SizeAmong {
  readonly sizes: readonly AskedSize[];
  readonly rest: readonly string[];
  readonly sure: number;
}

/** `k6`, `H7`, in small letters. */
const FIT = /^[a-z]{1,2}\d{1,2}$/;

/**
 * The size that is looked for: the word that is most surely one, the first of several. One with a unit, a point or a stroke is surer than a
 * whole number before a fit, and that than any other number, which may be that of a machine.
 */
export function sizeAmong(words: readonly string[]): SizeAmong {
  const among = words.flatMap((word, n) =>
    [2, 1].flatMap((length): SizeAmong[] => {
      const text = words.slice(n, n + length).join(' ');
      const sizes = n + length <= words.length ? askedSizes(text) : [];
      const sure = length === 2 || /\D/.test(word) ? 2 : FIT.test(words[n + 1] ?? '') ? 1 : 0;
      return sizes.length ? [{ sizes, rest: [...words.slice(0, n), ...words.slice(n + length)], sure }] : [];
    }),
  );
  return among.reduce((best, s) => (s.sure > best.sure ? s : best), among[0] ?? { sizes: [], rest: [], sure: 0 });
}
