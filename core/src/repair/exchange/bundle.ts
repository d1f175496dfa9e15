import type { InstrumentRecord, JobSheet, PhotoMarker, Shop } from '../job';

export const BUNDLE_FORMAT = 'iron-patch-job';
export const BUNDLE_VERSION = 3;
/** Versions that are read: an older one is brought up to date. */
export const BUNDLE_VERSIONS_READ: readonly number[] = [1, 2, 3];

/** A photograph in a bundle, its pixels as base64. */
export interface BundlePhoto {
  readonly id: string;
  readonly caption: string;
  readonly markers: readonly PhotoMarker[];
  readonly jpeg: string;
}

/** A whole job as one file: everything that was put in, nothing that is worked out. Quotes are between a shop and its customer: they stay. See docs/job-bundle.md. */
export interface JobBundle extends Omit<JobSheet, 'photos' | 'quotes'> {
  readonly format: typeof BUNDLE_FORMAT;
  readonly version: typeof BUNDLE_VERSION;
  readonly photos: readonly BundlePhoto[];
  /** Who and what the ids stand for. */
  readonly people: readonly { readonly id: string; readonly name: string }[];
  readonly instruments: readonly InstrumentRecord[];
}

/** The bundle of a job with the people and instruments that it names. */
export function bundleOf({ quotes: _, ...sheet }: JobSheet, shop: Shop, photos: readonly BundlePhoto[]): JobBundle {
  const instruments = new Set([...sheet.readings, ...sheet.places].map((x) => x.instrumentId));
  const people = new Set([...sheet.readings, ...sheet.choices, ...sheet.notes, ...sheet.photos].map((x) => x.personId));
  return {
    format: BUNDLE_FORMAT,
    version: BUNDLE_VERSION,
    ...sheet,
    photos,
    people: shop.people.filter((p) => people.has(p.id)).map(({ id, name }) => ({ id, name })),
    instruments: shop.instruments.filter((i) => instruments.has(i.id)),
  };
}

const UUID = /[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}/g;

/**
 * The bundle with every id of its own replaced by a fresh one wherever it stands, keys of choices included, so that the same file
 * can be brought in twice.
 */
export function withFreshIds(bundle: JobBundle, freshId: () => string): JobBundle {
  const own = [bundle.job, ...bundle.components, ...bundle.places, ...bundle.readings, ...bundle.notes, ...bundle.photos];
  const fresh = new Map(own.map((x) => [x.id, freshId()]));
  const photos = bundle.photos.map((p) => ({ ...p, id: fresh.get(p.id)!, jpeg: p.jpeg }));
  const text = JSON.stringify({ ...bundle, photos: [] }).replace(UUID, (id) => fresh.get(id) ?? id);
  const markers = JSON.parse(JSON.stringify(photos.map((p) => p.markers)).replace(UUID, (id) => fresh.get(id) ?? id)) as PhotoMarker[][];
  return { ...(JSON.parse(text) as JobBundle), photos: photos.map((p, i) => ({ ...p, markers: markers[i]! })) };
}
