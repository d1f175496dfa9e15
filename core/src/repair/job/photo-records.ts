/** A spot on a photograph, in shares of its width and height from the upper left, tied to a place or to a word. */
export interface PhotoMarker {
  readonly id: string;
  readonly x: number;
  readonly y: number;
  readonly placeId: string | null;
  readonly text: string;
}

/** A photograph of a job; its pixels are fetched apart. */
export interface PhotoRecord {
  readonly id: string;
  readonly jobId: string;
  readonly caption: string;
  readonly widthPx: number;
  readonly heightPx: number;
  readonly markers: readonly PhotoMarker[];
  readonly personId: string;
  readonly at: string;
  readonly version: number;
}
