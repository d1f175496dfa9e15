import type { RatesInput } from '@iron-patch/contract';
import type { RatesChange, RatesRecord, TookRow } from '@iron-patch/core';
import { statements, type Db } from '../db';
import { changedByAnother } from '../http';
import sql from './rates.sql';

const q = statements(sql, ['current', 'history', 'insert', 'took']);

/** Jobs, and acts of them, that the estimates learn from: the newest. */
const LEARNT_FROM_JOBS = 200;
const LEARNT_FROM_ACTS = 1000;

interface Row {
  readonly version: number;
  readonly card: RatesInput;
}

/** What the shop asks; null while nobody said. */
export async function currentRates(db: Db): Promise<RatesRecord | null> {
  const row = (await db.query<Row>(q.current)).rows[0];
  return row ? ({ ...row.card, version: row.version } as RatesRecord) : null;
}

/** Every version, the newest first. */
export const ratesHistory = async (db: Db): Promise<RatesChange[]> =>
  (await db.query<Row & { personId: string | null; at: string }>(q.history)).rows.map(
    ({ card, ...r }) => ({ ...r, rates: card }) as RatesChange,
  );

/** Adds the version that follows `version`, 0 for the first; refuses when somebody changed them meanwhile. */
export async function changeRates(db: Db, version: number, input: RatesInput, personId: string | null): Promise<RatesRecord> {
  const before = await currentRates(db);
  if ((before?.version ?? 0) !== version) throw changedByAnother(before);
  const added = await db.query(q.insert, [version + 1, JSON.stringify(input), personId]);
  const now = await currentRates(db);
  if (added.rowCount === 0) throw changedByAnother(now);
  return now!;
}

/** What acts of jobs that were handed back were estimated at, and took. */
export const tookRows = async (db: Db): Promise<TookRow[]> => (await db.query<TookRow>(q.took, [LEARNT_FROM_JOBS, LEARNT_FROM_ACTS])).rows;
