/** A stretch of a source file, from its first character to behind its last. */
export interface Stretch {
  readonly start: number;
  readonly end: number;
}

/** What stands in a sentence and is no wording: a value, `{1}`, or an element round some of its words, `{2}` to `{/2}`. */
export interface Gap extends Stretch {
  /** As it is called in the sentence, `1` or `/1`. */
  readonly name: string;
}

/** A piece of wording where it stands in a source. */
export interface Site extends Stretch {
  /** As a translator sees it, gaps by their names. */
  readonly text: string;
  readonly gaps: readonly Gap[];
  /** A noun beside its count: what it is for others than one. */
  readonly many?: string;
  /** Line of the file, from 1. */
  readonly line: number;
  /** The source for other words: `parts` are words and, as source, what stands in the gaps. */
  write(parts: readonly Part[]): string;
}

/** Words, or the source of a gap. */
export type Part = { readonly words: string } | { readonly source: string };

/** A gap's name in a sentence. */
const NAMED = /\{(\/?\d+)\}/g;

/** What a sentence's gaps are called, in the order they stand in it. */
export const gapsIn = (sentence: string): string[] => [...sentence.matchAll(NAMED)].map((m) => m[1]!);

/** A sentence taken apart at its gaps: words stand at the even places, names of gaps at the odd ones. */
export const apart = (sentence: string): string[] => sentence.split(NAMED);
