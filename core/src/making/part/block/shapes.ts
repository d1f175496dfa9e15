import type { Block } from './block';
import { BLOCK_KINDS, type BlockHole } from './cuts';
import { share } from './cuts/on-face';

export type BlockShape = 'block' | 'link' | 'cap' | 'jaw';

const holeAt = (block: Block, id: string, name: string, atMm: number, diameterMm: number, more: Partial<BlockHole> = {}): BlockHole => ({
  ...BLOCK_KINDS.hole.start(block, 'top'),
  ...{ id, kind: 'hole', on: 'top', name, fitsPlaceIds: [], atMm, diameterMm },
  ...more,
});

/** Two bored holes, each as far from its end as from the sides. */
function link(block: Block): Block {
  const { lengthMm, widthMm } = block;
  const end = share(Math.min(widthMm / 2, lengthMm / 4), 1);
  const diameterMm = share(end, 1);
  const bored = { made: 'bored' } as const;
  return {
    ...block,
    cuts: [
      holeAt(block, 'hole-a', 'Bore, left', end, diameterMm, bored),
      holeAt(block, 'hole-b', 'Bore, right', lengthMm - end, diameterMm, bored),
    ],
  };
}

/** Half of a bore across the underside, and a bolt hole beside it either way. */
function cap(block: Block): Block {
  const { lengthMm, widthMm, heightMm } = block;
  const diameterMm = share(Math.min(0.1 * lengthMm, 0.3 * widthMm), 1);
  const at = share(lengthMm, 0.15);
  return {
    ...block,
    cuts: [
      {
        ...{ id: 'seat', kind: 'half-round', on: 'bottom', name: 'Seat', way: 'across', middleMm: lengthMm / 2, centreMm: 0 },
        diameterMm: share(Math.min(0.4 * lengthMm, 1.2 * heightMm), 1),
      },
      holeAt(block, 'hole-a', 'Bolt hole, left', at, diameterMm),
      holeAt(block, 'hole-b', 'Bolt hole, right', lengthMm - at, diameterMm),
    ],
  };
}

/** A half-round seat in the end that grips, and two counterbored holes for its screws. */
function jaw(block: Block): Block {
  const { lengthMm, widthMm, heightMm } = block;
  const diameterMm = share(Math.min(0.1 * lengthMm, 0.25 * widthMm), 1);
  const sunk = { mouth: 'counterbore', mouthMm: share(diameterMm, 1.7), mouthDepthMm: share(heightMm, 0.5) } as const;
  return {
    ...block,
    cuts: [
      {
        ...{ id: 'seat', kind: 'half-round', on: 'right', name: 'Grip', way: 'across', middleMm: widthMm / 2, centreMm: 0 },
        diameterMm: share(Math.min(0.5 * widthMm, 0.4 * lengthMm), 1),
      },
      holeAt(block, 'hole-a', 'Screw hole, back', share(lengthMm, 0.2), diameterMm, sunk),
      holeAt(block, 'hole-b', 'Screw hole, front', share(lengthMm, 0.5), diameterMm, sunk),
    ],
  };
}

const CUT: Readonly<Record<BlockShape, (block: Block) => Block>> = { block: (b) => b, link, cap, jaw };

/** Whether something that is made is begun as a block. */
export const isBlockShape = (kind: string): kind is BlockShape => Object.hasOwn(CUT, kind);

/**
 * A first block of that shape, to be edited: a plain one is as high as wide, the others half as high.
 *
 * @param widthMm across, mm
 * @param lengthMm over all, mm
 */
export const newBlock = (shape: BlockShape, widthMm: number, lengthMm: number): Block =>
  CUT[shape]({ lengthMm, widthMm, heightMm: shape === 'block' ? widthMm : share(widthMm, 0.5), cuts: [] });
