import { findThread } from '../../book/threads';
import { hostOf, kindOf, placeOutside, type Part, type PartFeature } from '../part';
import { crossHoleFactor, grooveFactor, keyseatFactor, shoulderFactor, type Factor, type Load } from './factors';

/** A corner that nobody gave a radius is taken as the small nose of a turning tool leaves it, mm: ours, no standard's. */
export const SHARP_CORNER_MM = 0.2;

/** A place along the shaft where its stress is raised. */
export interface Notch {
  readonly atMm: number;
  readonly words: string;
  /** Section that the nominal stress is in, mm. */
  readonly outsideMm: number;
  readonly boreMm: number;
  readonly radiusMm: number;
  /** Null for a thread, which is told by its fatigue factor. */
  readonly factor: ((load: Load) => Factor) | null;
}

const STEP_MM = 1e-6;

/** Radius that the drawing gives a corner at an end of a surface; null where it gives none. */
function cornerMm(part: Part, surfaceId: string, end: 'left' | 'right'): number | null {
  for (const f of part.features) {
    if (f.on !== surfaceId || !('end' in f) || f.end !== end) continue;
    if (f.kind === 'fillet') return f.radiusMm;
    if (f.kind === 'undercut' && f.cornerMm > 0) return f.cornerMm;
  }
  return null;
}

const boreAt = (part: Part, surfaceId: string, x: number): number => 2 * (hostOf(part, surfaceId)?.beyondAt(x) ?? 0);

function shoulders(part: Part): Notch[] {
  const row = placeOutside(part);
  return row.slice(1).flatMap((right, i): Notch[] => {
    const left = row[i]!;
    const [from, to] = [left.rightMm, right.leftMm];
    if (Math.abs(from - to) < STEP_MM) return [];
    const small = from < to ? left : right;
    const [largeMm, outsideMm] = [Math.max(from, to), Math.min(from, to)];
    const given = cornerMm(part, small.id, from < to ? 'right' : 'left');
    const radiusMm = Math.min(given ?? SHARP_CORNER_MM, (largeMm - outsideMm) / 2);
    return [
      {
        atMm: right.fromMm,
        words: `the shoulder of ${small.name}${given === null ? ', no radius given' : ''}`,
        outsideMm,
        boreMm: boreAt(part, small.id, right.fromMm),
        radiusMm,
        factor: (load) => shoulderFactor(load, largeMm, outsideMm, radiusMm),
      },
    ];
  });
}

/** What a feature does to the stress; null for one that raises none that a book gives. */
function ofFeature(part: Part, f: PartFeature): Notch | null {
  const host = hostOf(part, f.on);
  if (!host || host.surface.side === 'inside') return null;
  const raiser = kindOf(f.kind).raiser(f, host);
  if (!raiser) return null;
  const { atMm } = raiser;
  const shaftMm = 2 * host.radiusAt(atMm);
  const boreMm = boreAt(part, f.on, atMm);
  const base = { atMm, words: f.name, outsideMm: shaftMm, boreMm, radiusMm: SHARP_CORNER_MM };
  switch (f.kind) {
    case 'ring-groove':
    case 'relief':
    case 'oring-groove':
    case 'seal-groove': {
      const radiusMm = 'cornerMm' in f && f.cornerMm > 0 ? f.cornerMm : SHARP_CORNER_MM;
      return { ...base, outsideMm: f.diameterMm, radiusMm, factor: (load) => grooveFactor(load, shaftMm, f.diameterMm, radiusMm) };
    }
    case 'keyseat':
      return { ...base, radiusMm: shaftMm / 48, factor: (load) => keyseatFactor(load, f.cutter) };
    case 'woodruff-seat':
      return { ...base, radiusMm: shaftMm / 48, factor: (load) => ({ ...keyseatFactor(load, 'end-mill'), inRange: false }) };
    case 'cross-hole':
      return { ...base, radiusMm: f.diameterMm / 2, factor: (load) => crossHoleFactor(load, shaftMm, boreMm, f.diameterMm) };
    case 'thread':
      return findThread(f.thread) ? { ...base, outsideMm: raiser.coreMm, factor: null } : null;
    case 'undercut':
      return {
        ...base,
        outsideMm: raiser.coreMm,
        radiusMm: f.cornerMm || SHARP_CORNER_MM,
        factor: (load) => grooveFactor(load, shaftMm, raiser.coreMm, f.cornerMm || SHARP_CORNER_MM),
      };
    case 'fillet':
      // Counted with its shoulder.
      return null;
    default:
      return null;
  }
}

/** Every notch of a turned part from left to right: shoulders, grooves, keyseats, cross holes, threads. Kinds without a published factor are not in it. */
export const notchesOf = (part: Part): Notch[] =>
  [
    ...shoulders(part),
    ...part.features.flatMap((f) => {
      const notch = ofFeature(part, f);
      return notch ? [notch] : [];
    }),
  ].sort((p, q) => p.atMm - q.atMm);
