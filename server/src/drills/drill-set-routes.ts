import { drillSetInput, etagOf, routes } from '@iron-patch/contract';
import type { Express } from 'express';
import { inTransaction, type Pool } from '../db';
import { bodyOf, notFound, personOf, screenOf, versionBefore } from '../http';
import { drillSetById, saveDrillSet } from './drill-set-queries';

const ID = /^[a-z0-9][a-z0-9-]{0,59}$/;

export function mountDrillSets(app: Express, pool: Pool): void {
  app.put(routes.drillSet(':id'), async (req, res) => {
    const id = String(req.params['id']);
    if (!ID.test(id)) throw notFound('set of drills');
    const stored = await inTransaction(pool, screenOf(req), async (db) => {
      await personOf(db, req);
      const version = versionBefore(req);
      if (version > 0 && !(await drillSetById(db, id))) throw notFound('set of drills');
      return saveDrillSet(db, id, version, bodyOf(drillSetInput, req));
    });
    res
      .status(stored.version === 1 ? 201 : 200)
      .set('ETag', etagOf(stored.version))
      .json(stored);
  });
}
