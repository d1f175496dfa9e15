import { normalDraws, seededRandom } from '../proof';
import { sectionEnds, type SectionEnds } from '../readings';
import type { Side } from '../readings';

/** A section of known shape, measured in some directions by a two-point instrument. */
export interface SectionTrial {
  readonly side: Side;
  readonly kind: 'round' | 'oval' | 'arc' | 'mixed';
  readonly directions: number;
  readonly uMm: number;
  readonly arcDeg: number;
  readonly smallestMm: number;
  readonly largestMm: number;
  readonly readings: readonly { readonly deg: number; readonly meanMm: number; readonly uMm: number }[];
}

const SCAN = 720;
const rad = (deg: number): number => (deg * Math.PI) / 180;

/**
 * Rise of a worn arc over the radius it had: flat in its middle and run out to nothing at its ends. Another profile than the one that
 * the analysis believes in.
 */
function worn(offDeg: number, widthDeg: number): number {
  const off = Math.abs((((offDeg % 360) + 540) % 360) - 180) / (widthDeg / 2);
  return off >= 1 ? 0 : off < 0.3 ? 1 : Math.cos(((off - 0.3) / 0.7) * (Math.PI / 2)) ** 2;
}

/** One seeded section. */
function sectionTrial(seed: number, directions: number): SectionTrial {
  const uniform = seededRandom(seed);
  const normal = normalDraws(uniform);
  const between = (from: number, to: number): number => from + (to - from) * uniform();
  const pick = <T>(items: readonly T[]): T => items[Math.floor(uniform() * items.length)]!;
  const side = pick(['inside', 'outside'] as const);
  const kind = pick(['round', 'oval', 'arc', 'arc', 'mixed'] as const);
  const uMm = pick([0.002, 0.004, 0.01]);
  const [size, oval, depth] = [between(15, 60), between(0.01, 0.2), between(0.02, 0.3)];
  const [axis, middle, arcDeg] = [between(0, 180), between(0, 360), between(40, 180)];
  const out = side === 'inside' ? 1 : -1;
  const diameter = (deg: number): number => {
    const ovalPart = kind === 'oval' || kind === 'mixed' ? (oval / 2) * Math.cos(2 * rad(deg - axis)) : 0;
    const arcPart = kind === 'arc' || kind === 'mixed' ? out * depth * (worn(deg - middle, arcDeg) + worn(deg + 180 - middle, arcDeg)) : 0;
    return size + ovalPart + arcPart;
  };
  const all = Array.from({ length: SCAN }, (_, i) => diameter((i * 180) / SCAN));
  const readings = Array.from({ length: directions }, (_, i) => {
    const deg = (i * 180) / directions;
    return { deg, meanMm: diameter(deg) + uMm * normal(), uMm };
  });
  return { side, kind, directions, uMm, arcDeg, smallestMm: Math.min(...all), largestMm: Math.max(...all), readings };
}

/** How often the ends lie in their bands. */
export interface EndScore {
  readonly sections: number;
  /** Smallest of a hole, largest of a shaft: what decides a fit. */
  readonly tight: number;
  /** The other end, where the arc is wider than the step between directions. */
  readonly wide: number;
  readonly wideCounted: number;
  /** Mean half width of the band of the tight end, in uncertainties of one reading. */
  readonly halfWidth: number;
}

/** Scores seeded sections of one number of directions. */
export function endScore(count: number, directions: number, firstSeed = 1, kind?: SectionTrial['kind']): EndScore {
  let [sections, tight, wide, wideCounted, width] = [0, 0, 0, 0, 0];
  for (let seed = firstSeed; sections < count; seed++) {
    const t = sectionTrial(seed, directions);
    if (kind && t.kind !== kind) continue;
    sections++;
    const ends: SectionEnds = sectionEnds(t.side, t.readings);
    const [own, other] = t.side === 'inside' ? [ends.smallest, ends.largest] : [ends.largest, ends.smallest];
    const [ownTrue, otherTrue] = t.side === 'inside' ? [t.smallestMm, t.largestMm] : [t.largestMm, t.smallestMm];
    const holds = (i: { lowMm: number; highMm: number }, mm: number): boolean => mm >= i.lowMm && mm <= i.highMm;
    if (holds(own, ownTrue)) tight++;
    width += (own.highMm - own.lowMm) / 2 / t.uMm;
    const hasArc = t.kind === 'arc' || t.kind === 'mixed';
    if (hasArc && t.arcDeg <= 180 / directions) continue;
    wideCounted++;
    if (holds(other, otherTrue)) wide++;
  }
  return { sections, tight, wide, wideCounted, halfWidth: width / sections };
}
