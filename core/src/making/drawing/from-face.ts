import { bad, good, type Outcome } from '../../terms/outcome';
import { inSentence } from '../../terms/words';
import { hostOf, kindOf, partLengthMm, placeOutside, type Part } from '../part';
import type { Ask } from './asks';

/** Faces that a place may be told from, besides the left end of its surface, which a bare number counts from. */
const FACES = { left: 'left', right: 'right', zero: 'zero', near: 'zero', far: 'far' } as const;
type Face = (typeof FACES)[keyof typeof FACES];

const FROM = /^(.*\S)\s+from\s+(?:the\s+)?(left|right|zero|near|far)(?:\s+(?:end|face|side))?$/i;
const OVERALL = /^(.*\S)\s+over\s*-?\s*all$/i;

/** To a millionth of a millimetre, so that what is counted in inches comes out even. */
export const toNanometres = (mm: number): number => Number(mm.toFixed(6)) + 0;

/** A length as typed, apart from the face that it is told from. */
export interface Told {
  readonly text: string;
  /** Null for a bare number. */
  readonly from: Face | 'all' | null;
}

/** Parts `40 from right` into its number and its face. */
export function told(text: string): Told {
  const face = FROM.exec(text);
  if (face) return { text: face[1]!, from: FACES[face[2]!.toLowerCase() as keyof typeof FACES] };
  const all = OVERALL.exec(text);
  return all ? { text: all[1]!, from: 'all' } : { text, from: null };
}

/** How far a feature reaches to the right of the place that it is told by, mm. */
function reachMm(part: Part, featureId: string, lengthMm: number): number {
  const f = part.features.find((x) => x.id === featureId)!;
  const place = (x: object): number => (x as { readonly atMm: number }).atMm;
  return lengthMm - place(f) - place(kindOf(f.kind).mirrored(f, lengthMm));
}

/** Where something begins from the left end of its surface, told from another face to its nearer edge; mm. */
function placeFrom(part: Part, ask: Ask, mm: number, from: Face): number {
  const { surface } = hostOf(part, ask.surfaceId)!;
  const lengthMm = surface.toMm - surface.fromMm;
  switch (from) {
    case 'left':
      return mm;
    case 'right':
      return lengthMm - mm - reachMm(part, ask.ownerId, lengthMm);
    case 'zero':
      return mm - surface.fromMm;
    case 'far':
      return partLengthMm(part) - mm - reachMm(part, ask.ownerId, lengthMm) - surface.fromMm;
  }
}

/**
 * What a length that was told from a face comes to in the field that it answers: `12 from right`, `86 from zero`, `30 from far` for a place along a
 * surface, to the nearer edge; `86 from zero` (to the shoulder at its right) and `120 over all` for the length of an outside surface.
 *
 * @param mm as told
 * @returns mm; a reason where that face makes no sense here, or nothing would be left
 */
export function fromFace(part: Part, ask: Ask, mm: number, from: Face | 'all'): Outcome<number> {
  if (ask.field === 'atMm' && from !== 'all') {
    const at = toNanometres(placeFrom(part, ask, mm, from));
    return at < 0 ? bad('before', `That lies ${(-at).toFixed(2)} mm to the left of where its surface begins.`) : good(at);
  }
  const s = ask.field === 'lengthMm' ? placeOutside(part).find((o) => o.id === ask.ownerId) : undefined;
  if (!s || (from !== 'zero' && from !== 'all')) return bad('face', 'This is not told from a face: type the number alone.');
  const others = from === 'zero' ? s.fromMm : partLengthMm(part) - s.lengthMm;
  const left = toNanometres(mm - others);
  return left > 0
    ? good(left)
    : bad('short', `What stands ${from === 'zero' ? 'before' : 'beside'} ${inSentence(s.name)} is ${others.toFixed(2)} mm long already.`);
}
