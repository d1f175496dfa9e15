import { drillSetInput, routes } from '@iron-patch/contract';
import type { Express } from 'express';
import type { Pool } from '../db';
import { bodyOf, changeOnce, notFound, personOf, stored, versionBefore } from '../http';
import { drillSetById, saveDrillSet } from './drill-set-queries';

const ID = /^[a-z0-9][a-z0-9-]{0,59}$/;

export function mountDrillSets(app: Express, pool: Pool): void {
  app.put(routes.drillSet(':id'), (req, res) =>
    changeOnce(pool, req, res, async (db) => {
      const id = String(req.params['id']);
      if (!ID.test(id)) throw notFound('set of drills');
      await personOf(db, req);
      const version = versionBefore(req);
      if (version > 0 && !(await drillSetById(db, id))) throw notFound('set of drills');
      return stored(await saveDrillSet(db, id, version, bodyOf(drillSetInput, req)));
    }),
  );
}
