import { createHash } from 'node:crypto';
import { oldListInput, routes, type OldListResource } from '@iron-patch/contract';
import type { Express } from 'express';
import { statements, type Db, type Pool } from '../db';
import { bodyOf, idIn, invalid, notFound, personOf, recordIdIn, recordOnce } from '../http';
import sql from './old-lists.sql';

const q = statements(sql, ['lists', 'lock', 'same', 'insertList', 'insertJobs', 'takeBack']);

const listById = async (db: Db, id: string): Promise<OldListResource> => {
  const list = (await db.query<OldListResource>(q.lists, [id])).rows[0];
  if (!list) throw notFound('list');
  return list;
};

/** Lists of jobs of before the program: brought in as a whole or not at all, and taken back as a whole. */
export function mountOldLists(app: Express, pool: Pool): void {
  app.get(routes.oldLists, async (_req, res) => {
    res.json((await pool.query<OldListResource>(q.lists, [null])).rows);
  });

  app.post(routes.oldLists, (req, res) =>
    recordOnce(pool, req, res, async (db) => {
      const personId = await personOf(db, req);
      const { name, jobs } = bodyOf(oldListInput, req);
      const digest = createHash('sha256').update(JSON.stringify(jobs)).digest('hex');
      await db.query(q.lock);
      const same = (await db.query<{ name: string }>(q.same, [digest])).rows[0];
      if (same)
        throw invalid([
          { code: 'twice', path: 'jobs', message: `These jobs are in the ledger already, as “${same.name}”. Take that list back first.` },
        ]);
      const id = recordIdIn(req);
      await db.query(q.insertList, [id, name, digest, personId]);
      await db.query(q.insertJobs, [id, JSON.stringify(jobs)]);
      return { status: 201, body: await listById(db, id) };
    }),
  );

  app.post(routes.oldListWithdrawal(':id'), (req, res) =>
    recordOnce(pool, req, res, async (db) => {
      const personId = await personOf(db, req);
      const { id } = await listById(db, idIn(req, 'list'));
      await db.query(q.takeBack, [id, personId]);
      return { status: 201, body: await listById(db, id) };
    }),
  );
}
