import { inSentence } from '../../terms/words';
import { cutKindOf, FACE_NAMES, type Block, type Face } from '../part';
import { ordered, type Act } from './act';
import type { BoringChoice } from './boring';
import type { ActOrder } from './held-plan';
import type { ToldSetUp } from './set-up';

/** One holding of a block on the mill. */
export interface BlockSetUp extends ToldSetUp {
  /** Of `operations`, what may be put into another order: what is cut from a face. None while it is squared, where each face stands on the one before. */
  readonly acts: readonly Act[];
  /** What somebody put before something that it needs, a sentence each. */
  readonly minds: readonly string[];
}

/** What is done to a hole or a pocket in its own order: a tap comes behind its drill. */
function outOfTurn(acts: readonly Act[], usual: readonly Act[]): string[] {
  return acts.flatMap((a, i) => {
    const before = usual.slice(0, usual.indexOf(a)).filter((b) => b.cuts[0] === a.cuts[0] && acts.indexOf(b) > i);
    return before.map((b) => `“${a.words}” comes before “${b.words}”, which it needs.`);
  });
}

/** Faces in the order in which they are usually come to: what is seated on first. */
const ORDER: readonly Face[] = ['top', 'front', 'left', 'right', 'back', 'bottom'];

const MILL_CAUTION = 'Clamp and stop before the spindle turns; brush chips, never a hand; eyes covered.';
const DRILL_CAUTION = 'What is drilled is clamped: a block that turns under the drill takes the hand with it.';

/**
 * The usual sequence for a block: squared on six faces, then what is cut into it face by face, each zeroed on the same two edges.
 *
 * @param block a valid block
 * @param boring how it is held where something is bored; null where nothing is, or nothing will do
 * @param order of acts as somebody put them, by the number of the set-up
 */
export function blockSetUps(
  block: Block,
  boring: Pick<BoringChoice, 'hold' | 'cautions'> | null = null,
  order: readonly ActOrder[] = [],
): BlockSetUp[] {
  type Draft = Omit<BlockSetUp, 'number' | 'operations' | 'minds'> & Partial<Pick<ToldSetUp, 'operations'>>;
  const squared: Draft = {
    title: 'Square the block',
    hold: 'vise with parallels, first face against the fixed jaw, a round bar at the moving one',
    zeroFace: 'the face that is milled first; mark it',
    operations: [
      'Mill the first large face',
      'That face to the fixed jaw: mill the second, then the one across from it to width',
      'Last large face to height',
      'Ends square with the indicator or a side of the cutter, to length',
      'Edges broken',
    ],
    acts: [],
    cautions: [MILL_CAUTION],
  };
  const faces = ORDER.flatMap((face): Draft[] => {
    const cuts = block.cuts.filter((c) => c.on === face);
    if (!cuts.length) return [];
    const drills = cuts.some((c) => c.kind === 'hole');
    const bored = cuts.some((c) => c.kind === 'hole' && c.made === 'bored') ? boring : null;
    return [
      {
        title: `From the ${FACE_NAMES[face]}`,
        hold: bored?.hold ?? 'in the vise on parallels clear of what goes through, or clamped to the table',
        zeroFace: `the two edges that the ${FACE_NAMES[face]} is dimensioned from, found with the edge finder`,
        acts: cuts.flatMap((c) =>
          cutKindOf(c.kind)
            .operations(c, block)
            .map((o, i): Act => ({ key: `${c.id}.${i}`, words: `${c.name}: ${inSentence(o.words)}`, cuts: [c.id] })),
        ),
        cautions: [MILL_CAUTION, ...(drills ? [DRILL_CAUTION] : []), ...(bored?.cautions ?? [])],
      },
    ];
  });
  return [squared, ...faces].map((s, i) => {
    const acts = ordered(s.acts, order.find((o) => o.setUp === i + 1)?.keys ?? []);
    return { ...s, number: i + 1, acts, operations: s.operations ?? acts.map((a) => a.words), minds: outOfTurn(acts, s.acts) };
  });
}
