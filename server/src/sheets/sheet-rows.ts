import type { JobSheet } from '@iron-patch/core';
import { MOST_SHEET_ROWS, SHEET_TABLES, type SheetRow, type SheetRows, type SheetTable } from '@iron-patch/contract';
import { choicesOf } from '../choices/choice-queries';
import { componentsOf } from '../components';
import type { Db } from '../db';
import { placesOf } from '../places';
import { jobById } from '../jobs';
import { notesOf } from '../notes/note-queries';
import { photosOf } from '../photos/photo-queries';
import { proofsOf } from '../proofs/proof-queries';
import { quotesOf } from '../quotes/quote-queries';
import { readingsOf } from '../readings/reading-queries';
import { releasesOf } from '../releases/release-queries';
import { customersById } from '../shop';

type Lists = Pick<JobSheet, Exclude<SheetTable, 'jobs'>>;

/** Reads one table of some jobs. */
const TABLES: { readonly [T in keyof Lists]: (db: Db, jobIds: readonly string[]) => Promise<Lists[T][number][]> } = {
  components: componentsOf,
  places: placesOf,
  readings: readingsOf,
  choices: choicesOf,
  releases: releasesOf,
  proofs: proofsOf,
  notes: notesOf,
  photos: photosOf,
  quotes: quotesOf,
};

const nameOf = (row: { readonly id?: string; readonly key?: string }): string => row.id ?? row.key ?? '';

/** The rows that a screen asks for, as `[["readings","…"],["choices","fit:…"]]`; null where that is not what it says, or too many. */
export function rowsAsked(text: string): SheetRow[] | null {
  try {
    const asked = JSON.parse(text) as unknown;
    const isRow = (r: unknown): r is SheetRow =>
      Array.isArray(r) && r.length === 2 && SHEET_TABLES.includes(r[0] as SheetTable) && typeof r[1] === 'string';
    return Array.isArray(asked) && asked.length <= MOST_SHEET_ROWS && asked.every(isRow) ? asked : null;
  } catch {
    return null;
  }
}

/** Those rows of a job that are there, as they are stored now. */
export async function loadRows(db: Db, jobId: string, asked: readonly SheetRow[]): Promise<SheetRows> {
  const job = await jobById(db, jobId);
  const rows: Record<string, unknown> = {};
  for (const table of new Set(asked.map(([t]) => t)))
    if (table === 'jobs') Object.assign(rows, { job, customer: (await customersById(db, [job.customerId]))[0] });
    else {
      const names = new Set(asked.filter(([t]) => t === table).map(([, name]) => name));
      rows[table] = (await TABLES[table](db, [jobId])).filter((r) => names.has(nameOf(r)));
    }
  return rows;
}
