import { bad, good, type Outcome } from '../../terms/outcome';
import { houseAllowanceMm, houseRuleWords, type HouseRule } from './house-rule';
import { GRADES, toleranceWidth, type ToleranceGrade } from './iso286';
import { fitPair, splitIsoFit } from './pair';

/**
 * A way to choose a fit: the shop's own rule; a pair of a standard (`H7/f7`, `RC4`); what the maker gave, read off unworn places;
 * the seat of a rolling bearing, whose limits stand on the bearing's nominal bore; or a clearance typed at the fit desk.
 */
export type School =
  | { readonly kind: 'house'; readonly rule: HouseRule }
  | { readonly kind: 'pair'; readonly fit: string }
  | { readonly kind: 'maker'; readonly clearanceMm: number; readonly words: string }
  | {
      readonly kind: 'seat';
      readonly standing?: true;
      readonly name: string;
      readonly lowerMm: number;
      readonly upperMm: number;
      readonly words: string;
    }
  | { readonly kind: 'own'; readonly clearanceMm: number };

/** What a school says for a mate of a given smallest size: allowance from the mate down (or up) to the new part's upper limit. */
export interface SchoolAnswer {
  /** Mate's smallest size less the new part's upper limit; negative is interference. */
  readonly clearanceMm: number;
  /** Width of the new part's own tolerance. */
  readonly toleranceMm: number;
  /** The same where the new part has the hole: a hole is made a grade coarser than its shaft, or to the pair's own zone. */
  readonly boreToleranceMm: number;
  /** The most play that the school allows. */
  readonly mostPlayMm: number;
  readonly words: string;
}

/** Stable id for a choice: a house rule's own, `iso:f7` for a shaft on H7, `iso:H8/e8` otherwise, `inch:RC4`. */
export function schoolId(s: School): string {
  if (s.kind === 'house') return s.rule.id;
  if (s.kind === 'own') return `own:${s.clearanceMm.toFixed(OWN_DECIMALS)}`;
  if (s.kind === 'seat' && s.standing) return 'seat-standing';
  if (s.kind !== 'pair') return s.kind;
  const iso = splitIsoFit(s.fit);
  if (!iso) return `inch:${s.fit}`;
  return iso.hole === 'H7' ? `iso:${iso.shaft}` : `iso:${iso.hole}/${iso.shaft}`;
}

/** A school as it is written on the screen and in reasons. */
export function schoolName(s: School): string {
  switch (s.kind) {
    case 'house':
      return s.rule.name;
    case 'pair':
      return s.fit;
    case 'maker':
      return 'As the maker had it';
    case 'seat':
      return s.name;
    case 'own':
      return 'Own target';
  }
}

/** Decimals of mm that an own clearance keeps: a tenth of a micrometre. */
const OWN_DECIMALS = 4;

/** The pairs laid beside the house rules: one of each character from either system, loosest first. */
const PAIRS_AT_HAND = ['H8/e8', 'H7/f7', 'H7/g6', 'H7/h6', 'H7/k6', 'H7/p6', 'H7/s6', 'RC5', 'RC3', 'LC2', 'LT3', 'LN2', 'FN2'] as const;

/** Schools in the order a shop considers them: its own rules, then the systems. */
export const schoolsOf = (rules: readonly HouseRule[]): School[] => [
  ...rules.map((rule) => ({ kind: 'house', rule }) as const),
  ...PAIRS_AT_HAND.map((fit) => ({ kind: 'pair', fit }) as const),
];

/** The school of an id: one of the shop's rules, or any pair of a standard; undefined when the rule is gone or the id is none. */
export function schoolOfId(id: string, rules: readonly HouseRule[]): School | undefined {
  const rule = rules.find((r) => r.id === id);
  if (rule) return { kind: 'house', rule };
  const [system, name] = id.split(':');
  if (system === 'own' && Number.isFinite(Number(name || NaN))) return { kind: 'own', clearanceMm: Number(name) };
  if (!name || (system !== 'iso' && system !== 'inch')) return undefined;
  return { kind: 'pair', fit: system === 'iso' && !name.includes('/') ? `H7/${name}` : name };
}

/** Widest tolerance of a house fit beyond the ISO table, mm: IT6 at 500 mm. */
const BEYOND_TABLE_TOLERANCE_MM = 0.04;

/** A plain clearance is made to this grade, and may grow to this many times itself before the pin knocks. */
const PLAIN = { grade: 'IT6', mostPlayFactor: 2 } as const;

function answerFor(
  clearanceMm: number,
  sizeMm: number,
  words: string,
  { grade, mostPlayFactor }: Pick<HouseRule, 'grade' | 'mostPlayFactor'> = PLAIN,
): SchoolAnswer {
  const widthOf = (g: ToleranceGrade): number => {
    const width = toleranceWidth(g, sizeMm);
    return width.ok ? width.value : BEYOND_TABLE_TOLERANCE_MM;
  };
  const coarser = GRADES[GRADES.indexOf(grade) + 1] ?? grade;
  return {
    clearanceMm,
    toleranceMm: widthOf(grade),
    boreToleranceMm: widthOf(coarser),
    mostPlayMm: Math.max(clearanceMm, 0) * mostPlayFactor,
    words,
  };
}

const houseAnswer = (rule: HouseRule, sizeMm: number): SchoolAnswer =>
  answerFor(houseAllowanceMm(rule, sizeMm), sizeMm, houseRuleWords(rule), rule);

function pairAnswer(fit: string, nominalMm: number): Outcome<SchoolAnswer> {
  const pair = fitPair(fit, nominalMm);
  if (!pair.ok) return pair;
  const { hole, shaft, mostClearanceMm, source, name } = pair.value;
  return good({
    // The mate is measured, so its smallest size stands for the hole's lower limit.
    clearanceMm: hole.lowerMm - shaft.upperMm,
    toleranceMm: shaft.upperMm - shaft.lowerMm,
    boreToleranceMm: hole.upperMm - hole.lowerMm,
    mostPlayMm: Math.max(mostClearanceMm, 0),
    words: `${source} ${name}`,
  });
}

/**
 * What a school says for a hole of that smallest size; a reason when its table does not reach.
 *
 * @param nominalMm what the hole was made to: it picks the table's step; the measured size where nothing better is known
 */
export function askSchool(school: School, sizeMm: number, nominalMm = sizeMm): Outcome<SchoolAnswer> {
  if (!(sizeMm > 0)) return bad('no-size', 'Measure the mate first: a fit needs its size.');
  switch (school.kind) {
    case 'house':
      return good(houseAnswer(school.rule, sizeMm));
    case 'pair':
      return pairAnswer(school.fit, nominalMm);
    case 'maker':
      return good(answerFor(school.clearanceMm, sizeMm, school.words));
    case 'own':
      return good(answerFor(school.clearanceMm, sizeMm, 'chosen at the fit desk'));
    case 'seat':
      return good({
        clearanceMm: sizeMm - school.upperMm,
        toleranceMm: school.upperMm - school.lowerMm,
        boreToleranceMm: school.upperMm - school.lowerMm,
        mostPlayMm: Math.max(sizeMm - school.lowerMm, 0),
        words: school.words,
      });
  }
}
