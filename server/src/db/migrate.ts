import { readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { withOwner } from './owner';

/**
 * Brings the database up to date. Files are numbered, each runs once in its own transaction, one process at a time. It takes the time it
 * needs, on a connection of its own: a filled table or another process that is at it may take longer than a request.
 *
 * @param url the database, as the role that owns it
 * @param directory folder of `0001_name.sql` files
 * @returns names of those that ran now
 */
export async function migrate(url: string, directory: string): Promise<string[]> {
  const files = (await readdir(directory)).filter((f) => /^\d{4}_.*\.sql$/.test(f)).sort();
  return withOwner(url, async (client) => {
    const ran: string[] = [];
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
    return ran;
  });
}
