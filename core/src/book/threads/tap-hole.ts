import { DRILL_KINDS, DRILLS, nearestDrills, type Drill, type DrillKind } from '../drills';
import { bad, good, type Outcome } from '../../terms/outcome';
import { insideMinor, type InsideMinor } from './inside-minor';
import { taperDrillsMm } from './pipe';
import type { Thread } from './thread';

/** A drill at hand with the share of full thread that it leaves. */
export interface TapDrill {
  readonly drill: Drill;
  readonly percent: number;
  /** Larger than the thread's own minor diameter allows by so much, mm; negative where it is smaller than it may be; 0 within. */
  readonly outsideMm: number;
}

/** The hole for a tapped thread. */
export interface TapHole {
  /** What the hole must measure before tapping; after it for a forming tap. */
  readonly limits: InsideMinor;
  /** The size aimed for: the wanted share of thread, kept within the limits, mm. */
  readonly aimMm: number;
  /** Drills within the limits: those in the crib first, of the thread's own system first, nearest to the aim first; empty: bore it. */
  readonly drills: readonly TapDrill[];
  /** Where no drill of the thread's own system is within: the nearest of it, with how far it is out. */
  readonly chart: TapDrill | null;
}

/** Twice the height that counts as 100 %, mm: 1.29904 P at 60°, the form's own depth otherwise. */
const fullMm = (t: Thread): number => (t.form.id === 'iso60' ? 2 * t.form.toPitchDiameter : t.form.toMinor) * t.pitchMm;
const INCH_KINDS: readonly DrillKind[] = ['fraction', 'number', 'letter'];
/** Sizes are compared to a tenth of a micrometre: tables are in ten-thousandths of an inch. */
const SAME_MM = 1e-4;
const MOST_SHOWN = 6;
/** Beyond this the nearest of the system is no tap drill at all, as a share of the pitch. */
const CHART_SHARE = 0.1;

/** How far a size lies outside a band, signed; 0 within. */
const outside = (mm: number, { lowerMm, upperMm }: InsideMinor): number =>
  mm > upperMm + SAME_MM ? mm - upperMm : mm < lowerMm - SAME_MM ? mm - lowerMm : 0;

const ownKinds = (t: Thread): readonly DrillKind[] => (t.unit === 'in' ? INCH_KINDS : ['metric']);

/**
 * The hole for a cutting tap: drills within the inside thread's own minor diameters, nearest to the wanted share of thread. Inch
 * threads take inch drills first; where none of the system fits, one of the other; where none at all, the bore size.
 *
 * @param percent share of full thread that is aimed for, 40 to 100; the limits win
 * @param kinds drill sets at hand
 * @param has does a drill hang in the crib? Those come first
 * @example 1/4-20 at 75 %: number 7 (0.2010 in), 75 %; 9/16-18: bore or 13.0 mm, and 33/64 is 0.0006 in over
 */
export function tapHole(
  t: Thread,
  percent: number,
  kinds: readonly DrillKind[] = DRILL_KINDS,
  has: (d: Drill) => boolean = () => false,
): Outcome<TapHole> {
  if (!(percent >= 40 && percent <= 100))
    return bad('percent', 'Take 40 to 100 % of full thread; 75 is usual, 60 in tough stuff or deep holes.', 'percent');
  if (!kinds.length) return bad('drills', 'Choose at least one drill set.', 'kinds');
  const limits = insideMinor(t);
  if (!limits) return bad('tapered', `${t.name} is tapered: it has drills of its own, with and without a taper reamer.`, 'thread');
  const aimMm = Math.min(Math.max(t.majorMm - fullMm(t) * (percent / 100), limits.lowerMm), limits.upperMm);
  const told = (drill: Drill): TapDrill => ({
    drill,
    percent: (100 * (t.majorMm - drill.diameterMm)) / fullMm(t),
    outsideMm: outside(drill.diameterMm, limits),
  });
  const own = ownKinds(t);
  const drills = DRILLS.filter((d) => kinds.includes(d.kind) && outside(d.diameterMm, limits) === 0)
    .sort(
      (a, b) =>
        Number(has(b)) - Number(has(a)) ||
        Number(own.includes(b.kind)) - Number(own.includes(a.kind)) ||
        Math.abs(a.diameterMm - aimMm) - Math.abs(b.diameterMm - aimMm),
    )
    .slice(0, MOST_SHOWN)
    .map(told);
  const ownAtHand = own.filter((k) => kinds.includes(k));
  const missing = ownAtHand.length > 0 && !drills.some((d) => own.includes(d.drill.kind));
  const near = missing ? nearestDrills(limits.upperMm, ownAtHand, 1).map(told)[0] : undefined;
  const chart = near && Math.abs(near.outsideMm) <= CHART_SHARE * t.pitchMm ? near : null;
  return good({ limits, aimMm, drills, chart });
}

/**
 * The hole for a forming tap, which pushes the metal up: D - 0.442 P leaves 65 % of thread. A larger hole than for cutting.
 *
 * Source: tap makers' common rule, hole = D - 0.0068 x percent x P.
 * @example M6: 5.56 mm; M8: 7.45 mm; 1/4-20: 0.2279 in
 */
export function formingHole(
  t: Thread,
  kinds: readonly DrillKind[] = DRILL_KINDS,
  has: (d: Drill) => boolean = () => false,
  percent = 65,
): Outcome<TapHole> {
  if (t.form.angleDeg !== 60 || t.tapered) return bad('form', 'Forming taps are made for parallel 60° threads.', 'thread');
  const at = (share: number): number => t.majorMm - 0.0068 * share * t.pitchMm;
  const limits = { lowerMm: at(75), upperMm: at(55), words: '75 to 55 % of thread, formed', source: 'D - 0.0068 x percent x P' };
  const aimMm = at(percent);
  const drills = nearestDrills(
    aimMm,
    ownKinds(t).filter((k) => kinds.includes(k)),
    MOST_SHOWN,
    t.majorMm,
  )
    .map((drill): TapDrill => ({
      drill,
      percent: (t.majorMm - drill.diameterMm) / (0.0068 * t.pitchMm),
      outsideMm: outside(drill.diameterMm, limits),
    }))
    .filter((d) => d.outsideMm === 0)
    .sort((a, b) => Number(has(b.drill)) - Number(has(a.drill)));
  return good({ limits, aimMm, drills, chart: null });
}

/** The published drills of a taper pipe thread: straight, without and with a taper reamer; undefined for what is none. */
export function taperDrills(t: Thread): { readonly plain: Drill; readonly reamed: Drill | null } | undefined {
  const sizes = taperDrillsMm(t.name);
  if (!sizes) return undefined;
  const kinds = t.series === 'NPT' ? INCH_KINDS : (['metric'] as const);
  const of = (mm: number): Drill => nearestDrills(mm, kinds, 1)[0]!;
  return { plain: of(sizes.plainMm), reamed: sizes.reamedMm === null ? null : of(sizes.reamedMm) };
}
