import { copyFile, mkdtemp, readFile, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { routes } from '@iron-patch/contract';
import { forgetOldAnswers } from '../http';
import { setUpShop } from '../shop';
import { caller, makeJob, readingBody } from '../testing/caller';
import { loadHouseRules } from '../house-rules';
import { openTestDatabase, openTestShop, ROOT, type TestShop } from '../testing/test-database';
import { migrate } from './migrate';
import { inTransaction } from './pool';
import { statements } from './statements';

let shop: TestShop;
beforeAll(async () => {
  shop = await openTestShop();
});
afterAll(() => shop.close());

describe('migrations', () => {
  it('run once, however many processes ask', async () => {
    const again = await Promise.all([1, 2, 3].map(() => migrate(shop.url, `${ROOT}/server/migrations`)));
    expect(again).toEqual([[], [], []]);
  });

  it('bring an older shop up to date with its own rules, and to the very tables of a fresh one', async () => {
    const old = await openTestDatabase();
    try {
      const dir = await mkdtemp(join(tmpdir(), 'migrations-'));
      await copyFile(`${ROOT}/server/migrations/0001_initial.sql`, join(dir, '0001_initial.sql'));
      await migrate(old.url, dir);
      await old.pool.query(`insert into house_rules (id, position, card) values ('barn', 3, '{"name": "Barn door", "baseMm": 0.2}')`);
      expect((await migrate(old.url, `${ROOT}/server/migrations`))[0]).toContain('0002');
      expect(await loadHouseRules(old.pool)).toEqual([{ id: 'barn', version: 1, name: 'Barn door', baseMm: 0.2 }]);
      const columns = `select table_name, column_name, data_type from information_schema.columns where table_schema = 'public' order by 1, 2`;
      expect((await old.pool.query(columns)).rows).toEqual((await shop.pool.query(columns)).rows);
    } finally {
      await old.close();
    }
  });

  it('leave nothing behind when one breaks', async () => {
    const dir = await mkdtemp(join(tmpdir(), 'migrations-'));
    await writeFile(join(dir, '9001_half.sql'), 'create table half (id int); select nonsense from nowhere;');
    await expect(migrate(shop.url, dir)).rejects.toThrow('nowhere');
    const { rows } = await shop.pool.query(`select to_regclass('half') as found`);
    expect(rows[0].found).toBeNull();
  });
});

it('rolls a transaction back when its work throws', async () => {
  const work = inTransaction(shop.pool, '', async (db) => {
    await db.query(`insert into customers (name) values ('Ghost')`);
    throw new Error('stop');
  });
  await expect(work).rejects.toThrow('stop');
  expect((await shop.pool.query(`select 1 from customers where name = 'Ghost'`)).rowCount).toBe(0);
});

it('keeps what is only added to: nothing is changed, deleted or emptied', async () => {
  const call = caller(shop);
  const { jobId, bodyId } = await makeJob(call);
  await call.post(routes.readings(jobId), readingBody(bodyId, '39.9'));
  await call.post(routes.notes(jobId), { station: 'strip', text: 'Kept.' });
  for (const table of ['readings', 'notes', 'house_rule_changes'])
    for (const sql of [`update ${table} set person_id = 'maud'`, `delete from ${table}`, `truncate ${table} cascade`])
      await expect(shop.pool.query(sql)).rejects.toThrow('only added to');
  for (const table of ['choices', 'releases', 'proofs', 'instrument_checks'])
    await expect(shop.pool.query(`truncate ${table}`)).rejects.toThrow('only added to');
});

it('forgets answers to requests of long ago, and no others', async () => {
  const old = `insert into idempotency_keys (key, route, request_hash, created_at) values ('old', '/x', 'h', now() - interval '91 days'), ('young', '/x', 'h', now())`;
  await shop.pool.query(old);
  expect(await forgetOldAnswers(shop.pool)).toBe(1);
  expect((await shop.pool.query(`select key from idempotency_keys where key in ('old', 'young')`)).rows).toEqual([{ key: 'young' }]);
});

it('sets a shop up once', async () => {
  await setUpShop(shop.pool, `${ROOT}/demo/data/shop.json`);
  expect((await shop.pool.query('select 1 from people')).rowCount).toBe(3);
});

it('refuses a shop file with all that is wrong in it, and stores nothing of it', async () => {
  const empty = await openTestDatabase();
  try {
    await migrate(empty.url, `${ROOT}/server/migrations`);
    const dir = await mkdtemp(join(tmpdir(), 'shop-'));
    const file = async (name: string, text: string): Promise<string> => {
      await writeFile(join(dir, name), text);
      return join(dir, name);
    };
    const card = JSON.parse(await readFile(`${ROOT}/demo/data/shop.json`, 'utf8')) as Record<string, Record<string, unknown>[]>;
    card['instruments']![0]!['kind'] = 'laser';
    card['people']![1]!['name'] = '';
    card['lathes']![0]!['gearsRpm'] = [];
    delete card['rack'];
    const wrong = setUpShop(empty.pool, await file('wrong.json', JSON.stringify(card)));
    await expect(wrong).rejects.toThrow(
      /people\.1\.name: .*instruments\.0\.kind: Choose a kind of instrument.*lathes\.0\.gearsRpm: .*rack: Rack: a list\./,
    );
    await expect(setUpShop(empty.pool, await file('half.json', '{"people": ['))).rejects.toThrow('is no JSON');
    await expect(setUpShop(empty.pool, join(dir, 'none.json'))).rejects.toThrow('Name another with IRON_PATCH_SHOP');
    expect((await empty.pool.query('select 1 from people')).rowCount).toBe(0);
    await setUpShop(empty.pool, `${ROOT}/demo/data/shop.json`);
    expect((await empty.pool.query('select 1 from people')).rowCount).toBe(3);
  } finally {
    await empty.close();
  }
});

it('splits SQL by name and misses none', () => {
  const text = '-- :name a\nselect 1\n\n-- :name b\nselect 2 -- two\n';
  expect(statements(text, ['a', 'b'])).toEqual({ a: 'select 1', b: 'select 2 -- two' });
  expect(() => statements(text, ['c'])).toThrow('no statement called c');
  expect(statements('-- :name a\nselect {{all}}', ['a'], { all: 'x, y' }).a).toBe('select x, y');
  expect(() => statements('-- :name a\nselect {{all}}', ['a'])).toThrow('{{all}}');
});
