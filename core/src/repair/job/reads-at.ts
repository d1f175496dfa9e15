import { readsFor, type Reads, type Spot } from '../../evidence/readings';
import { READ_AS, sideRead } from '../../making/part';
import type { Repair } from './repair';

/** Where a reading goes: a place that came in, or a dimension of the new part. */
interface Target {
  readonly placeId: string | null;
  readonly segmentId: string | null;
  readonly spot: Spot;
}

/** What an instrument has to be put to at a spot, and on which side of the metal it is. */
export function readsAt(
  repair: Repair,
  { placeId, segmentId, spot }: Target,
): { readonly side: 'outside' | 'inside'; readonly reads: Reads } {
  const what = placeId === null ? repair.part?.dimensions.find((d) => d.dimension.key === segmentId)?.dimension.what : undefined;
  if (what) return { side: sideRead(what), reads: READ_AS[what] ?? 'length' };
  const { side, kind } = repair.places.find((f) => f.place.id === placeId)?.place ?? { side: 'outside', kind: 'diameter' };
  return { side, reads: readsFor(spot.quantity, side, kind) };
}
