import { barInput, routes } from '@iron-patch/contract';
import type { Express } from 'express';
import type { Pool } from '../db';
import { mountShopRecord, notFound, shopIdIn } from '../http';
import { barById, countsOf, saveBar } from './bar-queries';

export { allBars, saveBar } from './bar-queries';

export function mountRack(app: Express, pool: Pool): void {
  mountShopRecord(app, pool, { what: 'bar', path: routes.bar(':id'), schema: barInput, byId: barById, save: saveBar });

  app.get(routes.barCounts(':id'), async (req, res) => {
    const id = shopIdIn(req, 'bar');
    if (!(await barById(pool, id))) throw notFound('bar');
    res.json(await countsOf(pool, id));
  });
}
