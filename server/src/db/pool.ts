import pg from 'pg';

export type Pool = pg.Pool;
export type Db = Pick<pg.PoolClient, 'query'>;

// A date stays the text it is: 2026-12-04 has no time and no zone.
pg.types.setTypeParser(pg.types.builtins.DATE, (text) => text);

export const openPool = (connectionString: string): Pool => new pg.Pool({ connectionString, max: 10, connectionTimeoutMillis: 5000 });

/** Runs a transaction; rolled back when the work throws. The screen's id goes out with what it tells. */
export async function inTransaction<T>(pool: Pool, screen: string, work: (db: Db) => Promise<T>): Promise<T> {
  const client = await pool.connect();
  try {
    await client.query('begin');
    await client.query(`select set_config('iron_patch.screen', $1, true)`, [screen]);
    const result = await work(client);
    await client.query('commit');
    return result;
  } catch (e) {
    await client.query('rollback').catch(() => undefined);
    throw e;
  } finally {
    client.release();
  }
}
