import type { JobSheet } from '@iron-patch/core';

/** Tables of a job's sheet, by the names under which their changes are told. */
export const SHEET_TABLES = [
  'jobs',
  'components',
  'places',
  'readings',
  'choices',
  'releases',
  'proofs',
  'notes',
  'photos',
  'quotes',
] as const;
export type SheetTable = (typeof SHEET_TABLES)[number];

/** A row of a sheet: its table, and its id or the key of a choice. */
export type SheetRow = readonly [table: SheetTable, row: string];

/** So many rows are fetched by themselves; of more the whole sheet is. */
export const MOST_SHEET_ROWS = 60;

/** Some rows of a sheet as they are stored now; one that was asked for and is not here was taken off. */
export type SheetRows = Partial<JobSheet>;
