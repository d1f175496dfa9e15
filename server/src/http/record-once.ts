import { createHash } from 'node:crypto';
import { HEADERS } from '@iron-patch/contract';
import type { Request, Response } from 'express';
import { inTransaction, statements, type Db, type Pool } from '../db';
import { keyNeeded, keyUsedForAnother } from './http-problem';
import { screenOf } from './person';
import sql from './record-once.sql';

const q = statements(sql, ['claim', 'answer', 'replay', 'forget']);
const LONGEST_KEY = 100;

export interface Answer {
  readonly status: number;
  readonly body: unknown;
}

interface StoredAnswer {
  readonly route: string;
  readonly request_hash: string;
  readonly status: number;
  readonly body: unknown;
}

/** Forgets the answers that nobody asks for again: a screen sends what it keeps as soon as it is opened. Tells how many. */
export const forgetOldAnswers = async (pool: Pool): Promise<number> => (await pool.query(q.forget)).rowCount ?? 0;

/**
 * Does a POST once however often it is sent: the answer is stored with the record in one transaction and told again to a
 * retry. A second sender of the same key waits for the first.
 */
export async function recordOnce(pool: Pool, req: Request, res: Response, work: (db: Db) => Promise<Answer>): Promise<void> {
  const key = req.get(HEADERS.idempotencyKey);
  if (!key || key.length > LONGEST_KEY) throw keyNeeded();
  const hash = createHash('sha256')
    .update(Buffer.isBuffer(req.body) ? req.body : JSON.stringify(req.body ?? null))
    .digest('hex');
  const answer = await inTransaction(pool, screenOf(req), async (db) => {
    const claimed = await db.query(q.claim, [key, req.path, hash]);
    if (claimed.rowCount === 0) {
      const stored = (await db.query<StoredAnswer>(q.replay, [key])).rows[0]!;
      if (stored.route !== req.path || stored.request_hash !== hash) throw keyUsedForAnother();
      return { status: stored.status, body: stored.body };
    }
    const fresh = await work(db);
    await db.query(q.answer, [key, fresh.status, JSON.stringify(fresh.body)]);
    return fresh;
  });
  res.status(answer.status).json(answer.body);
}
