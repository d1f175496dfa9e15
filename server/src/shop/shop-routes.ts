import { routes, type ShopResource } from '@iron-patch/contract';
import type { Express } from 'express';
import type { Pool } from '../db';
import { askedIn } from '../http';
import { customersLike, loadShop } from './shop-queries';

const LONGEST_NAME = 200;

export function mountShop(app: Express, pool: Pool, timeZone: string): void {
  app.get(routes.shop, async (_req, res) => {
    res.json({ shop: await loadShop(pool), timeZone } satisfies ShopResource);
  });

  app.get(routes.customers, async (req, res) => {
    res.json(await customersLike(pool, askedIn(req, 'find').slice(0, LONGEST_NAME).trim()));
  });
}
