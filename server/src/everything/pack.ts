import { once } from 'node:events';
import { createWriteStream } from 'node:fs';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { csvCell } from '@iron-patch/core';
import { ZipFile } from 'yazl';
import { bundleFile } from '../bundles';
import { atOneMoment, statements, type Db, type Pool } from '../db';
import { loadShop } from '../shop';
import sql from './everything.sql';
import { STAYS } from './tables';

const q = statements(sql, ['jobs', 'tables', 'next', 'close']);

const READ_ME = `What this shop has on record, as it stood at one moment.

jobs/    a file for each job: its readings as typed, drawing, choices, notes and photographs. Each can be brought into another shop's
         Iron Patch as it is (New job, Bring in a job file).
tables/  the same and all the rest as tables: comma-separated, UTF-8, a header row, a point for decimals, lengths in mm, times in UTC.
         A cell that a spreadsheet would take for a formula has a ' before it.

Passwords, PINs and secret addresses are not in it. To move or keep a whole shop use ./iron-patch backup: it can be put back.
`;

const textOf = (value: unknown): string | number | null => {
  if (value === null || typeof value === 'number' || typeof value === 'string') return value;
  return value instanceof Date ? value.toISOString() : JSON.stringify(value);
};

/** A table as CSV, a piece at a time. */
async function* csvOf(db: Db, table: string): AsyncGenerator<string> {
  // The name comes from the database's own list of tables.
  await db.query(`declare everything no scroll cursor for select * from "${table}"`);
  for (let first = true; ; first = false) {
    const { rows, fields } = await db.query<Record<string, unknown>>(q.next);
    if (first) yield `${fields.map((f) => csvCell(f.name)).join(',')}\r\n`;
    if (!rows.length) break;
    yield rows.map((r) => `${fields.map((f) => csvCell(textOf(r[f.name]))).join(',')}\r\n`).join('');
  }
  await db.query(q.close);
}

/** One file after the other: a connection answers one question at a time. */
async function addAll(zip: ZipFile, db: Db, signal: AbortSignal): Promise<void> {
  const add = async (name: string, text: Readable): Promise<void> => {
    try {
      signal.throwIfAborted();
      zip.addReadStream(text, name);
      await once(text, 'close', { signal });
    } finally {
      text.destroy();
    }
  };
  await add('read-me.txt', Readable.from([READ_ME]));
  const { rows: tables } = await db.query<{ name: string }>(q.tables);
  for (const { name } of tables) if (!(name in STAYS)) await add(`tables/${name}.csv`, Readable.from(csvOf(db, name)));
  const { rows: jobs } = await db.query<{ id: string }>(q.jobs);
  const shop = await loadShop(db);
  for (const { id } of jobs) {
    const { name, text } = await bundleFile(db, id, shop);
    await add(`jobs/${name}`, Readable.from([text]));
  }
  zip.end();
}

/**
 * Packs everything that is on record, as it stands at one moment, into a file.
 *
 * @param given ends it early
 */
export async function packEverything(pool: Pool, file: string, given: AbortSignal): Promise<void> {
  const zip = new ZipFile();
  const failed = new AbortController();
  const signal = AbortSignal.any([given, failed.signal]);
  // Whichever fails first ends the other: neither waits for a file that nobody writes, nor for one that nobody reads.
  const ends = <T>(work: Promise<T>): Promise<T> =>
    work.catch((e: unknown) => {
      failed.abort(e);
      throw e;
    });
  const written = ends(pipeline(zip.outputStream, createWriteStream(file), { signal }));
  const read = ends(atOneMoment(pool, (db) => addAll(zip, db, signal)));
  const [first] = (await Promise.allSettled([written, read])).flatMap((r) => (r.status === 'rejected' ? [r.reason as Error] : []));
  if (first) throw failed.signal.reason ?? first;
}
