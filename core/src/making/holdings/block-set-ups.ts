import { inSentence } from '../../terms/words';
import { cutKindOf, FACE_NAMES, type Block, type Face } from '../part';
import type { BoringChoice } from './boring';
import type { ToldSetUp } from './set-up';

/** Faces in the order in which they are usually come to: what is seated on first. */
const ORDER: readonly Face[] = ['top', 'front', 'left', 'right', 'back', 'bottom'];

const MILL_CAUTION = 'Clamp and stop before the spindle turns; brush chips, never a hand; eyes covered.';
const DRILL_CAUTION = 'What is drilled is clamped: a block that turns under the drill takes the hand with it.';

/**
 * The usual sequence for a block: squared on six faces, then what is cut into it face by face, each zeroed on the same two edges.
 *
 * @param block a valid block
 * @param boring how it is held where something is bored; null where nothing is, or nothing will do
 */
export function blockSetUps(block: Block, boring: Pick<BoringChoice, 'hold' | 'cautions'> | null = null): ToldSetUp[] {
  const squared: Omit<ToldSetUp, 'number'> = {
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
    cautions: [MILL_CAUTION],
  };
  const faces = ORDER.flatMap((face): Omit<ToldSetUp, 'number'>[] => {
    const cuts = block.cuts.filter((c) => c.on === face);
    if (!cuts.length) return [];
    const drills = cuts.some((c) => c.kind === 'hole');
    const bored = cuts.some((c) => c.kind === 'hole' && c.made === 'bored') ? boring : null;
    return [
      {
        title: `From the ${FACE_NAMES[face]}`,
        hold: bored?.hold ?? 'in the vise on parallels clear of what goes through, or clamped to the table',
        zeroFace: `the two edges that the ${FACE_NAMES[face]} is dimensioned from, found with the edge finder`,
        operations: cuts.flatMap((c) =>
          cutKindOf(c.kind)
            .operations(c, block)
            .map((o) => `${c.name}: ${inSentence(o.words)}`),
        ),
        cautions: [MILL_CAUTION, ...(drills ? [DRILL_CAUTION] : []), ...(bored?.cautions ?? [])],
      },
    ];
  });
  return [squared, ...faces].map((s, i) => ({ ...s, number: i + 1 }));
}
