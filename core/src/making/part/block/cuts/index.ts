import type { FieldSpec } from '../../feature-kind';
import type { BlockKind, CutBase } from '../block-kind';
import { angledFace, type AngledFace } from './angled-face';
import { halfRound, type HalfRound } from './half-round';
import { hole, type BlockHole } from './hole';
import { slot, type BlockSlot } from './slot';
import { step, type BlockStep } from './step';

/** Anything that is cut into a block. A new kind is its file and its two lines here. */
export type BlockCut = BlockHole | BlockSlot | BlockStep | AngledFace | HalfRound;
export type BlockCutId = BlockCut['kind'];

/** Every kind with all that is asked of it: one that is missing does not compile. */
export const BLOCK_KINDS: { readonly [K in BlockCutId]: BlockKind<Extract<BlockCut, { kind: K }>> } = {
  hole,
  slot,
  step,
  'angled-face': angledFace,
  'half-round': halfRound,
};

/** The kind of a cut, as one that takes any: which fields a kind has its own file says. */
export const cutKindOf = (id: BlockCutId): BlockKind<CutBase> => BLOCK_KINDS[id];

/** The fields of a kind by name, in the order in which they are asked for. */
export const cutFieldsOf = (id: BlockCutId): Readonly<Record<string, FieldSpec>> => BLOCK_KINDS[id].fields;

export { edgesOf, FACE_OPTIONS, oppositeOf } from './on-face';
export type { BlockHole };
