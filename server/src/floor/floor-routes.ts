import {
  FLOOR_PAGE,
  FLOOR_SEARCH,
  MOST_FLOOR_ROWS,
  routes,
  type FloorJob,
  type FloorPage,
  type FloorRows,
  type PromisedJob,
  type Standing,
} from '@iron-patch/contract';
import type { Express, Request } from 'express';
import { statements, type Pool } from '../db';
import { askedIn, isId, upToIn, wordsIn } from '../http';
import type { Standings } from '../standings';
import sql from './floor.sql';

const q = statements(sql, ['page', 'rows', 'promised']);

type Row = Omit<FloorJob, keyof Standing> & { readonly standing: Standing | null; readonly found?: number };

const WAITING: Standing = { stations: [], next: null, waiting: true };

const jobOf = ({ standing, found: _, ...card }: Row): FloorJob => ({ ...card, ...(standing ?? WAITING) });

/**
 * The jobs by urgency, with where each stands and its one next move, as worked out from what is stored now. Those that are handed back are
 * put away: they come where they are asked for, or where something is looked for.
 */
export function mountFloor(app: Express, pool: Pool, standings: Standings): void {
  const page = async (req: Request): Promise<Row[]> => {
    const words = wordsIn(req, FLOOR_SEARCH);
    const withReturned = words.length > 0 || req.query['returned'] === '1';
    return (await pool.query<Row>(q.page, [withReturned, words, upToIn(req, FLOOR_PAGE)])).rows;
  };

  app.get(routes.floor, async (req, res) => {
    await standings.refreshChanged();
    const first = await page(req);
    // Where a rule or a machine of the shop changed, what is shown is worked out before it is shown.
    const again = await standings.refresh(first.map((r) => r.id));
    const rows = again > 0 ? await page(req) : first;
    res.json({ jobs: rows.map(jobOf), found: rows[0]?.found ?? 0, ...(await standings.counts()) } satisfies FloorPage);
  });

  app.get(routes.floorRows, async (req, res) => {
    const ids = askedIn(req, 'ids').split(',').filter(isId).slice(0, MOST_FLOOR_ROWS);
    await standings.refresh(ids);
    const { rows } = await pool.query<Row>(q.rows, [ids]);
    res.json({ jobs: rows.map(jobOf), ...(await standings.counts()) } satisfies FloorRows);
  });

  app.get(routes.promised, async (_req, res) => {
    await standings.refreshChanged();
    res.json((await pool.query<PromisedJob>(q.promised)).rows);
  });
}
