/** One thing done in a holding, in the order of its sheet. */
export interface Act {
  /** Stays the same while the drawing changes. */
  readonly key: string;
  readonly words: string;
  /** Ids of the surfaces and features that it cuts. */
  readonly cuts: readonly string[];
}

/** An act that makes something to be set up by, or by which the piece comes off, and not a surface. */
export const KEYS = {
  face: 'face',
  length: 'length',
  centres: 'centres',
  support: 'support',
  edges: 'edges',
  partOff: 'part-off',
} as const;

/** Acts as they stand, and each of these words once, for all that they do. */
export function onceEach(acts: readonly Act[]): Act[] {
  const told = new Map<string, Act>();
  for (const a of acts) {
    const before = told.get(a.words);
    told.set(a.words, before ? { ...before, cuts: [...new Set([...before.cuts, ...a.cuts])] } : a);
  }
  return [...told.values()];
}

/** What came from another holding, put before edges are broken and the piece is cut off. */
export function withCame(acts: readonly Act[], came: readonly Act[]): Act[] {
  const at = acts.findIndex((a) => a.key === KEYS.edges || a.key === KEYS.partOff);
  return at < 0 ? [...acts, ...came] : [...acts.slice(0, at), ...came, ...acts.slice(at)];
}

/**
 * Acts in an order that somebody gave them; what it does not name stays behind what it usually follows.
 *
 * @param keys in their order; what is no longer there is passed over, and what is named twice counts where it is named first
 */
export function ordered(acts: readonly Act[], keys: readonly string[]): Act[] {
  const out = [...new Set(keys)].flatMap((key) => acts.find((a) => a.key === key) ?? []);
  acts.forEach((a, i) => {
    if (keys.includes(a.key)) return;
    const before = i === 0 ? -1 : out.indexOf(acts[i - 1]!);
    out.splice(before + 1, 0, a);
  });
  return out;
}
