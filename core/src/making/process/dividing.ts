import { countOf } from '../../terms/words';

/** Hole circles of the three plates that usually come with a dividing head. */
export const USUAL_CIRCLES: readonly number[] = [15, 16, 17, 18, 19, 20, 21, 23, 27, 29, 31, 33, 37, 39, 41, 43, 47, 49];
/** Turns of the crank to one of the work, of an ordinary dividing head. */
export const USUAL_WORM = 40;

/** How far the crank of a dividing head goes. */
export interface Crank {
  readonly turns: number;
  /** Beyond the full turns, in that circle of holes. */
  readonly holes: number;
  /** Holes of the circle; null where full turns do. */
  readonly circle: number | null;
  /** What the work turns by more than was asked, °; 0 where it comes out. */
  readonly offDeg: number;
}

/** Of a turn: this near it is the same. */
const SAME_TURN = 1e-9;

/** The crank in one circle of holes, as near as its holes come. */
function inCircle(turns: number, circle: number, worm: number): Crank {
  const holes = Math.round(turns * circle);
  const off = holes / circle - turns;
  const [full, rest] = [Math.floor(holes / circle), holes % circle];
  return { turns: full, holes: rest, circle: rest ? circle : null, offDeg: Math.abs(off) < SAME_TURN ? 0 : (off * 360) / worm };
}

/**
 * Every way to turn the work by an angle, the nearest first and of those the fewest holes in the circle.
 *
 * @param deg angle of the work, °, above 0
 * @param circles holes of the circles that there are, at least one
 * @param worm turns of the crank to one of the work
 * @example a seventh of a turn: 5 turns and 15 holes of 21
 */
export const cranksFor = (deg: number, circles: readonly number[] = USUAL_CIRCLES, worm = USUAL_WORM): Crank[] =>
  circles
    .map((c) => inCircle((deg * worm) / 360, c, worm))
    .sort((p, q) => Math.abs(p.offDeg) - Math.abs(q.offDeg) || (p.circle ?? 0) - (q.circle ?? 0));

/** In words: `6 turns and 10 holes of 15`. */
export function crankWords({ turns, holes, circle }: Crank): string {
  const full = turns > 0 ? countOf(turns, 'turn') : '';
  const rest = circle === null ? '' : `${countOf(holes, 'hole')} of ${circle}`;
  return [full, rest].filter(Boolean).join(' and ') || 'not at all';
}

/** How the crank goes for a number of equal divisions, or that no circle of the usual plates has them. */
export function divideWords(divisions: number): string {
  const [best] = cranksFor(360 / divisions);
  return best!.offDeg === 0
    ? `On a dividing head of ${USUAL_WORM} to 1: ${crankWords(best!)} each time.`
    : `No circle of the usual plates divides by ${divisions} on a dividing head of ${USUAL_WORM} to 1: see Dividing head at Sums.`;
}
