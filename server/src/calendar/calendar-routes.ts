import { calendarInput, isToken, routes, type RunOrderPage } from '@iron-patch/contract';
import type { Express } from 'express';
import { statements, type Db, type Pool } from '../db';
import { bodyOf, changeOnce, digestOf, linksLimited, personOf, stored, versionBefore } from '../http';
import { keptCard } from '../kept-cards';
import { shopCard } from '../shop/shop-queries';
import { feedOf, type CalendarJob } from './feed';
import sql from './calendar.sql';

const q = statements(sql, ['promised']);

/** Of the secret of the address its digest alone, hexadecimal; null once the address is ended. */
const address = keptCard<{ readonly digest: string | null }>('calendar');

/** When the address that is in force was made. */
export async function calendarOf(db: Db): Promise<RunOrderPage['calendar']> {
  const now = await address.current(db);
  return { version: now?.version ?? 0, madeAt: now?.digest ? now.at : null };
}

/** Makes an address for calendars, and ends the one before. */
export function mountCalendar(app: Express, pool: Pool): void {
  app.put(routes.calendar, (req, res) =>
    changeOnce(pool, req, res, async (db) => {
      const personId = await personOf(db, req);
      const version = versionBefore(req);
      const { token } = bodyOf(calendarInput, req);
      await address.change(db, version, { digest: token ? digestOf(token).toString('hex') : null }, personId);
      return stored({ id: 'calendar', ...(await calendarOf(db)) });
    }),
  );
}

const HEADERS = { 'Cache-Control': 'no-store', 'X-Robots-Tag': 'noindex, nofollow' } as const;

/** The calendar at its secret address; a wrong one and an ended one look the same. */
export function mountCalendarFeed(app: Express, pool: Pool): void {
  app.get(
    routes.calendarFeed(':token'),
    linksLimited((_req, res) => void res.set(HEADERS).status(429).type('text').send('Too often. Try again in a minute.')),
    async (req, res) => {
      const token = String(req.params['token']);
      const now = isToken(token) ? await address.current(pool) : null;
      res.set(HEADERS);
      if (!now?.digest || now.digest !== digestOf(token).toString('hex'))
        return void res.status(404).type('text').send('There is no such calendar.');
      const jobs = (await pool.query<CalendarJob>(q.promised)).rows;
      res.type('text/calendar').send(feedOf((await shopCard(pool)).name, jobs, new Date()));
    },
  );
}
