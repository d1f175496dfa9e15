import pg from 'pg';
import { asApp, openTestShop, type TestShop } from '../testing/test-database';
import { grantRights } from './grants';

/** The database in the role that the server works in. */
let shop: TestShop;
let app: pg.Client;
beforeAll(async () => {
  shop = await openTestShop();
  app = new pg.Client({ connectionString: asApp(shop.url) });
  await app.connect();
});
afterAll(async () => {
  await app.end();
  await shop.close();
});

const ADDED_TO = [
  'audit',
  'bar_counts',
  'choices',
  'house_rule_changes',
  'instrument_checks',
  'notes',
  'old_jobs',
  'old_list_withdrawals',
  'old_lists',
  'proofs',
  'quote_answers',
  'quote_links',
  'quote_questions',
  'quote_withdrawals',
  'quotes',
  'rates',
  'readings',
  'releases',
  'photo_pixels',
];
const tables = async (): Promise<string[]> =>
  (await shop.pool.query<{ name: string }>(`select tablename as name from pg_tables where schemaname = 'public'`)).rows.map((r) => r.name);

it('may neither empty, drop nor alter any table, nor make one', async () => {
  const all = await tables();
  expect(all.length).toBeGreaterThan(20);
  for (const name of all)
    for (const sql of [`truncate ${name} cascade`, `drop table ${name} cascade`, `alter table ${name} disable trigger all`])
      await expect(app.query(sql)).rejects.toThrow(/permission denied|must be owner/);
  await expect(app.query('create table public.mine (id int)')).rejects.toThrow('permission denied');
  await expect(app.query('drop function refuse_change() cascade')).rejects.toThrow('must be owner');
});

it('may only add to what is only added to', async () => {
  for (const name of ADDED_TO) {
    const { rows } = await app.query<{ may: string[] }>(
      `select array(select p from unnest(array['select', 'insert', 'update', 'delete', 'truncate', 'references', 'trigger']) p
       where has_table_privilege(current_user, $1, p)) as may`,
      [name],
    );
    expect([name, rows[0]!.may]).toEqual([name, ['select', 'insert']]);
    const { rows: column } = await shop.pool.query<{ name: string }>(
      `select column_name as name from information_schema.columns where table_schema = 'public' and table_name = $1 and is_identity = 'NO' limit 1`,
      [name],
    );
    await expect(app.query(`update ${name} set ${column[0]!.name} = ${column[0]!.name}`)).rejects.toThrow('permission denied');
    await expect(app.query(`delete from ${name}`)).rejects.toThrow('permission denied');
  }
});

it('only reads which migrations ran, and a table that nobody thought of', async () => {
  await expect(app.query(`insert into schema_migrations (name) values ('x')`)).rejects.toThrow('permission denied');
  await shop.pool.query('create table forgotten (id int)');
  try {
    await grantRights(shop.url);
    expect((await app.query('select * from forgotten')).rows).toEqual([]);
    await expect(app.query('insert into forgotten values (1)')).rejects.toThrow('permission denied');
  } finally {
    await shop.pool.query('drop table forgotten');
  }
});

it('is never emptied even by who owns it', async () => {
  for (const name of [
    'jobs',
    'components',
    'places',
    'photos',
    'photo_pixels',
    'people',
    'customers',
    'instruments',
    'drill_sets',
    'tools',
  ])
    await expect(shop.pool.query(`truncate ${name} cascade`)).rejects.toThrow(/is never emptied|only added to/);
});
