export { delimiterOf } from './csv-delimiter';
export { keptTime } from './kept-time';
export { asItWas, csvCell, READINGS_CSV_COLUMNS, READINGS_CSV_NEEDED, readingsToCsv } from './readings-csv';
export { importReadings, type ImportedReading, type ImportOutcome } from './readings-import';
export { BUNDLE_FORMAT, BUNDLE_VERSION, BUNDLE_VERSIONS_READ, bundleOf, withFreshIds, type BundlePhoto, type JobBundle } from './bundle';
export { upgradeBundle } from './upgrade-bundle';
export {
  guessColumns,
  MOST_OLD_JOBS,
  OLD_FIELD_IDS,
  OLD_FIELDS,
  readOldList,
  type OldColumns,
  type OldField,
  type OldJob,
} from './old-list';
