import { readdirSync } from 'node:fs';
import { get } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { checkBundle, HEADERS, routes } from '@iron-patch/contract';
import { parse } from 'csv-parse/sync';
import { unzipSync } from 'fflate';
import request from 'supertest';
import { caller, makeJob, readingBody, type Caller, type MadeJob } from '../testing/caller';
import { openTestShop, type TestShop } from '../testing/test-database';

let shop: TestShop;
let call: Caller;
let made: MadeJob;
beforeAll(async () => {
  shop = await openTestShop();
  call = caller(shop);
  made = await makeJob(call, { title: '=cmd|x, "quoted"\nand below', complaint: 'Kolbenstange löst sich' });
  await call.post(routes.readings(made.jobId), readingBody(made.bodyId, '1.5716 in'));
  await makeJob(call);
});
afterAll(() => shop.close());

const files = async (): Promise<Record<string, string>> => {
  const res = await request(shop.app).get(routes.everything).set(HEADERS.person, 'tomas').responseType('blob');
  expect([res.status, res.headers['content-type'], res.headers['content-disposition']]).toEqual([
    200,
    'application/zip',
    expect.stringMatching(/^attachment; filename=iron-patch-\d{4}-\d\d-\d\d\.zip$/),
  ]);
  return Object.fromEntries(
    Object.entries(unzipSync(res.body as Buffer)).map(([name, bytes]) => [name, Buffer.from(bytes).toString('utf8')]),
  );
};
const rows = (csv: string): Record<string, string>[] => parse(csv, { columns: true });
/** What was packed is put away right after it was sent: nothing of it stays. */
async function nothingIsLeft(): Promise<void> {
  const left = (): string[] => readdirSync(tmpdir()).filter((f) => f.startsWith('iron-patch-everything-'));
  for (let i = 0; i < 40 && left().length; i++) await new Promise((r) => setTimeout(r, 50));
  expect(left()).toEqual([]);
}

it('has every job as a file that can come in again, and every table as rows', async () => {
  const all = await files();
  const number = rows(all['tables/jobs.csv']!)[0]!['number'];
  const bundle = checkBundle(JSON.parse(all[`jobs/job-${number}.json`]!));
  expect(bundle.ok && bundle.value.readings[0]).toMatchObject({ text: '1.5716 in', unit: 'in' });
  expect((await call.post(routes.bundles, JSON.parse(all[`jobs/job-${number}.json`]!))).status).toBe(201);
  const jobs = rows(all['tables/jobs.csv']!);
  // A formula is disarmed; everything else comes through as it is, over lines and in any script.
  expect(jobs[0]).toMatchObject({ id: made.jobId, title: `'=cmd|x, "quoted"\nand below`, complaint: 'Kolbenstange löst sich' });
  expect(rows(all['tables/readings.csv']!)).toMatchObject([{ text: '1.5716 in', place_id: made.bodyId }]);
  expect(all['read-me.txt']).toContain('./iron-patch backup');
  await nothingIsLeft();
  const taken = await shop.pool.query(`select person_id, method from audit where path = $1`, [routes.everything]);
  expect(taken.rows).toEqual([{ person_id: 'tomas', method: 'GET' }]);
});

it('leaves secrets here', async () => {
  const tables = Object.keys(await files())
    .filter((f) => f.startsWith('tables/'))
    .map((f) => f.slice(7, -4));
  // Written down one by one: whoever adds a table says which side it is on.
  expect(tables).toEqual([
    ...['audit', 'bar_counts', 'bars', 'choices', 'components', 'customers', 'drill_sets', 'house_rule_changes', 'instrument_checks'],
    ...['instruments', 'jobs', 'kept_cards', 'machines', 'notes', 'old_jobs', 'old_list_withdrawals', 'old_lists', 'people', 'photos'],
    ...['places', 'proofs', 'quote_answers', 'quote_questions', 'quote_withdrawals', 'quotes', 'rates', 'readings', 'releases'],
    ...['shop_cards', 'tools'],
  ]);
});

it('reads tables that are longer than one reading', async () => {
  await shop.pool.query(
    `insert into notes (id, job_id, station, text, person_id) select gen_random_uuid(), $1, 'strip', 'note ' || n, 'tomas' from generate_series(1, 2500) n`,
    [made.jobId],
  );
  const notes = rows((await files())['tables/notes.csv']!);
  expect(new Set(notes.map((n) => n['text'])).size).toBe(2500);
});

it('whoever goes away leaves nothing behind, and nobody waits for them', async () => {
  const server = shop.app.listen(0);
  const { port } = server.address() as AddressInfo;
  const going = Array.from(
    { length: 4 },
    () =>
      new Promise<void>((resolve) => {
        const req = get({ port, path: routes.everything, headers: { [HEADERS.person]: 'tomas' } });
        req.on('error', () => resolve()).on('close', () => resolve());
        setTimeout(() => req.destroy(), 30);
      }),
  );
  await Promise.all(going);
  expect(Object.keys(await files())).toContain('tables/jobs.csv');
  await nothingIsLeft();
  server.closeAllConnections();
  server.close();
});
