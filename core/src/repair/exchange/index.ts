export { keptTime } from './kept-time';
export { asItWas, READINGS_CSV_COLUMNS, READINGS_CSV_NEEDED, readingsToCsv } from './readings-csv';
export { importReadings, type ImportedReading, type ImportOutcome } from './readings-import';
export { BUNDLE_FORMAT, BUNDLE_VERSION, BUNDLE_VERSIONS_READ, bundleOf, withFreshIds, type BundlePhoto, type JobBundle } from './bundle';
export { upgradeBundle } from './upgrade-bundle';
