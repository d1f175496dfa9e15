import { inSentence } from '../../terms/words';
import {
  askSchool,
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
} from '../../book/fits';
import type { Outcome } from '../../terms/outcome';
import { formatWithUnit, type LengthUnit } from '../../terms/quantity';
import { isDiameter } from '../../evidence/readings';
import { minus, plus, ruled, sumOf, workedOut, type Figure } from '../../terms/working';
import { chosenFit, type FitChoice } from './choices';
import type { PartState } from './part-states';
import type { PlaceFinding } from './place-finding';
import { deskOutlook, deskSetting, pairSchools, type DeskOutlook, type DeskSetting } from './fit-desk';
import { gripIn, type Grip } from './grip';
import type { ComponentVerdict, JobSheet, Shop } from './records';
import { runsHere, type RunsHere } from './runs-here';
import { PAIRS, type PairKind } from './runs-here.data';
import { mateOf } from './pair';

/** What one school says for one measured mate, hole kept and hole trued. */
export interface SchoolOption {
  readonly school: School;
  readonly id: string;
  readonly name: string;
  readonly kept: Outcome<PinTarget>;
  readonly trued: Outcome<PinTarget>;
  /** What the pin for the kept hole will do; null where there is none. */
  readonly outlook: DeskOutlook | null;
  /** Why it will not do for what runs here; null where it will. */
  readonly barred: string | null;
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
  readonly hole: PlaceFinding;
  /** What runs here: said, or proposed from the evidence. */
  readonly runs: RunsHere;
  /** What an interference fit made to the middle of its limits really holds in this hole; null where it holds all over, or is none. */
  readonly grip: Grip | null;
  /** The same made to its upper limit. */
  readonly gripAtMost: Grip | null;
  readonly options: readonly SchoolOption[];
  readonly setting: DeskSetting;
  /** Smallest usual size at which the hole cleans up all round, and the size it is bored to where it is trued, mm; null while it is not measured. */
  readonly cleanUpMm: number | null;
  readonly truedMm: number | null;
  readonly choice: FitChoice | null;
  /** What is in it and is reused with it: nothing is made for the pair. */
  readonly staysWith: PlaceFinding | null;
  /** It is decided to be trued and is not yet: the pin is made for the size that it will have. */
  readonly toTrue: boolean;
  /** The target by the choice, or by the house default while nothing is chosen. */
  readonly target: PinTarget | null;
  readonly figures: FitFigures | null;
  readonly problem: string | null;
}

/** House default for pins that turn in the open: room for grease and grit. */
export const HOUSE_DEFAULT_SCHOOL = 'grease';

/** The usual schools, those of the pair itself, and the chosen one where it is none of them. */
function schoolsFor(
  hole: PlaceFinding,
  places: readonly PlaceFinding[],
  choice: FitChoice | null,
  kind: PairKind | null,
  shop: Shop,
): School[] {
  const usual = [...pairSchools(hole, places, kind), ...schoolsOf(shop.houseRules)];
  if (!choice || usual.some((s) => schoolId(s) === choice.schoolId)) return usual;
  const chosen = schoolOfId(choice.schoolId, shop.houseRules);
  return chosen ? [...usual, chosen] : usual;
}

const measuredHole = (hole: PlaceFinding): MeasuredHole => ({
  smallestMm: hole.shape!.smallestMm,
  largestMm: hole.shape!.largestMm,
  ovalityMm: hole.shape!.mostOval.ovalityMm,
  nominalMm: hole.chosenNominal?.sizeMm,
});

function optionFor(school: School, hole: PlaceFinding, setting: DeskSetting, truedMm: number, kind: PairKind | null): SchoolOption {
  const kept = pinForKeptHole(measuredHole(hole), school);
  return {
    school,
    id: schoolId(school),
    name: schoolName(school),
    kept,
    trued: pinForTruedHole(truedMm, school),
    outlook: kept.ok ? deskOutlook(kept.value, setting) : null,
    barred: kind ? barredBy(kind, school, hole) : null,
  };
}

function barredBy(kind: PairKind, school: School, hole: PlaceFinding): string | null {
  const answer = askSchool(school, hole.shape!.smallestMm, hole.chosenNominal?.sizeMm);
  return answer.ok ? PAIRS[kind].bars(school, answer.value) : null;
}

/** The school of a pair while nobody has chosen one: the maker's fit where both unworn sizes are known, else that of what runs here. */
export function defaultSchoolOf({ runs, options }: Pick<FitFinding, 'runs' | 'options'>): string | null {
  if (runs.kind === null) return null;
  const maker = options.find((o) => o.id === 'maker' && o.barred === null);
  return maker ? maker.id : PAIRS[runs.kind].schoolId;
}

/**
 * The option of a pin typed or dragged at the fit desk: its largest size is the target, the hole is kept. Null while the hole is not read.
 *
 * @param upperMm largest that the pin may be, mm
 */
export const ownOption = (
  { hole, setting, truedMm, runs }: Pick<FitFinding, 'hole' | 'setting' | 'truedMm' | 'runs'>,
  upperMm: number,
): SchoolOption | null =>
  hole.shape
    ? optionFor({ kind: 'own', clearanceMm: hole.shape.smallestMm - upperMm }, hole, setting, truedMm ?? upperMm, runs.kind)
    : null;

/** What a clearance is called that may be below nothing. */
export const clearanceWords = (mm: number, words: string): string => (mm < 0 ? 'clearance, below nothing: an interference' : words);

function figuresFor(hole: PlaceFinding, target: PinTarget, choice: FitChoice, unit: LengthUnit): FitFigures {
  const id = hole.place.id;
  const name = inSentence(hole.place.name);
  const truedHole = (): Figure =>
    choice.truedMm === null
      ? workedOut(`${id}.trued`, `${name} bored true`, target.holeSmallestMm, TRUING[unit].words, hole.largest ? [hole.largest] : [])
      : ruled(`${id}.trued`, `${name} bored true`, target.holeSmallestMm, 'size chosen at Decide');
  const holeFigure = choice.hole === 'true' ? truedHole() : hole.smallest!;
  const largest = choice.hole === 'true' ? holeFigure : hole.largest!;
  const clearance = ruled(`${id}.clearance`, clearanceWords(target.clearanceMm, 'running clearance'), target.clearanceMm, target.words);
  const upper = sumOf(`${id}.pin-upper`, 'largest the new part may be', [plus(holeFigure), minus(clearance)], { note: 'at 20 °C' });
  const width = ruled(
    `${id}.pin-width`,
    'tolerance of the pin',
    target.upperMm - target.lowerMm,
    'IT6 below the upper limit, or the zone itself',
  );
  const lower = sumOf(`${id}.pin-lower`, 'smallest the new part may be', [plus(upper), minus(width)]);
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

/** A size that was to be trued to and is off by less than this is the one that was asked for, mm. */
const TRUED_WITHIN_MM = 0.05;

/** What was to be trued is trued and measured since: from then on it is kept as it is. */
export const isTrued = ({ trued }: PartState, askedMm: number | null, nowMm: number): boolean =>
  trued && (askedMm === null || Math.abs(askedMm - nowMm) < TRUED_WITHIN_MM);

/** What becomes of a component that goes back with its sizes as they are. */
const REUSED: readonly (ComponentVerdict | null)[] = ['reuse', 'clean-up'];

/** The shaft in a hole where both go back as they are. */
function staysTogether(hole: PlaceFinding, places: readonly PlaceFinding[]): PlaceFinding | null {
  const stays = ({ component }: PlaceFinding): boolean => component.role === 'mate' && REUSED.includes(component.verdict);
  const shaft = mateOf(hole, places);
  return shaft && stays(hole) && stays(shaft) ? shaft : null;
}

/** How a pair that goes back as it is stands: its play from the tightest to the loosest place, or what is still to be read. */
function staysWords(hole: PlaceFinding, shaft: PlaceFinding, unit: LengthUnit): string {
  const names = `${shaft.place.name} and ${inSentence(hole.place.name)}`;
  const apart = `Nothing is made for them. Where that will not do, say at Strip what becomes of ${inSentence(shaft.component.name)} or ${inSentence(hole.component.name)}.`;
  if (!hole.shape || !shaft.shape) return `${names} are both reused. ${apart}`;
  const least = hole.shape.smallestMm - shaft.shape.largestMm;
  const most = hole.shape.largestMm - shaft.shape.smallestMm;
  const [from, to] = [least, most].map((mm) => formatWithUnit(mm, unit));
  const play =
    least < 0
      ? `from ${from} to ${to} between them, below 0 where one is tight in the other`
      : from === to
        ? `${from} of play`
        : `${from} to ${to} of play`;
  return `${names} are both reused, with ${play}. ${apart}`;
}

function fitOf(hole: PlaceFinding, places: readonly PlaceFinding[], sheet: JobSheet, shop: Shop): FitFinding {
  const choice = chosenFit(sheet, hole.place.id);
  const runs = runsHere(hole, places, sheet);
  const setting = deskSetting(hole, places, sheet);
  const { unit } = sheet.job;
  const largestMm = hole.shape?.largestMm ?? null;
  const cleanUpMm = largestMm === null ? null : truedSizeMm(largestMm, unit);
  const truedMm = choice?.truedMm ?? cleanUpMm;
  const options =
    !hole.shape || truedMm === null
      ? []
      : schoolsFor(hole, places, choice, runs.kind, shop).map((s) => optionFor(s, hole, setting, truedMm, runs.kind));
  const staysWith = choice ? null : staysTogether(hole, places);
  const base = { hole, runs, options, choice, staysWith, setting, cleanUpMm, truedMm, toTrue: false, grip: null, gripAtMost: null };
  const none = (problem: string): FitFinding => ({ ...base, target: null, figures: null, problem });
  if (staysWith) return { ...none(staysWords(hole, staysWith, unit)), options: [] };
  if (!hole.shape) return none('Measure the hole first.');
  const taken = choice?.schoolId ?? defaultSchoolOf({ runs, options });
  if (taken === null) return none(runs.kind ? PAIRS[runs.kind].words : `Not known yet: say what runs here (${runs.why}).`);
  const chosen: FitChoice = choice ?? { schoolId: taken, hole: 'keep', truedMm: null };
  const used: FitChoice = isTrued(hole.state, chosen.truedMm, hole.shape.largestMm) ? { ...chosen, hole: 'keep' } : chosen;
  const option = options.find((o) => o.id === used.schoolId);
  const small = used.hole === 'true' ? truedTooSmall(base, used.truedMm, unit) : null;
  if (small) return none(small);
  if (!option)
    return none(
      runs.kind?.startsWith('bearing')
        ? 'No listed bearing has this bore: measure it again, or type an own target.'
        : `The house rule "${used.schoolId}" is gone. Choose another.`,
    );
  if (option.barred) return none(`${option.name} will not do here: ${option.barred}. Choose another, or say what runs here.`);
  const outcome = used.hole === 'keep' ? option.kept : option.trued;
  if (!outcome.ok) return none(outcome.problems[0]!.message);
  const gripOf = (pinMm: number): Grip | null => (used.hole === 'keep' ? gripIn(hole, pinMm) : null);
  const [grip, gripAtMost] = [gripOf(outcome.value.aimMm), gripOf(outcome.value.upperMm)];
  return {
    ...base,
    toTrue: used.hole === 'true',
    grip,
    gripAtMost,
    target: outcome.value,
    figures: figuresFor(hole, outcome.value, used, unit),
    problem: null,
  };
}

/** A new part that has holes and no outside, such as a ring over a tube, goes into no hole unless it is told so. */
function takesAPin(hole: PlaceFinding, places: readonly PlaceFinding[]): boolean {
  const linked = mateOf(hole, places) !== undefined;
  const worn = places.filter((f) => f.component.role === 'worn' && isDiameter(f.place.kind));
  return linked || worn.length === 0 || worn.some((f) => f.place.side === 'outside');
}

/** Every inside place of a mate that the new part must fit. */
export const fitFindings = (places: readonly PlaceFinding[], sheet: JobSheet, shop: Shop): FitFinding[] =>
  places
    .filter((f) => f.component.role === 'mate' && f.place.side === 'inside' && isDiameter(f.place.kind))
    .filter((f) => takesAPin(f, places))
    .map((f) => fitOf(f, places, sheet, shop));

/** A body whose size is off by more than this share of it is not meant for a hole. */
const GOES_INTO_WITHIN = 0.1;

/** Whether a body of about that size, mm, may be meant for a hole: not where it asks for quite another, or where what is in it stays. */
export const mayGoInto = ({ target, staysWith }: Pick<FitFinding, 'target' | 'staysWith'>, aboutMm: number): boolean =>
  staysWith === null && (target === null || Math.abs(target.aimMm - aboutMm) <= GOES_INTO_WITHIN * aboutMm);

/** Holes further apart in size than this do not share one pin size, mm. */
const ONE_PIN_MM = 1;

/**
 * Holes that share one pin size are bored in one setting: the smallest usual size at which all of them clean up, mm; null for a hole that
 * stands alone.
 */
export function inLineMm(own: Pick<FitFinding, 'cleanUpMm'>, fits: readonly Pick<FitFinding, 'cleanUpMm'>[]): number | null {
  const sizes = fits.flatMap((f) =>
    f.cleanUpMm !== null && own.cleanUpMm !== null && Math.abs(f.cleanUpMm - own.cleanUpMm) <= ONE_PIN_MM ? [f.cleanUpMm] : [],
  );
  return sizes.length > 1 ? Math.max(...sizes) : null;
}
