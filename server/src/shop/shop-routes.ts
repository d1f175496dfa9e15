import { routes, shopSettingsInput, type ShopResource } from '@iron-patch/contract';
import type { Express } from 'express';
import type { Pool } from '../db';
import { askedIn, bodyOf, changeOnce, ifMatch, personOrFirst } from '../http';
import { changeShopCard, customersLike, loadShop } from './shop-queries';

const LONGEST_NAME = 200;

/** What the server is told of the shop from outside. */
export type ShopSetting = Omit<ShopResource, 'shop'>;

export function mountShop(app: Express, pool: Pool, setting: ShopSetting): void {
  app.get(routes.shop, async (_req, res) => {
    res.json({ shop: await loadShop(pool), ...setting } satisfies ShopResource);
  });

  app.put(routes.shopCard, (req, res) =>
    changeOnce(pool, req, res, async (db) => {
      await personOrFirst(db, req);
      return { status: 200, body: await changeShopCard(db, ifMatch(req), bodyOf(shopSettingsInput, req)) };
    }),
  );

  app.get(routes.customers, async (req, res) => {
    res.json(await customersLike(pool, askedIn(req, 'find').slice(0, LONGEST_NAME).trim()));
  });
}
