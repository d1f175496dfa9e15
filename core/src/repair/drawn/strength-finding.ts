import { besideWeld, materialOf, type Material } from '../../book/materials';
import { heatedOf, LOADS, strengthAlong, weakest, type Bearing, type Load } from '../../making/strength';
import { tabled, workedOut, type Figure, type Measure } from '../../terms/working';
import { inSentence } from '../../terms/words';
import { liesTurned } from '../../making/drawing';
import { mirrored, outline, partLengthMm, validatePart, type Part } from '../../making/part';

/** The weakest place of a part under one load, with what it bears for ever. */
export interface Weakest {
  readonly bearing: Bearing;
  /** Nm bent or twisted, N pulled. */
  readonly figure: Figure;
}

/** Old against new under one load. */
export interface StrengthRow {
  readonly load: Load;
  readonly words: string;
  /** Null where the old part was not read, or has no usual endurance. */
  readonly old: Weakest | null;
  readonly new: Weakest;
  /** New over old at the weakest place of each; null where the old part was not read there. */
  readonly ratio: Figure | null;
  /** What each bears along its axis; of an old part that was not read nothing. */
  readonly along: { readonly old: readonly Bearing[]; readonly new: readonly Bearing[] };
}

/** A place where the new part bears less than the old one did there. */
export interface Weaker {
  readonly load: Load;
  readonly atMm: number;
  readonly words: string;
  /** New over old. */
  readonly share: number;
}

/** What would break first, old against new. */
export interface StrengthFinding {
  readonly rows: readonly StrengthRow[];
  readonly weaker: readonly Weaker[];
  /** The old material is not known: the new one's stands for both, and only the shapes are told apart. */
  readonly byShape: boolean;
  /** What a weld on the new part leaves of its material, in sentences; none where nothing of it is welded or nothing gets softer. */
  readonly weld: readonly string[];
  /** Places of both parts whose factor lies beyond what was published. */
  readonly beyond: readonly string[];
}

const LOAD_WORDS: Readonly<Record<Load, string>> = {
  bending: 'bent while it turns',
  torsion: 'twisted to and fro',
  tension: 'pulled and pushed',
};

/** Places this near to each other are the same place of both parts, mm. */
const SAME_PLACE_MM = 2;
/** Less than this apart is no difference that the factors can tell. */
const WEAKER_SHARE = 0.95;

/** The book's own value, or the one beside a weld. */
const sourceOf = (material: Material): string =>
  material.tensileMpa === materialOf(material.id)?.tensileMpa ? material.name : `${material.name}, beside the weld`;

function weakestOf(which: 'old' | 'new', along: readonly Bearing[], load: Load): Weakest | null {
  const bearing = weakest(along);
  if (!bearing || bearing.forEver === null) return null;
  const { kf, kt, words, outsideMm, forEver, material } = bearing;
  const key = `strength.${load}.${which}`;
  const measure: Measure = load === 'tension' ? 'force' : 'torque';
  const from = [
    tabled(`${key}.endurance`, 'tensile strength', material.tensileMpa, sourceOf(material), 'stress'),
    tabled(`${key}.section`, 'diameter of the section', outsideMm, `at ${inSentence(words)}`),
    ...(kt === null ? [] : [tabled(`${key}.kt`, 'stress concentration Kt', kt, 'Peterson, Roark, Shigley: see the docs', 'ratio')]),
    tabled(
      `${key}.kf`,
      'of which fatigue feels Kf',
      kf,
      kt === null ? 'Shigley, table 8-16, cut thread; 1 for a plain section' : '1 + q (Kt - 1), q after Neuber',
      'ratio',
    ),
  ];
  const how = 'section x half the tensile strength, less for surface, size and load, over Kf';
  return { bearing, figure: workedOut(key, `${which} part, ${LOAD_WORDS[load]}, for ever`, forEver, how, from, { measure }) };
}

function weakerPlaces(load: Load, old: readonly Bearing[], now: readonly Bearing[]): Weaker[] {
  return now.flatMap((b): Weaker[] => {
    const there = old.filter((o) => Math.abs(o.atMm - b.atMm) <= SAME_PLACE_MM && o.forEver !== null);
    const before = Math.min(...there.map((o) => o.forEver!));
    const share = b.forEver === null ? Infinity : b.forEver / before;
    return there.length && share < WEAKER_SHARE ? [{ load, atMm: b.atMm, words: b.words, share }] : [];
  });
}

/** What counts beside a weld, and what nobody tells. */
function weldWords(part: Part, material: Material): string[] {
  if (!heatedOf(part).length) return [];
  const soft = besideWeld(material);
  const itself = 'What the weld itself bears, and the notch at its edge, is not in these numbers.';
  if (!soft)
    return [
      `How strong ${inSentence(material.name)} is beside a weld is not in the book: its strength away from the weld stands here.`,
      itself,
    ];
  if (soft === material) return [itself];
  const away = `${material.tensileMpa} MPa`;
  return [`Beside the weld ${inSentence(material.name)} has ${soft.tensileMpa} MPa left of ${away}: that counts there.`, itself];
}

/**
 * What would break first under the same load all along: old against new. Null while the new part's material is not known, while its drawing does not
 * hold, and for a block. A guide for holding one against the other, no design.
 *
 * @param old the part as it was made once; null where it was not read
 */
export function strengthFinding(old: { readonly part: Part; readonly materialId: string } | null, part: Part): StrengthFinding | null {
  const material = materialOf(part.materialId);
  if (!material || part.block || !part.outside.length || !validatePart(part).ok) return null;
  const known = old ? materialOf(old.materialId) : undefined;
  // What the old one is made of need not be known for its shape to be held against the new one's.
  const shape = old && { ...old.part, materialId: part.materialId };
  const read = shape && validatePart(shape).ok ? shape : null;
  // The other hand is held against the old part end for end.
  const before = read && (liesTurned(outline(read), outline(part)) ? mirrored(read) : read);
  const readToMm = before ? partLengthMm(before) : 0;
  const beyond = new Set<string>();
  const weaker: Weaker[] = [];
  const rows = LOADS.flatMap((load): StrengthRow[] => {
    const now = strengthAlong(part, material, load);
    const was = before ? strengthAlong(before, known ?? material, load) : [];
    for (const b of [...now, ...was]) if (!b.inRange) beyond.add(b.words);
    weaker.push(...weakerPlaces(load, was, now));
    const here = weakestOf('new', now, load);
    const there = weakestOf('old', was, load);
    if (!here) return [];
    // The old part says nothing of where it was not read.
    const held = here && there && here.bearing.atMm < readToMm - SAME_PLACE_MM;
    const ratio = held
      ? workedOut(
          `strength.${load}.ratio`,
          'new over old',
          here.figure.value / there.figure.value,
          'weakest place of each',
          [here.figure, there.figure],
          {
            measure: 'ratio',
          },
        )
      : null;
    return [{ load, words: LOAD_WORDS[load], old: there, new: here, ratio, along: { old: was, new: now } }];
  });
  return rows.length ? { rows, weaker, byShape: before !== null && !known, weld: weldWords(part, material), beyond: [...beyond] } : null;
}
