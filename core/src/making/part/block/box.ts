/** Sizes of a block, mm: along (x, left to right), across (y, front to back), high (z). */
export interface Box {
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
}

export type BlockAxis = 'x' | 'y' | 'z';
export const FACE_NAMES = { top: 'top', bottom: 'bottom', front: 'front', back: 'back', left: 'left end', right: 'right end' } as const;
export type Face = keyof typeof FACE_NAMES;

/** How places on a face are counted, always from the left, front and lower edges of the block, and where the tool comes from. */
interface FaceRow {
  readonly normal: BlockAxis;
  /** It is the far one of the two: depth counts down from the block's size. */
  readonly far: boolean;
  readonly u: BlockAxis;
  readonly v: BlockAxis;
}
export const FACES: Readonly<Record<Face, FaceRow>> = {
  top: { normal: 'z', far: true, u: 'x', v: 'y' },
  bottom: { normal: 'z', far: false, u: 'x', v: 'y' },
  front: { normal: 'y', far: false, u: 'x', v: 'z' },
  back: { normal: 'y', far: true, u: 'x', v: 'z' },
  left: { normal: 'x', far: false, u: 'y', v: 'z' },
  right: { normal: 'x', far: true, u: 'y', v: 'z' },
};

/** The block's size along an axis, mm. */
export const sizeAlong = (b: Box, axis: BlockAxis): number => ({ x: b.lengthMm, y: b.widthMm, z: b.heightMm })[axis];

/** Extent of a face and how thick the block is behind it, mm. */
export function faceOf(b: Box, face: Face): { readonly uMm: number; readonly vMm: number; readonly thickMm: number } {
  const { u, v, normal } = FACES[face];
  return { uMm: sizeAlong(b, u), vMm: sizeAlong(b, v), thickMm: sizeAlong(b, normal) };
}

/** Words for the edge that a place on a face is counted from. */
export const edgeOf = (axis: BlockAxis): string => ({ x: 'left', y: 'front', z: 'lower' })[axis];
