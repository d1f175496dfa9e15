import type { LengthUnit } from '@iron-patch/core/terms/quantity';
import type { StationId } from '@iron-patch/core/terms/stations';

/** What of a job was found: the job itself, a component, a place, a size that was read, a note, a lesson. */
export type SearchKind = 'job' | 'component' | 'place' | 'size' | 'note' | 'lesson';

/** Something that was found in a job, and where it stands. */
export interface SearchHit {
  readonly kind: SearchKind;
  readonly jobId: string;
  readonly number: number;
  readonly title: string;
  readonly customerName: string;
  readonly machine: string;
  readonly unit: LengthUnit;
  readonly station: StationId;
  /** The place that it stands at, where it does. */
  readonly placeId: string | null;
  /** The words in which it was found. */
  readonly words: string;
  /** The size that was read, mm; null for words. */
  readonly valueMm: number | null;
}

export interface SearchResource {
  readonly hits: readonly SearchHit[];
  /** Nothing has these words: what is like them was taken instead. */
  readonly alike: boolean;
}

/** Longest question, and the most words of it that are looked at. */
export const SEARCH = { length: 120, words: 8, most: 60 } as const;
