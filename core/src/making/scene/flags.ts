/** Letters are about this wide, as a share of their height: the usual plain faces. */
const WIDE = 0.62;
/** Width of a text, mm. */
export const textWidthMm = (text: string, heightMm: number): number => [...text].length * heightMm * WIDE;

/** A text that a line leads to, at a place along the axis. */
export interface Flag {
  readonly x: number;
  readonly text: string;
}

/**
 * Rows for texts that run to the right from the top of their own line, row 0 the lowest: no text runs into another, nor through another's line.
 *
 * @param gapMm kept free between a text and what stands beside it
 * @returns the row of each, in the order given
 */
export function flagRows(flags: readonly Flag[], heightMm: number, gapMm: number): number[] {
  const rows = flags.map(() => 0);
  // From right to left: a text stands over every line that it would cross, and so over the text of that line.
  const order = flags.map((_, i) => i).sort((a, b) => flags[b]!.x - flags[a]!.x || b - a);
  order.forEach((i, n) => {
    const reach = flags[i]!.x + textWidthMm(flags[i]!.text, heightMm) + gapMm;
    const under = order.slice(0, n).filter((j) => flags[j]!.x < reach);
    rows[i] = Math.max(-1, ...under.map((j) => rows[j]!)) + 1;
  });
  return rows;
}

/**
 * Moves places apart as little as it takes until they keep a distance, in their order (pool adjacent violators).
 *
 * @param at where each would stand, ascending
 * @param apartMm least distance of neighbours
 */
export function spread(at: readonly number[], apartMm: number): number[] {
  // With their places taken off, they have only to keep their order: neighbours that do not are put together at their mean.
  const blocks: { sum: number; count: number }[] = [];
  at.forEach((x, i) => {
    let block = { sum: x - i * apartMm, count: 1 };
    for (;;) {
      const last = blocks.at(-1);
      if (!last || last.sum / last.count <= block.sum / block.count) break;
      blocks.pop();
      block = { sum: last.sum + block.sum, count: last.count + block.count };
    }
    blocks.push(block);
  });
  return blocks.flatMap((b) => Array.from({ length: b.count }, () => b.sum / b.count)).map((x, i) => x + i * apartMm);
}

const KEPT = '\u00a0';

/** Breaks a text into lines of at most so many letters, between words where it can, never within limits: `3.9 to 4.1` stays on its line. */
export function wrapped(text: string, most: number): string[] {
  const lines: string[] = [];
  for (const word of text.replace(/(\d) to (?=\d)/g, `$1${KEPT}to${KEPT}`).split(' ')) {
    const last = lines.at(-1);
    if (last !== undefined && last.length + 1 + word.length <= most) lines[lines.length - 1] = `${last} ${word}`;
    else lines.push(word);
  }
  return lines.map((line) => line.replaceAll(KEPT, ' '));
}
