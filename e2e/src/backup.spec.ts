import { execFileSync, spawn, spawnSync } from 'node:child_process';
import { once } from 'node:events';
import { existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { freePort } from './support/free-port';

/** A shop is written to a file and brought back elsewhere, by the commands that a person has. */
const ROOT = resolve(__dirname, '../..');
const folder = mkdtempSync(join(tmpdir(), 'iron-patch-backup-'));
const dump = join(folder, 'shop.dump');
/** Data folders: PostgreSQL runs as a user of its own, which may not look into the folder above. */
const made: string[] = [];
const newData = (): string => {
  made.push(mkdtempSync(join(tmpdir(), 'iron-patch-backup-data-')));
  return made.at(-1)!;
};
interface Ports {
  readonly IRON_PATCH_PORT: string;
  readonly IRON_PATCH_DB_PORT: string;
}
const freePorts = async (): Promise<Ports> => ({
  IRON_PATCH_PORT: String(await freePort()),
  IRON_PATCH_DB_PORT: String(await freePort()),
});

interface Said {
  readonly code: number | null;
  readonly text: string;
}
/** Runs a command over a data folder. */
function run(data: string, ports: Ports, ...args: string[]): Said {
  const env = { ...process.env, IRON_PATCH_SHOP: 'demo/data/shop.json', IRON_PATCH_SIGN_IN: 'pick', IRON_PATCH_DATA: data, ...ports };
  const { status, stdout, stderr } = spawnSync(process.execPath, ['tools/iron-patch.mjs', ...args], { cwd: ROOT, env, encoding: 'utf8' });
  return { code: status, text: stdout + stderr };
}

interface Kept {
  readonly data: string;
  readonly ports: Ports;
  readonly address: string;
  stop(): Promise<void>;
}
/** A shop over a data folder, as `start` leaves it running. */
async function keepShop(data: string, signIn = 'pick'): Promise<Kept> {
  const ports = await freePorts();
  const address = `http://127.0.0.1:${ports.IRON_PATCH_PORT}`;
  const keeper = spawn(process.execPath, ['tools/iron-patch.mjs', 'keep'], {
    cwd: ROOT,
    env: { ...process.env, IRON_PATCH_SHOP: 'demo/data/shop.json', IRON_PATCH_SIGN_IN: signIn, IRON_PATCH_DATA: data, ...ports },
    stdio: 'ignore',
  });
  while (!(await fetch(`${address}/api/health`).catch(() => null))?.ok) {
    if (keeper.exitCode !== null) throw new Error('The shop did not open.');
    await new Promise((r) => setTimeout(r, 50));
  }
  return {
    data,
    ports,
    address,
    async stop() {
      if (keeper.exitCode !== null) return;
      keeper.kill('SIGTERM');
      await once(keeper, 'exit');
    },
  };
}

let shop: Kept;
interface Floor {
  readonly jobs: readonly { readonly id: string; readonly number: number }[];
}
/** Asks as the page does: again a moment later where it is told that the shop cannot answer just now. */
async function get(of: Kept, path: string): Promise<unknown> {
  for (let tries = 0; ; tries++) {
    const res = await fetch(of.address + path);
    if (res.status !== 503 || tries === 20) return res.json();
    await new Promise((r) => setTimeout(r, 250));
  }
}
const everything = async (of: Kept): Promise<unknown[]> => {
  const { jobs } = (await get(of, '/api/floor?returned=1')) as Floor;
  return Promise.all([...jobs].sort((a, b) => a.number - b.number).map((j) => get(of, `/api/jobs/${j.id}/sheet`)));
};

beforeAll(async () => {
  shop = await keepShop(newData());
  execFileSync(process.execPath, [`${ROOT}/demo/dist/load-demo.mjs`, shop.address, `${ROOT}/demo/data/jobs`]);
});
afterAll(async () => {
  await shop.stop();
  for (const data of [folder, ...made]) rmSync(data, { recursive: true, force: true });
});

it('is written while the shop runs, read back, kept from other eyes, and overwrites nothing', () => {
  const { code, text } = run(shop.data, shop.ports, 'backup', dump);
  expect([code, text]).toEqual([
    0,
    expect.stringMatching(/^13 jobs, \d+ readings, \d+ photographs in .*shop\.dump, [\d.]+ MB, read back\.\n$/),
  ]);
  expect(statSync(dump).mode & 0o777).toBe(0o600);
  expect(readdirSync(folder).filter((f) => f.includes('dump'))).toEqual(['shop.dump']);
  const again = run(shop.data, shop.ports, 'backup', dump);
  expect([again.code, again.text]).toEqual([1, expect.stringContaining('a backup overwrites nothing')]);
  expect(run(shop.data, shop.ports, 'backup')).toEqual({ code: 1, text: 'iron-patch: Say which file: ./iron-patch backup FILE\n' });
});

it('gives somebody a password at the shop’s machine, to be changed at once', async () => {
  const locked = await keepShop(newData(), 'password');
  try {
    const nobody = run(locked.data, locked.ports, 'password', "O'Hara");
    expect([nobody.code, nobody.text]).toEqual([1, "iron-patch: Nobody of the shop is called O'Hara.\n"]);
    const { code, text } = run(locked.data, locked.ports, 'password', 'maud ferrier');
    expect([code, text]).toEqual([0, expect.stringMatching(/chooses another there: [0-9a-f]{6}(-[0-9a-f]{6}){3}\n$/)]);
    const signed = await fetch(`${locked.address}/api/session`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ name: 'Maud Ferrier', password: /: (\S+)\n$/.exec(text)![1] }),
    });
    expect(await signed.json()).toMatchObject({ state: 'in', personId: 'maud', borrowed: true });
  } finally {
    await locked.stop();
  }
});

it('comes back whole into an empty folder, and into no other', async () => {
  const data = newData();
  const ports = await freePorts();
  const back = run(data, ports, 'restore', dump);
  expect([back.code, back.text]).toEqual([0, expect.stringMatching(/^13 jobs, \d+ readings, \d+ photographs are back from .*\n$/)]);
  const twice = run(data, ports, 'restore', dump);
  expect([twice.code, twice.text]).toEqual([1, expect.stringContaining('There are 13 jobs in this data folder')]);
  const moved = await keepShop(data);
  try {
    expect(await everything(moved)).toEqual(await everything(shop));
    expect(await get(moved, '/api/shop')).toEqual(await get(shop, '/api/shop'));
  } finally {
    await moved.stop();
  }
});

it('changes nothing where the file is no backup, or a backup that was cut short', async () => {
  const cut = join(folder, 'cut.dump');
  const whole = readFileSync(dump);
  for (const bytes of [Buffer.from('no backup at all'), whole.subarray(0, Math.floor(whole.length * 0.6))]) {
    writeFileSync(cut, bytes);
    const data = newData();
    const { code, text } = run(data, await freePorts(), 'restore', cut);
    expect([code, text]).toEqual([1, expect.stringContaining('did not come back, and nothing was changed')]);
    expect(existsSync(join(data, 'server.pid'))).toBe(false);
  }
});

it('is made of the demo before it is reset, which is asked for first', async () => {
  const data = newData();
  const ports = await freePorts();
  run(data, ports, 'restore', dump);
  const asked = run(data, ports, 'reset');
  expect([asked.code, asked.text]).toEqual([1, expect.stringContaining('Say --yes to do it.')]);
  const done = run(data, ports, 'reset', '--yes');
  expect([done.code, done.text]).toEqual([0, expect.stringContaining('The demo shop is back: 13 jobs.')]);
  expect(readdirSync(join(data, 'removed'))).toEqual([expect.stringMatching(/^iron-patch-[\dT-]+\.dump$/)]);
});

it('says in one sentence that a folder is of another PostgreSQL, or holds something else', async () => {
  const other = newData();
  const stray = newData();
  for (const [data, name, text, said] of [
    [other, 'PG_VERSION', '9\n', 'is of PostgreSQL 9, and this machine has'],
    [stray, 'letter.txt', 'Dear shop', 'holds files that are no database’s'],
  ] as const) {
    mkdirSync(join(data, 'postgres'));
    writeFileSync(join(data, 'postgres', name), text);
    const { code, text: told } = run(data, await freePorts(), 'restore', dump);
    expect([code, told.replace("'", '’')]).toEqual([1, expect.stringContaining(said)]);
  }
});
