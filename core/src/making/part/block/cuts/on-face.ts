import { aLength } from '../../../../terms/quantity';
import type { FeatureProblem } from '../../feature-kind';
import { type Box, edgeOf, faceOf, FACES, FACE_NAMES, sizeAlong, type Face } from '../box';

type Sizes = Box;

/** Least metal left under what does not go through, mm. */
export const LEAST_FLOOR_MM = 0.5;
const ROUNDING_MM = 1e-6;

export const FACE_OPTIONS = Object.entries(FACE_NAMES) as [Face, string][];
export const DIRECTION_OPTIONS: readonly (readonly ['along' | 'across', string])[] = [
  ['along', 'lengthwise, left to right'],
  ['across', 'across'],
];

/** From which edges a place on that face is counted. */
export const edgesOf = (on: Face): readonly [u: string, v: string] => [edgeOf(FACES[on].u), edgeOf(FACES[on].v)];

/** From which edge the same number is counted on the other side. */
export const oppositeOf = (on: Face, axis: 'u' | 'v'): string => ({ x: 'right', y: 'back', z: 'upper' })[FACES[on][axis]];

/** A place as far from the opposite edge, mm from the edge that places are counted from. */
export const fromOppositeMm = (block: Sizes, on: Face, axis: 'u' | 'v', mm: number): number =>
  // To a millionth of a millimetre: what begins at the very edge begins at 0.
  Number((sizeAlong(block, FACES[on][axis]) - mm).toFixed(6));

/** A stretch that leaves the face. */
export function leavesFace(block: Sizes, on: Face, way: 'u' | 'v', fromMm: number, toMm: number, field: string): FeatureProblem[] {
  const most = faceOf(block, on)[way === 'u' ? 'uMm' : 'vMm'];
  return fromMm < -ROUNDING_MM || toMm > most + ROUNDING_MM
    ? [{ field, message: `The ${FACE_NAMES[on]} is ${aLength(most)} that way: this does not lie wholly on it.` }]
    : [];
}

/** A depth that cuts nothing or leaves no metal behind it. */
export function badDepth(block: Sizes, on: Face, depthMm: number, field: string): FeatureProblem[] {
  const { thickMm } = faceOf(block, on);
  if (!(depthMm > 0)) return [{ field, message: 'Say how deep.' }];
  return thickMm - depthMm < LEAST_FLOOR_MM
    ? [{ field, message: `The block is ${aLength(thickMm)} thick there: it leaves no metal behind it.` }]
    : [];
}

/** Half of the face, in round tenths of a millimetre. */
export const middleOf = (block: Sizes, on: Face): readonly [u: number, v: number] => {
  const { uMm, vMm } = faceOf(block, on);
  return [Math.round(uMm * 5) / 10, Math.round(vMm * 5) / 10];
};
/** A share of a size, in round tenths, never nothing. */
export const share = (mm: number, of: number): number => Math.max(Math.round(mm * of * 10) / 10, 0.1);
