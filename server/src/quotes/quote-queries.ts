import type { QuoteCard, QuoteRecord } from '@iron-patch/core';
import { statements, type Db } from '../db';
import { digestOf, notFound } from '../http';
import sql from './quotes.sql';

const q = statements(sql, ['byJobs', 'jobOf', 'insert', 'link', 'withdraw', 'linked', 'lock', 'answer', 'question']);

/** So many questions are taken on one quote: after that people telephone. */
const MOST_QUESTIONS = 20;

/** Quotes of some jobs, in the order in which they were made. */
export const quotesOf = async (db: Db, jobIds: readonly string[]): Promise<QuoteRecord[]> =>
  (await db.query<QuoteRecord>(q.byJobs, [jobIds])).rows;

/** @throws notFound where there is no such quote */
export async function quoteById(db: Db, id: string): Promise<QuoteRecord> {
  const job = (await db.query<{ jobId: string }>(q.jobOf, [id])).rows[0];
  const found = job && (await quotesOf(db, [job.jobId])).find((x) => x.id === id);
  if (!found) throw notFound('quote');
  return found;
}

export async function addQuote(
  db: Db,
  given: { readonly id: string; readonly jobId: string; readonly card: QuoteCard; readonly token: string; readonly personId: string },
): Promise<QuoteRecord> {
  await db.query(q.insert, [given.id, given.jobId, JSON.stringify(given.card), given.personId]);
  await addLink(db, given.id, given.token, given.personId);
  return quoteById(db, given.id);
}

/** Another link; the one before leads nowhere from now on. */
export const addLink = (db: Db, quoteId: string, token: string, personId: string): Promise<unknown> =>
  db.query(q.link, [digestOf(token), quoteId, personId]);

export const withdrawQuote = (db: Db, quoteId: string, why: string, personId: string): Promise<unknown> =>
  db.query(q.withdraw, [quoteId, why, personId]);

/** The quote that the secret of a link leads to; null where it leads nowhere. */
export async function quoteBehind(db: Db, token: string): Promise<QuoteRecord | null> {
  const found = (await db.query<{ quoteId: string; jobId: string }>(q.linked, [digestOf(token)])).rows[0];
  return found ? ((await quotesOf(db, [found.jobId])).find((x) => x.id === found.quoteId) ?? null) : null;
}

/** Holds a quote until the end of the transaction: of two answers that come at once the second sees the first. */
export const lockQuote = (db: Db, quoteId: string): Promise<unknown> => db.query(q.lock, [quoteId]);

/** Keeps the first answer. */
export const answerQuote = (db: Db, quoteId: string, wayId: string | null, name: string, note: string): Promise<unknown> =>
  db.query(q.answer, [quoteId, wayId, name, note]);

/** Keeps a question; false where there are too many already. */
export const askAboutQuote = async (db: Db, quoteId: string, name: string, text: string): Promise<boolean> =>
  (await db.query(q.question, [quoteId, name, text, MOST_QUESTIONS])).rowCount === 1;
