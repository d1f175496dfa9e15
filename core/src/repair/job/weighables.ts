import { INSTRUMENT_KINDS, type Spot, type Weighable } from '../../evidence/readings';
import { instrumentOf } from './bias';
import { instrumentUncertaintyMm, type Measured } from './measured';
import type { ReadingRecord, Shop } from './records';

const DECIMALS = /[.,](\d+)/;

const weighableOf = (r: ReadingRecord, side: 'outside' | 'inside', shop: Shop): Weighable => {
  const instrument = instrumentOf(shop, r.instrumentId);
  return {
    id: r.id,
    stationMm: r.stationMm,
    clockDeg: r.clockDeg,
    valueMm: r.valueMm,
    uMm: instrumentUncertaintyMm(instrument, side, r.valueMm),
    points: INSTRUMENT_KINDS[instrument?.kind ?? 'caliper'].points,
    unit: r.unit,
    decimals: DECIMALS.exec(r.text)?.[1]?.length ?? 3,
  };
};

/** The readings of a place that count, one quantity of them, ready to be held against each other. */
export const weighables = (f: Pick<Measured, 'readings' | 'lost' | 'place'>, quantity: Spot['quantity'], shop: Shop): Weighable[] =>
  f.readings.filter((r) => r.quantity === quantity && !f.lost.has(r.instrumentId)).map((r) => weighableOf(r, f.place.side, shop));
