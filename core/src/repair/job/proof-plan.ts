import { WARM_K } from '../../making/coach';
import { isReadAllRound, READ_AS, sideRead } from '../../making/part';
import { instrumentsFor, K95, type Reads } from '../../evidence/readings';
import type { Limits } from '../../evidence/proof';
import { formatLength, formatWithUnit, type LengthUnit } from '../../terms/quantity';
import { countOf } from '../../terms/words';
import { FROM_END, isSlender } from './along-surface';
import { instrumentUncertaintyMm } from './measured';
import type { DimensionFinding } from './part-finding';
import type { InstrumentRecord, JobSheet, ReadingRecord, Shop } from './records';

/** A place along the part and a direction in which a finished dimension is read. */
export interface ProofSpot {
  readonly stationMm: number;
  readonly clockDeg: number;
}

/** With what of the crib a dimension is proved best, and how much of its limits that leaves. */
export interface ProvedWith {
  readonly instrument: InstrumentRecord;
  readonly plusMinusMm: number;
  /** What may be read there to be surely inside (ISO 14253-1); null where the instrument cannot tell it at all. */
  readonly inside: Limits | null;
}

/** How a dimension is proved: where it is read, what still is to be read, and by what. */
export interface ProofPlan {
  readonly spots: readonly ProofSpot[];
  /** Of them the first that is not read yet; null once all are. */
  readonly next: ProofSpot | null;
  /** How many of them are read. */
  readonly read: number;
  readonly reads: Reads | null;
  /** Null where nothing in the crib reads it. */
  readonly with: ProvedWith | null;
  /** Readings that were taken while the part was warm: they prove nothing. */
  readonly warm: readonly ReadingRecord[];
}

/** Two anvils beside each other, each of a micrometer: on what is shorter a second place is the first one again, mm. */
const TWO_ANVILS_MM = 16;
/** A reading counts for a spot that it lies this near to, as a share of the length. */
const NEAR = 0.25;
const TWO_WAYS = [0, 90] as const;
/** An oval lies any way round: two readings square to each other, halfway to its axes, see none of it. */
const FOUR_WAYS = [0, 45, 90, 135] as const;
/** What may be oval is read in its middle too, where that is a place of its own, mm. */
const THREE_PLACES_MM = 2 * TWO_ANVILS_MM;

function stationsOf({ dimension, from, mayBeOval }: DimensionFinding): number[] {
  const { fromMm, toMm, lengthMm, kind } = dimension.surface;
  // A taper has its diameter at its left end.
  if (kind === 'taper') return [fromMm];
  const at = (share: number): number => Math.round((fromMm + share * (toMm - fromMm)) * 10) / 10;
  if (from === 'general' || lengthMm < TWO_ANVILS_MM) return [at(0.5)];
  const middle = isSlender(dimension.surface) || (mayBeOval && lengthMm > THREE_PLACES_MM);
  return [at(FROM_END), ...(middle ? [at(0.5)] : []), at(1 - FROM_END)];
}

function spotsOf(found: DimensionFinding): ProofSpot[] {
  if (!isReadAllRound(found.dimension)) {
    const { fromMm, toMm } = found.dimension.surface;
    return [{ stationMm: Math.round((fromMm + toMm) / 2), clockDeg: 0 }];
  }
  const ways = found.mayBeOval ? FOUR_WAYS : TWO_WAYS;
  return stationsOf(found).flatMap((stationMm) => ways.map((clockDeg) => ({ stationMm, clockDeg })));
}

/** Whether a reading was taken at a spot of several along its surface; where there is one place, anywhere along it will do. */
function isAt(r: ReadingRecord, spot: ProofSpot, { dimension }: DimensionFinding, spots: readonly ProofSpot[]): boolean {
  if (r.clockDeg !== spot.clockDeg) return false;
  const many = spots.some((s) => s.stationMm !== spot.stationMm);
  return !many || Math.abs(r.stationMm - spot.stationMm) <= NEAR * dimension.surface.lengthMm;
}

function provedWith({ dimension, figure }: DimensionFinding, limits: Limits, unit: LengthUnit, { instruments }: Shop): ProvedWith | null {
  const reads = READ_AS[dimension.what];
  if (reads === null) return null;
  const swings = reads === 'indicator';
  const side = sideRead(dimension.what);
  // Of two that tell it as well the one that a machinist reaches for first.
  const [finest] = instrumentsFor(instruments, reads, swings ? null : figure.value, unit)
    .map((instrument) => ({ instrument, plusMinusMm: K95 * instrumentUncertaintyMm(instrument, side, swings ? null : figure.value) }))
    .sort((p, q) => p.plusMinusMm - q.plusMinusMm);
  if (!finest) return null;
  const { plusMinusMm } = finest;
  // What cannot be less than nothing has one limit only.
  const lowerMm = limits.lowerMm <= 0 ? limits.lowerMm : limits.lowerMm + plusMinusMm;
  const upperMm = limits.upperMm - plusMinusMm;
  return { ...finest, inside: lowerMm <= upperMm ? { lowerMm, upperMm } : null };
}

/**
 * Where and with what a dimension is proved: a seat at both ends, so that taper shows, in the middle too where it is slender, two ways round each; four
 * ways where a weld, a press or its wear may have left it oval; what only has the general tolerance at one place; anything else than a diameter once.
 *
 * @param readings of it that count, of one piece
 */
export function proofPlan(
  found: DimensionFinding & { readonly limits: Limits },
  readings: readonly ReadingRecord[],
  { job }: JobSheet,
  shop: Shop,
): ProofPlan {
  const spots = spotsOf(found);
  const open = spots.filter((s) => !readings.some((r) => isAt(r, s, found, spots)));
  return {
    spots,
    reads: READ_AS[found.dimension.what],
    next: open[0] ?? null,
    read: spots.length - open.length,
    with: provedWith(found, found.limits, job.unit, shop),
    warm: readings.filter((r) => r.partTempC !== null && r.partTempC - job.shopTempC > WARM_K),
  };
}

const limitsWords = ({ lowerMm, upperMm }: Limits, unit: LengthUnit): string =>
  lowerMm <= 0 ? `up to ${formatWithUnit(upperMm, unit)}` : `${formatLength(lowerMm, unit)} to ${formatWithUnit(upperMm, unit)}`;

/** The plan in words: how often, with what, and what may be read. */
export function proofPlanWords({ spots, read, reads, with: by, warm }: ProofPlan, unit: LengthUnit): string[] {
  const places = new Set(spots.map((s) => s.stationMm)).size;
  const ways = spots.length / places === FOUR_WAYS.length ? 'four ways round, as it may be oval' : 'two ways round';
  const asked =
    spots.length === 1
      ? 'Read it once.'
      : `Read it at ${countOf(places, 'place')}, ${ways}${places > 1 ? ', each' : ''}: ${read} of ${spots.length} read.`;
  const told = !by
    ? 'Nothing in the crib reads it: borrow what does, or have it measured elsewhere.'
    : by.inside
      ? `Best with ${by.instrument.name}, ±${formatLength(by.plusMinusMm, unit)}: surely inside where it reads ${limitsWords(by.inside, unit)}.`
      : `Even ${by.instrument.name}, ±${formatLength(by.plusMinusMm, unit)}, cannot tell it within these limits: ${reads === 'gap' ? 'try it with the key, the ring or gauge blocks' : 'borrow a finer one, or have it measured elsewhere'}.`;
  return [asked, told, ...(warm.length ? [`${countOf(warm.length, 'reading')} taken while it was warm: let it cool and read again.`] : [])];
}
