/**
 * Ids of what was called a feature before 2026-11-27 and is a place: in files, in what a browser kept, in what was decided. `features` alone
 * is no such name: a drawing has them.
 */
const NOW: Readonly<Record<string, string>> = {
  featureId: 'placeId',
  matesFeatureId: 'matesPlaceId',
  timedToFeatureId: 'timedToPlaceId',
  fitsFeatureIds: 'fitsPlaceIds',
};

/** A JSON value of an earlier version with its fields called as today; texts stay as they were written. */
export function namesNow(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(namesNow);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([name, v]) => [Object.hasOwn(NOW, name) ? NOW[name]! : name, namesNow(v)]));
}
