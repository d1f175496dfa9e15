import { parseNumber } from '../quantity';
import { specialUnified, THREADS, type Thread } from '../threads';

/** Size and pitch with what parts them taken out: `3/8 - 16 unc` and `3/8-16 UNC` are the same words. */
const words = (text: string): string[] =>
  text
    .toLowerCase()
    .replace(/^m\s+/, 'm')
    .split(/[\s×x-]+/)
    .filter(Boolean);

const index = THREADS.map((thread) => ({ thread, words: words(thread.name) }));

const SPECIAL = /^(.+?)\s*-\s*(\d+(?:\.\d+)?)\s+UNS$/i;

/** Any inch size and threads per inch called UNS: a special by the formulas of the standard. */
function special(text: string): Thread | undefined {
  const [, size, tpi] = SPECIAL.exec(text.trim()) ?? [];
  const inch = parseNumber(size ?? '');
  const sane = inch.ok && inch.value.value > 0.05 && inch.value.value <= 8 && Number(tpi) >= 2 && Number(tpi) <= 80;
  return sane && 1.3 / Number(tpi) < inch.value.value ? specialUnified(inch.value.value, Number(tpi)) : undefined;
}

/**
 * The thread that people mean by what they type: its words must begin the name's words, in their order; the common one wins.
 *
 * @example findThread('3/8 16') // 3/8-16 UNC
 */
export function findThread(text: string): Thread | undefined {
  const typed = words(text);
  if (!typed.length) return undefined;
  const found = index.filter((e) => typed.every((w, i) => (i < 2 ? e.words[i] === w : e.words[i]?.startsWith(w))));
  return (found.find((e) => e.thread.common) ?? found[0])?.thread ?? special(text);
}
