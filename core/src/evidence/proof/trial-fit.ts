import type { Section, Shape, Side } from '../readings';

/** How a piece went together with its mate, pushed by hand. */
export const TRIAL_FEELS = ['will-not-enter', 'binds', 'slides', 'shakes'] as const;
export type TrialFeel = (typeof TRIAL_FEELS)[number];

/** A mate as it was measured, and the face at which the piece goes in. */
export interface TriedMate {
  /** Metal of the mate: `inside` for a hole that a pin goes into, `outside` for a shaft that a bush goes over. */
  readonly side: Side;
  readonly shape: Pick<Shape, 'sections'>;
  readonly startMm: number;
  readonly lengthMm: number;
  readonly from: 'start' | 'end';
}

/** What a trial leaves open of a size, mm; null where it says nothing on that side. */
export interface TrialBounds {
  readonly atLeastMm: number | null;
  readonly atMostMm: number | null;
}

/** By hand a clean dry pin goes into a hole that is smaller by this, mm: metal gives, and what was measured is not the whole of it. Ours. */
const PUSHED_MM = 0.002;
/** A pin with less room than this binds, if only by a trace of oil, dust or a lean, mm. Ours. */
const BINDS_MM = 0.008;
/** Play that every hand feels, mm, and play below which no hand feels any. Ours: a thou is felt by all. */
const FELT_MM = 0.03;
const NOT_FELT_MM = 0.005;

/** One size along the mate with its 95 % bands, counted from the face where the piece goes in. */
interface Along {
  readonly inMm: number;
  readonly tightMm: number;
  readonly looseMm: number;
  readonly tightPlusMinusMm: number;
  readonly loosePlusMinusMm: number;
  /** Whether the smallest was seen, or only a mean that no oval shows in. */
  readonly seen: boolean;
}

/** A shaft is a hole in the mirror: what is tight of it is its largest, and sizes change their sign. */
function along({ side, shape, startMm, lengthMm, from }: TriedMate): Along[] {
  const one = (s: Section): Along => ({
    inMm: from === 'start' ? s.stationMm - startMm : startMm + lengthMm - s.stationMm,
    tightMm: side === 'inside' ? s.smallestMm : -s.largestMm,
    looseMm: side === 'inside' ? s.largestMm : -s.smallestMm,
    tightPlusMinusMm: side === 'inside' ? s.smallestPlusMinusMm : s.largestPlusMinusMm,
    loosePlusMinusMm: side === 'inside' ? s.largestPlusMinusMm : s.smallestPlusMinusMm,
    seen: s.directions > 1,
  });
  return shape.sections.map(one).sort((a, b) => a.inMm - b.inMm);
}

/** The size at a depth: straight between two stations, as at the nearest one beyond them. */
function at(inMm: number, all: readonly Along[]): Along {
  const next = all.findIndex((a) => a.inMm >= inMm);
  if (next < 0) return all.at(-1)!;
  const [p, q] = [all[next - 1], all[next]!];
  if (!p) return q;
  const share = (inMm - p.inMm) / (q.inMm - p.inMm);
  const mix = (a: number, b: number): number => a + share * (b - a);
  return {
    inMm,
    tightMm: mix(p.tightMm, q.tightMm),
    looseMm: mix(p.looseMm, q.looseMm),
    tightPlusMinusMm: Math.max(p.tightPlusMinusMm, q.tightPlusMinusMm),
    loosePlusMinusMm: Math.max(p.loosePlusMinusMm, q.loosePlusMinusMm),
    seen: p.seen && q.seen,
  };
}

/** A pin in a hole. */
function bounds(feel: TrialFeel, wentInMm: number | null, mate: TriedMate): TrialBounds {
  const all = along(mate);
  if (all.length === 0) return { atLeastMm: null, atMostMm: null };
  const reachMm = feel === 'will-not-enter' ? 0 : feel === 'binds' ? Math.min(wentInMm ?? 0, mate.lengthMm) : mate.lengthMm;
  const passed = [...all.filter((a) => a.inMm < reachMm), at(reachMm, all), at(0, all)];
  const tight = passed.reduce((p, q) => (q.tightMm < p.tightMm ? q : p));
  const upTo = tight.tightMm + tight.tightPlusMinusMm + PUSHED_MM;
  // A smallest that nobody saw may be smaller yet: then it holds a pin that is under it.
  const downTo = (roomMm: number): number | null => (passed.every((a) => a.seen) ? tight.tightMm - tight.tightPlusMinusMm - roomMm : null);
  const loose = passed.reduce((p, q) => (q.looseMm > p.looseMm ? q : p));
  const free = loose.looseMm + loose.loosePlusMinusMm - NOT_FELT_MM;
  const said: Readonly<Record<TrialFeel, TrialBounds>> = {
    'will-not-enter': { atLeastMm: downTo(BINDS_MM), atMostMm: null },
    binds: { atLeastMm: downTo(BINDS_MM), atMostMm: upTo },
    slides: { atLeastMm: downTo(FELT_MM), atMostMm: upTo },
    shakes: { atLeastMm: null, atMostMm: Math.min(upTo, free) },
  };
  return said[feel];
}

/**
 * What a trial with a measured mate says of the size of a straight, round piece. Pushed in by hand it passed the tightest place so far, or
 * was held by it: both give an end of the size, with the mate's own uncertainty.
 *
 * @param wentInMm how far it went before it bound, mm; null counts as not at all
 * @returns bounds in mm, as if both had the temperature at which the mate's sizes hold
 */
export function trialBounds(feel: TrialFeel, wentInMm: number | null, mate: TriedMate): TrialBounds {
  const { atLeastMm, atMostMm } = bounds(feel, wentInMm, mate);
  if (mate.side === 'inside') return { atLeastMm, atMostMm };
  return { atLeastMm: atMostMm && -atMostMm, atMostMm: atLeastMm && -atLeastMm };
}
