/** A word that wants to stand with its middle at a place. */
export interface WantedPlace {
  readonly middlePx: number;
  readonly widthPx: number;
}

/**
 * Moves words that would overlap apart, no further than they must, and keeps them in their order; middles in the order given.
 * Where they do not fit between the ends together, they run over the left one.
 */
export function sideBySide(words: readonly WantedPlace[], gapPx: number, toPx: number): number[] {
  const order = words.map((_, i) => i).sort((p, q) => words[p]!.middlePx - words[q]!.middlePx);
  const middles = words.map((w) => w.middlePx);
  const room = (left: number, right: number): number => (words[left]!.widthPx + words[right]!.widthPx) / 2 + gapPx;
  order.slice(1).forEach((at, i) => (middles[at] = Math.max(middles[at]!, middles[order[i]!]! + room(order[i]!, at))));
  let most = toPx;
  for (const at of order.reverse()) {
    const { widthPx } = words[at]!;
    middles[at] = Math.min(middles[at]!, most - widthPx / 2);
    most = middles[at] - widthPx / 2 - gapPx;
  }
  return middles;
}
