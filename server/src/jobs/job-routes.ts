import { etagOf, jobInput, routes } from '@iron-patch/contract';
import type { Express } from 'express';
import { inTransaction, type Pool } from '../db';
import { bodyOf, idIn, ifMatch, personOf, recordOnce, screenOf } from '../http';
import { insertJob, jobById, updateJob } from './job-queries';

export function mountJobs(app: Express, pool: Pool): void {
  app.post(routes.jobs, (req, res) =>
    recordOnce(pool, req, res, async (db) => {
      await personOf(db, req);
      return { status: 201, body: await insertJob(db, bodyOf(jobInput, req)) };
    }),
  );

  app.get(routes.job(':id'), async (req, res) => {
    const job = await jobById(pool, idIn(req, 'job'));
    res.set('ETag', etagOf(job.version)).json(job);
  });

  app.put(routes.job(':id'), async (req, res) => {
    const id = idIn(req, 'job');
    const job = await inTransaction(pool, screenOf(req), async (db) => {
      await personOf(db, req);
      return updateJob(db, id, ifMatch(req), bodyOf(jobInput, req));
    });
    res.set('ETag', etagOf(job.version)).json(job);
  });
}
