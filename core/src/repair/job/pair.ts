import type { PlaceRecord } from './records';

type Paired = Pick<PlaceRecord, 'id' | 'matesPlaceId'>;

/** Whether it was said of either of two places that it fits together with the other. */
export const areMates = (p: Paired, q: Paired): boolean => p.matesPlaceId === q.id || q.matesPlaceId === p.id;

/** What fits together with a place; undefined where nothing was said to. */
export const mateOf = <T extends { readonly place: Paired }>({ place }: { readonly place: Paired }, places: readonly T[]): T | undefined =>
  places.find((f) => areMates(f.place, place));
