import { randomUUID } from 'node:crypto';
import { resolve } from 'node:path';
import pg from 'pg';
import pino from 'pino';
import { createApp } from '../app';
import { migrate, openPool, type Pool } from '../db';
import { LiveHub } from '../live';
import { setUpShop } from '../shop';
import { inlineBench, Standings } from '../standings';
import type { Express } from 'express';

export const ROOT = resolve(__dirname, '../../..');

/** Address of a PostgreSQL where databases may be made and dropped; `./iron-patch test` starts one and sets it. */
export function adminUrl(): string {
  const url = process.env['IRON_PATCH_TEST_DATABASE_URL'];
  if (!url) throw new Error('IRON_PATCH_TEST_DATABASE_URL is missing: run these through ./iron-patch test.');
  return url;
}

export interface TestShop {
  readonly pool: Pool;
  readonly app: Express;
  readonly url: string;
  readonly live: LiveHub;
  close(): Promise<void>;
}

async function admin(sql: string): Promise<void> {
  const client = new pg.Client({ connectionString: adminUrl() });
  await client.connect();
  await client.query(sql);
  await client.end();
}

/** An empty database of its own. */
export async function openTestDatabase(): Promise<Pick<TestShop, 'pool' | 'url' | 'close'>> {
  const name = `test_${randomUUID().replaceAll('-', '')}`;
  await admin(`create database ${name}`);
  const url = adminUrl().replace(/\/[^/]*$/, `/${name}`);
  const pool = openPool(url);
  // Dropping the database cuts connections that are still saying goodbye.
  pool.on('error', () => undefined);
  return {
    pool,
    url,
    async close() {
      await pool.end();
      await admin(`drop database ${name} with (force)`);
    },
  };
}

/** A database of its own, migrated, with the demo shop's people and machines. */
export async function openTestShop(): Promise<TestShop> {
  const { pool, url, close } = await openTestDatabase();
  await migrate(pool, `${ROOT}/server/migrations`);
  await setUpShop(pool, `${ROOT}/demo/data/shop.json`);
  const log = pino({ level: 'silent' });
  const live = new LiveHub(url, log);
  await live.start();
  const standings = new Standings(pool, inlineBench, log, 'test');
  return {
    pool,
    url,
    live,
    app: createApp({ pool, live, log, standings, bench: inlineBench, webDirectory: null }),
    async close() {
      await live.stop();
      await standings.close();
      await close();
    },
  };
}
