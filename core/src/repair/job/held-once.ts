import { placeWithUnit, type LengthUnit } from '../../terms/quantity';
import { CHUCK_ONLY_RATIO, TAILSTOCK_RATIO } from '../../making/holdings';
import type { Part } from '../../making/part';
import type { Lathe } from '../../making/setups';
import { pieceMm, piecesOfLength, type Bar, type StockAllowances } from '../../making/stock';

/** What is wanted of a part, and the lathe that it is cut off on. */
interface Batch {
  readonly part: Pick<Part, 'outside'>;
  readonly wanted: number;
  readonly lathe: Lathe;
  /** One of the bars that will do for one piece. */
  readonly bar: Bar;
}

/** How many are cut off one after another from what is held once, and what to mind while they are. */
export interface HeldOnce {
  readonly pieces: number;
  /** Where the bar stands far out of the chuck; empty where it does not. */
  readonly mind: string;
  /** What stands out of the chuck beyond the first piece to be cut off; 0 where the bar is drawn out for each, mm. */
  readonly moreMm: number;
}

/** So many pieces of at most so many from a blank, blanks alike: six of four at most are two of three. */
export const alikeBlanks = (pieces: number, most: number): number => Math.ceil(pieces / Math.ceil(pieces / most));

/**
 * As many as the bar gives where it goes through the spindle, else as many as may stand out of the chuck with a steady.
 */
export function piecesHeldOnce({ part, wanted, lathe, bar }: Batch, a: StockAllowances, unit: LengthUnit): HeldOnce {
  if (!a.cutsOff || wanted < 2) return { pieces: 1, mind: '', moreMm: 0 };
  const through = lathe.spindleBoreMm != null && bar.diameterMm <= lathe.spindleBoreMm;
  const stands = through ? Infinity : Math.floor((TAILSTOCK_RATIO * bar.diameterMm) / pieceMm(part, a) + 1e-9);
  const most = Math.max(1, Math.min(wanted, stands, piecesOfLength(bar.lengthMm, part, a)));
  const pieces = alikeBlanks(wanted, most);
  const outMm = pieces * pieceMm(part, a);
  const moreMm = through ? 0 : (pieces - 1) * pieceMm(part, a);
  if (pieces === 1 || through || outMm <= CHUCK_ONLY_RATIO * bar.diameterMm) return { pieces, mind: '', moreMm };
  const why = lathe.spindleBoreMm == null ? 'where it does not go through the spindle' : 'it does not go through the spindle';
  return {
    pieces,
    moreMm,
    mind: `A blank for ${pieces} stands ${placeWithUnit(Math.ceil(outMm), unit)} out of the chuck, ${(outMm / bar.diameterMm).toFixed(1)} diameters, ${why}: a steady near its end, or saw it in two and lose one more grip.`,
  };
}

/**
 * Pieces that come out of a bar: full blanks, and what is still in its rest.
 *
 * @param alongMm what a blank takes of it, saw cut included
 */
export function piecesFromBar(bar: Bar, alongMm: number, part: Pick<Part, 'outside'>, a: StockAllowances): number {
  const blanks = Math.floor((bar.lengthMm + a.sawMm) / alongMm + 1e-9);
  const rest = a.cutsOff ? Math.min(a.pieces - 1, piecesOfLength(bar.lengthMm - blanks * alongMm, part, a)) : 0;
  return bar.pieces * (blanks * a.pieces + rest);
}
