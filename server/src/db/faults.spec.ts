import { randomUUID } from 'node:crypto';
import { once } from 'node:events';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { routes } from '@iron-patch/contract';
import pino from 'pino';
import { createApp } from '../app';
import { LiveHub } from '../live';
import { inlineBench, Standings } from '../standings';
import { caller, makeJob, readingBody, type Caller } from '../testing/caller';
import { openTestShop, type TestShop } from '../testing/test-database';
import { layWire, type Wire } from '../testing/wire';
import { inTransaction, openPool, type Pool } from './pool';

/** The server while its database is cut off, frozen, or ends its connections. */
const ANSWER_MS = 5000;
const HEALED_MS = 2000;
let shop: TestShop;
let wire: Wire;
let pool: Pool;
let live: LiveHub;
let call: Caller;
let server: Server;
let address: string;
beforeAll(async () => {
  shop = await openTestShop();
  wire = await layWire(shop.url);
  pool = openPool(wire.url);
  pool.on('error', () => undefined);
  const log = pino({ level: 'silent' });
  live = new LiveHub(wire.url, log);
  await live.start();
  const app = createApp({
    pool,
    live,
    log,
    standings: new Standings(pool, inlineBench, log, 'test'),
    bench: inlineBench,
    webDirectory: null,
  });
  call = caller({ ...shop, app });
  server = app.listen(0, '127.0.0.1');
  await once(server, 'listening');
  address = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
});
afterAll(async () => {
  server.closeAllConnections();
  server.close();
  await live.stop();
  await pool.end();
  await wire.close();
  await shop.close();
});

/** Milliseconds until the server is well again and hears what is stored. */
async function healed(): Promise<number> {
  const from = performance.now();
  while (performance.now() - from < 10_000) {
    if (live.listening && (await call.get(routes.health)).status === 200) return performance.now() - from;
    await new Promise((r) => setTimeout(r, 20));
  }
  throw new Error('It did not heal.');
}
const listeners = async (): Promise<number> =>
  (
    await shop.pool.query<{ n: number }>(
      `select count(*)::int as n from pg_stat_activity where query = 'select 1' and datname = current_database() and application_name = ''
       and pid <> pg_backend_pid()`,
    )
  ).rows[0]!.n;

describe.each(['cut', 'freeze'] as const)('the wire to the database: %s', (fault) => {
  it('answers 503 with when to ask again, within five seconds, and heals within two', async () => {
    const { jobId, bodyId } = await makeJob(call);
    wire[fault]();
    const from = performance.now();
    const answers = await Promise.all([
      call.get(routes.sheet(jobId)),
      call.get(routes.floor),
      call.get(routes.health),
      call.post(routes.readings(jobId), readingBody(bodyId, '39.9')),
      ...Array.from({ length: 12 }, () => call.post(routes.readings(jobId), readingBody(bodyId, '39.8'))),
    ]);
    expect(performance.now() - from).toBeLessThan(ANSWER_MS);
    for (const a of answers) expect([a.status, a.headers['retry-after']]).toEqual([503, '1']);
    expect(answers[0].body.title).toBe('The database does not answer.');
    expect(answers[2].body).toEqual({ ok: false, waitsFor: 'the database' });
    wire.mend();
    expect(await healed()).toBeLessThan(HEALED_MS);
    expect((await call.post(routes.readings(jobId), readingBody(bodyId, '39.9'))).status).toBe(201);
    // Nothing that was refused is there, and what was told is.
    expect((await call.get(routes.sheet(jobId))).body.readings).toHaveLength(1);
  });
});

it('leaks no connection over many cuts, and tells each change once', async () => {
  for (let i = 0; i < 15; i++) {
    wire.cut();
    await Promise.all([call.get(routes.floor), call.get(routes.shop)]);
    wire.mend();
    await healed();
  }
  // The pool's and one that listens.
  expect(wire.open()).toBeLessThanOrEqual(11);
  expect(await listeners()).toBeLessThanOrEqual(11);
  const abort = new AbortController();
  const screen = await fetch(address + routes.live, { signal: abort.signal });
  const reader = screen.body!.getReader();
  const decoder = new TextDecoder();
  let told = decoder.decode((await reader.read()).value);
  const { jobId } = await makeJob(call);
  const deadline = setTimeout(() => abort.abort(), 1500);
  for (let next = reader.read(); ; next = reader.read()) {
    const { value, done } = await next.catch(() => ({ value: undefined, done: true }));
    if (done) break;
    told += decoder.decode(value);
  }
  clearTimeout(deadline);
  const news = told.split('\n').filter((line) => line.includes(jobId) && line.includes('"table" : "jobs"'));
  expect(news).toHaveLength(1);
});

it('lives when its connections are ended under work, and hands out no broken one', async () => {
  const { jobId, bodyId } = await makeJob(call);
  const ended = (): Promise<unknown> =>
    shop.pool.query(
      'select pg_terminate_backend(pid) from pg_stat_activity where datname = current_database() and pid <> pg_backend_pid()',
    );
  const ids = Array.from({ length: 60 }, () => randomUUID());
  const work = ids.map(async (id, i) => {
    await new Promise((r) => setTimeout(r, 8 * i));
    for (;;) {
      const { status, body } = await call.post(routes.readings(jobId), { ...readingBody(bodyId, '39.9'), id }, id);
      if (status === 201) return;
      if (status !== 503) throw new Error(`${status} ${JSON.stringify(body)}`);
      await new Promise((r) => setTimeout(r, 30));
    }
  });
  for (let kill = 0; kill < 6; kill++) {
    await new Promise((r) => setTimeout(r, 150));
    await ended();
  }
  await Promise.all(work);
  await healed();
  const stored = (await call.get(routes.sheet(jobId))).body.readings as { id: string }[];
  expect(stored.map((r) => r.id).sort()).toEqual([...ids].sort());
});

it('gives way to a lock that another holds, within five seconds', async () => {
  const { jobId, bodyId } = await makeJob(call);
  const holder = await shop.pool.connect();
  try {
    await holder.query('begin');
    await holder.query('lock table readings in access exclusive mode');
    const from = performance.now();
    const held = await call.post(routes.readings(jobId), readingBody(bodyId, '39.9'));
    expect([held.status, held.body.title]).toEqual([503, 'Somebody else is at the same thing.']);
    expect(performance.now() - from).toBeLessThan(ANSWER_MS);
  } finally {
    await holder.query('rollback');
    holder.release();
  }
});

it('hears a connection that ends twice, whoever has it', async () => {
  const client = await pool.connect();
  expect(() => client.emit('error', new Error('terminating connection'))).not.toThrow();
  expect(() => client.emit('error', new Error('Connection terminated unexpectedly'))).not.toThrow();
  client.release(true);
});

it('throws a connection away that broke while it was out, and gives one back that only heard no', async () => {
  await expect(
    inTransaction(pool, '', async (db) => {
      await db.query('select pg_terminate_backend(pg_backend_pid())').catch(() => undefined);
      await db.query('select 1');
    }),
  ).rejects.toThrow();
  const before = pool.totalCount;
  await expect(inTransaction(pool, '', (db) => db.query('select nonsense from nowhere'))).rejects.toThrow('nowhere');
  expect(pool.totalCount).toBeGreaterThanOrEqual(before);
  expect((await pool.query('select 1 as one')).rows).toEqual([{ one: 1 }]);
});
