import {
  routes,
  type ComponentInput,
  type PlaceInput,
  type JobInput,
  type NoteInput,
  type PhotoInput,
  type ProofInput,
  type ReleaseInput,
} from '@iron-patch/contract';
import type {
  ChoiceRecord,
  ComponentRecord,
  PlaceRecord,
  JobRecord,
  JobSheet,
  NoteRecord,
  PhotoRecord,
  ProofRecord,
  ReleaseRecord,
} from '@iron-patch/core';
import type { Api } from '../data';

/** The list with a row put in its place, or at the end when it is new. */
export const replaceById = <T extends { readonly id: string }>(rows: readonly T[], row: T): T[] =>
  rows.some((r) => r.id === row.id) ? rows.map((r) => (r.id === row.id ? row : r)) : [...rows, row];

/** The choices with one in the place of its older version, or at the end when it is the first of its key. */
export const replaceChoice = (choices: readonly ChoiceRecord[], choice: ChoiceRecord): ChoiceRecord[] =>
  choices.some((c) => c.key === choice.key) ? choices.map((c) => (c.key === choice.key ? choice : c)) : [...choices, choice];

/** What the resources of a sheet need of its store. */
export interface SheetAccess {
  readonly api: Api;
  readonly jobId: () => string;
  readonly attempt: <T>(
    what: string,
    act: (version: number) => Promise<T>,
    version: number,
    done: (result: T) => void,
  ) => Promise<T | null>;
  readonly patchSheet: (change: (s: JobSheet) => JobSheet) => void;
  /** What is held against the evidence goes after the readings that were typed before it. */
  readonly afterReadings: <T>(act: () => Promise<T>) => Promise<T>;
}

/**
 * Adding, changing and removing what a sheet is made of. Each resolves to what was stored, to null when somebody else had
 * changed it first, and rejects when the server refused or did not answer.
 */
export function sheetResources({ api, jobId, attempt, patchSheet, afterReadings }: SheetAccess) {
  const gone = async (path: string, version: number): Promise<true> => {
    await api.delete(path, version);
    return true;
  };
  return {
    /** Saves a job that was read at `version`. */
    saveJob: (input: JobInput, version: number): Promise<JobRecord | null> =>
      attempt(
        'what was received',
        (v) => api.put<JobRecord>(routes.job(jobId()), input, v),
        version,
        (job) => {
          patchSheet((s) => ({
            ...s,
            job,
            customer: {
              ...s.customer,
              id: job.customerId,
              name: input.customerName,
              contact: input.customerContact || s.customer.contact,
            },
          }));
        },
      ),
    addComponent: (input: ComponentInput, key: string): Promise<ComponentRecord | null> =>
      attempt(
        'components',
        () => api.post<ComponentRecord>(routes.components(jobId()), input, key),
        0,
        (c) => patchSheet((s) => ({ ...s, components: replaceById(s.components, c) })),
      ),
    saveComponent: (c: ComponentRecord, input: ComponentInput): Promise<ComponentRecord | null> =>
      attempt(
        c.name,
        (v) => api.put<ComponentRecord>(routes.component(c.id), input, v),
        c.version,
        (now) => patchSheet((s) => ({ ...s, components: replaceById(s.components, now) })),
      ),
    removeComponent: (c: ComponentRecord): Promise<true | null> =>
      attempt(
        c.name,
        (v) => gone(routes.component(c.id), v),
        c.version,
        () => patchSheet((s) => ({ ...s, components: s.components.filter((x) => x.id !== c.id) })),
      ),
    addPlace: (input: PlaceInput, key: string): Promise<PlaceRecord | null> =>
      attempt(
        'places to measure',
        () => api.post<PlaceRecord>(routes.places(jobId()), input, key),
        0,
        (f) => patchSheet((s) => ({ ...s, places: replaceById(s.places, f) })),
      ),
    savePlace: (f: PlaceRecord, input: PlaceInput): Promise<PlaceRecord | null> =>
      attempt(
        f.name,
        (v) => api.put<PlaceRecord>(routes.place(f.id), input, v),
        f.version,
        (now) => patchSheet((s) => ({ ...s, places: replaceById(s.places, now) })),
      ),
    removePlace: (f: PlaceRecord): Promise<true | null> =>
      attempt(
        f.name,
        (v) => gone(routes.place(f.id), v),
        f.version,
        () => patchSheet((s) => ({ ...s, places: s.places.filter((x) => x.id !== f.id) })),
      ),
    release: (input: ReleaseInput): Promise<ReleaseRecord | null> =>
      attempt(
        'the release',
        () => afterReadings(() => api.post<ReleaseRecord>(routes.releases(jobId()), input)),
        0,
        (r) => patchSheet((s) => ({ ...s, releases: replaceById(s.releases, r) })),
      ),
    prove: (input: ProofInput): Promise<ProofRecord | null> =>
      attempt(
        'the proof',
        () => afterReadings(() => api.post<ProofRecord>(routes.proofs(jobId()), input)),
        0,
        (p) => patchSheet((s) => ({ ...s, proofs: replaceById(s.proofs, p) })),
      ),
    savePhoto: (p: PhotoRecord, input: PhotoInput): Promise<PhotoRecord | null> =>
      attempt(
        'the photograph',
        (v) => api.put<PhotoRecord>(routes.photo(p.id), input, v),
        p.version,
        (now) => patchSheet((s) => ({ ...s, photos: replaceById(s.photos, now) })),
      ),
    removePhoto: (p: PhotoRecord): Promise<true | null> =>
      attempt(
        'the photograph',
        (v) => gone(routes.photo(p.id), v),
        p.version,
        () => patchSheet((s) => ({ ...s, photos: s.photos.filter((x) => x.id !== p.id) })),
      ),
    addNote: (input: NoteInput): Promise<NoteRecord | null> =>
      attempt(
        'notes',
        () => api.post<NoteRecord>(routes.notes(jobId()), input),
        0,
        (n) => patchSheet((s) => ({ ...s, notes: replaceById(s.notes, n) })),
      ),
  };
}
