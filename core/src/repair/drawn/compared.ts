import type { Quantity } from '../../evidence/readings';
import { isDiameterOfSurface, type Dimension } from '../../making/part';
import { meanOf, originalSizeMm, placeOf, type DimensionFinding, type PlaceFinding } from '../job';

/** A dimension of the drawing beside the place that it was drawn from. */
export interface Compared {
  /** Of the dimension. */
  readonly key: string;
  readonly placeId: string;
  /** As it was found, mm: smallest and largest, the same where there is one number. */
  readonly foundMm: readonly [number, number] | null;
  /** As it was made once, mm; null where that is not known. */
  readonly wasMm: number | null;
}

/** What was read of the place for each dimension of a feature. */
const READ: Readonly<Record<string, Quantity>> = {
  'groove.width': 'width',
  'groove.diameter': 'groove-size',
  'keyseat.width': 'width',
  'keyseat.depth': 'key-depth',
  'flats.across': 'across',
  'cross-hole.diameter': 'hole-size',
};

function found(d: Dimension, f: PlaceFinding): Pick<Compared, 'foundMm' | 'wasMm'> | null {
  if (isDiameterOfSurface(d)) {
    const major = meanOf(f, 'major');
    if (major !== null) return { foundMm: [major, major], wasMm: f.thread?.answer?.matches[0]?.thread.majorMm ?? null };
    return f.shape ? { foundMm: [f.shape.smallestMm, f.shape.largestMm], wasMm: originalSizeMm(f) } : null;
  }
  const value = f.values.find((v) => v.quantity === READ[`${f.place.kind}.${d.name}`]);
  if (!value) return null;
  const half = value.spreadMm / 2;
  const book = f.groove?.asInBook
    ? { width: f.groove.ring.widthMm, diameter: f.groove.ring.grooveMm }[d.name as 'width' | 'diameter']
    : undefined;
  const seat = f.keyseat?.asInBook
    ? { width: f.keyseat.seat?.widthMm, depth: f.keyseat.seat?.fromCrownMm }[d.name as 'width' | 'depth']
    : undefined;
  return { foundMm: [value.mean.value - half, value.mean.value + half], wasMm: book ?? seat ?? null };
}

/** Found and was for each dimension that was drawn from a place, by key of the dimension; others are not in it. */
export function comparedWith(dimensions: readonly DimensionFinding[], places: readonly PlaceFinding[]): ReadonlyMap<string, Compared> {
  return new Map(
    dimensions.flatMap(({ dimension: d }): [string, Compared][] => {
      const placeId = placeOf(d.ownerId);
      const f = places.find((p) => p.place.id === placeId);
      const told = f && found(d, f);
      return told ? [[d.key, { key: d.key, placeId: f.place.id, ...told }]] : [];
    }),
  );
}
