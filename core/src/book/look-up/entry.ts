/** A cell of the book: a length in mm, or words. */
export type Cell = number | string;

/** One thing of the book, as it is shown when somebody looks it up. */
export interface BookEntry {
  readonly title: string;
  readonly kind: 'fit' | 'thread' | 'bearing' | 'drill' | 'O-ring' | 'lip seal' | 'key' | 'ring' | 'pin' | 'material';
  readonly rows: readonly (readonly [label: string, value: Cell])[];
  readonly words?: string;
  readonly source: string;
}

/** A table of the book, for reading through and for print. */
export interface BookTable {
  readonly id: string;
  readonly title: string;
  readonly source: string;
  /** Unit that the standard is in; lengths are printed in it. */
  readonly unit: 'mm' | 'in';
  readonly columns: readonly string[];
  readonly rows: () => readonly (readonly Cell[])[];
}
