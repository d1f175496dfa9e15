import { choiceKey, workOut } from '@iron-patch/core';
import { FLOOR_PAGE, routes, type FloorJob, type FloorPage } from '@iron-patch/contract';
import pino from 'pino';
import { caller, componentBody, makeJob, readingBody, type Caller } from '../testing/caller';
import { openTestShop, type TestShop } from '../testing/test-database';
import { inlineBench } from './bench';
import { Standings } from './standings';

let shop: TestShop;
let call: Caller;
beforeEach(async () => {
  shop = await openTestShop();
  call = caller(shop);
});
afterEach(() => shop.close());

const floor = async (query = ''): Promise<FloorPage> => (await call.get(routes.floor + query)).body as FloorPage;
/** Where a job stands by its sheet alone, as the browser would have it. */
async function byTheSheet(id: string): Promise<unknown> {
  const { shop: card } = (await call.get(routes.shop)).body;
  const { stations, next } = workOut((await call.get(routes.sheet(id))).body, card);
  return { stations, next };
}
const asShown = ({ stations, next }: FloorJob): unknown => ({ stations, next });

/** Jobs as plain rows: enough to stand on the floor. */
async function manyJobs(count: number): Promise<void> {
  await shop.pool.query(
    `with c as (insert into customers (name) values ('Canal boats') returning id)
     insert into jobs (customer_id, title, machine, complaint, want, ask_before, pieces, promised_on, unit, shop_temp_c, hazards)
     select c.id, 'Pin ' || n, 'Winch', '', 'repair', '', 1, date '2027-01-01' + (n * 7919) % 5000, 'mm', 20, '{}' from c, generate_series(1, $1) n`,
    [count],
  );
}

it('follows every change of a job, whatever was changed, and changes of the shop', async () => {
  const { jobId, bodyId } = await makeJob(call);
  const other = await makeJob(call);
  const sheet = (await call.get(routes.sheet(jobId))).body;
  const body = sheet.places.find((f: { id: string }) => f.id === bodyId);
  const acts: (() => Promise<unknown>)[] = [
    () => call.post(routes.readings(jobId), readingBody(bodyId, '39.9')),
    () => call.post(routes.readings(jobId), readingBody(bodyId, '39.95')),
    () => call.put(routes.place(bodyId), { ...body, stationsMm: [5, 15, 25] }, '"v1"'),
    () => call.post(routes.notes(jobId), { station: 'strip', text: 'Keep both.' }),
    () => shop.pool.query(`update jobs set unit = 'in' where id = $1`, [jobId]),
    () => shop.pool.query(`update instruments set u_mm = 0.5`),
    () => call.post(routes.components(jobId), componentBody({ name: 'Spare', role: 'other', verdict: null })),
    () => shop.pool.query(`delete from components where job_id = $1 and name = 'Spare'`, [jobId]),
  ];
  for (const act of acts) {
    const { status = 200 } = (await act()) as { status?: number };
    expect(status).toBeLessThan(300);
    const { jobs } = await floor();
    expect(jobs.map((j) => j.id)).toEqual([jobId, other.jobId]);
    for (const job of jobs) expect(asShown(job)).toEqual(await byTheSheet(job.id));
  }
});

it('knows nothing of what was never committed', async () => {
  const { jobId } = await makeJob(call);
  const before = await floor();
  const client = await shop.pool.connect();
  await client.query('begin');
  await client.query(`update jobs set title = 'Gone' where id = $1`, [jobId]);
  expect((await floor()).jobs).toEqual(before.jobs);
  await client.query('rollback');
  client.release();
  expect(await floor()).toEqual(before);
});

it('waits for nobody who is changing a job: it stands as it did until that is stored', async () => {
  const { jobId, bodyId } = await makeJob(call);
  const other = await makeJob(call);
  await floor();
  await call.post(routes.readings(jobId), readingBody(bodyId, '39.9'));
  const client = await shop.pool.connect();
  await client.query('begin');
  await client.query(`update jobs set title = 'Other' where id = any ($1)`, [[jobId, other.jobId]]);
  const start = Date.now();
  const page = await floor();
  expect(page.jobs.map((j) => j.id)).toEqual([jobId, other.jobId]);
  expect(Date.now() - start).toBeLessThan(1500);
  await client.query('commit');
  client.release();
  for (const job of (await floor()).jobs) expect(asShown(job)).toEqual(await byTheSheet(job.id));
});

it('lets several work the same jobs out at once', async () => {
  await manyJobs(80);
  const pages = await Promise.all(Array.from({ length: 6 }, () => call.get(routes.floor)));
  expect(pages.map((p) => p.status)).toEqual([200, 200, 200, 200, 200, 200]);
});

it('works a job out once, and not again until it changes', async () => {
  const { jobId, bodyId } = await makeJob(call);
  await makeJob(call);
  const worked: string[] = [];
  const standings = new Standings(
    shop.pool,
    { ...inlineBench, workOut: (w) => (worked.push(...w.sheets.map((s) => s.job.id)), inlineBench.workOut(w)) },
    pino({ level: 'silent' }),
    'other program',
  );
  await standings.refreshChanged();
  standings.catchUp();
  await new Promise((r) => setTimeout(r, 200));
  expect(worked).toHaveLength(2);
  expect(await standings.counts()).toEqual({ open: 2, returned: 0, behind: 0 });
  await call.post(routes.readings(jobId), readingBody(bodyId, '39.9'));
  await standings.refreshChanged();
  await standings.refreshChanged();
  expect(worked.slice(2)).toEqual([jobId]);
  await standings.close();
});

it('takes no standing for new that is of a state before the last change', async () => {
  const { jobId, bodyId } = await makeJob(call);
  let meanwhile: (() => Promise<unknown>) | null = () => call.post(routes.readings(jobId), readingBody(bodyId, '39.9'));
  const slow = new Standings(
    shop.pool,
    {
      ...inlineBench,
      async workOut(w) {
        // Something is stored, and shown to somebody else, while this one is still at it.
        const act = meanwhile;
        meanwhile = null;
        await act?.();
        if (act) await floor();
        return inlineBench.workOut(w);
      },
    },
    pino({ level: 'silent' }),
    'test',
  );
  await slow.refreshChanged();
  const { jobs } = await floor();
  expect(asShown(jobs[0]!)).toEqual(await byTheSheet(jobId));
  await slow.close();
});

it('puts away what is handed back, and finds it by a word of its own', async () => {
  const { jobId } = await makeJob(call);
  const open = await makeJob(call);
  const handOver = { lesson: '', stillToDo: '', outcome: 'passed', beforeUse: '', unproved: '', undone: '' };
  await shop.pool.query(`insert into choices (job_id, key, version, value, reason, person_id) values ($1, $2, 1, $3, '', 'tomas')`, [
    jobId,
    choiceKey.returned,
    JSON.stringify(handOver),
  ]);
  const page = await floor();
  expect([page.open, page.returned, page.found]).toEqual([1, 1, 1]);
  expect(page.jobs.map((j) => j.id)).toEqual([open.jobId]);
  const all = await floor('?returned=1');
  expect(all.jobs.map((j) => j.id)).toEqual([open.jobId, jobId]);
  expect((await floor('?find=' + String(all.jobs[1]!.number))).jobs.map((j) => j.id)).toEqual([jobId]);
  expect((await call.get(routes.promised)).body.map((j: { id: string }) => j.id)).not.toContain(jobId);
  expect((await call.get(`${routes.floorRows}?ids=${jobId},${open.jobId},nonsense`)).body.jobs).toHaveLength(2);
});

it('gives the most urgent first, by the page, and no more than a page may have', async () => {
  await manyJobs(130);
  const first = await floor();
  expect([first.jobs.length, first.found, first.open]).toEqual([FLOOR_PAGE.first, 130, 130]);
  const promises = first.jobs.map((j) => j.promisedOn!);
  expect(promises).toEqual([...promises].sort());
  const two = await floor('?upTo=120');
  expect(two.jobs.slice(0, FLOOR_PAGE.first)).toEqual(first.jobs);
  expect((await floor('?find=pin%2012%20canal')).jobs.map((j) => j.title).sort()).toEqual(['Pin 112', 'Pin 12', ...range(120, 129)]);
  for (const odd of ['?upTo=-1', '?upTo=1e99', '?upTo[]=3', '?find[]=x', '?find=%25%5F%00', '?returned=constructor'])
    expect((await call.get(routes.floor + odd)).status).toBe(200);
});

const range = (from: number, to: number): string[] => Array.from({ length: to - from + 1 }, (_, i) => `Pin ${from + i}`);

it('catches up beside what is asked after the shop changed, the shown ones first', async () => {
  await manyJobs(130);
  await floor();
  for (let i = 0; i < 50 && (await floor()).behind; i++) await new Promise((r) => setTimeout(r, 50));
  await shop.pool.query(`update bars set place = 'moved'`);
  const { behind } = await floor();
  expect(behind).toBeLessThanOrEqual(130 - FLOOR_PAGE.first);
  for (let i = 0; i < 100 && (await floor()).behind; i++) await new Promise((r) => setTimeout(r, 50));
  expect((await floor()).behind).toBe(0);
});
