import { workOut, type JobSheet, type Shop } from '@iron-patch/core';
import { routes, type FloorJob } from '@iron-patch/contract';
import type { Express } from 'express';
import type { Pool } from '../db';
import { allJobIds } from '../jobs';
import { loadSheets } from '../sheets';
import { loadShop } from '../shop';

function floorJob(sheet: JobSheet, shop: Shop): FloorJob {
  const { stations, next } = workOut(sheet, shop);
  const { id, number, title, machine, promisedOn, hazards } = sheet.job;
  return { id, number, title, machine, promisedOn, hazards, customerName: sheet.customer.name, stations, next };
}

/** Every job with where it stands and its one next move, worked out from what is stored. */
export function mountFloor(app: Express, pool: Pool): void {
  app.get(routes.floor, async (_req, res) => {
    const shop = await loadShop(pool);
    const sheets = await loadSheets(pool, await allJobIds(pool));
    res.json(sheets.map((sheet) => floorJob(sheet, shop)));
  });
}
