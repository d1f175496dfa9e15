import type { ChoiceRecord } from '@iron-patch/core';
import type { ChoiceInput } from '@iron-patch/contract';
import { statements, type Db } from '../db';
import { changedByAnother } from '../http';
import sql from './choices.sql';

const q = statements(sql, ['newest', 'history', 'insert']);

/** The newest choice of each key. */
export const choicesOf = async (db: Db, jobIds: readonly string[]): Promise<ChoiceRecord[]> =>
  (await db.query<ChoiceRecord>(q.newest, [jobIds])).rows;

/** Every choice of one key, newest first. */
export const choiceHistory = async (db: Db, jobId: string, key: string): Promise<ChoiceRecord[]> =>
  (await db.query<ChoiceRecord>(q.history, [jobId, key])).rows;

/** Adds the choice that follows `version` (0 for the first); refuses when somebody else chose in the meantime. */
export async function addChoice(
  db: Db,
  jobId: string,
  key: string,
  version: number,
  input: ChoiceInput,
  personId: string,
): Promise<ChoiceRecord> {
  const [newest] = await choiceHistory(db, jobId, key);
  if ((newest?.version ?? 0) !== version) throw changedByAnother(newest ?? null);
  const added = await db.query(q.insert, [jobId, key, version + 1, JSON.stringify(input.value), input.reason, personId]);
  const [now] = await choiceHistory(db, jobId, key);
  if (added.rowCount === 0) throw changedByAnother(now ?? null);
  return now!;
}
