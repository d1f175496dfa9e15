import { parseNumber } from '../../terms/quantity';
import { THREADS } from './all-threads';
import { specialMetric, specialUnified, type Thread } from './thread';

/** Size and pitch with what parts them taken out: `3/8 - 16 unc`, `3/8-16unc` and `3/8-16 UNC` are the same words, and so are `G1/2` and `G 1/2`. */
const words = (text: string): string[] =>
  text
    .toLowerCase()
    .trim()
    .replace(/^m\s+/, 'm')
    .replace(/^(g|r|npt|tr|bspp|bspt|bsp)(?=\d)/, '$1 ')
    .replace(/(\d)(unc|unf|unef|uns|un|bsw|bsf|ba|bspp|bspt|bsp|npt|acme)$/, '$1 $2')
    .split(/[\s×x*-]+/)
    .filter(Boolean);

/** Series in which a size has one pitch: named without it, `3/8 UNC`. */
const ONE_PITCH = ['UNC', 'UNF', 'UNEF', 'ACME'];
/** What pipe threads are called beside their standards' letters. */
const PIPE_WORDS: Readonly<Record<string, readonly string[]>> = { G: ['bsp', 'bspp'], R: ['bspt'] };

const INCH_SIZES = new Set(THREADS.flatMap((t) => (t.system === 'unified' ? [words(t.name)[0]!] : [])));

/** Every way that people name a thread: a coarse metric one with its pitch too, one of a series without it, a numbered one without its sign. */
function spoken(thread: Thread): string[][] {
  const own = words(thread.name);
  const size = own.slice(1);
  const named = [
    own,
    ...(thread.system === 'metric' && thread.series === 'coarse' ? [[own[0]!, String(thread.pitchMm)]] : []),
    ...(ONE_PITCH.includes(thread.series) ? [[...own.slice(0, -2), own.at(-1)!]] : []),
    ...(PIPE_WORDS[thread.series] ?? []).flatMap((word) => [
      [word, ...size],
      [...size, word],
    ]),
    ...(thread.series === 'NPT' ? [[own.at(-1)!, ...own.slice(0, -1)]] : []),
  ];
  return named.flatMap((list) => {
    if (!list[0]!.startsWith('#')) return [list];
    const number = list[0]!.slice(1);
    // `1 unc` is of an inch: without its sign and pitch a number is only one where no inch has that size.
    return list !== own && INCH_SIZES.has(number) ? [list] : [list, [number, ...list.slice(1)]];
  });
}

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
 * that is in no series is a special. Undefined for words that name none, and for a system without a size.
 *
 * @example findThread('3/8 16') // 3/8-16 UNC
 * @example findThread('M8x1.25') // M8
 * @example findThread('10-32') // #10-32 UNF
 */
export function findThread(text: string): Thread | undefined {
  const typed = words(text.replace(/(\d),(\d)/g, '$1.$2'));
  if (!/\d/.test(text)) return undefined;
  const found = index.filter((e) => typed.every((w, i) => (i < 2 ? e.words[i] === w : e.words[i]?.startsWith(w))));
  return (found.find((e) => e.thread.common) ?? found[0])?.thread ?? special(text);
}
