import {
  pinForKeptHole,
  pinForTruedHole,
  schoolId,
  schoolName,
  schoolOfId,
  schoolsOf,
  truedSizeMm,
  TRUING,
  type MeasuredHole,
  type PinTarget,
  type School,
} from '../fits';
import type { Outcome } from '../outcome';
import { formatWithUnit, type LengthUnit } from '../quantity';
import { isDiameter } from '../readings';
import { minus, plus, ruled, sumOf, workedOut, type Figure } from '../working';
import { chosenFit, type FitChoice } from './choices';
import type { FeatureFinding } from './feature-finding';
import { deskOutlook, deskSetting, pairSchools, type DeskOutlook, type DeskSetting } from './fit-desk';
import type { JobSheet, Shop } from './records';

/** What one school says for one measured mate, hole kept and hole trued. */
export interface SchoolOption {
  readonly school: School;
  readonly id: string;
  readonly name: string;
  readonly kept: Outcome<PinTarget>;
  readonly trued: Outcome<PinTarget>;
  /** What the pin for the kept hole will do; null where there is none. */
  readonly outlook: DeskOutlook | null;
}

/** A chosen fit as figures with their chain. */
export interface FitFigures {
  readonly hole: Figure;
  readonly clearance: Figure;
  /** Upper limit of the new pin. */
  readonly upper: Figure;
  readonly lower: Figure;
  readonly aim: Figure;
  readonly playLargest: Figure;
  readonly mostPlay: Figure;
}

/** A hole that the new part must fit. */
export interface FitFinding {
  readonly hole: FeatureFinding;
  readonly options: readonly SchoolOption[];
  readonly setting: DeskSetting;
  /** Smallest usual size at which the hole cleans up all round, and the size it is bored to where it is trued, mm; null while it is not measured. */
  readonly cleanUpMm: number | null;
  readonly truedMm: number | null;
  readonly choice: FitChoice | null;
  /** The target by the choice, or by the house default while nothing is chosen. */
  readonly target: PinTarget | null;
  readonly figures: FitFigures | null;
  readonly problem: string | null;
}

/** House default for pins in the open: room for grease and grit; another is chosen at Decide. */
export const HOUSE_DEFAULT_SCHOOL = 'grease';

/** The usual schools, those of the pair itself, and the chosen one where it is none of them. */
function schoolsFor(hole: FeatureFinding, features: readonly FeatureFinding[], choice: FitChoice | null, shop: Shop): School[] {
  const usual = [...pairSchools(hole, features), ...schoolsOf(shop.houseRules)];
  if (!choice || usual.some((s) => schoolId(s) === choice.schoolId)) return usual;
  const chosen = schoolOfId(choice.schoolId, shop.houseRules);
  return chosen ? [...usual, chosen] : usual;
}

const measuredHole = (hole: FeatureFinding): MeasuredHole => ({
  smallestMm: hole.shape!.smallestMm,
  largestMm: hole.shape!.largestMm,
  ovalityMm: hole.shape!.mostOval.ovalityMm,
  nominalMm: hole.chosenNominal?.sizeMm,
});

function optionFor(school: School, hole: FeatureFinding, setting: DeskSetting, truedMm: number): SchoolOption {
  const kept = pinForKeptHole(measuredHole(hole), school);
  return {
    school,
    id: schoolId(school),
    name: schoolName(school),
    kept,
    trued: pinForTruedHole(truedMm, school),
    outlook: kept.ok ? deskOutlook(kept.value, setting) : null,
  };
}

/**
 * The option of a pin typed or dragged at the fit desk: its largest size is the target, the hole is kept.
 *
 * @param upperMm largest that the pin may be, mm
 */
export const ownOption = (
  { hole, setting, truedMm }: Pick<FitFinding, 'hole' | 'setting' | 'truedMm'>,
  upperMm: number,
): SchoolOption | null =>
  hole.shape ? optionFor({ kind: 'own', clearanceMm: hole.shape.smallestMm - upperMm }, hole, setting, truedMm ?? upperMm) : null;

function figuresFor(hole: FeatureFinding, target: PinTarget, choice: FitChoice, unit: LengthUnit): FitFigures {
  const id = hole.feature.id;
  const name = hole.feature.name.toLowerCase();
  const truedHole = (): Figure =>
    choice.truedMm === null
      ? workedOut(`${id}.trued`, `${name} bored true`, target.holeSmallestMm, TRUING[unit].words, hole.largest ? [hole.largest] : [])
      : ruled(`${id}.trued`, `${name} bored true`, target.holeSmallestMm, 'size chosen at Decide');
  const holeFigure = choice.hole === 'true' ? truedHole() : hole.smallest!;
  const largest = choice.hole === 'true' ? holeFigure : hole.largest!;
  const clearance = ruled(`${id}.clearance`, 'running clearance', target.clearanceMm, target.words);
  const upper = sumOf(`${id}.pin-upper`, 'largest the pin may be', [plus(holeFigure), minus(clearance)], { note: 'at 20 °C' });
  const width = ruled(
    `${id}.pin-width`,
    'tolerance of the pin',
    target.upperMm - target.lowerMm,
    'IT6 below the upper limit, or the zone itself',
  );
  const lower = sumOf(`${id}.pin-lower`, 'smallest the pin may be', [plus(upper), minus(width)]);
  const limits = { lower: target.lowerMm, upper: target.upperMm };
  return {
    hole: holeFigure,
    clearance,
    upper,
    lower,
    aim: workedOut(`${id}.pin-aim`, 'size to turn to', target.aimMm, 'middle of the limits', [lower, upper], { limits }),
    playLargest: sumOf(`${id}.play`, 'play at the widest place', [plus(largest), minus(upper)]),
    mostPlay: ruled(`${id}.most-play`, 'most play that this fit allows', target.mostPlayMm, target.words),
  };
}

/** Why a hole cannot be bored to that size; null when it can. */
export function truedTooSmall(
  { hole, cleanUpMm }: Pick<FitFinding, 'hole' | 'cleanUpMm'>,
  truedMm: number | null,
  unit: LengthUnit,
): string | null {
  if (!hole.shape || cleanUpMm === null || truedMm === null || truedMm >= hole.shape.largestMm) return null;
  const show = (mm: number): string => formatWithUnit(mm, unit);
  return `Bored to ${show(truedMm)} the widest place, ${show(hole.shape.largestMm)}, would not clean up. ${show(cleanUpMm)} or more does.`;
}

function fitOf(hole: FeatureFinding, features: readonly FeatureFinding[], sheet: JobSheet, shop: Shop): FitFinding {
  const choice = chosenFit(sheet, hole.feature.id);
  const setting = deskSetting(hole, sheet);
  const { unit } = sheet.job;
  const largestMm = hole.shape?.largestMm ?? null;
  const cleanUpMm = largestMm === null ? null : truedSizeMm(largestMm, unit);
  const truedMm = choice?.truedMm ?? cleanUpMm;
  const options = truedMm === null ? [] : schoolsFor(hole, features, choice, shop).map((s) => optionFor(s, hole, setting, truedMm));
  const used: FitChoice = choice ?? { schoolId: HOUSE_DEFAULT_SCHOOL, hole: 'keep', truedMm: null };
  const base = { hole, options, choice, setting, cleanUpMm, truedMm };
  const option = options.find((o) => o.id === used.schoolId);
  if (!hole.shape) return { ...base, target: null, figures: null, problem: 'Measure the hole first.' };
  const small = used.hole === 'true' ? truedTooSmall(base, used.truedMm, unit) : null;
  if (small) return { ...base, target: null, figures: null, problem: small };
  if (!option) return { ...base, target: null, figures: null, problem: `The house rule "${used.schoolId}" is gone. Choose another.` };
  const outcome = used.hole === 'keep' ? option.kept : option.trued;
  if (!outcome.ok) return { ...base, target: null, figures: null, problem: outcome.problems[0]!.message };
  return { ...base, target: outcome.value, figures: figuresFor(hole, outcome.value, used, unit), problem: null };
}

/** Every inside feature of a mate, as a hole that the new part must fit. */
export const fitFindings = (features: readonly FeatureFinding[], sheet: JobSheet, shop: Shop): FitFinding[] =>
  features
    .filter((f) => f.component.role === 'mate' && f.feature.side === 'inside' && isDiameter(f.feature.kind))
    .map((f) => fitOf(f, features, sheet, shop));

/** Several holes on one pin are bored in one setting: the smallest usual size at which all of them clean up, mm; null for a single hole. */
export function inLineMm(fits: readonly Pick<FitFinding, 'cleanUpMm'>[]): number | null {
  const sizes = fits.flatMap((f) => f.cleanUpMm ?? []);
  return sizes.length > 1 ? Math.max(...sizes) : null;
}
