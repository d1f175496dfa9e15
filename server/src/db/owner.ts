import pg from 'pg';

/** Any number that no other part of the program locks. */
const OWNER_LOCK = 74_656_001;

/**
 * Works on the database as the role that owns it, one process at a time. It takes the time it needs, on a connection of its own: a filled
 * table or another process that is at it may take longer than a request.
 *
 * @param url the database, as its owner
 * @throws what the work throws; what it had begun is rolled back
 */
export async function withOwner<T>(url: string, work: (client: pg.Client) => Promise<T>): Promise<T> {
  const client = new pg.Client({ connectionString: url });
  client.on('error', () => undefined);
  await client.connect();
  try {
    await client.query('select pg_advisory_lock($1)', [OWNER_LOCK]);
    return await work(client);
  } catch (e) {
    // What went wrong first is what is told: a connection that is gone has rolled back and let go by itself.
    await client.query('rollback').catch(() => undefined);
    throw e;
  } finally {
    // A connection that is gone has let the lock go with it, and need not be ended: what went wrong of it is told above.
    await client.query('select pg_advisory_unlock($1)', [OWNER_LOCK]).catch(() => undefined);
    await client.end().catch(() => undefined);
  }
}
