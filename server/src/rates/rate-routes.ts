import { ratesInput, routes } from '@iron-patch/contract';
import type { Express } from 'express';
import type { Pool } from '../db';
import { bodyOf, changeOnce, personOf, stored, versionBefore } from '../http';
import { changeRates, ratesHistory } from './rate-queries';

export function mountRates(app: Express, pool: Pool): void {
  app.put(routes.rates, (req, res) =>
    changeOnce(pool, req, res, async (db) => {
      const personId = await personOf(db, req);
      return stored(await changeRates(db, versionBefore(req), bodyOf(ratesInput, req), personId));
    }),
  );

  app.get(routes.ratesHistory, async (_req, res) => {
    res.json(await ratesHistory(pool));
  });
}
