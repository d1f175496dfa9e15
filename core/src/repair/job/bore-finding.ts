import { inSentence } from '../../terms/words';
import {
  askSchool,
  boreForKeptShaft,
  boreForTruedShaft,
  schoolId,
  schoolName,
  schoolOfId,
  schoolsOf,
  truedShaftMm,
  TRUING,
  type BoreTarget,
  type School,
} from '../../book/fits';
import { materialOf } from '../../book/materials';
import type { Outcome } from '../../terms/outcome';
import { formatWithUnit, type LengthUnit } from '../../terms/quantity';
import { isDiameter } from '../../evidence/readings';
import { plus, minus, ruled, sumOf, workedOut, type Figure } from '../../terms/working';
import { chosenFit, type FitChoice } from './choices';
import type { PlaceFinding } from './place-finding';
import { clearanceWords, isTrued, type FitFinding } from './fit-finding';
import { makerClearance } from './fit-desk';
import type { JobSheet, Shop } from './records';
import { runsHere, type RunsHere } from './runs-here';
import { PAIRS, type PairKind } from './runs-here.data';
import { mateOf } from './pair';

/** What one school says of the hole for a shaft that stays. */
export interface BoreOption {
  readonly school: School;
  readonly id: string;
  readonly name: string;
  readonly kept: Outcome<BoreTarget>;
  readonly trued: Outcome<BoreTarget>;
  /** Why it will not do for what runs here; null where it will. */
  readonly barred: string | null;
}

/** A chosen bore as figures with their chain. */
export interface BoreFigures {
  /** Smallest the hole may be when all is in place. */
  readonly lower: Figure;
  readonly upper: Figure;
  readonly aim: Figure;
  /** Play where the shaft is smallest. */
  readonly playSmallest: Figure;
  /** How much the bore closes in when what it is in is pressed into its hole; null where nothing is pressed. */
  readonly closing: Figure | null;
  /** What to bore to before it is pressed in; null where nothing is pressed. */
  readonly aimBefore: Figure | null;
}

/** A shaft, tube or gland that stays: the new part has the hole. */
export interface BoreFinding {
  readonly shaft: PlaceFinding;
  readonly runs: RunsHere;
  readonly options: readonly BoreOption[];
  /** Largest usual size at which the shaft cleans up all round, mm; null while it is not measured. */
  readonly cleanUpMm: number | null;
  readonly truedMm: number | null;
  readonly choice: FitChoice | null;
  readonly target: BoreTarget | null;
  readonly figures: BoreFigures | null;
  readonly problem: string | null;
}

function optionFor(school: School, shaft: PlaceFinding, truedMm: number, kind: PairKind | null): BoreOption {
  const { smallestMm, largestMm, mostOval } = shaft.shape!;
  const nominalMm = shaft.chosenNominal?.sizeMm;
  const answer = askSchool(school, largestMm, nominalMm);
  // The rule looks at the loosest that the new part's own tolerance allows: here that of its hole.
  const barred = kind && answer.ok ? PAIRS[kind].bars(school, { ...answer.value, toleranceMm: answer.value.boreToleranceMm }) : null;
  return {
    school,
    id: schoolId(school),
    name: schoolName(school),
    kept: boreForKeptShaft({ smallestMm, largestMm, ovalityMm: mostOval.ovalityMm, nominalMm }, school),
    trued: boreForTruedShaft(truedMm, school),
    barred,
  };
}

function schoolsFor(shaft: PlaceFinding, places: readonly PlaceFinding[], choice: FitChoice | null, shop: Shop): School[] {
  const maker = makerClearance(places, 'worn', 'mate', shaft.component.id);
  const usual = [...(maker ? [maker] : []), ...schoolsOf(shop.houseRules)];
  if (!choice || usual.some((s) => schoolId(s) === choice.schoolId)) return usual;
  const chosen = schoolOfId(choice.schoolId, shop.houseRules);
  return chosen ? [...usual, chosen] : usual;
}

/** The option of a bore typed at the desk: its smallest size in mm is the target, the shaft is kept; null while the shaft is not measured. */
export const ownBore = ({ shaft, truedMm, runs }: Pick<BoreFinding, 'shaft' | 'truedMm' | 'runs'>, lowerMm: number): BoreOption | null =>
  shaft.shape ? optionFor({ kind: 'own', clearanceMm: lowerMm - shaft.shape.largestMm }, shaft, truedMm ?? lowerMm, runs.kind) : null;

/** What is pressed into its hole closes in on its bore: from the one press fit of the worn part, where there is one. */
function closingOf(fits: readonly FitFinding[], shaftMm: number): { readonly mm: number; readonly words: string } | null {
  for (const { target, setting, options, choice, hole } of fits) {
    if (!target || target.clearanceMm >= 0 || setting.pinBoreMm <= 0 || Math.abs(setting.pinBoreMm - shaftMm) > NEAR_SHARE * shaftMm)
      continue;
    const used = options.find((o) => o.id === choice?.schoolId) ?? options.find((o) => o.kept.ok && o.kept.value === target);
    const closes = used?.outlook?.closesAtAimMm;
    const taken = materialOf(setting.holeMaterialId) ? '' : ', what it is in taken for steel';
    if (closes) return { mm: closes, words: `pressed into ${inSentence(hole.place.name)} at the middle of its limits${taken}, by Lamé` };
  }
  return null;
}
/** The worn bore lies this near to the shaft that runs in it, as a share. */
const NEAR_SHARE = 0.1;

function figuresFor(
  shaft: PlaceFinding,
  target: BoreTarget,
  choice: FitChoice,
  closing: ReturnType<typeof closingOf>,
  unit: LengthUnit,
): BoreFigures {
  const id = shaft.place.id;
  const name = inSentence(shaft.place.name);
  const trued = (): Figure =>
    choice.truedMm === null
      ? workedOut(`${id}.trued`, `${name} turned true`, target.shaftLargestMm, `the mirror of: ${TRUING[unit].words}`, [shaft.smallest!])
      : ruled(`${id}.trued`, `${name} turned true`, target.shaftLargestMm, 'size chosen at Decide');
  const largest = choice.hole === 'true' ? trued() : shaft.largest!;
  const smallest = choice.hole === 'true' ? largest : shaft.smallest!;
  const clearance = ruled(`${id}.clearance`, clearanceWords(target.clearanceMm, 'clearance'), target.clearanceMm, target.words);
  const lower = sumOf(`${id}.bore-lower`, 'smallest the bore may be', [plus(largest), plus(clearance)], { note: 'at 20 °C' });
  const width = ruled(
    `${id}.bore-width`,
    'tolerance of the bore',
    target.upperMm - target.lowerMm,
    'a grade coarser than the pin’s, or the zone itself',
  );
  const upper = sumOf(`${id}.bore-upper`, 'largest the bore may be', [plus(lower), plus(width)]);
  const limits = { lower: target.lowerMm, upper: target.upperMm };
  const aim = workedOut(`${id}.bore-aim`, 'size to bore to', target.aimMm, 'middle of the limits', [lower, upper], { limits });
  const closes = closing && ruled(`${id}.closing`, 'bore closes in', closing.mm, closing.words);
  return {
    lower,
    upper,
    aim,
    playSmallest: sumOf(`${id}.bore-play`, 'play where the shaft is smallest', [plus(lower), minus(smallest)]),
    closing: closes,
    aimBefore: closes && sumOf(`${id}.bore-before`, 'bore to this before it is pressed in', [plus(aim), plus(closes)]),
  };
}

/** Why a shaft cannot be turned to that size; null when it can. */
export function truedTooLarge(
  { shaft, cleanUpMm }: Pick<BoreFinding, 'shaft' | 'cleanUpMm'>,
  truedMm: number | null,
  unit: LengthUnit,
): string | null {
  if (!shaft.shape || cleanUpMm === null || truedMm === null || truedMm <= shaft.shape.smallestMm) return null;
  const show = (mm: number): string => formatWithUnit(mm, unit);
  return `Turned to ${show(truedMm)} the thinnest place, ${show(shaft.shape.smallestMm)}, would not clean up. ${show(cleanUpMm)} or less does.`;
}

function boreOf(
  shaft: PlaceFinding,
  places: readonly PlaceFinding[],
  fits: readonly FitFinding[],
  sheet: JobSheet,
  shop: Shop,
): BoreFinding {
  const choice = chosenFit(sheet, shaft.place.id);
  const runs = runsHere(shaft, places, sheet);
  const { unit } = sheet.job;
  const cleanUpMm = shaft.shape && truedShaftMm(shaft.shape.smallestMm, unit);
  const truedMm = choice?.truedMm ?? cleanUpMm;
  const options =
    !shaft.shape || truedMm === null ? [] : schoolsFor(shaft, places, choice, shop).map((s) => optionFor(s, shaft, truedMm, runs.kind));
  const base = { shaft, runs, options, choice, cleanUpMm, truedMm };
  const none = (problem: string): BoreFinding => ({ ...base, target: null, figures: null, problem });
  if (!shaft.shape) return none('Measure the shaft first.');
  const maker = options.find((o) => o.id === 'maker' && o.barred === null);
  const taken = choice?.schoolId ?? (runs.kind && (maker?.id ?? PAIRS[runs.kind].schoolId));
  if (!taken) return none(runs.kind ? PAIRS[runs.kind].words : `Not known yet: say what runs here (${runs.why}).`);
  const chosen: FitChoice = choice ?? { schoolId: taken, hole: 'keep', truedMm: null };
  const used: FitChoice = isTrued(shaft.state, chosen.truedMm, shaft.shape.smallestMm) ? { ...chosen, hole: 'keep' } : chosen;
  const large = used.hole === 'true' ? truedTooLarge(base, used.truedMm, unit) : null;
  if (large) return none(large);
  const option = options.find((o) => o.id === used.schoolId);
  if (!option)
    return none(
      runs.kind?.startsWith('bearing')
        ? 'A bearing’s bore is as it is bought: the shaft is made to it. See Bearing seats at Sums.'
        : `The house rule "${used.schoolId}" is gone. Choose another.`,
    );
  if (option.barred) return none(`${option.name} will not do here: ${option.barred}. Choose another, or say what runs here.`);
  const outcome = used.hole === 'keep' ? option.kept : option.trued;
  if (!outcome.ok) return none(outcome.problems[0]!.message);
  const closing = closingOf(fits, outcome.value.shaftLargestMm);
  return { ...base, target: outcome.value, figures: figuresFor(shaft, outcome.value, used, closing, unit), problem: null };
}

/**
 * Every outside diameter of a mate that a hole of the new part goes over: the bore of a bush on its shaft, a ring over a tube, a hub.
 *
 * @param fits the holes that the new part goes into: what is pressed into one closes in on its bore
 */
export const boreFindings = (places: readonly PlaceFinding[], fits: readonly FitFinding[], sheet: JobSheet, shop: Shop): BoreFinding[] =>
  places
    .filter((f) => f.component.role === 'mate' && f.place.side === 'outside' && isDiameter(f.place.kind))
    .filter((f) => takesAHole(f, places))
    .map((f) => boreOf(f, places, fits, sheet, shop));

/** It is told so at Strip; where nothing is told of it, the worn part has a hole. */
function takesAHole({ place }: PlaceFinding, places: readonly PlaceFinding[]): boolean {
  const mate = mateOf({ place }, places);
  if (mate) return mate.component.role === 'worn' && mate.place.side === 'inside';
  return places.some((f) => f.component.role === 'worn' && f.place.side === 'inside' && isDiameter(f.place.kind));
}
