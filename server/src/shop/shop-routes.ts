import { routes, type ShopResource } from '@iron-patch/contract';
import type { Express } from 'express';
import type { Pool } from '../db';
import { loadCustomers, loadMachines, loadShop } from './shop-queries';

export function mountShop(app: Express, pool: Pool): void {
  app.get(routes.shop, async (_req, res) => {
    const answer: ShopResource = { shop: await loadShop(pool), customers: await loadCustomers(pool), machines: await loadMachines(pool) };
    res.json(answer);
  });
}
