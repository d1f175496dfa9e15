import { sentence, type Figure } from '../../terms/working';
import type { LengthUnit } from '../../terms/quantity';
import { choiceKey } from './choices';
import type { PartFinding } from './part-finding';
import type { FrozenFigure, JobSheet, ReleaseRecord } from './records';

/** A number that is no longer what was released. */
export interface MovedFigure {
  readonly key: string;
  readonly label: string;
  readonly oldMm: number;
  /** Null when the figure can no longer be worked out. */
  readonly newMm: number | null;
}

/** Smaller moves than this are rounding, mm. */
export const MOVED_LEAST_MM = 0.0005;

/** The figures that a released part rests on: each segment's size and limits, each fit's hole, clearance and play. */
export function releasable(found: PartFinding | null): Figure[] {
  if (!found) return [];
  const sizes = found.segments.map((s) => s.diameter);
  const fits = [...new Set(found.segments.flatMap((s) => s.fits))];
  return [...sizes, ...fits.flatMap((f) => [f.figures!.hole, f.figures!.upper, f.figures!.lower, f.figures!.playLargest])];
}

/** Freezes figures as they stand. */
export const freeze = (figures: readonly Figure[], unit: LengthUnit): FrozenFigure[] =>
  figures.map((f) => ({ key: f.key, label: f.label, valueMm: f.value, sentence: sentence(f, unit) }));

export const newestRelease = (sheet: JobSheet): ReleaseRecord | null => sheet.releases.at(-1) ?? null;

const acceptedAt = (sheet: JobSheet, key: string): number | null =>
  (sheet.choices.find((c) => c.key === choiceKey.accept(key))?.value as { valueMm: number } | undefined)?.valueMm ?? null;

/** Every released number that an input moved and that nobody has accepted at its new value. */
export function movedFigures(now: readonly Figure[], sheet: JobSheet): MovedFigure[] {
  const release = newestRelease(sheet);
  if (!release) return [];
  const current = new Map(now.map((f) => [f.key, f]));
  return release.figures.flatMap((frozen) => {
    const newMm = current.get(frozen.key)?.value ?? null;
    const still = newMm !== null && Math.abs(newMm - frozen.valueMm) < MOVED_LEAST_MM;
    const accepted = acceptedAt(sheet, frozen.key);
    const taken = newMm !== null && accepted !== null && Math.abs(newMm - accepted) < MOVED_LEAST_MM;
    return still || taken ? [] : [{ key: frozen.key, label: frozen.label, oldMm: frozen.valueMm, newMm }];
  });
}
