import type { OutlinePoint } from '../../making/part';
import { bodyLines, boreLines, type Primitive } from '../../making/scene';
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

/** Metal round a hole whose outside nobody measured is drawn this many times as thick as the hole is wide. */
const HULL_TIMES = 1.5;

/**
 * A component's surfaces and its bores, with nothing cut into them; round a hole whose outside nobody measured some metal, dashed.
 *
 * @param radius of a place, mm
 */
export function componentLines(
  outsides: readonly PlaceFinding[],
  insides: readonly PlaceFinding[],
  radius: (f: PlaceFinding) => number,
): Primitive[] {
  if (!outsides.length && !insides.length) return [];
  const hull = HULL_TIMES * Math.max(...insides.map(radius));
  const body = outsides.length
    ? bodyLines(outlineOf(outsides, radius))
    : bodyLines(
        outlineOf(insides, () => hull),
        'hidden',
      );
  return [...body, ...insides.flatMap((f) => boreLines(outlineOf([f], radius)))];
}
