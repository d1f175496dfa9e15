import { randomUUID } from 'node:crypto';
import { resolve } from 'node:path';
import pg from 'pg';
import pino from 'pino';
import { createApp } from '../app';
import { grantRights, migrate, openPool, type Pool } from '../db';
import { LiveHub } from '../live';
import { setUpShop } from '../shop';
import type { SignIn } from '../sign-in';
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
  /** As PostgreSQL's superuser, who may meddle with anything; the app has a pool of its own. */
  readonly pool: Pool;
  readonly app: Express;
  readonly url: string;
  readonly live: LiveHub;
  close(): Promise<void>;
}

export type TestDatabase = Pick<TestShop, 'pool' | 'url' | 'close'>;

/** The same database in the role that the server works in, with no more rights than it has. */
export const asApp = (url: string): string => `${url}?options=${encodeURIComponent('-c role=iron_patch_app')}`;

async function admin(sql: string): Promise<void> {
  const client = new pg.Client({ connectionString: adminUrl() });
  await client.connect();
  await client.query(sql);
  await client.end();
}

/** An empty database of its own. */
export async function openTestDatabase(): Promise<TestDatabase> {
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
  const database = await openTestDatabase();
  await migrate(database.url, `${ROOT}/server/migrations`);
  return serve(database);
}

/** A migrated database, served to people who sign in by password; nobody has an account yet. */
export async function openLockedShop(more: Partial<SignIn> = {}, card?: null): Promise<TestShop> {
  const database = await openTestDatabase();
  await migrate(database.url, `${ROOT}/server/migrations`);
  return serve(database, card, { way: 'password', lockAfterMin: 30, secure: false, ...more });
}

/** The server over a database that is up to date, in the role that it works in; with the demo shop's card unless told otherwise. */
export async function serve(
  { pool, url, close }: TestDatabase,
  card: string | null = `${ROOT}/demo/data/shop.json`,
  signIn: SignIn | undefined = undefined,
): Promise<TestShop> {
  await grantRights(url);
  const appPool = openPool(asApp(url));
  appPool.on('error', () => undefined);
  await setUpShop(appPool, card);
  // Where a test is not of who may do what, whoever does everything may.
  if (!signIn) await pool.query(`update people set access = 'owner'`);
  const log = pino({ level: 'silent' });
  const live = new LiveHub(asApp(url), log);
  await live.start();
  const standings = new Standings(appPool, inlineBench, log, 'test');
  return {
    pool,
    url,
    live,
    app: createApp({ pool: appPool, live, log, standings, bench: inlineBench, webDirectory: null, ...(signIn ? { signIn } : {}) }),
    async close() {
      await live.stop();
      await standings.close();
      await appPool.end();
      await close();
    },
  };
}
