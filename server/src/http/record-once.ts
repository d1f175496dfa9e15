import { createHash } from 'node:crypto';
import { etagOf, HEADERS } from '@iron-patch/contract';
import type { Request, Response } from 'express';
import { inTransaction, statements, type Db, type Pool } from '../db';
import { did } from './did';
import { keyNeeded, keyUsedForAnother } from './http-problem';
import { screenOf } from './person';
import sql from './record-once.sql';

const q = statements(sql, ['claim', 'answer', 'replay', 'forget']);
const LONGEST_KEY = 100;

export interface Answer {
  readonly status: number;
  readonly body: unknown;
}

/** The answer to a change: made, when it is the first version. */
export const stored = <R extends { readonly version: number }>(body: R): Answer => ({ status: body.version === 1 ? 201 : 200, body });

/** An answer as it was kept under its key. */
export interface StoredAnswer {
  readonly route: string;
  readonly request_hash: string;
  readonly status: number;
  readonly body: unknown;
}

/** Forgets the answers that nobody asks for again: a screen sends what it keeps as soon as it is opened. Tells how many. */
export const forgetOldAnswers = async (pool: Pool): Promise<number> => (await pool.query(q.forget)).rowCount ?? 0;

type Work = (db: Db) => Promise<Answer>;

/** What tells a request from another that comes under the same key. */
const hashOf = (body: unknown, ...more: readonly string[]): string =>
  createHash('sha256')
    .update(more.map((m) => `${m}\n`).join(''))
    .update(Buffer.isBuffer(body) ? body : JSON.stringify(body ?? null))
    .digest('hex');

/** A request under its key. */
export interface Keyed {
  readonly key: string;
  readonly route: string;
  readonly hash: string;
}

/** The answer that was kept, where it was to the same request. */
export function answerKept(known: StoredAnswer, { route, hash }: Keyed): Answer {
  if (known.route !== route || known.request_hash !== hash) throw keyUsedForAnother();
  return { status: known.status, body: known.body };
}

export const answerTo = async (db: Db, key: string): Promise<StoredAnswer> => (await db.query<StoredAnswer>(q.replay, [key])).rows[0]!;

/** Does the work and stores its answer in one transaction; a second sender of the same key waits for the first and gets its answer. */
const once = (pool: Pool, req: Request, keyed: Keyed, work: Work): Promise<Answer> =>
  inTransaction(pool, screenOf(req), async (db) => {
    const claimed = await db.query(q.claim, [keyed.key, keyed.route, keyed.hash]);
    if (claimed.rowCount === 0) return answerKept(await answerTo(db, keyed.key), keyed);
    const fresh = await work(db);
    await did(db, req, fresh.status);
    await db.query(q.answer, [keyed.key, fresh.status, JSON.stringify(fresh.body)]);
    return fresh;
  });

const keyOf = (req: Request): string | null => {
  const key = req.get(HEADERS.idempotencyKey);
  if (key && key.length > LONGEST_KEY) throw keyNeeded();
  return key || null;
};

export const sendAnswer = (res: Response, { status, body }: Answer): void => void res.status(status).json(body);

/** A POST of a body under its key, however it came. */
export const keyedAs = (key: string, route: string, body: unknown): Keyed => ({ key, route, hash: hashOf(body) });

/** A POST under its key, without which it is refused. */
export function keyedPost(req: Request): Keyed {
  const key = keyOf(req);
  if (!key) throw keyNeeded();
  return keyedAs(key, req.path, req.body);
}

/** Does a POST once however often it is sent: the answer is stored with the record and told again to a retry. */
export const recordOnce = async (pool: Pool, req: Request, res: Response, work: Work): Promise<void> =>
  sendAnswer(res, await once(pool, req, keyedPost(req), work));

/**
 * Does a PUT or DELETE of what was read at a version. Under a key it is done once: whoever sends it again because the answer was lost
 * gets that answer, and is not taken for somebody else.
 *
 * @param work gives what is stored now, and its new version; a body of null answers 204
 */
export async function changeOnce(pool: Pool, req: Request, res: Response, work: Work): Promise<void> {
  const key = keyOf(req);
  const route = `${req.method} ${req.path}`;
  const condition = [req.get('If-Match') ?? '', req.get('If-None-Match') ?? ''];
  const { status, body } = key
    ? await once(pool, req, { key, route, hash: hashOf(req.body, ...condition) }, work)
    : await inTransaction(pool, screenOf(req), async (db) => {
        const fresh = await work(db);
        await did(db, req, fresh.status);
        return fresh;
      });
  if (body === null) return void res.status(204).end();
  res
    .status(status)
    .set('ETag', etagOf((body as { version: number }).version))
    .json(body);
}
