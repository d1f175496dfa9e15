import type { Renamed, Undo } from './undo';
import type { Figure, JobSheet, Quantity } from '@iron-patch/core';
import type { DrawingSteps } from './drawing-steps';
import type { Drafts } from './kept-drawing';

/** What is looked at: a place or a segment, and a spot in it. */
export interface Selection {
  readonly spanId: string | null;
  readonly stationMm: number | null;
  readonly clockDeg: number | null;
  readonly quantity: Quantity | null;
  /** State of the part that is looked at: the id of an act, null for as found; undefined for the one it is in. */
  readonly afterActId?: string | null | undefined;
  /** What the drawing is asked for there, by its id; undefined for the first of it. */
  readonly asked?: string | undefined;
}

/** Somebody else changed the same thing; the person decides. */
export interface Conflict {
  readonly what: string;
}

export interface SheetState {
  readonly sheet: JobSheet | null;
  readonly missing: boolean;
  /** The job that was asked for; kept so that it comes when the server is back. */
  readonly wantedId: string;
  readonly selection: Selection;
  readonly figure: Figure | null;
  /** Which leaf of the station is open, by its name; null for its first. */
  readonly leaf: string | null;
  /** Which part the picture shows: stations before Draw look at the worn one. */
  readonly pictured: 'worn' | 'new';
  readonly conflict: Conflict | null;
  /** What can be taken back, the newest last. */
  readonly undos: readonly Undo[];
  readonly renamed: Renamed;
  /** Drawings that are not saved yet; everything on the sheet is worked out with them. */
  readonly drafts: Drafts;
  /** The drawings that were on the screen before, and those that were gone back from, by item. */
  readonly steps: DrawingSteps;
  /** The item and the piece of it that is looked at; null for the first. */
  readonly itemId: string | null;
  readonly pieceNumber: number | null;
  /** One sentence about what just went wrong or right. */
  readonly message: { readonly text: string; readonly bad: boolean } | null;
}

export const START: SheetState = {
  sheet: null,
  missing: false,
  wantedId: '',
  selection: { spanId: null, stationMm: null, clockDeg: null, quantity: null },
  figure: null,
  leaf: null,
  pictured: 'worn',
  conflict: null,
  undos: [],
  renamed: {},
  drafts: {},
  steps: {},
  itemId: null,
  pieceNumber: null,
  message: null,
};
