import { aLength } from '../../terms/quantity';
import { bad, good, type Outcome } from '../../terms/outcome';
import { inSentence } from '../../terms/words';
import { hostOf, kindOf, partLengthMm, placeAll, placeOutside, type Part } from '../part';
import type { Ask } from './asks';
import { liesAt } from './cut-span';

/** Faces that a place may be told from, besides the left end of its surface, which a bare number counts from. */
const FACES = { left: 'left', right: 'right', zero: 'zero', near: 'zero', far: 'far' } as const;
type Face = (typeof FACES)[keyof typeof FACES];
/** One end of a stretch or of what is cut into one, by its name. */
export interface NamedFace {
  readonly end: 'left' | 'right';
  readonly of: string;
}

const FROM = /^(.*\S)\s+from\s+(?:the\s+)?(left|right|zero|near|far)(?:\s+(?:end|face|side))?$/i;
const OF = /^(.*\S)\s+from\s+(?:the\s+)?(left|right)(?:\s+(?:end|face|side|wall))?\s+of\s+(?:the\s+)?(.*\S)$/i;
const OVERALL = /^(.*\S)\s+over\s*-?\s*all$/i;

/** To a millionth of a millimetre, so that what is counted in inches comes out even. */
export const toNanometres = (mm: number): number => Number(mm.toFixed(6)) + 0;

/** A length as typed, apart from the face that it is told from. */
export interface Told {
  readonly text: string;
  /** Null for a bare number. */
  readonly from: Face | NamedFace | 'all' | null;
}

/** Parts `40 from right`, `40 from left of body` into its number and its face. */
export function told(text: string): Told {
  const named = OF.exec(text);
  if (named) return { text: named[1]!, from: { end: named[2]!.toLowerCase() as 'left' | 'right', of: named[3]! } };
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

/** Where a face lies, mm from the zero face: of a stretch or a cut by its name, or by the beginning of it where that is one's alone. */
function placeOf(part: Part, { end, of }: NamedFace): Outcome<number> {
  const spans = [
    ...placeAll(part).map((s) => ({ name: s.name, fromMm: s.fromMm, toMm: s.toMm })),
    ...part.features.flatMap((f) => {
      const host = hostOf(part, f.on);
      const span = host && liesAt(f, host);
      return span ? [{ name: f.name, ...span }] : [];
    }),
  ];
  const begun = spans.filter((s) => s.name.toLowerCase().startsWith(of.toLowerCase()));
  const whole = begun.filter((s) => s.name.length === of.length);
  const found = whole.length ? whole : begun;
  if (found.length > 1)
    return bad('face', `There are ${found.length} of the name ${of}: call one of them something else, or tell it from zero.`);
  const one = found[0];
  return one
    ? good(end === 'left' ? one.fromMm : one.toMm)
    : bad('face', `Nothing here is called ${of}: say a stretch or a cut by its name.`);
}

/** What a length told from an end of something else comes to in the field that it answers, mm. */
function fromNamed(part: Part, ask: Ask, mm: number, from: NamedFace): Outcome<number> {
  const face = placeOf(part, from);
  if (!face.ok) return face;
  if (ask.field === 'lengthMm') {
    const s = placeOutside(part).find((o) => o.id === ask.ownerId);
    if (!s) return bad('face', 'This is not told from a face: type the number alone.');
    if (face.value > s.fromMm + 1e-9) return bad('face', `That face moves along with ${inSentence(s.name)}: tell it from one to its left.`);
    return good(toNanometres(face.value + mm - s.fromMm));
  }
  if (ask.field !== 'atMm') return bad('face', 'This is not told from a face: type the number alone.');
  const f = part.features.find((x) => x.id === ask.ownerId)!;
  const host = hostOf(part, ask.surfaceId)!;
  const { surface } = host;
  const reach = reachMm(part, f.id, surface.toMm - surface.fromMm);
  const leftMm = surface.fromMm + (ask.value as number);
  // It stays on the side of the face on which it lies.
  const right = leftMm + reach / 2 >= face.value;
  return good(toNanometres((right ? face.value + mm : face.value - mm - reach) - surface.fromMm));
}

/**
 * What a length that was told from a face comes to in the field that it answers: `12 from right`, `86 from zero`, `30 from far` for a place along a
 * surface, to the nearer edge; `86 from zero` (to the shoulder at its right) and `120 over all` for the length of an outside surface. Either may be told
 * from an end of anything else: `40 from left of body`.
 *
 * @param mm as told
 * @returns mm; a reason where that face makes no sense here, or nothing would be left
 */
export function fromFace(part: Part, ask: Ask, mm: number, from: Face | NamedFace | 'all'): Outcome<number> {
  if (typeof from === 'object') {
    const at = fromNamed(part, ask, mm, from);
    if (!at.ok || at.value >= 0) return at;
    return bad('before', `That lies ${aLength(-at.value)} to the left of where its surface begins.`);
  }
  if (ask.field === 'atMm' && from !== 'all') {
    const at = toNanometres(placeFrom(part, ask, mm, from));
    return at < 0 ? bad('before', `That lies ${aLength(-at)} to the left of where its surface begins.`) : good(at);
  }
  const s = ask.field === 'lengthMm' ? placeOutside(part).find((o) => o.id === ask.ownerId) : undefined;
  if (!s || (from !== 'zero' && from !== 'all')) return bad('face', 'This is not told from a face: type the number alone.');
  const others = from === 'zero' ? s.fromMm : partLengthMm(part) - s.lengthMm;
  const left = toNanometres(mm - others);
  return left > 0
    ? good(left)
    : bad('short', `What stands ${from === 'zero' ? 'before' : 'beside'} ${inSentence(s.name)} is ${aLength(others)} long already.`);
}
