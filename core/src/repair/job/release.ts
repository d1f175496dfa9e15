import { sentence, typed, type Figure, type Measure } from '../../terms/working';
import type { LengthUnit } from '../../terms/quantity';
import { choiceKey } from './choices';
import type { DimensionFinding, PartFinding } from './part-finding';
import type { FrozenFigure, JobSheet, ReleaseRecord } from './records';

/** A number that is no longer what was released: changed, gone, or come since. */
export interface MovedFigure {
  readonly key: string;
  readonly label: string;
  readonly measure: Measure;
  /** Null when it was not there when the part was released. */
  readonly oldMm: number | null;
  /** Null when the figure can no longer be worked out. */
  readonly newMm: number | null;
}

/** Smaller moves than this are rounding, mm. */
export const MOVED_LEAST_MM = 0.0005;

/** Limits that somebody typed: two of them may move about the same middle. */
function typedLimits({ figure, from }: DimensionFinding): Figure[] {
  if (from !== 'typed' || !figure.limits) return [];
  const end = (side: 'lower' | 'upper'): Figure =>
    typed(`${figure.key}.${side}`, `${figure.label}, ${side} limit`, figure.limits![side], 'the limits at Draw', '', figure.measure);
  return [end('lower'), end('upper')];
}

/**
 * The figures that a released part rests on: every dimension, each fit's hole, clearance and play.
 *
 * @param planned what its plan freezes: stock, tool and stops
 */
export function releasable(found: PartFinding | null, planned: readonly Figure[]): Figure[] {
  if (!found) return [];
  const sizes = found.dimensions.flatMap((d) => [d.figure, ...typedLimits(d)]);
  const fits = [...new Set(found.segments.flatMap((s) => s.fits))];
  const bores = [...new Set(found.segments.flatMap((s) => s.bores))];
  return [
    ...sizes,
    ...fits.flatMap((f) => [f.figures!.hole, f.figures!.upper, f.figures!.lower, f.figures!.playLargest]),
    ...bores.flatMap((b) => [b.figures!.lower, b.figures!.upper, b.figures!.playSmallest]),
    ...planned,
  ];
}

/** Freezes figures as they stand. */
export const freeze = (figures: readonly Figure[], unit: LengthUnit): FrozenFigure[] =>
  figures.map((f) => ({ key: f.key, label: f.label, valueMm: f.value, sentence: sentence(f, unit) }));

/** The newest release of an item; of any where none is named. */
export const newestRelease = (sheet: Pick<JobSheet, 'releases'>, itemId?: string): ReleaseRecord | null =>
  sheet.releases.findLast((r) => itemId === undefined || r.itemId === itemId) ?? null;

const acceptedAt = (sheet: JobSheet, key: string): number | null =>
  (sheet.choices.find((c) => c.key === choiceKey.accept(key))?.value as { valueMm: number } | undefined)?.valueMm ?? null;

/** Stands in every release that froze all dimensions. */
const WHOLE_KEY = 'stock.length';

/** Stands in every release of a plan that is made of holdings. */
export const HOLDINGS_KEY = 'plan.holdings';
/** A stop of a set-up. */
const STOP = /(^|\.)set-up\.\d+\./;

/** Every released number that an input moved and that nobody has accepted at its new value. */
export function movedFigures(now: readonly Figure[], release: ReleaseRecord, sheet: JobSheet): MovedFigure[] {
  const current = new Map(now.map((f) => [f.key, f]));
  const held = release.figures.some((f) => f.key.endsWith(HOLDINGS_KEY));
  const gone = release.figures.flatMap((frozen): MovedFigure[] => {
    const newMm = current.get(frozen.key)?.value ?? null;
    // Plans of before they were made of holdings had every stop in each of them.
    if (newMm === null && !held && STOP.test(frozen.key)) return [];
    const still = newMm !== null && Math.abs(newMm - frozen.valueMm) < MOVED_LEAST_MM;
    const accepted = acceptedAt(sheet, frozen.key);
    const taken = newMm !== null && accepted !== null && Math.abs(newMm - accepted) < MOVED_LEAST_MM;
    return still || taken
      ? []
      : [{ key: frozen.key, label: frozen.label, measure: current.get(frozen.key)?.measure ?? 'length', oldMm: frozen.valueMm, newMm }];
  });
  // Releases of before every dimension was frozen say nothing of what else there was.
  const whole = release.itemId !== sheet.job.id || release.figures.some((f) => f.key === WHOLE_KEY);
  const known = new Set(release.figures.map((f) => f.key));
  const come = (f: Figure): boolean => {
    const accepted = acceptedAt(sheet, f.key);
    if (!held && (f.key.endsWith(HOLDINGS_KEY) || STOP.test(f.key))) return false;
    return !known.has(f.key) && !(accepted !== null && Math.abs(f.value - accepted) < MOVED_LEAST_MM);
  };
  const appeared = whole
    ? now.filter(come).map((f): MovedFigure => ({ key: f.key, label: f.label, measure: f.measure, oldMm: null, newMm: f.value }))
    : [];
  return [...gone, ...appeared];
}

/** Figures that were on somebody's screen when they released, and are others now. */
export function notAsSeen(now: readonly Figure[], seen: readonly Pick<FrozenFigure, 'key' | 'valueMm'>[]): MovedFigure[] {
  const before = new Map(seen.map((f) => [f.key, f.valueMm]));
  const current = new Map(now.map((f) => [f.key, f]));
  const keys = [...new Set([...before.keys(), ...current.keys()])];
  return keys.flatMap((key): MovedFigure[] => {
    const [oldMm, newMm] = [before.get(key) ?? null, current.get(key)?.value ?? null];
    const same = oldMm !== null && newMm !== null && Math.abs(oldMm - newMm) < MOVED_LEAST_MM;
    return same ? [] : [{ key, label: current.get(key)?.label ?? key, measure: current.get(key)?.measure ?? 'length', oldMm, newMm }];
  });
}
