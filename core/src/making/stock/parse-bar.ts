import { MATERIALS, UNKNOWN_MATERIAL } from '../../book/materials';
import { bad, good, type Outcome } from '../../terms/outcome';
import { parseLength, type LengthUnit } from '../../terms/quantity';
import { hasInner, isHollow, looksLikeWall, needsInner, SHAPES, type Bar, type BarFinish, type BarShape } from './bar';

/** A bar as it was typed in one line. */
export type TypedBar = Omit<Bar, 'id' | 'version'>;

const SHAPE_NAMES: Readonly<Record<string, BarShape>> = {
  round: 'round',
  rod: 'round',
  tube: 'tube',
  pipe: 'tube',
  hex: 'hexagon',
  hexagon: 'hexagon',
  square: 'square',
  sq: 'square',
  flat: 'flat',
  ring: 'ring',
  plate: 'plate',
  sheet: 'plate',
  casting: 'casting',
  cast: 'casting',
  weldment: 'weldment',
};
const FINISHES: Readonly<Record<string, BarFinish>> = {
  bright: 'bright',
  drawn: 'bright',
  peeled: 'bright',
  black: 'black',
  rolled: 'black',
  ground: 'ground',
  chrome: 'chromed',
  chromed: 'chromed',
};
/** The book's material of a chromed bar. */
const CHROMED_ROD = 'steel-chrome-rod';
const NOT_KNOWN = new Set(['unknown', '?', 'mystery']);
/** Said of a bar and telling nothing more. */
const FILLERS = new Set(['bar', 'steel', 'dia', 'diameter', 'long', 'off', 'pcs', 'piece', 'pieces', 'hot', 'cold', 'of', 'a', 'ø']);

const MM_PER_FOOT = 304.8;
/** Sizes are kept to a millionth of a millimetre: 1 1/2 in is 38.1. */
const PER_MM = 1e6;
const NUMBER = String.raw`(?:\d+(?:\s+|\s*-\s*)\d+\/\d+|\d+\/\d+|\d+(?:[.,]\d+)*|\.\d+)`;
const SIZE = String.raw`[øØ]?\s*${NUMBER}(?:\s*(?:(?:mm|cm|m|inches|inch|in|feet|foot|ft)(?![a-z])|"|'))?`;
/** What the second size of a tube is, where it is said. */
const INNER = String.raw`(?:\s*(?:wall|bore)(?![a-z]))?`;
const SIZES = new RegExp(String.raw`^(${SIZE}(?:\s*[x×*]\s*${SIZE}${INNER}){1,2})(?=$|[\s,@])`, 'i');
const SAID_INNER = /\s*(wall|bore)$/i;

/** One size of a line, mm; a length may be told in metres or feet. */
function sizeMm(text: string, unit: LengthUnit): Outcome<number> {
  const t = text.trim().replace(/^[øØ]\s*/, '');
  const long = /^([\d.,/\s-]+?)\s*(m|cm|ft|feet|foot|')$/i.exec(t);
  const factor = long ? ({ m: 1000, cm: 10 }[long[2]!.toLowerCase()] ?? MM_PER_FOOT) : 1;
  const parsed = parseLength(long ? `${long[1]!.trim()} mm` : t, { unit });
  return parsed.ok ? good(Math.round(parsed.value.valueMm * factor * PER_MM) / PER_MM) : parsed;
}

/** `1 7/8` without a unit: nobody writes millimetres so, and the other sizes of its line are inches too. */
const isFraction = (text: string): boolean => /^[øØ]?[\s\d-]*\d+\/\d+$/.test(text.trim());

const designations = MATERIALS.map((m) => ({
  id: m.id,
  words: m.name.toLowerCase(),
  marks: new Set([m.id, ...m.name.toLowerCase().split(/[^a-z0-9./+-]+/)]),
}));

/**
 * The material that words name: by its mark first (`C45`, `1045`, `304`), else by all of the words.
 *
 * @param drawn the bar is bright: of two with the same mark it is the cold drawn one
 */
function materialNamed(words: readonly string[], drawn: boolean): Outcome<string> {
  const said = words.filter((w) => !FILLERS.has(w));
  if (said.length === 0 || said.every((w) => NOT_KNOWN.has(w))) return good(UNKNOWN_MATERIAL);
  const marked = designations.filter((d) => said.some((w) => w === d.id || (/\d/.test(w) && d.marks.has(w))));
  const worded = designations.filter((d) => words.every((w) => FILLERS.has(w) || d.words.includes(w)));
  const found = marked.length ? marked.filter((d) => worded.length === 0 || worded.includes(d)) : worded;
  if (found.length >= 1 && (found.length === 1 || marked.length))
    return good((found.find((d) => d.words.includes('drawn') === drawn) ?? found[0]!).id);
  const text = said.join(' ');
  if (found.length > 1) {
    const names = found.slice(0, 3).map((d) => MATERIALS.find((m) => m.id === d.id)!.name);
    return bad('which-material', `“${text}” could be ${names.join(' or ')}: write its mark.`, 'materialId');
  }
  return bad(
    'no-such-material',
    `The book has no material called “${text}”. Write a mark such as C45, 304 or CuSn12, or unknown.`,
    'materialId',
  );
}

function sizesOf(
  texts: readonly string[],
  said: BarShape | undefined,
  unit: LengthUnit,
): Outcome<Pick<Bar, 'shape' | 'diameterMm' | 'innerMm' | 'lengthMm'>> {
  const shape = said ?? 'round';
  if (texts.length === 3 && !said)
    return bad('which-shape', 'Three sizes: say tube (outside x bore x length) or flat (width x thickness x length).', 'shape');
  if (texts.length === 3 && !hasInner(shape)) return bad('too-many-sizes', `A ${shape} has one size and a length.`, 'diameterMm');
  const { first, second } = SHAPES[shape];
  if (texts.length === 2 && needsInner(shape))
    return bad('too-few-sizes', `A ${shape} is ${first.toLowerCase()} x ${second.toLowerCase()} x length.`, 'innerMm');
  const innerIs = SAID_INNER.exec(texts.length === 3 ? texts[1]! : '')?.[1]?.toLowerCase();
  if (texts.some((t, i) => SAID_INNER.test(t) && (i !== 1 || !innerIs || !isHollow(shape))))
    return bad(
      'inner-of-what',
      'Wall or bore is said of the second of three sizes, of a tube or a ring: tube 50 x 5 wall x 400.',
      'innerMm',
    );
  const plain = texts.map((t) => t.replace(SAID_INNER, ''));
  const mm = plain.map((t) => sizeMm(t, plain.some(isFraction) ? 'in' : unit));
  const wrong = mm.find((m) => !m.ok);
  if (wrong && !wrong.ok) return { ok: false, problems: [{ ...wrong.problems[0]!, path: 'diameterMm' }] };
  const [diameterMm, ...rest] = mm.map((m) => (m.ok ? m.value : NaN)) as [number, ...number[]];
  const secondMm = rest.length === 2 ? rest[0]! : null;
  const innerMm = secondMm !== null && innerIs === 'wall' ? diameterMm - 2 * secondMm : secondMm;
  if (innerMm !== null && innerMm <= 0)
    return bad('wall-too-thick', 'A wall so thick leaves no bore: say rod, or another wall.', 'innerMm');
  if (innerMm !== null && !innerIs && shape === 'tube' && looksLikeWall({ diameterMm, innerMm }))
    return bad(
      'which-inner',
      `Is ${texts[1]!.trim()} the bore or the wall? Write ${texts[1]!.trim()} bore, or ${texts[1]!.trim()} wall.`,
      'innerMm',
    );
  if (innerMm !== null && innerMm >= diameterMm)
    return bad(
      'inner-too-large',
      isHollow(shape) ? `The bore of a ${shape} is smaller than its outside.` : 'Width first: it is more than the thickness.',
      'innerMm',
    );
  return good({ shape, diameterMm, innerMm, lengthMm: rest.at(-1)! });
}

/**
 * A bar as a person writes it on a tag: `1 1/2 x 14 C45 black, bin 3`, `tube 50 x 30 x 400 CuSn12`, `tube 127 x 20 wall x 900`, `25 mm x 3 m 304 ground, rack A2, 4 off`,
 * `20 x 1000 unknown @ 12.50`. Sizes without a unit are in `unit`, beside a bare fraction in
 * inches; what stands after the comma is its place. Without a material it is
 * not known, a chromed one is a piston rod's.
 *
 * @param unit of sizes without one
 */
export function parseBar(raw: string, unit: LengthUnit): Outcome<TypedBar> {
  const price = /@\s*(\d+(?:[.,]\d{1,2})?)/.exec(raw);
  const many = /(?:^|[\s,])(\d{1,4})\s*(?:off|pcs|pieces?)(?=$|[\s,])/i.exec(raw);
  let text = raw.trim();
  for (const m of [price, many]) if (m) text = text.replace(m[0], ' ').trim();
  const [, lead] = /^([a-z]+)\s/i.exec(text) ?? [];
  const leading = lead ? SHAPE_NAMES[lead.toLowerCase()] : undefined;
  if (leading) text = text.slice(lead!.length).trim();
  const sizes = SIZES.exec(text);
  if (!sizes) return bad('no-sizes', 'Write size x length first, such as 38 x 350 C45 black, bin 3.', 'diameterMm');
  // A comma between figures is a decimal one; the first with room after it parts off the place.
  const [about, ...places] = text.slice(sizes[1]!.length).split(/,(?!\d)/);
  const words = about!.toLowerCase().split(/[\s]+/).filter(Boolean);
  const shape = leading ?? words.map((w) => SHAPE_NAMES[w]).find(Boolean);
  const finish = words.map((w) => FINISHES[w]).find(Boolean) ?? 'not-said';
  const named = words.filter((w) => !SHAPE_NAMES[w] && !FINISHES[w]);
  // Nobody chromes a bar to sell it but a piston rod's.
  const material = finish === 'chromed' && !named.length ? good(CHROMED_ROD) : materialNamed(named, finish === 'bright');
  const size = sizesOf(sizes[1]!.split(/\s*[x×*]\s*/i), shape, unit);
  if (!size.ok) return size;
  if (!material.ok) return material;
  return good({
    ...size.value,
    materialId: material.value,
    finish,
    pieces: many ? Number(many[1]) : 1,
    place: places
      .map((p) => p.trim())
      .filter(Boolean)
      .join(', '),
    priceMinor: price ? Math.round(Number(price[1]!.replace(',', '.')) * 100) : null,
  });
}
