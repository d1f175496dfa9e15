import { validatePart, type Part } from '../part';
import { stackFaces } from './stack-faces';

/**
 * A part with one shoulder of its outside moved along: one neighbour as much longer as the other gets shorter. What is cut into them stays where it lies;
 * what is told from an end goes with its end.
 *
 * @param part a valid one
 * @param faceId of the shoulder
 * @param toMm where it is to stand, from the zero face
 * @returns null where it is none of the outside, a neighbour would be gone, or something cut there would hang out
 */
export function shoulderMoved(part: Part, faceId: string, toMm: number): Part | null {
  const face = stackFaces(part).find((f) => f.id === faceId && !f.feature && f.side === 'outside');
  if (!face) return null;
  const byMm = toMm - face.atMm;
  const own = part.outside.findIndex((s) => face.id === `${s.id}.left` || face.id === `${s.id}.right`);
  // The surface that begins at the shoulder, and the one that ends there.
  const begins = face.keeps === 'right' ? own : own + 1;
  const at = (i: number, lengthMm: number): number => (i === begins - 1 ? lengthMm + byMm : i === begins ? lengthMm - byMm : lengthMm);
  const outside = part.outside.map((s, i) => ({ ...s, lengthMm: at(i, s.lengthMm) }));
  if (outside.some((s) => !(s.lengthMm > 1e-6))) return null;
  const shorter = part.outside[begins]!.id;
  const features = part.features.map((f) => (f.on === shorter && 'atMm' in f ? { ...f, atMm: f.atMm - byMm } : f));
  const moved = { ...part, outside, features };
  return validatePart(moved).ok ? moved : null;
}
