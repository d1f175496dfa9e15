import { meanOf, type PlaceFinding } from '../job';

/**
 * Length over all as it was read of an old part, mm: the longest of its lengths. Null where none was read.
 *
 * @param componentIds of which it is; where none is named, of what is worn, else of anything
 */
export function readLengthMm(places: readonly PlaceFinding[], componentIds: readonly string[]): number | null {
  const lengths = places.flatMap((f) => {
    const mm = f.place.kind === 'length' ? meanOf(f, 'length') : null;
    return mm === null ? [] : [{ mm, of: f.component }];
  });
  const among = [
    lengths.filter(({ of }) => componentIds.includes(of.id)),
    ...(componentIds.length ? [] : [lengths.filter(({ of }) => of.role === 'worn'), lengths]),
  ].find((l) => l.length);
  return among ? Math.max(...among.map(({ mm }) => mm)) : null;
}
