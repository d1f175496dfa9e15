import { routes, workHoursInput } from '@iron-patch/contract';
import type { WorkHours } from '@iron-patch/core';
import type { Express } from 'express';
import type { Pool } from '../db';
import { bodyOf, changeOnce, personOf, stored, versionBefore } from '../http';
import { keptCard } from '../kept-cards';

export const workHours = keptCard<WorkHours>('hours');

export function mountWorkHours(app: Express, pool: Pool): void {
  app.put(routes.hours, (req, res) =>
    changeOnce(pool, req, res, async (db) => {
      const personId = await personOf(db, req);
      return stored(await workHours.change(db, versionBefore(req), bodyOf(workHoursInput, req) as WorkHours, personId));
    }),
  );
}
