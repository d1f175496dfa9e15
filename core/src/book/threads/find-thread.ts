import { parseNumber } from '../../terms/quantity';
import { THREADS } from './all-threads';
import { specialMetric, specialUnified, type Thread } from './thread';

/** Size and pitch with what parts them taken out: `3/8 - 16 unc` and `3/8-16 UNC` are the same words. */
const words = (text: string): string[] =>
  text
    .toLowerCase()
    .replace(/^m\s+/, 'm')
    .split(/[\s×x*-]+/)
    .filter(Boolean);

/** Every way that people name a thread: a coarse metric one with its pitch too, a numbered one without its sign. */
const spoken = (thread: Thread): string[][] => {
  const own = words(thread.name);
  return [
    own,
    ...(thread.system === 'metric' && thread.series === 'coarse' ? [[own[0]!, String(thread.pitchMm)]] : []),
    ...(own[0]!.startsWith('#') ? [[own[0]!.slice(1), ...own.slice(1)]] : []),
  ];
};

const index = THREADS.flatMap((thread) => spoken(thread).map((list) => ({ thread, words: list })));

const INCH_SPECIAL = /^(.+?)\s*-\s*(\d+(?:\.\d+)?)(?:\s+uns?)?$/i;
const METRIC_SPECIAL = /^m?\s*(\d+(?:[.,]\d+)?)\s*[x×*]\s*(\d*[.,]?\d+)$/i;

/** A pitch that leaves a core: the root lies well inside the diameter. */
const hasCore = (major: number, pitch: number): boolean => major > 0 && pitch > 0 && 1.3 * pitch < major;

/** Any size and pitch that is in no series: a special by the formulas of the standard. */
function special(text: string): Thread | undefined {
  const metric = METRIC_SPECIAL.exec(text.trim());
  if (metric) {
    const [d, p] = [metric[1]!, metric[2]!].map((n) => Number(n.replace(',', '.'))) as [number, number];
    return d <= 300 && p <= 8 && hasCore(d, p) ? specialMetric(d, p) : undefined;
  }
  const [, size, tpi] = INCH_SPECIAL.exec(text.trim()) ?? [];
  const inch = parseNumber(size ?? '');
  const sane = inch.ok && inch.value.value > 0.05 && inch.value.value <= 8 && Number(tpi) >= 2 && Number(tpi) <= 80;
  return sane && hasCore(inch.value.value, 1 / Number(tpi)) ? specialUnified(inch.value.value, Number(tpi)) : undefined;
}

/**
 * The thread that people mean by what they type: its words must begin the name's words, in their order; the common one wins. A pair
 * that is in no series is a special. Undefined for words that name none.
 *
 * @example findThread('3/8 16') // 3/8-16 UNC
 * @example findThread('M8x1.25') // M8
 * @example findThread('10-32') // #10-32 UNF
 */
export function findThread(text: string): Thread | undefined {
  const typed = words(text.replace(/(\d),(\d)/g, '$1.$2'));
  if (!typed.length) return undefined;
  const found = index.filter((e) => typed.every((w, i) => (i < 2 ? e.words[i] === w : e.words[i]?.startsWith(w))));
  return (found.find((e) => e.thread.common) ?? found[0])?.thread ?? special(text);
}
