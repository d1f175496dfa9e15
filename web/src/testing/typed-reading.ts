import type { TypedReading } from '../app/sheet-data';

/** A reading of the barrel as somebody types it. */
export const typedReading = (text: string): TypedReading => ({
  purpose: 'found',
  placeId: 'barrel',
  segmentId: null,
  afterActId: null,
  quantity: 'size',
  stationMm: 20,
  clockDeg: 90,
  text,
  unit: 'mm',
  instrumentId: 'tele',
  partTempC: null,
  dial: null,
  supersedesId: null,
  withdrawn: false,
  confirmed: false,
});
