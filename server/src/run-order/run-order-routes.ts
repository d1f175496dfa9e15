import { routes, runOrderInput, type RunOrderPage } from '@iron-patch/contract';
import type { RunJob, RunOrder, RunOrderRecord } from '@iron-patch/core';
import type { Express } from 'express';
import { calendarOf } from '../calendar';
import { atOneMoment, statements, type Pool } from '../db';
import { bodyOf, changeOnce, personOf, stored, versionBefore } from '../http';
import { keptCard } from '../kept-cards';
import type { Standings } from '../standings';
import { workHours } from '../work-hours';
import sql from './run-order.sql';

const q = statements(sql, ['jobs']);

/** Open jobs that an order is made of, the first promised first. */
const MOST_JOBS = 300;

const runOrder = keptCard<RunOrder>('run-order');

/** What all open jobs still take, the order that is in force, and when the shop works; and puts another one in force. */
export function mountRunOrder(app: Express, pool: Pool, standings: Standings): void {
  app.get(routes.runOrder, async (_req, res) => {
    await standings.refreshChanged();
    const page = (): Promise<RunOrderPage> =>
      atOneMoment(pool, async (db) => ({
        jobs: (await db.query<RunJob>(q.jobs, [MOST_JOBS])).rows,
        order: (await runOrder.current(db)) as RunOrderRecord | null,
        hours: await workHours.current(db),
        calendar: await calendarOf(db),
      }));
    const first = await page();
    const again = await standings.refresh(first.jobs.map((j) => j.id));
    res.json(again > 0 ? await page() : first);
  });

  app.put(routes.runOrder, (req, res) =>
    changeOnce(pool, req, res, async (db) => {
      const personId = await personOf(db, req);
      return stored(await runOrder.change(db, versionBefore(req), bodyOf(runOrderInput, req) as RunOrder, personId));
    }),
  );
}
