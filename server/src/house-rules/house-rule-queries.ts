import type { HouseRule, HouseRuleChange, HouseRuleRecord } from '@iron-patch/core';
import { statements, type Db } from '../db';
import { changedByAnother } from '../http';
import sql from './house-rules.sql';

const q = statements(sql, ['current', 'history', 'insert']);

interface CurrentRow {
  readonly ruleId: string;
  readonly version: number;
  readonly card: HouseRule;
}

/** The rules in force, in the shop's order. */
export const loadHouseRules = async (db: Db): Promise<HouseRuleRecord[]> =>
  (await db.query<CurrentRow>(q.current)).rows.map(({ ruleId, version, card }) => ({ ...card, id: ruleId, version }));

/** Every version of one rule, newest first. */
export const houseRuleHistory = async (db: Db, id: string): Promise<HouseRuleChange[]> =>
  (await db.query<HouseRuleChange>(q.history, [id])).rows;

/** Adds the version that follows `version` (0 for a new rule); a null rule withdraws it. Refuses when somebody changed it meanwhile. */
export async function changeHouseRule(
  db: Db,
  id: string,
  version: number,
  change: { readonly rule: HouseRule | null; readonly because: string; readonly personId: string | null },
): Promise<HouseRuleChange> {
  const [newest] = await houseRuleHistory(db, id);
  if ((newest?.version ?? 0) !== version) throw changedByAnother(newest ?? null);
  const card = change.rule === null ? null : JSON.stringify(change.rule);
  const added = await db.query(q.insert, [id, version + 1, card, change.because, change.personId]);
  const [now] = await houseRuleHistory(db, id);
  if (added.rowCount === 0) throw changedByAnother(now ?? null);
  return now!;
}
