import pg from 'pg';
import { notNow } from './away';

export type Pool = pg.Pool;
export type Db = Pick<pg.PoolClient, 'query'>;

// A date stays the text it is: 2026-12-04 has no time and no zone.
pg.types.setTypeParser(pg.types.builtins.DATE, (text) => text);

/**
 * How long a request waits for the database: for a connection, for a lock, for one statement there and here. Together they end before
 * the five seconds in which a request has its answer. A frozen database does not end a statement itself, so the driver does.
 */
const WAITS = { connectionTimeoutMillis: 1500, lock_timeout: 2000, statement_timeout: 2500, query_timeout: 3000 } as const;
/** A transaction that its process forgot is ended by the database. */
const FORGOTTEN_MS = 15_000;

export function openPool(connectionString: string): Pool {
  const pool = new pg.Pool({ connectionString, max: 10, keepAlive: true, idle_in_transaction_session_timeout: FORGOTTEN_MS, ...WAITS });
  // A connection that is ended tells so twice: by PostgreSQL's last word and by its closing. Whoever has it then has heard the first; the
  // second, without anybody to hear it, would end the process.
  pool.on('connect', (client) => client.on('error', () => undefined));
  return pool;
}

/**
 * Runs a transaction that begins so; rolled back when the work throws. A connection that broke, or whose database no longer answers, is
 * thrown away instead: PostgreSQL rolls back what was cut off.
 */
async function transaction<T>(pool: Pool, begin: string, work: (db: Db) => Promise<T>): Promise<T> {
  const client = await pool.connect();
  let broken: Error | undefined;
  const breaks = (e: Error): void => void (broken = e);
  client.on('error', breaks);
  try {
    await client.query(begin);
    const result = await work(client);
    await client.query('commit');
    return result;
  } catch (e) {
    if (notNow(e) === 'away') broken ??= e as Error;
    else if (!broken) await client.query('rollback').catch(breaks);
    throw e;
  } finally {
    client.off('error', breaks);
    client.release(broken);
  }
}

/** Runs a transaction; the screen's id goes out with what it tells. */
export const inTransaction = <T>(pool: Pool, screen: string, work: (db: Db) => Promise<T>): Promise<T> =>
  transaction(pool, 'begin', async (db) => {
    await db.query(`select set_config('iron_patch.screen', $1, true)`, [screen]);
    return work(db);
  });

/** Reads everything as it was stored at one moment. */
export const atOneMoment = <T>(pool: Pool, read: (db: Db) => Promise<T>): Promise<T> =>
  transaction(pool, 'begin isolation level repeatable read, read only', read);
