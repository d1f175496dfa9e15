import { type Box, FACES, sizeAlong, type BlockAxis, type Face } from './box';
import type { Solid } from './block-kind';

type Sizes = Box;

/** From a face to a depth below it, as places along its normal, small first. */
export function below(block: Sizes, face: Face, fromMm: number, toMm: number): { readonly fromMm: number; readonly toMm: number } {
  const { normal, far } = FACES[face];
  const size = sizeAlong(block, normal);
  return far ? { fromMm: size - toMm, toMm: size - fromMm } : { fromMm, toMm };
}

/** A round body of radius `r` square to a face, from one depth below it to another; all mm. */
export function drilled(block: Sizes, face: Face, at: readonly [u: number, v: number], r: number, fromMm: number, toMm: number): Solid {
  const span = below(block, face, fromMm, toMm);
  return {
    ...{ axis: FACES[face].normal, ...span, section: { kind: 'circle', a: at[0], b: at[1], r } },
    volumeMm3: Math.PI * r * r * (toMm - fromMm),
  };
}

/** A body square to a face whose outline lies on it, to a depth; mm and mm². */
export function sunk(
  block: Sizes,
  face: Face,
  points: readonly (readonly [u: number, v: number])[],
  areaMm2: number,
  depthMm: number,
): Solid {
  return {
    ...{ axis: FACES[face].normal, ...below(block, face, 0, depthMm), section: { kind: 'outline', points } },
    volumeMm3: areaMm2 * depthMm,
  };
}

/**
 * A body along a face: its profile is told across the face and by depth below it.
 *
 * @param along the axis of the face that it runs along
 */
export function milled(
  block: Sizes,
  face: Face,
  along: 'u' | 'v',
  profile: readonly (readonly [across: number, deep: number])[],
  areaMm2: number,
  span: readonly [fromMm: number, toMm: number],
): Solid {
  const row = FACES[face];
  const across: BlockAxis = along === 'u' ? row.v : row.u;
  const size = sizeAlong(block, row.normal);
  const points = profile.map(([a, deep]): [number, number] => {
    const n = row.far ? size - deep : deep;
    return across < row.normal ? [a, n] : [n, a];
  });
  return {
    ...{ axis: row[along], fromMm: span[0], toMm: span[1], section: { kind: 'outline', points } },
    volumeMm3: areaMm2 * (span[1] - span[0]),
  };
}
