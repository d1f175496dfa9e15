import type { FrozenFigure, ReleaseRecord } from '@iron-patch/core';
import { statements, type Db } from '../db';
import sql from './releases.sql';

const q = statements(sql, ['byJobs', 'insert']);

export const releasesOf = async (db: Db, jobIds: readonly string[]): Promise<ReleaseRecord[]> =>
  (await db.query<ReleaseRecord>(q.byJobs, [jobIds])).rows;

export async function addRelease(
  db: Db,
  jobId: string,
  itemId: string,
  figures: readonly FrozenFigure[],
  personId: string,
): Promise<ReleaseRecord> {
  await db.query(q.insert, [jobId, JSON.stringify(figures), personId, itemId]);
  return (await releasesOf(db, [jobId])).at(-1)!;
}
