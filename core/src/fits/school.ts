import { bad, good, type Outcome } from '../outcome';
import { houseAllowanceMm, houseRuleWords, type HouseRule } from './house-rule';
import { toleranceWidth, zoneDeviations, type Zone } from './iso286';
import { ISO286_SOURCE } from './iso286.data';

/** A way to choose a fit. `iso:f7` and the like are shaft zones on an H7 hole; the rest are house rules by id. */
export type School = { readonly kind: 'house'; readonly rule: HouseRule } | { readonly kind: 'iso'; readonly zone: Exclude<Zone, 'H7'> };

/** What a school says for a mate of a given smallest size: allowance from the mate down (or up) to the new part's upper limit. */
export interface SchoolAnswer {
  /** Mate's smallest size less the new part's upper limit; negative is interference. */
  readonly clearanceMm: number;
  /** Width of the new part's own tolerance. */
  readonly toleranceMm: number;
  /** The most play that the school allows. */
  readonly mostPlayMm: number;
  readonly words: string;
}

export const schoolId = (s: School): string => (s.kind === 'house' ? s.rule.id : `iso:${s.zone}`);
export const schoolName = (s: School): string => (s.kind === 'house' ? s.rule.name : `H7/${s.zone}`);

/** Schools in the order a shop considers them: its own rules, then ISO. */
export const schoolsOf = (rules: readonly HouseRule[]): School[] => [
  ...rules.map((rule) => ({ kind: 'house', rule }) as const),
  ...(['f7', 'g6', 'h6', 'p6'] as const).map((zone) => ({ kind: 'iso', zone }) as const),
];

/** Widest tolerance of a house fit beyond the ISO table, mm: IT6 at 250 mm. */
const BEYOND_TABLE_TOLERANCE_MM = 0.029;

function houseAnswer(rule: HouseRule, sizeMm: number): SchoolAnswer {
  const clearanceMm = houseAllowanceMm(rule, sizeMm);
  const width = toleranceWidth(rule.grade, sizeMm);
  const toleranceMm = width.ok ? width.value : BEYOND_TABLE_TOLERANCE_MM;
  return {
    clearanceMm,
    toleranceMm,
    mostPlayMm: Math.max(clearanceMm, 0) * rule.mostPlayFactor,
    words: houseRuleWords(rule),
  };
}

function isoAnswer(zone: Exclude<Zone, 'H7'>, sizeMm: number): Outcome<SchoolAnswer> {
  const shaft = zoneDeviations(zone, sizeMm);
  const hole = zoneDeviations('H7', sizeMm);
  if (!shaft.ok) return shaft;
  if (!hole.ok) return hole;
  return good({
    clearanceMm: -shaft.value.upperMm,
    toleranceMm: shaft.value.upperMm - shaft.value.lowerMm,
    mostPlayMm: Math.max(hole.value.upperMm - shaft.value.lowerMm, 0),
    words: `${ISO286_SOURCE} H7/${zone}`,
  });
}

/** What a school says for a hole of that smallest size; a reason when its table does not reach. */
export function askSchool(school: School, sizeMm: number): Outcome<SchoolAnswer> {
  if (!(sizeMm > 0)) return bad('no-size', 'Measure the mate first: a fit needs its size.');
  return school.kind === 'house' ? good(houseAnswer(school.rule, sizeMm)) : isoAnswer(school.zone, sizeMm);
}
