import { etagOf, jobInput, routes } from '@iron-patch/contract';
import type { Express } from 'express';
import type { Pool } from '../db';
import { bodyOf, changeOnce, idIn, ifMatch, personOf, recordOnce } from '../http';
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

  app.put(routes.job(':id'), (req, res) =>
    changeOnce(pool, req, res, async (db) => {
      const id = idIn(req, 'job');
      await personOf(db, req);
      return { status: 200, body: await updateJob(db, id, ifMatch(req), bodyOf(jobInput, req)) };
    }),
  );
}
