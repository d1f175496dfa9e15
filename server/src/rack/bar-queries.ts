import type { BarInput } from '@iron-patch/contract';
import type { Bar, BarCount } from '@iron-patch/core';
import { statements, type Db } from '../db';
import { changedByAnother } from '../http';
import sql from './bars.sql';

const q = statements(sql, ['all', 'byId', 'insert', 'update', 'count', 'counts']);

/** What lies on the rack, by material and size. */
export const allBars = async (db: Db): Promise<Bar[]> => (await db.query<Bar>(q.all)).rows;

export const barById = async (db: Db, id: string): Promise<Bar | null> => (await db.query<Bar>(q.byId, [id])).rows[0] ?? null;

/** How a bar was counted, newest first. */
export const countsOf = async (db: Db, id: string): Promise<BarCount[]> => (await db.query<BarCount>(q.counts, [id])).rows;

/**
 * Writes a bar: a new one at version 0, else the one that is still at `version`. What it is counted at goes to its history.
 *
 * @param personId who counts; null for what came with the shop's card
 */
export async function saveBar(db: Db, id: string, version: number, input: BarInput, personId: string | null): Promise<Bar> {
  const { shape, materialId, diameterMm, innerMm, finish, lengthMm, pieces, place, priceMinor, why, removed } = input;
  const columns = [shape, materialId, diameterMm, innerMm ?? null, finish, lengthMm, pieces, place, priceMinor ?? null, removed];
  const before = await barById(db, id);
  const stored = version === 0 ? await db.query(q.insert, [id, ...columns]) : await db.query(q.update, [id, version, ...columns]);
  if (stored.rowCount === 0) throw changedByAnother(await barById(db, id));
  const counted = !before || before.pieces !== pieces || before.lengthMm !== lengthMm || removed;
  if (counted) await db.query(q.count, [id, removed ? 0 : pieces, lengthMm, why, personId]);
  return (await barById(db, id))!;
}
