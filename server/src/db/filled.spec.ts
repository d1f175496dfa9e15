import { copyFile, mkdtemp, readFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { routes, type FloorPage } from '@iron-patch/contract';
import { everyFigure, workOut, type JobSheet } from '@iron-patch/core';
import { caller, readingBody, type Caller } from '../testing/caller';
import { openTestDatabase, ROOT, serve, type TestShop } from '../testing/test-database';
import { loadSheet } from '../sheets';
import { loadShop } from '../shop';
import { migrate } from './migrate';

/** A shop of forty jobs as the first version kept it, brought up to date and used. */
const MIGRATIONS = `${ROOT}/server/migrations`;
interface Plain {
  readonly readings: readonly { readonly feature_id?: string }[];
  readonly choices: readonly object[];
  readonly notes: readonly object[];
}
let shop: TestShop;
let call: Caller;
let before: Plain;

beforeAll(async () => {
  const database = await openTestDatabase();
  const first = await mkdtemp(join(tmpdir(), 'migrations-'));
  await copyFile(`${MIGRATIONS}/0001_initial.sql`, join(first, '0001_initial.sql'));
  await migrate(database.url, first);
  await database.pool.query(await readFile(`${ROOT}/server/src/testing/filled-0001.sql`, 'utf8'));
  const rows = async (sql: string): Promise<object[]> => (await database.pool.query<object>(sql)).rows;
  before = {
    readings: await rows('select *, feature_id as place_id from readings order by seq'),
    choices: await rows('select * from choices order by job_id, key, version'),
    notes: await rows('select * from notes order by seq'),
  };
  await migrate(database.url, MIGRATIONS);
  shop = await serve(database);
  call = caller(shop, 'bram');
});
afterAll(() => shop.close());

it('keeps every record as it was, what came later left at its rest', async () => {
  const now = async (sql: string): Promise<object[]> => (await shop.pool.query<object>(sql)).rows;
  expect(before.readings).toHaveLength(40 * 10);
  expect(await now('select * from readings order by seq')).toEqual(
    before.readings.map(({ feature_id: _was, ...r }) => ({ ...r, quantity: 'size', after_act_id: null, item_id: null, piece: 1 })),
  );
  // What a place is called within them is all that changed.
  const renamed = JSON.parse(JSON.stringify(before.choices).replaceAll('"fitsFeatureIds":', '"fitsPlaceIds":')) as object[];
  expect(renamed).not.toEqual(JSON.parse(JSON.stringify(before.choices)));
  expect(JSON.parse(JSON.stringify(await now('select * from choices order by job_id, key, version')))).toEqual(renamed);
  await expect(shop.pool.query('update choices set reason = reason')).rejects.toThrow();
  expect(await now('select * from notes order by seq')).toEqual(before.notes);
});

it('carries over what a later version says otherwise: cautions apart, the light tap, the history of the rules', async () => {
  const { rows } = await shop.pool.query<{ hazards: string[] }>('select hazards from jobs order by title limit 1');
  expect(rows[0]!.hazards).toEqual(['beryllium', 'lead-bronze', 'magnesium', 'vessel']);
  const { rows: rules } = await shop.pool.query<{ rule_id: string; version: number; base: number }>(
    `select rule_id, version, (card ->> 'baseMm')::float8 as base from house_rule_changes order by rule_id, version`,
  );
  expect(rules).toEqual([
    { rule_id: 'grease', version: 1, base: 0.05 },
    { rule_id: 'light-tap', version: 1, base: -0.00508 },
    { rule_id: 'light-tap', version: 2, base: -0.01016 },
  ]);
});

it('leaves the shop its own people and machines', async () => {
  expect((await call.get(routes.shop)).body.shop.people.map((p: { id: string }) => p.id).sort()).toEqual(['ada', 'bram']);
});

/** As the program worked them out before the middle stood on items, places and dimensions: by title, places by name. */
interface Before {
  readonly jobs: readonly string[];
  readonly figures: Readonly<Record<string, number>>;
}

it('gives every figure that it gave before, one by one', async () => {
  const before = JSON.parse(await readFile(`${ROOT}/server/src/testing/filled-0001-figures.json`, 'utf8')) as Before[];
  const expected = new Map(before.flatMap(({ jobs, figures }) => jobs.map((title) => [title, figures] as const)));
  expect(expected.size).toBe(40);
  const machines = await loadShop(shop.pool);
  const { rows } = await shop.pool.query<{ id: string }>('select id from jobs');
  for (const { id } of rows) {
    const sheet = await loadSheet(shop.pool, id);
    const named = (key: string): string => sheet.places.reduce((k, f) => k.replace(f.id, f.name), key);
    const now = new Map(everyFigure(workOut(sheet, machines)).map((f) => [named(f.key), f.value]));
    for (const [key, value] of Object.entries(expected.get(sheet.job.title)!)) {
      // Masses were integrated a little more coarsely: two millionths.
      const least = key === 'part.mass' ? 1e-5 * value : 1e-6;
      expect([key, Math.abs((now.get(key) ?? NaN) - value) <= least]).toEqual([key, true]);
    }
  }
});

it('stands on the floor, every job worked out, and each of them opens and goes on', async () => {
  const { body } = (await call.get(routes.floor)) as { body: FloorPage };
  expect([body.found, body.behind]).toEqual([40, 0]);
  for (const job of body.jobs) {
    expect([job.trouble, job.waiting]).toEqual([undefined, undefined]);
    expect(job.stations.length).toBeGreaterThan(5);
  }
  for (const { id } of body.jobs.slice(0, 5)) {
    const sheet = (await call.get(routes.sheet(id))).body as JobSheet;
    expect([sheet.components.length, sheet.places.length, sheet.readings.length]).toEqual([2, 2, 10]);
    const body2 = readingBody(sheet.places.find((f) => f.side === 'outside')!.id, '39.9', { instrumentId: 'mic' });
    expect((await call.post(routes.readings(id), body2)).status).toBe(201);
    expect((await call.get(routes.report(id))).status).toBe(200);
  }
});
