import { routes } from '@iron-patch/contract';
import { comebackOf, doneBefore, SIZE_SHARE, traitsOf, type DoneBefore } from '@iron-patch/core';
import type { Express } from 'express';
import { statements, type Db, type Pool } from '../db';
import { idIn } from '../http';
import { loadSheet, loadSheets } from '../sheets';
import sql from './alike.sql';

const q = statements(sql, ['candidates', 'comebacks']);

/** So many jobs of each trait are looked at, and so many sizes are asked for. */
const OF_EACH = 12;
const MOST_SIZES = 12;

export interface Comeback {
  readonly ofJobId: string;
  readonly jobId: string;
  readonly number: number;
}

/** Jobs in which some others came back. */
export const comebacksOf = async (db: Db, ids: readonly string[]): Promise<Comeback[]> =>
  (await db.query<Comeback>(q.comebacks, [ids])).rows;

/** Jobs like one: what was done then, what it took, what was learnt. */
async function alike(db: Db, jobId: string): Promise<DoneBefore[]> {
  const mine = await loadSheet(db, jobId);
  const { findingIds, sizes } = traitsOf(mine);
  const asked = sizes.slice(0, MOST_SIZES).map((s) => s.mm);
  const found = (await db.query<{ id: string }>(q.candidates, [jobId, findingIds, asked, OF_EACH, SIZE_SHARE])).rows.map((r) => r.id);
  const named = comebackOf(mine)?.ofJobId;
  const ids = [...new Set([...found, ...(named ? [named] : [])])];
  if (!ids.length) return [];
  return doneBefore(mine, await loadSheets(db, ids), await comebacksOf(db, ids));
}

export function mountAlike(app: Express, pool: Pool): void {
  app.get(routes.alike(':id'), async (req, res) => {
    res.json(await alike(pool, idIn(req, 'job')));
  });
}
