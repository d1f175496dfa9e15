import { THREADS, type Thread } from '../threads';

/** Size and pitch with what parts them taken out: `3/8 - 16 unc` and `3/8-16 UNC` are the same words. */
const words = (text: string): string[] =>
  text
    .toLowerCase()
    .replace(/^m\s+/, 'm')
    .split(/[\s×x-]+/)
    .filter(Boolean);

const index = THREADS.map((thread) => ({ thread, words: words(thread.name) }));

/**
 * The thread that people mean by what they type: its words must begin the name's words, in their order; the common one wins.
 *
 * @example findThread('3/8 16') // 3/8-16 UNC
 */
export function findThread(text: string): Thread | undefined {
  const typed = words(text);
  if (!typed.length) return undefined;
  const found = index.filter((e) => typed.every((w, i) => (i < 2 ? e.words[i] === w : e.words[i]?.startsWith(w))));
  return (found.find((e) => e.thread.common) ?? found[0])?.thread;
}
