import { scatterMm, type DiameterReading } from './diameter-reading';
import { leastSquares } from './least-squares';
import type { ProfilePoint } from './profile';
import type { Section } from './section';

/** What a station borrows of the others' oval may be wrong by this share: an oval is not the same all along. */
const BORROWED_SHARE = 0.5;

const mean = (values: readonly number[]): number => values.reduce((s, v) => s + v, 0) / values.length;
const rad2 = (deg: number): number => (2 * deg * Math.PI) / 180;
const directionsOf = (readings: readonly DiameterReading[]): string =>
  [...new Set(readings.map((r) => Math.round((((r.clockDeg % 180) + 180) % 180) * 10)))].sort((p, q) => p - q).join(' ');

/**
 * The mean size of each station, for taper, belly and step. Where stations were read in unlike directions, a plain mean would take the oval for a
 * taper: those that cannot show their own oval share one with all the readings of the place.
 *
 * @param groups readings of each section, in the sections' order
 */
export function stationMeans(sections: readonly Section[], groups: readonly (readonly DiameterReading[])[]): ProfilePoint[] {
  const all = groups.flat();
  const scatter = Math.sqrt(all.reduce((s, r) => s + scatterMm(r) ** 2, 0) / all.length);
  // A fitted section counts each direction once.
  const uOf = (s: Section): number =>
    Math.max(scatter, s.repeatMm ?? 0) / Math.sqrt(s.ovalityKind === 'fitted' ? s.directions : s.readings);
  const plain = sections.map((s) => ({ stationMm: s.stationMm, sizeMm: s.meanMm, uMm: uOf(s) }));
  const alone = (s: Section): boolean => s.ovalityKind === 'fitted' || s.directions === 0;
  const sets = new Set(groups.map(directionsOf));
  if (sets.size === 1 || sections.every(alone)) return plain;
  // Each station's own mean taken out, what is left within the stations tells the oval that they share.
  const twoPoint = groups.map((group) => group.filter((r) => r.points === 2));
  const centres = twoPoint.map((group) => ({
    cos: mean(group.map((r) => Math.cos(rad2(r.clockDeg)))),
    sin: mean(group.map((r) => Math.sin(rad2(r.clockDeg)))),
    size: mean(group.map((r) => r.valueMm)),
  }));
  const rows = twoPoint.flatMap((group, i) =>
    group.map((r) => [Math.cos(rad2(r.clockDeg)) - centres[i]!.cos, Math.sin(rad2(r.clockDeg)) - centres[i]!.sin]),
  );
  const fit = leastSquares(
    rows,
    twoPoint.flatMap((group, i) => group.map((r) => r.valueMm - centres[i]!.size)),
  );
  if (fit === null) {
    // Nothing tells what of the difference is oval: all of it may be.
    const means = sections.map((s) => s.meanMm);
    const open = (Math.max(...means) - Math.min(...means)) / 2;
    return plain.map((p) => ({ ...p, uMm: Math.hypot(p.uMm, open) }));
  }
  const [a, b] = fit.coefficients as [number, number];
  const [[aa, ab], [, bb]] = fit.unit as [[number, number], [number, number]];
  return sections.map((s, i) => {
    if (alone(s)) return plain[i]!;
    const { cos, sin, size } = centres[i]!;
    const borrowed = a * cos + b * sin;
    const variance = 1 / twoPoint[i]!.length + aa * cos * cos + 2 * ab * cos * sin + bb * sin * sin;
    return { stationMm: s.stationMm, sizeMm: size - borrowed, uMm: Math.hypot(scatter * Math.sqrt(variance), BORROWED_SHARE * borrowed) };
  });
}
