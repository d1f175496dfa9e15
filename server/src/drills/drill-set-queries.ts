import type { DrillSet } from '@iron-patch/core';
import type { DrillSetInput } from '@iron-patch/contract';
import { statements, type Db } from '../db';
import { changedByAnother } from '../http';
import sql from './drill-sets.sql';

const q = statements(sql, ['all', 'byId', 'insert', 'update']);

/** The sets that hang in the crib. */
export const allDrillSets = async (db: Db): Promise<DrillSet[]> => (await db.query<DrillSet>(q.all)).rows;

export const drillSetById = async (db: Db, id: string): Promise<DrillSet | null> =>
  (await db.query<DrillSet>(q.byId, [id])).rows[0] ?? null;

/** Writes a set: a new one at version 0, else the one that is still at `version`. */
export async function saveDrillSet(db: Db, id: string, version: number, input: DrillSetInput): Promise<DrillSet> {
  const columns = [input.kind, input.fromMm, input.toMm, input.stepMm, input.removed];
  const stored = version === 0 ? await db.query(q.insert, [id, ...columns]) : await db.query(q.update, [id, version, ...columns]);
  if (stored.rowCount === 0) throw changedByAnother(await drillSetById(db, id));
  return (await drillSetById(db, id))!;
}
