import { zoneDeviations, type Deviations } from '../fits';
import { bad, good, type Outcome } from '../../terms/outcome';
import { BORE_BELOW, ISO492_SOURCE, OUTSIDE_BELOW, WIDTH_BELOW } from './iso492.data';

export type BearingClass = 'normal' | '6';
/** Which ring turns relative to the load: the ring that does needs the tight fit. */
export type TurningRing = 'inner' | 'outer';
/** Load as share of the dynamic rating: light to 6 %, normal to 12 %, heavy over it. */
export type BearingLoad = 'light' | 'normal' | 'heavy';

const stepValue = (
  rows: readonly (readonly [number, number, number])[],
  sizeMm: number,
  cls: BearingClass,
  what: string,
): Outcome<Deviations> => {
  const row = sizeMm > 0 ? rows.find(([upTo]) => sizeMm <= upTo) : undefined;
  if (!row)
    return bad('out-of-table', `${ISO492_SOURCE} is in the book for a ${what} up to ${rows.at(-1)![0]} mm; ${sizeMm} mm is outside.`);
  return good({ lowerMm: -(cls === 'normal' ? row[1] : row[2]) / 1000, upperMm: 0 });
};

/** Tolerance of a bearing's bore about nominal, mm: always on the minus side; a problem where the class has none for that size. */
export const boreTolerance = (boreMm: number, cls: BearingClass): Outcome<Deviations> => stepValue(BORE_BELOW, boreMm, cls, 'bore');
/** Tolerance of a bearing's outside diameter about nominal, mm: always on the minus side; a problem where the class has none for that size. */
export const outsideTolerance = (outsideMm: number, cls: BearingClass): Outcome<Deviations> =>
  stepValue(OUTSIDE_BELOW, outsideMm, cls, 'outside diameter');

/** Tolerance of a bearing's width about nominal, mm, by its bore: always on the minus side; a problem where the book has none for that size. */
export const widthTolerance = (boreMm: number): Outcome<Deviations> => stepValue(WIDTH_BELOW, boreMm, 'normal', 'bore');

/** A seat with its zone, why, and what results against a bearing in tolerance. */
export interface BearingSeat {
  readonly zone: string;
  readonly seat: Deviations;
  readonly ring: Deviations;
  /** Ring bore less shaft, or housing less ring outside; negative is interference. */
  readonly leastClearanceMm: number;
  readonly mostClearanceMm: number;
  readonly words: string;
}

/** Shaft zone of a ball bearing by load and bore, where the inner ring turns (ISO 286 zones as bearing practice uses them). */
function shaftZone(load: BearingLoad, turning: TurningRing, boreMm: number): { zone: string; words: string } {
  if (turning === 'outer')
    return { zone: 'g6', words: 'the inner ring stands still against the load: easy on the shaft, h6 where it need not shift' };
  const normal = boreMm <= 17 ? 'j5' : boreMm <= 100 ? 'k5' : 'm5';
  if (load === 'light') return { zone: boreMm <= 17 ? 'h5' : boreMm <= 100 ? 'j6' : 'k6', words: 'turning inner ring, light load' };
  if (load === 'normal') return { zone: normal, words: 'turning inner ring, normal load; k6 for k5 is usual where the class is Normal' };
  return {
    zone: boreMm <= 17 ? 'k5' : boreMm <= 100 ? 'm6' : 'n6',
    words: 'turning inner ring, heavy load: take C3 play, the seat eats clearance',
  };
}

function housingZone(load: BearingLoad, turning: TurningRing): { zone: string; words: string } {
  if (turning === 'inner')
    return { zone: load === 'light' ? 'H8' : 'H7', words: 'the outer ring stands still against the load: it may slide' };
  if (load === 'light') return { zone: 'M7', words: 'turning outer ring, light load' };
  return { zone: load === 'normal' ? 'N7' : 'P7', words: 'turning outer ring: tight, or it creeps and wears the bore' };
}

/** A zone on a nominal size against a ring in tolerance; `outer` is the one of the two that goes round the other. */
function seatOf(
  { zone, words }: { zone: string; words: string },
  nominalMm: number,
  ring: Outcome<Deviations>,
  outer: 'ring' | 'seat',
): Outcome<BearingSeat> {
  if (!ring.ok) return ring;
  const seat = zoneDeviations(zone, nominalMm);
  if (!seat.ok) return seat;
  const [round, within] = outer === 'ring' ? [ring.value, seat.value] : [seat.value, ring.value];
  return good({
    zone,
    words,
    seat: seat.value,
    ring: ring.value,
    leastClearanceMm: round.lowerMm - within.upperMm,
    mostClearanceMm: round.upperMm - within.lowerMm,
  });
}

/**
 * The shaft seat of a ball bearing.
 *
 * @example shaftSeat(25, 'normal', 'inner', 'normal') // k5: 0.002 to 0.011 mm over, interference 0.002 to 0.021 mm
 */
export const shaftSeat = (boreMm: number, load: BearingLoad, turning: TurningRing, cls: BearingClass = 'normal'): Outcome<BearingSeat> =>
  seatOf(shaftZone(load, turning, boreMm), boreMm, boreTolerance(boreMm, cls), 'ring');

/** The housing seat of a ball bearing, by its outside diameter in mm; a problem outside the sizes that the table has. */
export const housingSeat = (
  outsideMm: number,
  load: BearingLoad,
  turning: TurningRing,
  cls: BearingClass = 'normal',
): Outcome<BearingSeat> => seatOf(housingZone(load, turning), outsideMm, outsideTolerance(outsideMm, cls), 'seat');
