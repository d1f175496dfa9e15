import { bad, good, type Outcome } from '../../terms/outcome';
import { minus, plus, sumOf, tabled, typed, workedOut, type Figure } from '../../terms/working';
import { inSentence } from '../../terms/words';
import { dimensionsOf, limitsOf, type Part } from '../part';
import { toNanometres } from './from-face';
import { faceEachOther, stackFaces, type StackFace } from './stack-faces';
import type { StackPiece } from './stack-lines';

/** What sits on a shaft or in a bore between two walls, and the end play that it is to have, mm. */
export interface AxialStack {
  /** The wall that it leans on, by the id of its {@link StackFace}. */
  readonly shoulder: string;
  /** What keeps it there, a ring's groove or a split pin's hole. */
  readonly grooveId: string;
  readonly pieces: readonly StackPiece[];
  readonly leastMm: number;
  readonly mostMm: number;
}

/** What says that a thing in the list is what holds the others. */
const A_HOLDER = /\b(ring|circlip|pin)\b/i;

export interface StackFinding {
  /** Room that is left along the axis at the sizes drawn, and the least and most of it; below nought it does not go together. */
  readonly play: Figure;
  readonly least: Figure;
  readonly most: Figure;
  /** Where what keeps it has to lie on its surface for the play that is wanted, in the middle of it, mm: its left wall, or a hole's middle. */
  readonly atMm: number;
  /** Or where the shoulder has to stand, from the zero face, mm; null where what it leans on is none. */
  readonly shoulderMm: number | null;
  /** Whether all that may come is wanted; where not even moving it brings that, the tolerances are too wide by this, mm. */
  readonly good: boolean;
  readonly tooWideMm: number;
}

/** The two walls of a stack, the left one first; a reason where one is gone, or nothing lies between them. */
function walls(part: Part, { shoulder, grooveId }: AxialStack): Outcome<readonly [StackFace, StackFace]> {
  const faces = stackFaces(part);
  const [from, held] = [faces.filter((f) => f.id === shoulder), faces.filter((f) => f.id === grooveId && f.feature)];
  if (!from.length) return bad('gone', 'What it leans on is gone from the drawing: choose again.', 'shoulder');
  if (!held.length) return bad('gone', 'What keeps it is gone from the drawing: choose again.', 'grooveId');
  const both = from.flatMap((f) => held.map((h) => (f.atMm <= h.atMm ? ([f, h] as const) : ([h, f] as const))));
  const found = both.find(([l, r]) => faceEachOther(l, r, faces));
  return found ? good(found) : bad('apart', 'Nothing can sit between these two: choose what it leans on the other side.', 'grooveId');
}

/** How far the room between two walls may be off by the limits of the drawing; a length that both come of counts once. */
function roomOff(part: Part, left: StackFace, right: StackFace): { readonly lower: number; readonly upper: number } {
  const times = new Map<string, number>();
  for (const [key, n] of right.of) times.set(key, (times.get(key) ?? 0) + n);
  for (const [key, n] of left.of) times.set(key, (times.get(key) ?? 0) - n);
  const all = new Map(dimensionsOf(part).map((d) => [d.key, d]));
  let [lower, upper] = [0, 0];
  for (const [key, n] of times) {
    const d = all.get(key);
    const limits = d && limitsOf(part, d);
    if (!limits || n === 0) continue;
    const ends = [n * (limits.lower - d.value), n * (limits.upper - d.value)];
    lower += Math.min(...ends);
    upper += Math.max(...ends);
  }
  return { lower, upper };
}

/**
 * The end play of what sits between two walls: from one to the other, less the ring or the split pin that keeps it, less all that sits there; the least
 * and the most when everything is off by its whole tolerance at once. A ring's thickness is the book's, without its own tolerance, a split pin's shank as
 * ISO 1234 has it; one that the book does not know is one of the pieces.
 *
 * @returns a reason where a wall is gone, they do not face each other, or nobody knows how thick the ring or pin is
 */
export function stackFinding(part: Part, stack: AxialStack): Outcome<StackFinding> {
  const found = walls(part, stack);
  if (!found.ok) return found;
  const [left, right] = found.value;
  const unknown = [left, right].filter((f) => f.feature && !f.holder);
  // One that is in no book is written with what sits there.
  if (unknown.length > stack.pieces.filter((p) => A_HOLDER.test(p.name)).length)
    return bad(
      'ring',
      unknown[0]!.feature!.kind === 'ring-groove'
        ? 'The book has no ring for this groove: write its ring among what sits there, such as Ring: 1.5 -0.06.'
        : 'The book has no split pin for this hole: write it among what sits there, such as Split pin: 3.6 -0.2.',
      'pieces',
    );
  const key = `stack.${stack.grooveId}`;
  const wall = (f: StackFace): Figure =>
    typed(
      `${key}.${f.keeps}`,
      `${f.feature ? `wall that ${inSentence(f.name)} bears on` : `shoulder at the ${f.name}`}, from the zero face`,
      f.atMm,
      'as drawn',
    );
  const room = sumOf(`${key}.room`, 'from wall to wall', [plus(wall(right)), minus(wall(left))]);
  const holders = [left, right].flatMap((f) => (f.holder ? [f.holder] : []));
  const thick = holders.map((h, i) => tabled(`${key}.holder.${i}`, h.name, h.thicknessMm, h.source));
  const sits = stack.pieces.map((p, i) => typed(`${key}.piece.${i}`, p.name, p.lengthMm, 'as typed at Draw'));
  const all = sumOf(`${key}.stack`, 'all that sits there, and what keeps it', [...sits, ...thick].map(plus));
  const play = sumOf(`${key}.play`, 'end play, as drawn', [plus(room), minus(all)]);
  const off = roomOff(part, left, right);
  const sum = (dev: (p: { readonly lowerDev: number; readonly upperDev: number }) => number): number =>
    [...stack.pieces, ...holders].reduce((s, p) => s + dev(p), 0);
  const how = (words: string) => `as drawn, with ${words} of every length at once`;
  const leastMm = play.value + off.lower - sum((p) => p.upperDev);
  const mostMm = play.value + off.upper - sum((p) => p.lowerDev);
  const least = workedOut(`${key}.least`, 'end play, at least', leastMm, how('the worst'), [play]);
  const most = workedOut(`${key}.most`, 'end play, at most', mostMm, how('the other worst'), [play]);
  // Moved so far that what may come lies about the middle of what is wanted.
  const more = (stack.leastMm + stack.mostMm) / 2 - (leastMm + mostMm) / 2;
  const [keeper, leans] = left.id === stack.grooveId ? [left, right] : [right, left];
  const outward = (f: StackFace): number => (f === right ? more : -more);
  return good({
    play,
    least,
    most,
    atMm: toNanometres(keeper.feature!.atMm + outward(keeper)),
    shoulderMm: leans.feature ? null : toNanometres(leans.atMm + outward(leans)),
    good: leastMm >= stack.leastMm - 1e-9 && mostMm <= stack.mostMm + 1e-9,
    tooWideMm: Math.max(mostMm - leastMm - (stack.mostMm - stack.leastMm), 0),
  });
}
