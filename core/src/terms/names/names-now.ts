/** What was called a feature before 2026-11-27 is a place: names in files, in what a browser kept, in what was decided. */
const NOW: Readonly<Record<string, string>> = {
  features: 'places',
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
