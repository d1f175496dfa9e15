import { bad, good, type Outcome } from '../../terms/outcome';
import { minus, plus, sumOf, tabled, typed, workedOut, type Figure } from '../../terms/working';
import { inSentence } from '../../terms/words';
import { dimensionsOf, hostOf, limitsOf, placeOutside, ringOf, type Part, type PartFeature } from '../part';
import { toNanometres } from './from-face';
import type { StackPiece } from './stack-lines';

/** What sits on a shaft between a shoulder and a retaining ring, and the end play that it is to have, mm. */
export interface AxialStack {
  /** `<id of the seat>.left` or `.right`: the end of a surface at which something larger stands. */
  readonly shoulder: string;
  readonly grooveId: string;
  readonly pieces: readonly StackPiece[];
  readonly leastMm: number;
  readonly mostMm: number;
}

/** What says that a thing in the list is the ring itself. */
const A_RING = /\b(ring|circlip)\b/i;

/** A face that something can be pushed against. */
export interface ShoulderFace {
  readonly id: string;
  readonly name: string;
  readonly atMm: number;
}

/** The shoulders of the outside: ends of a surface at which its neighbour is larger. */
export const shoulderFaces = (part: Part): ShoulderFace[] =>
  placeOutside(part).flatMap((s, i, row) => {
    const face = (end: 'left' | 'right'): ShoulderFace[] => {
      const beside = row[end === 'left' ? i - 1 : i + 1];
      const [own, other] = end === 'left' ? [s.leftMm, beside?.rightMm] : [s.rightMm, beside?.leftMm];
      return other !== undefined && other > own + 1e-6
        ? [{ id: `${s.id}.${end}`, name: `${end} of ${inSentence(s.name)}`, atMm: end === 'left' ? s.fromMm : s.toMm }]
        : [];
    };
    return [...face('left'), ...face('right')];
  });

type RingGroove = Extract<PartFeature, { readonly kind: 'ring-groove' }>;
/** Grooves of rings on the outside. */
export const outsideRings = (part: Part): RingGroove[] =>
  part.features.flatMap((f) => (f.kind === 'ring-groove' && hostOf(part, f.on)?.surface.side === 'outside' ? [f] : []));

export interface StackFinding {
  /** Room that is left along the axis at the sizes drawn, and the least and most of it; below nought the ring does not go in. */
  readonly play: Figure;
  readonly least: Figure;
  readonly most: Figure;
  /** Where the groove's left wall has to lie on its surface for the play that is wanted, in the middle of it, mm. */
  readonly atMm: number;
  /** Whether all that may come is wanted; where not even moving the groove brings it, the tolerances are too wide by this, mm. */
  readonly good: boolean;
  readonly tooWideMm: number;
}

/** How far a chain of lengths may be off. */
interface Off {
  readonly lower: number;
  readonly upper: number;
}

/** The lengths of the drawing between the shoulder and the wall that the ring bears on, those that make it longer and those that make it shorter. */
function chain(
  part: Part,
  f: RingGroove,
  shoulderMm: number,
  toRight: boolean,
): { readonly more: readonly string[]; readonly less: readonly string[] } {
  const { surface } = hostOf(part, f.on)!;
  const row = placeOutside(part);
  const between = toRight
    ? row.filter((s) => s.fromMm >= shoulderMm - 1e-6 && s.toMm <= surface.fromMm + 1e-6)
    : row.filter((s) => s.fromMm >= surface.fromMm - 1e-6 && s.toMm <= shoulderMm + 1e-6);
  const lengths = between.map((s) => `${s.id}.length`);
  return toRight ? { more: [...lengths, `${f.id}.at`, `${f.id}.width`], less: [] } : { more: lengths, less: [`${f.id}.at`] };
}

function offOf(part: Part, keys: readonly string[]): Off {
  const all = new Map(dimensionsOf(part).map((d) => [d.key, d]));
  return keys.reduce<Off>(
    (sum, key) => {
      const d = all.get(key);
      const limits = d && limitsOf(part, d);
      return limits ? { lower: sum.lower + limits.lower - d.value, upper: sum.upper + limits.upper - d.value } : sum;
    },
    { lower: 0, upper: 0 },
  );
}

/**
 * The end play of what sits between a shoulder and a ring: from the shoulder to the wall that the ring bears on, less the ring, less all that sits there;
 * the least and the most when everything is off by its whole tolerance at once. The ring's thickness is the book's, without its own tolerance; a ring that the book
 * does not know is one of the pieces.
 *
 * @returns a reason where shoulder or groove is gone, or nobody knows how thick the ring is
 */
export function stackFinding(part: Part, stack: AxialStack): Outcome<StackFinding> {
  const face = shoulderFaces(part).find((s) => s.id === stack.shoulder);
  const f = outsideRings(part).find((g) => g.id === stack.grooveId);
  if (!face) return bad('gone', 'The shoulder is gone from the drawing: choose one again.', 'shoulder');
  if (!f) return bad('gone', 'The groove is gone from the drawing: choose one again.', 'grooveId');
  const host = hostOf(part, f.on)!;
  const { surface } = host;
  const ring = ringOf(f, host);
  // A ring that is in no book is written with what sits there.
  if (!ring && !stack.pieces.some((p) => A_RING.test(p.name)))
    return bad('ring', 'The book has no ring for this groove: write its ring among what sits there, such as Ring: 1.5 -0.06.', 'pieces');
  const toRight = face.atMm <= surface.fromMm + 1e-6;
  const wallMm = surface.fromMm + f.atMm + (toRight ? f.widthMm : 0);
  const key = `stack.${f.id}`;
  const place = typed(`${key}.wall`, `wall that ${inSentence(f.name)} bears on, from the zero face`, wallMm, 'as drawn');
  const from = typed(`${key}.shoulder`, `shoulder at the ${face.name}, from the zero face`, face.atMm, 'as drawn');
  const [far, near] = toRight ? [place, from] : [from, place];
  const room = sumOf(`${key}.room`, 'from the shoulder to the wall', [plus(far), minus(near)]);
  const thick = ring ? [tabled(`${key}.ring`, 'ring', ring.thicknessMm, ring.source)] : [];
  const sits = stack.pieces.map((p, i) => typed(`${key}.piece.${i}`, p.name, p.lengthMm, 'as typed at Draw'));
  const all = sumOf(`${key}.stack`, 'all that sits there, and the ring', [...sits, ...thick].map(plus));
  const play = sumOf(`${key}.play`, 'end play, as drawn', [plus(room), minus(all)]);
  const { more, less } = chain(part, f, face.atMm, toRight);
  const [longer, shorter] = [offOf(part, more), offOf(part, less)];
  const sum = (dev: (p: StackPiece) => number): number => stack.pieces.reduce((s, p) => s + dev(p), 0);
  const lowerMm = longer.lower - shorter.upper - sum((p) => p.upperDev);
  const upperMm = longer.upper - shorter.lower - sum((p) => p.lowerDev);
  const how = (words: string) => `as drawn, with ${words} of every length at once`;
  const least = workedOut(`${key}.least`, 'end play, at least', play.value + lowerMm, how('the worst'), [play]);
  const most = workedOut(`${key}.most`, 'end play, at most', play.value + upperMm, how('the other worst'), [play]);
  // Moved so far that what may come lies about the middle of what is wanted.
  const off = (stack.leastMm + stack.mostMm) / 2 - (least.value + most.value) / 2;
  return good({
    play,
    least,
    most,
    atMm: toNanometres(f.atMm + (toRight ? off : -off)),
    good: least.value >= stack.leastMm - 1e-9 && most.value <= stack.mostMm + 1e-9,
    tooWideMm: Math.max(most.value - least.value - (stack.mostMm - stack.leastMm), 0),
  });
}
