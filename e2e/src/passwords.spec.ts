import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import pg from 'pg';
import { freePort } from './support/free-port';

/** Who gets into the database of a shop, and what each may do; over one that was made when everybody on the machine was let in. */
const ROOT = resolve(__dirname, '../..');
const SETUP = join(ROOT, 'tools/postgres.mjs');
const data = mkdtempSync(join(tmpdir(), 'iron-patch-doors-'));
let ports: { IRON_PATCH_PORT: string; IRON_PATCH_DB_PORT: string };
let keeper: ChildProcess;

const passwords = (): Record<string, string> => JSON.parse(readFileSync(join(data, 'passwords.json'), 'utf8')) as Record<string, string>;
const comeAs = async (user: string, password: string | undefined): Promise<pg.Client> => {
  const client = new pg.Client({
    host: '127.0.0.1',
    port: Number(ports.IRON_PATCH_DB_PORT),
    database: 'iron_patch',
    user,
    password: password ?? '',
  });
  await client.connect();
  return client;
};
const superuser = process.getuid!() === 0 ? 'postgres' : execFileSync('id', ['-un'], { encoding: 'utf8' }).trim();

/** A folder as it was before there were roles: no password, and all of it the superuser's. */
function makeOld(): void {
  const { IRON_PATCH_DB_PORT: port } = ports;
  const script = `
    import { readdirSync, readFileSync } from 'node:fs';
    const { postgres } = await import(${JSON.stringify(SETUP)});
    const db = postgres(${JSON.stringify(data)}, ${port});
    db.start();
    db.ask('postgres', 'create database iron_patch');
    const folder = ${JSON.stringify(join(ROOT, 'server/migrations'))};
    db.ask('iron_patch', 'create table schema_migrations (name text primary key, ran_at timestamptz not null default now())');
    for (const f of readdirSync(folder).sort().slice(0, 4)) {
      db.ask('iron_patch', readFileSync(folder + '/' + f, 'utf8'));
      db.ask('iron_patch', "insert into schema_migrations (name) values ('" + f + "')");
    }
    db.ask('iron_patch', readFileSync(${JSON.stringify(join(ROOT, 'server/src/testing/filled-0001.sql'))}, 'utf8').replace(/insert into house_rules[^;]*;/, ''));
    for (const role of ['owner', 'app', 'reader']) db.ask('iron_patch', 'drop owned by iron_patch_' + role + '; drop role iron_patch_' + role);
    db.stop();`;
  execFileSync(process.execPath, ['--input-type=module', '-e', script], { cwd: ROOT, stdio: 'pipe' });
  rmSync(join(data, 'passwords.json'));
  writeFileSync(join(data, 'postgres/pg_hba.conf'), 'local all all trust\nhost all all 127.0.0.1/32 trust\n');
}

beforeAll(async () => {
  ports = { IRON_PATCH_PORT: String(await freePort()), IRON_PATCH_DB_PORT: String(await freePort()) };
  makeOld();
  keeper = spawn(process.execPath, ['tools/iron-patch.mjs', 'keep'], {
    cwd: ROOT,
    env: { ...process.env, IRON_PATCH_SHOP: 'demo/data/shop.json', IRON_PATCH_SIGN_IN: 'pick', IRON_PATCH_DATA: data, ...ports },
  });
  let said = '';
  keeper.stdout!.on('data', (d) => (said += d));
  keeper.stderr!.on('data', (d) => (said += d));
  while (!said.includes('Iron Patch runs at')) {
    if (keeper.exitCode !== null) throw new Error(said);
    await new Promise((r) => setTimeout(r, 50));
  }
});
afterAll(async () => {
  if (keeper.exitCode === null) {
    keeper.kill('SIGTERM');
    await once(keeper, 'exit');
  }
  rmSync(data, { recursive: true, force: true });
});

it('opens what was kept before, whole', async () => {
  const floor = (await (await fetch(`http://127.0.0.1:${ports.IRON_PATCH_PORT}/api/floor`)).json()) as { found: number };
  expect(floor.found).toBe(40);
});

it('keeps its passwords in a file that only its owner may open, and tells them nowhere else', () => {
  expect(statSync(join(data, 'passwords.json')).mode & 0o777).toBe(0o600);
  const logs = readdirSync(data).filter((f) => f.endsWith('.log'));
  expect(logs).toContain('postgres.log');
  for (const word of Object.values(passwords())) {
    expect(word).toMatch(/^[0-9a-f]{48}$/);
    for (const log of logs) expect(readFileSync(join(data, log), 'utf8')).not.toContain(word);
    expect(execFileSync('ps', ['-eo', 'args'], { encoding: 'utf8' })).not.toContain(word);
  }
});

it('lets nobody in without the right password, nor the superuser over the network', async () => {
  for (const user of ['iron_patch_app', 'iron_patch_owner', 'iron_patch_reader'])
    for (const password of [undefined, 'wrong', passwords()['superuser']])
      await expect(comeAs(user, password)).rejects.toThrow(/password authentication failed|no password|must be a string|empty password/);
  await expect(comeAs(superuser, passwords()['superuser'])).rejects.toThrow('no pg_hba.conf entry');
});

it('gives each role what it needs and no more', async () => {
  const known = passwords();
  const app = await comeAs('iron_patch_app', known['iron_patch_app']);
  const reader = await comeAs('iron_patch_reader', known['iron_patch_reader']);
  const owner = await comeAs('iron_patch_owner', known['iron_patch_owner']);
  try {
    expect((await app.query('select 1 from readings')).rowCount).toBe(400);
    await expect(app.query('delete from readings')).rejects.toThrow('permission denied');
    await expect(app.query('truncate jobs cascade')).rejects.toThrow('permission denied');
    await expect(app.query('drop table jobs cascade')).rejects.toThrow('must be owner');
    expect((await reader.query('select 1 from readings')).rowCount).toBe(400);
    await expect(reader.query(`update jobs set title = 'x'`)).rejects.toThrow(/read-only|permission denied/);
    await reader.query('set default_transaction_read_only = off');
    await expect(reader.query(`update jobs set title = 'x'`)).rejects.toThrow('permission denied');
    await expect(owner.query('truncate jobs cascade')).rejects.toThrow(/never emptied|only added to/);
    const { rows } = await owner.query<{ owner: string }>(`select distinct tableowner as owner from pg_tables where schemaname = 'public'`);
    expect(rows).toEqual([{ owner: 'iron_patch_owner' }]);
    const { rows: might } = await owner.query(
      `select 1 from pg_roles where rolname like 'iron_patch_%' and (rolsuper or rolcreaterole or rolcreatedb)`,
    );
    expect(might).toEqual([]);
  } finally {
    await Promise.all([app.end(), reader.end(), owner.end()]);
  }
});
