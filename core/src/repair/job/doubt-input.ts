import { isAlong } from './along-cut';
import { INSTRUMENT_KINDS, QUANTITIES, type Spot } from '../../evidence/readings';
import type { LengthUnit } from '../../terms/quantity';
import { dialSign } from '../../making/coach';
import { diameterForCrossDial } from '../../making/setups';
import { instrumentOf } from './bias';
import type { PlaceFinding } from './place-finding';
import { inState } from './in-state';
import { instrumentUncertaintyMm } from './measured';
import type { DoubtInput } from './reading-doubt';
import { readsAt } from './reads-at';
import type { ReadingRecord, Shop } from './records';
import type { Repair } from './repair';
import { weighables } from './weighables';

/** A number about to be kept at a spot. */
export interface AboutToKeep {
  readonly purpose: ReadingRecord['purpose'];
  readonly placeId: string | null;
  readonly segmentId: string | null;
  /** State of the part, as in the reading. */
  readonly afterActId: string | null;
  readonly spot: Spot;
  readonly expectedMm: number | null;
  readonly valueMm: number;
  readonly unit: LengthUnit;
  readonly decimals: number;
  readonly instrumentId: string;
  readonly dial: number | null;
  /** The reading whose place it takes: it no longer speaks. */
  readonly supersedesId: string | null;
}

/** Sizes of the part that a first reading of a diameter belongs to: those of its other places. A pitch or a width is on no such scale. */
function scaleOf(repair: Repair, own: PlaceFinding | undefined, { quantity }: Spot): number[] {
  if (!own || QUANTITIES[quantity].reads !== 'outside') return [];
  // As it was found, a place that was bored or dressed since tells about how large it is.
  const others = repair.places.filter((f) => f !== own && f.component.id === own.component.id);
  return others.flatMap((f) => (f.shape ? [f.shape.meanMm] : []));
}

/** Everything that a reading is held against before it stands, from the worked-out job. */
export function doubtInputFor(repair: Repair, shop: Shop, jobUnit: LengthUnit, at: AboutToKeep): DoubtInput {
  const asFound = at.purpose === 'found' ? repair.places.find((f) => f.place.id === at.placeId) : undefined;
  const own = asFound && inState(asFound, at.afterActId);
  const { side, reads } = readsAt(repair, at);
  const instrument = instrumentOf(shop, at.instrumentId);
  // Along the work nothing was cut since: it is like where the cuts are measured.
  const along = isAlong({ purpose: at.purpose, stationMm: at.spot.stationMm, dial: at.dial });
  const cut = at.purpose === 'cut' && !along ? repair.cuts.find((c) => c.segment.segment.id === at.segmentId) : undefined;
  const last = cut?.readings.at(-1);
  // What comes off makes what is turned smaller, and a bore larger.
  const grows = cut?.segment.segment.side === 'inside' ? 1 : -1;
  const into = cut ? dialSign({ side: cut.segment.segment.side, rises: cut.dialled.rises }) : 1;
  const proved = at.purpose === 'proof' ? repair.proofs.find((p) => p.dimension.dimension.key === at.segmentId) : undefined;
  return {
    valueMm: at.valueMm,
    unit: at.unit,
    decimals: at.decimals,
    instrument,
    crib: shop.instruments,
    reads,
    jobUnit,
    uMm: instrumentUncertaintyMm(instrument, side, at.valueMm),
    stationMm: at.spot.stationMm,
    clockDeg: at.spot.clockDeg,
    points: INSTRUMENT_KINDS[instrument?.kind ?? 'caliper'].points,
    // A cut is held against the dial, which is finer; what is anywhere between the stock and its size was roughed before it was read.
    expectedMm: last || (cut && isBetween(at.valueMm, at.expectedMm, cut.segment.diameter.value)) ? null : at.expectedMm,
    taken: own && reads !== 'indicator' ? weighables(own, at.spot.quantity, shop).filter((r) => r.id !== at.supersedesId) : [],
    scaleMm: scaleOf(repair, own, at.spot),
    limits: proved?.limits ?? null,
    cut: cut
      ? {
          side: cut.segment.segment.side,
          beforeMm: last?.valueMm ?? null,
          dialMm:
            last && at.dial !== null && last.dial !== null && (at.dial - last.dial) * into > 0
              ? last.valueMm + grows * diameterForCrossDial((at.dial - last.dial) * into, cut.dialled)
              : null,
        }
      : null,
  };
}

const isBetween = (mm: number, startMm: number | null, wantedMm: number): boolean =>
  startMm !== null && mm <= Math.max(startMm, wantedMm) && mm >= Math.min(startMm, wantedMm);
