import type { ReadingRecord } from '@iron-patch/core';

/** How one field of a record is stored. */
interface Column {
  readonly name: string;
  readonly type: string;
  /** What is read of it, where that is not the column as it stands. */
  readonly read?: string;
}

/** Every field of a reading as it is stored: one that is missing does not compile. */
const COLUMNS: { readonly [K in keyof ReadingRecord]-?: Column } = {
  id: { name: 'id', type: 'uuid' },
  jobId: { name: 'job_id', type: 'uuid' },
  purpose: { name: 'purpose', type: 'text' },
  placeId: { name: 'place_id', type: 'uuid' },
  segmentId: { name: 'segment_id', type: 'text' },
  // Rows of before there were items are of the job's own.
  itemId: { name: 'item_id', type: 'uuid', read: 'case when segment_id is not null then coalesce(item_id, job_id) end' },
  piece: { name: 'piece', type: 'integer' },
  afterActId: { name: 'after_act_id', type: 'uuid' },
  quantity: { name: 'quantity', type: 'text' },
  stationMm: { name: 'station_mm', type: 'float8' },
  clockDeg: { name: 'clock_deg', type: 'float8' },
  text: { name: 'text', type: 'text' },
  unit: { name: 'unit', type: 'text' },
  valueMm: { name: 'value_mm', type: 'float8' },
  instrumentId: { name: 'instrument_id', type: 'text' },
  partTempC: { name: 'part_temp_c', type: 'float8' },
  dial: { name: 'dial', type: 'float8' },
  personId: { name: 'person_id', type: 'text' },
  takenAt: {
    name: 'taken_at',
    type: 'timestamptz',
    read: `to_char(taken_at at time zone 'utc', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"')`,
  },
  supersedesId: { name: 'supersedes_id', type: 'uuid' },
  withdrawn: { name: 'withdrawn', type: 'boolean' },
};

const FIELDS = Object.keys(COLUMNS) as (keyof ReadingRecord)[];
const each = (say: (field: keyof ReadingRecord, column: Column, i: number) => string): string =>
  FIELDS.map((f, i) => say(f, COLUMNS[f], i)).join(', ');

/** Lists for the statements of readings: what is read, the columns, one array for each column from $1, one value for each from $6. */
export const readingLists = {
  read: each((field, c) => `${c.read ?? c.name} as "${field}"`),
  columns: each((_, c) => c.name),
  arrays: each((_, c, i) => `$${i + 1}::${c.type}[]`),
  values: each((_, c, i) => `$${i + 6}::${c.type}`),
} as const;

/** A reading as its row's values, in the order of the lists. */
export const rowOf = (r: ReadingRecord): unknown[] => FIELDS.map((f) => r[f]);
/** Many readings column by column, in the order of the lists. */
export const columnsOf = (readings: readonly ReadingRecord[]): unknown[][] => FIELDS.map((f) => readings.map((r) => r[f]));
