import type { PlaceFinding } from './place-finding';

/** What the place was, mm: as chosen, else the most probable size once that is clear; null before. */
export function originalSizeMm(f: PlaceFinding): number | null {
  return f.chosenNominal?.sizeMm ?? (f.nominal.canTell ? f.nominal.ranked[0]!.sizeMm : null);
}

/** A place's size counts as the same turned size as a land's within this share: ours. */
export const SAME_SIZE_SHARE = 0.05;

/**
 * The size that a place was made to, from which its wear is counted: that of an unworn land of the same part and size; without
 * one what it was, by name, mm; null where neither is known.
 */
export function madeSizeMm(f: PlaceFinding, all: readonly PlaceFinding[]): number | null {
  const seen = f.shape?.meanMm;
  const land = all.find(
    (o) =>
      o.shape &&
      o.place.land === 'unworn' &&
      o.component.id === f.component.id &&
      o.place.side === f.place.side &&
      seen !== undefined &&
      Math.abs(o.shape.meanMm - seen) < SAME_SIZE_SHARE * seen,
  );
  return land?.shape?.meanMm ?? originalSizeMm(f);
}
