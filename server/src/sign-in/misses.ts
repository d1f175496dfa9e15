import { statements, inTransaction, type Pool } from '../db';
import { waitFirst } from '../http';
import sql from './sign-in.sql';

const q = statements(sql, ['knocked', 'wait', 'missed', 'forgive']);

/** So many wrong ones are free; each after that doubles the wait, up to the longest. */
const WAITS = { firstS: 10, mostS: 900 } as const;
/** An address may be that of a whole shop behind one line. */
export const FREE = { name: 5, address: 40 } as const;

/** Seconds to wait after so many wrong ones. */
const waitAfter = (misses: number, free: number): number =>
  misses < free ? 0 : Math.min(WAITS.mostS, WAITS.firstS * 2 ** Math.min(misses - free, 20));

/**
 * Counts a try before anybody looks whether it is right, so that a thousand at once are no more than a few; `forgiven` takes the count back
 * once it was.
 *
 * @param who whose password is tried, or from where
 * @throws HttpProblem 429 while it has to wait
 */
export const counted = (pool: Pool, who: string, free: number): Promise<void> =>
  inTransaction(pool, '', async (db) => {
    await db.query(q.knocked, [who]);
    const { misses, waitS } = (await db.query<{ misses: number; waitS: number }>(q.wait, [who])).rows[0] ?? { misses: 0, waitS: 0 };
    if (waitS > 0) throw waitFirst(waitS);
    await db.query(q.missed, [who, misses + 1, waitAfter(misses + 1, free)]);
  });

export const forgiven = async (pool: Pool, who: string): Promise<void> => void (await pool.query(q.forgive, [who]));
