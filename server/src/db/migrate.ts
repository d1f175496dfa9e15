import { readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import pg from 'pg';
import type { Pool } from './pool';

/** Any number that no other part of the program locks. */
const MIGRATION_LOCK = 74_656_001;

/**
 * Brings the database up to date. Files are numbered, each runs once in its own transaction, one process at a time. It takes the time it
 * needs, on a connection of its own: a filled table or another process that is at it may take longer than a request.
 *
 * @param directory folder of `0001_name.sql` files
 * @returns names of those that ran now
 */
export async function migrate(pool: Pool, directory: string): Promise<string[]> {
  const files = (await readdir(directory)).filter((f) => /^\d{4}_.*\.sql$/.test(f)).sort();
  const client = new pg.Client({ connectionString: pool.options.connectionString });
  client.on('error', () => undefined);
  await client.connect();
  const ran: string[] = [];
  try {
    await client.query('select pg_advisory_lock($1)', [MIGRATION_LOCK]);
    await client.query('create table if not exists schema_migrations (name text primary key, ran_at timestamptz not null default now())');
    const { rows } = await client.query<{ name: string }>('select name from schema_migrations');
    const known = new Set(rows.map((r) => r.name));
    for (const file of files.filter((f) => !known.has(f))) {
      await client.query('begin');
      await client.query(await readFile(join(directory, file), 'utf8'));
      await client.query('insert into schema_migrations (name) values ($1)', [file]);
      await client.query('commit');
      ran.push(file);
    }
  } catch (e) {
    await client.query('rollback').catch(() => undefined);
    throw e;
  } finally {
    await client.query('select pg_advisory_unlock($1)', [MIGRATION_LOCK]).catch(() => undefined);
    await client.end().catch(() => undefined);
  }
  return ran;
}
