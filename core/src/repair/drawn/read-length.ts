import { meanOf, type PlaceFinding } from '../job';

/** The largest of what was read of a part: of the components that are named; where none is, of what is worn, else of anything. */
function largestOf(
  read: readonly { readonly mm: number; readonly of: PlaceFinding['component'] }[],
  ids: readonly string[],
): number | null {
  const among = [
    read.filter(({ of }) => ids.includes(of.id)),
    ...(ids.length ? [] : [read.filter(({ of }) => of.role === 'worn'), read]),
  ].find((l) => l.length);
  return among ? Math.max(...among.map(({ mm }) => mm)) : null;
}

/**
 * Length over all as it was read of an old part, mm: the longest of its lengths. Null where none was read.
 *
 * @param componentIds of which it is; where none is named, of what is worn, else of anything
 */
export const readLengthMm = (places: readonly PlaceFinding[], componentIds: readonly string[]): number | null =>
  largestOf(
    places.flatMap((f) => {
      const mm = f.place.kind === 'length' ? meanOf(f, 'length') : null;
      return mm === null ? [] : [{ mm, of: f.component }];
    }),
    componentIds,
  );

/**
 * Largest diameter that was read outside of an old part, mm, at its largest place, a thread's over its crests. Null where none was read.
 *
 * @param componentIds of which it is; where none is named, of what is worn, else of anything
 */
export const readAcrossMm = (places: readonly PlaceFinding[], componentIds: readonly string[]): number | null =>
  largestOf(
    places.flatMap((f) => {
      const mm = f.place.side === 'outside' ? (f.shape?.largestMm ?? meanOf(f, 'major')) : null;
      return mm === null ? [] : [{ mm, of: f.component }];
    }),
    componentIds,
  );
