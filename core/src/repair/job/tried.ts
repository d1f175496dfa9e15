import { trialBounds, type Limits, type TrialBounds, type TrialFeel } from '../../evidence/proof';
import { formatWithUnit, placeWithUnit, type LengthUnit } from '../../terms/quantity';
import { inSentence } from '../../terms/words';
import { choiceKey, loggedChoices } from './choices';
import { alphaOf } from './measured';
import type { SegmentFinding } from './part-finding';
import type { PlaceFinding } from './place-finding';
import type { JobSheet } from './records';

/** A piece tried with its mate. */
export interface TrialChoice {
  readonly itemId: string;
  readonly piece: number;
  /** Surface of the new part, or the dimension that was tried: a thread over its wires. */
  readonly segmentId: string;
  /** Measured place of the mate; null for another part, the nut. */
  readonly placeId: string | null;
  readonly feel: TrialFeel;
  /** How far it went before it bound, mm; null where it did not bind. */
  readonly wentInMm: number | null;
  /** The face of the mate at which it went in. */
  readonly from: 'start' | 'end';
  /** Temperature of the piece, °C; null for that of the shop. */
  readonly partTempC: number | null;
  readonly remark: string;
  /** ISO time. */
  readonly triedAt: string;
  readonly removed: boolean;
}

export interface Trial extends TrialChoice {
  readonly id: string;
  readonly personId: string;
}

/** What trials of one surface came to. */
export interface TriedFinding {
  /** Measured places that it is tried in. */
  readonly mates: readonly PlaceFinding[];
  /** A thread, tried with its nut. */
  readonly nut: boolean;
  /** Newest last. */
  readonly trials: readonly Trial[];
  /** What the size can be by them, and by what was read since, mm at 20 °C; null where they say nothing, or contradict it. */
  readonly canBe: TrialBounds | null;
  /** Readings and trials that cannot both be right, in words; null where they agree. */
  readonly against: string | null;
  readonly sentences: readonly string[];
  /** The newest trial went wrong where hand-fitting was wanted: it bound, or did not go in. */
  readonly bound: string | null;
}

/** A size as it was read last: mm at 20 °C, and half the width of its 95 % band. */
export interface ReadSize {
  readonly mm: number;
  readonly plusMinusMm: number;
}

/** Every trial of an item's pieces, oldest first. */
export const trialsOf = (sheet: Pick<JobSheet, 'choices'>, itemId: string): Trial[] =>
  loggedChoices<TrialChoice>(sheet, choiceKey.trial(''))
    .filter((t) => t.itemId === itemId)
    .sort((a, b) => Date.parse(a.triedAt) - Date.parse(b.triedAt));

/** A size by what it reads and how it went together, where that tells more than the reading alone; else null. */
export function narrowed({ canBe }: Pick<TriedFinding, 'canBe'>, read: ReadSize | null): ReadSize | null {
  if (!read || canBe?.atLeastMm == null || canBe.atMostMm == null) return null;
  const plusMinusMm = (canBe.atMostMm - canBe.atLeastMm) / 2;
  return plusMinusMm < read.plusMinusMm - 1e-9 ? { mm: canBe.atLeastMm + plusMinusMm, plusMinusMm } : null;
}

interface Mate {
  readonly place: PlaceFinding;
  /** Room that the chosen fit leaves; null where none is chosen. */
  readonly clearanceMm: number | null;
}

/** Measured places that a surface is tried with. */
const matesOf = ({ fits, bores }: Pick<SegmentFinding, 'fits' | 'bores'>): Mate[] => [
  ...fits.map((f) => ({ place: f.hole, clearanceMm: f.target?.clearanceMm ?? null })),
  ...bores.map((b) => ({ place: b.shaft, clearanceMm: b.target?.clearanceMm ?? null })),
];

/** A size of the piece at 20 °C that just has a size of the mate at 20 °C when both are as warm as they were. */
function atTrial(mateMm: number, mate: PlaceFinding, materialId: string, partC: number, mateC: number): number {
  const grown = (id: string, c: number): number => 1 + alphaOf(id) * (c - 20);
  return (mateMm * grown(mate.component.materialId, mateC)) / grown(materialId, partC);
}

function boundsOf(trial: Trial, segment: SegmentFinding, materialId: string, shopTempC: number): TrialBounds | null {
  const mate = matesOf(segment).find((m) => m.place.place.id === trial.placeId)?.place;
  if (!mate?.shape) return null;
  const { startMm, lengthMm, side } = mate.place;
  const said = trialBounds(trial.feel, trial.wentInMm, { side, shape: mate.shape, startMm, lengthMm, from: trial.from });
  const cold = (mm: number | null): number | null =>
    mm === null ? null : atTrial(mm, mate, materialId, trial.partTempC ?? shopTempC, shopTempC);
  return { atLeastMm: cold(said.atLeastMm), atMostMm: cold(said.atMostMm) };
}

const FEEL_WORDS: Readonly<Record<TrialFeel, (wentIn: string) => string>> = {
  'will-not-enter': () => 'does not go in',
  binds: (wentIn) => `goes in ${wentIn} and binds`,
  slides: () => 'slides through, no shake',
  shakes: () => 'slides through, and shakes',
};

/** `goes in 12 mm and binds`. */
export const trialWords = ({ feel, wentInMm }: Pick<TrialChoice, 'feel' | 'wentInMm'>, unit: LengthUnit): string =>
  FEEL_WORDS[feel](placeWithUnit(wentInMm ?? 0, unit));

const HELD: readonly TrialFeel[] = ['will-not-enter', 'binds'];

const greatest = (xs: readonly number[]): number | null => (xs.length ? Math.max(...xs) : null);
const least = (xs: readonly number[]): number | null => (xs.length ? Math.min(...xs) : null);
const sizes = (xs: readonly (number | null)[]): number[] => xs.filter((x) => x !== null);

/**
 * What trials leave open. Turning only takes metal off: that it went in stays true, that it bound is of the moment. Of a bore the other way about.
 *
 * @param cutAt when the size was read last while it was cut, ms; -Infinity where it was not
 */
function leftOpen(trials: readonly Trial[], segment: SegmentFinding, materialId: string, shopTempC: number, cutAt: number): TrialBounds {
  const all = trials.map((t) => boundsOf(t, segment, materialId, shopTempC));
  const newest = trials.at(-1);
  const now = newest && Date.parse(newest.triedAt) > cutAt ? [all.at(-1) ?? null] : [];
  const outside = segment.segment.side === 'outside';
  return {
    atLeastMm: greatest(sizes((outside ? now : all).map((b) => b?.atLeastMm ?? null))),
    atMostMm: least(sizes((outside ? all : now).map((b) => b?.atMostMm ?? null))),
  };
}

const withRead = (open: TrialBounds, read: ReadSize | null): TrialBounds =>
  read === null
    ? open
    : {
        atLeastMm: greatest(sizes([open.atLeastMm, read.mm - read.plusMinusMm])),
        atMostMm: least(sizes([open.atMostMm, read.mm + read.plusMinusMm])),
      };

function betweenWords({ atLeastMm, atMostMm }: TrialBounds, show: (mm: number) => string): string {
  if (atLeastMm !== null && atMostMm !== null) return `between ${show(atLeastMm)} and ${show(atMostMm)}`;
  return atLeastMm !== null ? `at least ${show(atLeastMm)}` : `at most ${show(atMostMm!)}`;
}

/** Whether everything that a size can be lies in its limits. */
const isInside = ({ atLeastMm, atMostMm }: TrialBounds, { lowerMm, upperMm }: Limits): boolean =>
  atLeastMm !== null && atMostMm !== null && atLeastMm >= lowerMm && atMostMm <= upperMm;

/** A nut on its thread. */
const WITH_THE_NUT: Readonly<Record<TrialFeel, string>> = {
  'will-not-enter': 'It does not start: read it, chamfer its end, then take a little more.',
  binds: 'It starts and binds: one more light pass, then a spring pass, and try again.',
  slides: 'It goes as it should. Take no more.',
  shakes: 'It shakes: it is as small as it may get, or smaller. Read it before it is passed.',
};

/** A part that nobody measured tells no size. */
const untold = (trials: readonly Trial[]): TriedFinding => ({
  ...{ mates: [], nut: false, trials, canBe: null, against: null, sentences: [], bound: null },
});

/** Trials of a thread: only the newest counts. */
export function triedWithNut(trials: readonly Trial[]): TriedFinding {
  const last = trials.at(-1);
  return { ...untold(trials), nut: true, sentences: last ? [WITH_THE_NUT[last.feel]] : [] };
}

/**
 * What trials of one surface say together with what was read.
 *
 * @param trials of that surface and piece, oldest first
 * @param read as it was read last; null where nobody did
 * @param cutAt when it was read last while it was cut, ms; -Infinity where it was not
 */
export function triedFinding(
  trials: readonly Trial[],
  segment: SegmentFinding,
  read: ReadSize | null,
  cutAt: number,
  at: { readonly materialId: string; readonly shopTempC: number; readonly unit: LengthUnit },
): TriedFinding {
  const mates = matesOf(segment);
  if (mates.length === 0) return untold(trials);
  const places = mates.map((m) => m.place);
  const newest = trials.at(-1);
  if (!newest) return { ...untold([]), mates: places };
  const { materialId, shopTempC, unit } = at;
  const show = (mm: number): string => formatWithUnit(mm, unit);
  const open = leftOpen(trials, segment, materialId, shopTempC, cutAt);
  const mate = mates.find((m) => m.place.place.id === newest.placeId);
  const heldNow = HELD.includes(newest.feel) && Date.parse(newest.triedAt) > cutAt;
  const fittedByHand = mate?.clearanceMm != null && mate.clearanceMm > 0;
  const bound = heldNow && fittedByHand ? `Tried in ${inSentence(mate.place.place.name)}, it ${trialWords(newest, unit)}.` : null;
  const base = { mates: places, nut: false, trials, bound };
  if (open.atLeastMm === null && open.atMostMm === null) return { ...base, canBe: null, against: null, sentences: bound ? [bound] : [] };
  const canBe = withRead(open, read);
  const contradicts = canBe.atLeastMm !== null && canBe.atMostMm !== null && canBe.atLeastMm > canBe.atMostMm;
  if (contradicts) {
    const said = read ? `It reads ${show(read.mm)} ±${show(read.plusMinusMm)}; by how it went in it is ${betweenWords(open, show)}.` : '';
    return {
      ...base,
      canBe: null,
      against: [
        said || 'The trials contradict each other.',
        'Both cannot be right. Wipe and deburr both, let both be as warm as the shop, read it again, and read its mate where it bound: it may be tighter between two places that were read.',
      ].join(' '),
      sentences: [],
    };
  }
  const inside = isInside(canBe, segment.limits);
  return {
    ...base,
    canBe,
    against: null,
    sentences: [
      `By how it went in it is ${betweenWords(open, show)}${read ? `; with what it reads, ${betweenWords(canBe, show)}` : ''}.`,
      ...(inside ? ['All of that is inside its limits.'] : []),
    ],
  };
}
