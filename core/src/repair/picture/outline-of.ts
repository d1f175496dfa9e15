import type { OutlinePoint } from '../../making/part';
import { axisStartMm, meanOf, type PlaceFinding } from '../job';
import type { PictureSpan } from './model';

/** Radius at which a place is drawn that nobody read and whose size nobody knows, mm. */
export const UNKNOWN_RADIUS_MM = 10;

/** Where a place ends on the job's axis, mm. */
export const endMm = (f: PlaceFinding): number => axisStartMm(f) + f.place.lengthMm;
/** A place's radius as found, mm. */
export const radiusOf = (f: PlaceFinding): number =>
  (f.shape?.meanMm ?? meanOf(f, 'major') ?? f.chosenNominal?.sizeMm ?? 2 * UNKNOWN_RADIUS_MM) / 2;

/** A place as a stretch that can be touched. */
export const spanOf = (f: PlaceFinding, radiusMm = radiusOf(f)): PictureSpan => ({
  id: f.place.id,
  name: f.place.name,
  fromMm: axisStartMm(f),
  toMm: endMm(f),
  radiusMm,
});

/**
 * A part from its measured places: where several overlap the shortest is seen, gaps take their neighbour's size.
 *
 * @param radius of a place, mm
 */
export function outlineOf(places: readonly PlaceFinding[], radius: (f: PlaceFinding) => number): OutlinePoint[] {
  const edges = [...new Set(places.flatMap((f) => [axisStartMm(f), endMm(f)]))].sort((p, q) => p - q);
  let r = places.length ? radius(places[0]!) : UNKNOWN_RADIUS_MM;
  return edges.slice(1).flatMap((to, i) => {
    const from = edges[i]!;
    const over = places
      .filter((f) => axisStartMm(f) <= from + 1e-9 && endMm(f) >= to - 1e-9)
      .sort((p, q) => p.place.lengthMm - q.place.lengthMm)[0];
    if (over) r = radius(over);
    return [
      { x: from, r },
      { x: to, r },
    ];
  });
}
