import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { freePort } from './support/free-port';

/** What `start` leaves running: it looks after its server and its database, and owns its data folder alone. */
const ROOT = resolve(__dirname, '../..');
const data = mkdtempSync(join(tmpdir(), 'iron-patch-keep-'));
let ports: { IRON_PATCH_PORT: string; IRON_PATCH_DB_PORT: string };
let address: string;
let keeper: ChildProcess;
let said = '';

const command = (name: string, more: Record<string, string> = {}): ChildProcess =>
  spawn(process.execPath, ['tools/iron-patch.mjs', name], {
    cwd: ROOT,
    env: { ...process.env, IRON_PATCH_SHOP: 'demo/data/shop.json', IRON_PATCH_SIGN_IN: 'pick', IRON_PATCH_DATA: data, ...ports, ...more },
  });
const healthy = async (): Promise<boolean> => (await fetch(`${address}/api/health`).catch(() => null))?.ok ?? false;

/** Milliseconds until it holds. */
async function until(what: string, holds: () => Promise<boolean> | boolean, patienceMs = 60_000): Promise<number> {
  const from = Date.now();
  while (Date.now() - from < patienceMs) {
    if (await holds()) return Date.now() - from;
    await new Promise((r) => setTimeout(r, 50));
  }
  throw new Error(`Waited for ${what}. It said:\n${said}`);
}
const numberIn = (file: string): number => Number(readFileSync(join(data, file), 'utf8').split('\n')[0]);
const serverPid = (): number => Number(execFileSync('pgrep', ['-P', String(keeper.pid), '-f', 'main.mjs'], { encoding: 'utf8' }).trim());

beforeAll(async () => {
  ports = { IRON_PATCH_PORT: String(await freePort()), IRON_PATCH_DB_PORT: String(await freePort()) };
  address = `http://127.0.0.1:${ports.IRON_PATCH_PORT}`;
  // Left over from before a power cut: the number is somebody else's now, or the file was half written.
  writeFileSync(join(data, 'server.pid'), JSON.stringify({ pid: process.pid, startedAt: 1 }));
  keeper = command('keep');
  keeper.stdout!.on('data', (d) => (said += d));
  keeper.stderr!.on('data', (d) => (said += d));
  await until('the shop to open', () => said.includes('Iron Patch runs at'), 150_000);
});
afterAll(async () => {
  if (keeper.exitCode === null) {
    keeper.kill('SIGTERM');
    await once(keeper, 'exit');
  }
  rmSync(data, { recursive: true, force: true });
});

it('starts a killed server again, and says so', async () => {
  const before = serverPid();
  process.kill(before, 'SIGKILL');
  await until('the server to be another', () => said.includes('The server runs again.'));
  await until('it to answer', healthy);
  expect(serverPid()).not.toBe(before);
  expect(said).toContain('The server died: it is started again.');
});

it('starts a killed database again, while the server lives', async () => {
  const [database, server] = [numberIn('postgres/postmaster.pid'), serverPid()];
  process.kill(database, 'SIGKILL');
  await until('the database to run', () => said.includes('The database runs again.'));
  await until('it to answer', healthy);
  expect(numberIn('postgres/postmaster.pid')).not.toBe(database);
  expect(serverPid()).toBe(server);
});

it('refuses a second one on the same data, on whatever ports', async () => {
  const second = command('keep', { IRON_PATCH_PORT: String(await freePort()), IRON_PATCH_DB_PORT: String(await freePort()) });
  let told = '';
  second.stderr!.on('data', (d) => (told += d));
  const [status] = (await once(second, 'exit')) as [number];
  expect(status).toBe(1);
  expect(told).toContain(`Iron Patch runs already on the data in ${data} (process ${keeper.pid}). Stop it first`);
  expect(await healthy()).toBe(true);
});

it('stops with all that it started', async () => {
  const [database, server] = [numberIn('postgres/postmaster.pid'), serverPid()];
  const stop = command('stop');
  const [status] = (await once(stop, 'exit')) as [number];
  expect(status).toBe(0);
  await until('it to be gone', () => keeper.exitCode !== null || keeper.signalCode !== null);
  for (const pid of [database, server]) expect(() => process.kill(pid, 0)).toThrow('ESRCH');
  expect(await healthy()).toBe(false);
});

it('leaves nothing running where its port is taken, and says what to do', async () => {
  const taken = createServer().listen(Number(ports.IRON_PATCH_PORT), '127.0.0.1');
  await once(taken, 'listening');
  const third = command('keep');
  let told = '';
  third.stderr!.on('data', (d) => (told += d));
  const [status] = (await once(third, 'exit')) as [number];
  taken.close();
  expect(status).toBe(1);
  expect(told).toContain('is in use. Stop what runs there, or choose another with IRON_PATCH_PORT.');
  expect(() => execFileSync('pgrep', ['-f', data])).toThrow();
});
