import { routes } from '@iron-patch/contract';
import type { Express } from 'express';
import type { Pool } from '../db';
import { idIn } from '../http';
import { loadSheet } from './sheet-queries';

export function mountSheets(app: Express, pool: Pool): void {
  app.get(routes.sheet(':id'), async (req, res) => {
    res.json(await loadSheet(pool, idIn(req, 'job')));
  });
}
