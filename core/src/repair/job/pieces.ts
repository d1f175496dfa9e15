import { choiceKey } from './choices';
import type { JobItem } from './items';
import type { JobSheet } from './records';

/** A piece that went wrong: another one is made in its place. */
export interface PieceChoice {
  readonly scrapped: boolean;
  readonly why: string;
}

/** One physical copy of an item. */
export interface Piece {
  readonly number: number;
  /** Why it was scrapped; null for one that is good so far. */
  readonly scrapped: string | null;
}

/** Pieces of an item: as many good ones as it needs, and those that were scrapped among them. */
export function piecesOf(sheet: Pick<JobSheet, 'choices'>, item: Pick<JobItem, 'id' | 'quantity'>): Piece[] {
  const head = choiceKey.piece(item.id, '');
  const scrapped = new Map(
    sheet.choices.flatMap((c) => {
      const value = c.key.startsWith(head) ? (c.value as PieceChoice | null) : null;
      return value?.scrapped ? [[Number(c.key.slice(head.length)), value.why] as const] : [];
    }),
  );
  const pieces: Piece[] = [];
  for (let number = 1, good = 0; good < item.quantity; number++) {
    const why = scrapped.get(number) ?? null;
    pieces.push({ number, scrapped: why });
    if (why === null) good++;
  }
  return pieces;
}

/**
 * What is made again for pieces that were scrapped, where the bar that was chosen does not give so many; empty where it does.
 *
 * @param sawn pieces whose blanks are sawn
 * @param fromBar pieces that the bar gives as it is now
 */
export function againWords(pieces: readonly Piece[], sawn: number, fromBar: number): string {
  const scrapped = pieces.filter((p) => p.scrapped !== null).length;
  const left = pieces.length - sawn;
  if (!scrapped || left <= fromBar) return '';
  const made = scrapped === 1 ? '1 piece is scrap and made again' : `${scrapped} pieces are scrap and made again`;
  return `${made}: blanks for ${left} are still to be sawn, and this bar gives ${fromBar}. The rest comes out of another (the saw list).`;
}
