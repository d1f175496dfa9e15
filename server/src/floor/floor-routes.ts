import { workOut, type JobSheet, type Shop } from '@iron-patch/core';
import { routes, type FloorJob } from '@iron-patch/contract';
import type { Express } from 'express';
import type { Logger } from 'pino';
import type { Pool } from '../db';
import { allJobIds } from '../jobs';
import { loadSheets } from '../sheets';
import { loadShop } from '../shop';

function floorJob(sheet: JobSheet, shop: Shop, log: Logger): FloorJob {
  const { id, number, title, machine, promisedOn, hazards } = sheet.job;
  const card = { id, number, title, machine, promisedOn, hazards, customerName: sheet.customer.name };
  try {
    const { stations, next } = workOut(sheet, shop);
    return { ...card, stations, next };
  } catch (err) {
    log.error({ err, jobId: id, number }, 'job cannot be worked out');
    return { ...card, stations: [], next: null, trouble: true };
  }
}

/** Every job with where it stands and its one next move, worked out from what is stored. One that cannot be says so; the others go on. */
export function mountFloor(app: Express, pool: Pool, log: Logger): void {
  app.get(routes.floor, async (_req, res) => {
    const shop = await loadShop(pool);
    const sheets = await loadSheets(pool, await allJobIds(pool));
    res.json(sheets.map((sheet) => floorJob(sheet, shop, log)));
  });
}
