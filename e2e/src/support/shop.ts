import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { once } from 'node:events';
import { get as plain } from 'node:http';
import { get as secure } from 'node:https';
import { resolve } from 'node:path';
import pg from 'pg';
import { freePort } from './free-port';

const ROOT = resolve(__dirname, '../../..');

/** A running shop of a test's own: a database and the built server over it. */
export interface TestShop {
  readonly address: string;
  readonly databaseUrl: string;
  /** As a power cut: no goodbye. */
  kill(): Promise<void>;
  start(): Promise<void>;
  query<T>(sql: string): Promise<T[]>;
  close(): Promise<void>;
}

async function run<T>(url: string, sql: string): Promise<T[]> {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    return (await client.query(sql)).rows as T[];
  } finally {
    await client.end();
  }
}

const healthy = (address: string): Promise<boolean> =>
  new Promise((resolve) => {
    // Its certificate may be one of a test's own.
    (address.startsWith('https:') ? secure : plain)(`${address}/api/health`, { rejectUnauthorized: false }, (res) => {
      res.resume();
      resolve(res.statusCode === 200);
    }).on('error', () => resolve(false));
  });

const OPENS_WITHIN_MS = 100_000;

interface Opening {
  readonly demo: boolean;
  readonly card?: boolean;
  /** What the server is told besides. */
  readonly env?: NodeJS.ProcessEnv;
  /** `roles`: people may what the demo's card says; otherwise whoever is at the bench may do everything. */
  readonly roles?: boolean;
}

/** A database with the demo's jobs in it, which others are made as copies of: loading them takes longer than most tests. */
const LOADED = 'e2e_demo_loaded';
/** Any number that nothing else locks. */
const LOADING = 74_656_900;

/** Does something to the server of databases while no other test does. */
async function alone<T>(admin: string, work: (client: pg.Client) => Promise<T>): Promise<T> {
  const client = new pg.Client({ connectionString: admin });
  await client.connect();
  try {
    await client.query('select pg_advisory_lock($1)', [LOADING]);
    return await work(client);
  } finally {
    await client.end();
  }
}

/** Starts a shop with the demo's people and machines, or with none, empty of jobs or with those of the demo. */
export async function openShop({ demo, card = true, env = {}, roles = false }: Opening): Promise<TestShop> {
  const admin = process.env['IRON_PATCH_TEST_DATABASE_URL'];
  if (!admin) throw new Error('IRON_PATCH_TEST_DATABASE_URL is missing: run these through ./iron-patch test.');
  const name = `e2e_${randomUUID().replaceAll('-', '')}`;
  const fromLoaded = demo && card;
  const databaseUrl = admin.replace(/\/[^/]*$/, `/${name}`);
  const port = await freePort();
  const address = `${env['IRON_PATCH_CERTIFICATE'] ? 'https' : 'http'}://127.0.0.1:${port}`;
  let server: ChildProcess;
  const start = async (more: NodeJS.ProcessEnv = env): Promise<void> => {
    server = spawn(process.execPath, [`${ROOT}/server/dist/main.mjs`], {
      cwd: ROOT,
      stdio: 'ignore',
      env: {
        ...process.env,
        ...more,
        IRON_PATCH_PORT: String(port),
        IRON_PATCH_SIGN_IN: more['IRON_PATCH_SIGN_IN'] ?? 'pick',
        IRON_PATCH_DATABASE_URL: `${databaseUrl}?options=${encodeURIComponent('-c role=iron_patch_app')}`,
        IRON_PATCH_OWNER_URL: `${databaseUrl}?options=${encodeURIComponent('-c role=iron_patch_owner')}`,
        IRON_PATCH_MIGRATIONS: `${ROOT}/server/migrations`,
        IRON_PATCH_WEB: `${ROOT}/web/dist`,
        IRON_PATCH_SHOP: card ? `${ROOT}/demo/data/shop.json` : '',
      },
    });
    for (const from = Date.now(); !(await healthy(address)); await new Promise((r) => setTimeout(r, 50)))
      if (Date.now() - from > OPENS_WITHIN_MS) throw new Error('The server of a test does not answer.');
  };
  const end = async (signal: NodeJS.Signals): Promise<void> => {
    if (server.exitCode !== null || server.signalCode !== null) return;
    const gone = once(server, 'exit');
    server.kill(signal);
    await gone;
  };
  if (fromLoaded)
    await alone(admin, async (client) => {
      const { rows } = await client.query('select 1 from pg_database where datname = $1', [LOADED]);
      if (rows.length) return void (await client.query(`create database ${name} template ${LOADED} owner iron_patch_owner`));
      await client.query(`create database ${name} owner iron_patch_owner`);
      await start({});
      execFileSync(process.execPath, [`${ROOT}/demo/dist/load-demo.mjs`, `http://127.0.0.1:${port}`, `${ROOT}/demo/data/jobs`]);
      await end('SIGTERM');
      await client.query(`create database ${LOADED} template ${name} owner iron_patch_owner`);
    });
  else await run(admin, `create database ${name} owner iron_patch_owner`);
  await start();
  if (!roles) await run(databaseUrl, `update people set access = 'owner'`);
  return {
    address,
    databaseUrl,
    start: () => start(),
    kill: () => end('SIGKILL'),
    query: (sql) => run(databaseUrl, sql),
    async close() {
      await end('SIGKILL');
      await run(admin, `drop database ${name} with (force)`);
    },
  };
}
