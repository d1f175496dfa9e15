export { type Block } from './block';
export { edgeOf, faceOf, FACE_NAMES, FACES, sizeAlong, type BlockAxis, type Face } from './box';
export type { Solid } from './block-kind';
export {
  BLOCK_KINDS,
  cutFieldsOf,
  cutKindOf,
  edgesOf,
  FACE_OPTIONS,
  oppositeOf,
  type BlockCut,
  type BlockCutId,
  type BlockHole,
} from './cuts';
export { blockDimensions, cutSurface } from './block-dimensions';
export { blockProblems, MOST_BLOCK_MM } from './validate-block';
export { blockVolumeMm3, solidsOf } from './block-volume';
export { isBlockShape, newBlock, type BlockShape } from './shapes';
