import { bad, good, type Outcome } from '../../terms/outcome';
import { parseLength, parseSignedNumber, type LengthUnit } from '../../terms/quantity';
import { dimensionsOf, fieldProblem, parseLimits, placeAll, type FieldSpec, type Part } from '../part';
import { answered, type Ask } from './asks';
import { fromFace, told, toNanometres } from './from-face';

const SIGNED = /\s[+-][\d.,]\S*$/;
/** Limits may be no more than this part of their size. */
const WIDEST_SHARE = 4;
/** What may stand behind a size: `h7`, `±0.02`, `+0 -0.02`. */
const WITH_LIMITS = /^(.*?\d(?:\s*(?:mm|in|"))?)\s*((?:±|\+\s*\/?\s*-|[+-])\s*[\d.,].*|[a-z]{1,2}\d{1,2})$/i;

function length(part: Part, ask: Ask, text: string, unit: LengthUnit): Outcome<Part> {
  const spec = ask.spec as Extract<FieldSpec, { kind: 'length' }>;
  const read = (typed: string): Outcome<number> => {
    const { text: number, from } = told(typed);
    const mm = parseLength(number, { unit, allowZero: spec.from === 0 || from !== null });
    if (!mm.ok) return mm;
    const valueMm = toNanometres(mm.value.valueMm);
    const own = from === null ? good(valueMm) : fromFace(part, ask, valueMm, from);
    const wrong = own.ok ? fieldProblem(spec, own.value) : null;
    return wrong ? bad('range', wrong) : own;
  };
  const plain = read(text);
  // A sign that stands on its number is a tolerance (60 -0.1); one that stands apart adds (60 + 2 thou).
  if (plain.ok && !SIGNED.test(text)) return good(answered(part, ask, plain.value));
  // A size and its limits in one breath.
  const both = WITH_LIMITS.exec(text);
  const size = both && read(both[1]!);
  if (!both || !size?.ok) return plain.ok ? good(answered(part, ask, plain.value)) : plain;
  const limits = parseLimits(both[2]!, size.value, unit);
  if (!limits.ok) return limits;
  // Two sizes typed with a dash between them are no size with a tolerance.
  if (Math.max(Math.abs(limits.value.lowerDev), Math.abs(limits.value.upperDev)) > size.value / WIDEST_SHARE)
    return bad('limits', 'These limits are wider than a quarter of the size: type the size, and ±0.02, +0.02 -0 or h7 behind it.');
  const next = answered(part, ask, size.value);
  if (!dimensionsOf(next).some((d) => d.key === ask.key)) return bad('limits', 'This has no limits of its own: type the number alone.');
  return good({ ...next, limits: { ...next.limits, [ask.key]: limits.value } });
}

/** One of several by its number in the list, or by the beginning of its words. */
function oneOf(options: readonly (readonly [value: string, words: string])[], text: string, what: string): Outcome<string> {
  const typed = text.trim().toLowerCase();
  const numbered = /^\d+$/.test(typed) ? options[Number(typed) - 1] : undefined;
  const begins = options.filter(([value, words]) => [value, words, ...words.split(' ')].some((w) => w.toLowerCase().startsWith(typed)));
  const found = numbered ?? (begins.length === 1 ? begins[0] : undefined);
  return found ? good(found[0]) : bad('choice', `${what}: ${options.map(([, words], i) => `${i + 1} ${words}`).join(', ')}.`);
}

/** What may be chosen, with its words; empty for a number or free words. */
export function optionsOf(part: Part, { spec }: Pick<Ask, 'spec'>): readonly (readonly [value: string, words: string])[] {
  switch (spec.kind) {
    case 'choice':
      return spec.options;
    case 'surface':
      return placeAll(part).map((s) => [s.id, s.name]);
    default:
      return [];
  }
}

/**
 * The part as it is once somebody typed an answer: a length in any unit, with its limits behind it where it is a dimension (`25 h7`, `1.0000 +0
 * -0.0005`), told from a face (`12 from right`, `120 over all`); a number; one of a list by its number or its first letters; words.
 *
 * @param unit of a bare number
 * @returns the changed part, which may have problems of its own; a reason where the answer says nothing
 */
export function answer(part: Part, ask: Ask, text: string, unit: LengthUnit): Outcome<Part> {
  const typed = text.trim();
  const { spec } = ask;
  switch (spec.kind) {
    case 'length':
      return length(part, ask, typed, unit);
    case 'angle':
    case 'number':
    case 'count': {
      const n = parseSignedNumber(typed.replace(/°$/, ''));
      if (!n.ok) return n;
      const wrong = fieldProblem(spec, n.value.value);
      if (wrong) return bad('range', wrong);
      return good(answered(part, ask, n.value.value));
    }
    case 'text':
      return typed.length > spec.most ? bad('long', `${spec.label}: at most ${spec.most} letters.`) : good(answered(part, ask, typed));
    default: {
      const one = oneOf(optionsOf(part, ask), typed, spec.label);
      return one.ok ? good(answered(part, ask, one.value)) : one;
    }
  }
}
