import {
  cutInHand,
  expectedAt,
  proofInHand,
  PLACE_KINDS,
  inHand,
  inState,
  placeWithUnit,
  isDiameter,
  isReadAllRound,
  QUANTITIES,
  READ_AS,
  sameSpot,
  sizeInHand,
  type PlaceFinding,
  type LengthUnit,
  type Quantity,
  type ReadingRecord,
  type Repair,
  type Spot,
  type StationId,
} from '@iron-patch/core';
import type { Selection } from '../sheet-data';
import { NOWHERE } from './line-words';

/** A reading that stands at a spot. */
export type Standing = Pick<ReadingRecord, 'id' | 'instrumentId'>;

/** Where the next entry goes and what it should come near to. */
export interface LineTarget {
  readonly purpose: 'found' | 'cut' | 'proof';
  readonly placeId: string | null;
  readonly segmentId: string | null;
  /** Item and piece that are at the machine or proved; null and 1 for what came in. */
  readonly itemId: string | null;
  readonly piece: number;
  /** State of the part that is read. */
  readonly afterActId: string | null;
  readonly spot: Spot;
  readonly title: string;
  readonly expectedMm: number | null;
  readonly nominalMm: number | null;
  readonly instrumentId: string;
  /** Live readings that stand at this spot already, oldest first. */
  readonly there: readonly Standing[];
  /** Numbers below zero are read here. */
  readonly signed: boolean;
  /** Where the dial should stand for this cut. */
  readonly dial: number | null;
}

const isSigned = (quantity: Quantity): boolean => QUANTITIES[quantity].reads === 'indicator';

function titleOf({ place }: PlaceFinding, spot: Spot, unit: LengthUnit): string {
  if (isDiameter(place.kind)) return `${place.name} at ${placeWithUnit(spot.stationMm, unit)}, ${spot.clockDeg}°`;
  const { name } = QUANTITIES[spot.quantity];
  if (!PLACE_KINDS[place.kind].grid) return `${place.name}: ${name}`;
  return `${place.name}: ${name} at ${placeWithUnit(spot.stationMm, unit)}, ${spot.clockDeg}°`;
}

function foundTarget(repair: Repair, selection: Selection, unit: LengthUnit): LineTarget | null {
  const asFound = repair.places.find((f) => f.place.id === selection.spanId);
  const chosen = asFound && inHand(asFound, selection.afterActId);
  const { stationMm, clockDeg } = selection;
  const quantity = selection.quantity ?? (chosen ? PLACE_KINDS[chosen.place.kind].quantities[0] : 'size');
  const picked = chosen && stationMm !== null && clockDeg !== null ? { stationMm, clockDeg, quantity } : null;
  const finding = picked || chosen?.next ? chosen : repair.places.find((f) => f.next && inHand(f) === f);
  const spot = picked ?? finding?.next;
  if (!finding || !spot) return null;
  return {
    purpose: 'found',
    placeId: finding.place.id,
    segmentId: null,
    itemId: null,
    piece: 1,
    afterActId: finding.state.actId,
    spot,
    title: titleOf(finding, spot, unit) + (finding.state.actId === null ? '' : `, ${finding.state.words}`),
    expectedMm: expectedAt(finding, spot),
    nominalMm: spot.quantity === 'size' ? (finding.chosenNominal?.sizeMm ?? null) : null,
    instrumentId: finding.place.instrumentId,
    there: finding.readings.filter((r) => sameSpot(r, spot)),
    signed: isSigned(spot.quantity),
    dial: null,
  };
}

const pieceOf = ({ at, piece }: Repair): Pick<LineTarget, 'itemId' | 'piece'> => ({
  itemId: at?.item.id ?? null,
  piece: piece?.piece.number ?? 1,
});

/** Which piece is read, where there are several. */
const whose = ({ at, piece }: Repair): string => (at && piece && at.pieces.length > 1 ? `Piece ${piece.piece.number}: ` : '');

/** What every reading between cuts has alike. */
const atCut = (repair: Repair) =>
  ({ purpose: 'cut', placeId: null, afterActId: null, signed: false, ...pieceOf(repair) }) as const satisfies Partial<LineTarget>;

function cutTarget(repair: Repair, selection: Selection, unit: LengthUnit): LineTarget | null {
  const size = sizeInHand(repair, selection.spanId);
  if (size)
    return {
      ...atCut(repair),
      segmentId: size.key,
      spot: { stationMm: 0, clockDeg: 0, quantity: 'size' },
      title: `${whose(repair)}${size.name}, as it is cut now`,
      // Between cuts it is what it is: only the finished one is expected.
      expectedMm: null,
      nominalMm: size.wantedMm,
      instrumentId: '',
      there: [],
      dial: null,
    };
  const cut = cutInHand(repair, selection.spanId);
  if (!cut) return null;
  const { id, name } = cut.segment.segment;
  const along = selection.spanId === id ? cut.along?.spots.find((s) => s.stationMm === selection.stationMm) : undefined;
  const last = cut.cuts.at(-1);
  if (along && last)
    return {
      ...atCut(repair),
      segmentId: id,
      spot: { stationMm: along.stationMm, clockDeg: 0, quantity: 'size' },
      title: `${whose(repair)}${name} at ${placeWithUnit(along.stationMm, unit)}, along the same cut`,
      expectedMm: last.measuredMm,
      nominalMm: cut.segment.diameter.value,
      instrumentId: cut.readings.at(-1)!.instrumentId,
      there: along.read ? [along.read.reading] : [],
      dial: null,
    };
  // Before the first cut it is the stock, or the hole that was drilled for the boring bar.
  const startMm = repair.plan?.passes.find((p) => p.segment === cut.segment)?.fromMm || null;
  return {
    ...atCut(repair),
    segmentId: id,
    spot: { stationMm: 0, clockDeg: 0, quantity: 'size' },
    title: whose(repair) + (cut.cuts.length ? `${name}, after the cut` : `${name}, before the first cut`),
    expectedMm: cut.advice.nextMm ?? cut.cuts.at(-1)?.measuredMm ?? startMm,
    nominalMm: cut.segment.diameter.value,
    instrumentId: '',
    there: [],
    dial: cut.advice.nextDial ?? cut.cuts.at(-1)?.dial ?? 0,
  };
}

function proofTarget(repair: Repair, selection: Selection, unit: LengthUnit): LineTarget | null {
  const proof = proofInHand(repair, selection.spanId);
  if (!proof) return null;
  const { key: id, what } = proof.dimension.dimension;
  // What is true to something else is what an indicator swings by, and may be nothing.
  const swings = READ_AS[what] === 'indicator';
  const { name, plan } = proof;
  // Once all is read the first spot is read again.
  const { stationMm, clockDeg } = plan!.next ?? plan!.spots[0]!;
  const spot: Spot = { stationMm, clockDeg, quantity: swings ? 'indicator' : 'size' };
  const places = new Set(plan!.spots.map((s) => s.stationMm)).size > 1;
  const where = `${places ? `at ${placeWithUnit(stationMm, unit)}, ` : ''}${clockDeg}°`;
  return {
    purpose: 'proof',
    placeId: null,
    segmentId: id,
    ...pieceOf(repair),
    afterActId: null,
    spot,
    title:
      whose(repair) +
      [
        name,
        proof.dimension.dimension.before ? 'cold' : 'finished and cold',
        ...(isReadAllRound(proof.dimension.dimension) ? [where] : []),
      ].join(', '),
    expectedMm: swings ? null : proof.dimension.figure.value,
    nominalMm: swings ? null : proof.dimension.figure.value,
    instrumentId: '',
    there: proof.readings.filter((r) => (places ? sameSpot(r, spot) : r.clockDeg === clockDeg)),
    signed: swings,
    dial: null,
  };
}

/**
 * The reading that a new one by this instrument corrects. At a place that is measured as found, another instrument's reading stays
 * and is held against it; a proof counts once, whatever it was taken with.
 */
export const corrected = ({ purpose, there }: LineTarget, instrumentId: string): Standing | null =>
  there.findLast((r) => purpose === 'proof' || r.instrumentId === instrumentId) ?? null;

/** Where a spot that holds a reading already is read again. */
const READS_AGAIN: readonly StationId[] = ['strip', 'measure'];

/** The spot that the reading line stands at: at Cut and Prove the new part's, elsewhere the measuring plan's. */
export function lineTarget(repair: Repair, station: StationId, selection: Selection, unit: LengthUnit): LineTarget | null {
  if (station === 'cut') return cutTarget(repair, selection, unit);
  if (station === 'prove') return proofTarget(repair, selection, unit);
  const found = foundTarget(repair, selection, unit);
  // What stands on record is corrected where it is looked at, not in passing.
  if (!found?.there.length || READS_AGAIN.includes(station)) return found;
  return foundTarget(repair, { ...selection, ...NOWHERE, spanId: null }, unit);
}

/** The planned spot so many after the one of a target, or before it; undefined at the ends of the plan. */
export function besideSpot(places: Repair['places'], t: LineTarget, by: number): (Spot & { readonly spanId: string }) | undefined {
  const all = places.flatMap((f) => f.planned.map((spot) => ({ spanId: f.place.id, ...spot })));
  return all[all.findIndex((s) => s.spanId === t.placeId && sameSpot(s, t.spot)) + by];
}

/** Where the line goes once a reading is kept: the next planned spot of the place, then of the next; null where it stays. */
export function afterReading(repair: Repair | null, t: LineTarget): Partial<Selection> | null {
  if (t.purpose === 'cut') {
    if (t.spot.stationMm === 0) return null;
    // Along a cut the next place comes; once all are read, the next cut.
    const open = repair?.cuts.find((c) => c.segment.segment.id === t.segmentId)?.along?.spots.find((s) => !s.read);
    return { ...NOWHERE, spanId: t.segmentId, ...(open ? { stationMm: open.stationMm, clockDeg: 0 } : {}) };
  }
  if (t.purpose === 'proof') {
    // A dimension that is read all round lets the next come.
    const proof = repair?.proofs.find((p) => p.dimension.dimension.key === t.segmentId);
    return proof?.plan?.next ? null : NOWHERE;
  }
  const finding = repair?.places.find((f) => f.place.id === t.placeId);
  const next = (finding && inState(finding, t.afterActId))?.next ?? null;
  return next ? { spanId: t.placeId, afterActId: t.afterActId, ...next } : NOWHERE;
}
