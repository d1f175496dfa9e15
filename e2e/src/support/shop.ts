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
}

/** Starts a shop with the demo's people and machines, or with none, empty of jobs or with those of the demo. */
export async function openShop({ demo, card = true, env = {} }: Opening): Promise<TestShop> {
  const admin = process.env['IRON_PATCH_TEST_DATABASE_URL'];
  if (!admin) throw new Error('IRON_PATCH_TEST_DATABASE_URL is missing: run these through ./iron-patch test.');
  const name = `e2e_${randomUUID().replaceAll('-', '')}`;
  await run(admin, `create database ${name} owner iron_patch_owner`);
  const databaseUrl = admin.replace(/\/[^/]*$/, `/${name}`);
  const port = await freePort();
  const address = `${env['IRON_PATCH_CERTIFICATE'] ? 'https' : 'http'}://127.0.0.1:${port}`;
  let server: ChildProcess;
  const start = async (): Promise<void> => {
    server = spawn(process.execPath, [`${ROOT}/server/dist/main.mjs`], {
      cwd: ROOT,
      stdio: 'ignore',
      env: {
        ...process.env,
        ...env,
        IRON_PATCH_PORT: String(port),
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
  await start();
  if (demo) execFileSync(process.execPath, [`${ROOT}/demo/dist/load-demo.mjs`, address, `${ROOT}/demo/data/jobs`]);
  return {
    address,
    databaseUrl,
    start,
    kill: () => end('SIGKILL'),
    query: (sql) => run(databaseUrl, sql),
    async close() {
      await end('SIGKILL');
      await run(admin, `drop database ${name} with (force)`);
    },
  };
}
