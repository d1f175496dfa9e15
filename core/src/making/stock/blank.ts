import { isHollow, type Bar, type BarShape } from './bar';
import { USUAL_ALLOWANCES, type StockFit } from './stock-fit';

/** Off a rough casting's diameter until its hard, sandy skin is gone, mm. */
const CAST_SKIN_MM = 6;
/** A disc is cut out of plate so much larger a side: what a flame or a saw leaves is off the round and hard, mm. */
const PLATE_EDGE_MM = 3;

/** What is turned of one blank out of a bar. */
export interface Blank {
  /** What it is turned from, mm. */
  readonly roundMm: number;
  /** Hole that is in it already; null where it is solid, mm. */
  readonly holeMm: number | null;
  /** What it takes of the bar's length, saw cut included, mm. */
  readonly alongMm: number;
}

const FLATS: readonly BarShape[] = ['flat', 'plate'];
const ROUGH: readonly BarShape[] = ['casting', 'weldment'];

/** Over the corners, times across the flats. */
const OVER_CORNERS: Partial<Record<BarShape, number>> = { hexagon: 2 / Math.sqrt(3), square: Math.SQRT2 };
/** Over its corners, or the diameter of what is round: what has to swing, and what the first cut strikes, mm. */
export const overCornersMm = (b: Pick<Bar, 'shape' | 'diameterMm'>): number => b.diameterMm * (OVER_CORNERS[b.shape] ?? 1);

/** Out of such a shape a disc is cut, its axis across it. */
export const isFlat = ({ shape }: Pick<Bar, 'shape'>): boolean => FLATS.includes(shape);

/** Metal that goes all round before it counts as one that is turned clean, more than of a bar, mm on the diameter. */
export const moreSkinMm = ({ shape }: Pick<Bar, 'shape'>): number => (ROUGH.includes(shape) ? CAST_SKIN_MM - USUAL_ALLOWANCES.skinMm : 0);

/** Whether a blank of that sort comes out of the shape at all: solid or bored where the part is, a disc where nothing has to be held. */
export function isOfShape(b: Pick<Bar, 'shape' | 'innerMm'>, { boreMm, thickMm, cutsOff }: StockFit): boolean {
  if (b.shape === 'round' || OVER_CORNERS[b.shape]) return true;
  if (isFlat(b)) return !cutsOff && (b.innerMm ?? 0) >= thickMm;
  if (!isHollow(b.shape)) return false;
  if (b.innerMm === null) return ROUGH.includes(b.shape);
  return boreMm !== null && b.innerMm + USUAL_ALLOWANCES.skinMm + moreSkinMm(b) <= boreMm;
}

/** What is turned of one blank, as it comes out of that bar. */
export function blankOf(b: Pick<Bar, 'shape' | 'diameterMm' | 'innerMm'>, fit: Pick<StockFit, 'diameterMm' | 'lengthMm'>): Blank {
  if (!isFlat(b)) return { roundMm: overCornersMm(b), holeMm: b.innerMm, alongMm: fit.lengthMm };
  const roundMm = fit.diameterMm + 2 * PLATE_EDGE_MM;
  return { roundMm, holeMm: null, alongMm: roundMm + USUAL_ALLOWANCES.sawMm };
}

/** What to mind of stock that is no bar; empty for one that is. */
export function blankWords({ shape }: Pick<Bar, 'shape'>): string {
  switch (shape) {
    case 'casting':
      return 'A casting: its skin is hard and holds sand. The first cut goes right under it, slow; tap it for a crack, and look for holes as they are opened.';
    case 'weldment':
      return 'Welded up: let it be annealed, or rough all of it and leave it a day, before anything is finished. It moves when its skin comes off, and cuts hard beside the seam.';
    case 'plate':
    case 'flat':
      return 'A disc out of plate: cut it out larger, a flame’s edge is hard. Its axis lies across the rolling: no shaft or stud is made of it.';
    case 'hexagon':
    case 'square':
      return 'Where it is turned its corners strike the tool until it is round: light first cuts, the tool short and tight, stand clear of the chips.';
    default:
      return '';
  }
}
