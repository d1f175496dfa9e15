import { choiceKey, type JobSheet } from '@iron-patch/core';
import { MOST_SHEET_ROWS, routes, type LiveEvent, type SheetRow, type SheetRows } from '@iron-patch/contract';
import pg from 'pg';
import { caller, placeBody, jobBody, makeJob, readingBody, type Caller } from '../testing/caller';
import { openTestShop, type TestShop } from '../testing/test-database';

/** What is told of a change is enough to bring a sheet up to date by its rows alone. */
let shop: TestShop;
let call: Caller;
let listener: pg.Client;
let told: LiveEvent[] = [];
beforeAll(async () => {
  shop = await openTestShop();
  call = caller(shop);
  listener = new pg.Client({ connectionString: shop.url });
  await listener.connect();
  listener.on('notification', (n) => told.push(JSON.parse(n.payload!) as LiveEvent));
  await listener.query('listen iron_patch');
});
afterAll(async () => {
  await listener.end();
  await shop.close();
});

const sheetOf = async (id: string): Promise<JobSheet> => (await call.get(routes.sheet(id))).body as JobSheet;
const rowsOf = (id: string, of: unknown) => call.get(`${routes.sheetRows(id)}?of=${encodeURIComponent(JSON.stringify(of))}`);

it('every change names its row, and that row alone brings the sheet up to date', async () => {
  const { jobId, pinId, bodyId } = await makeJob(call);
  const { body: spare } = await call.post(routes.places(jobId), placeBody(pinId, { name: 'Spare' }));
  const { jobId: otherId } = await makeJob(call);
  const acts: (() => Promise<unknown>)[] = [
    () => call.post(routes.readings(jobId), readingBody(bodyId, '39.9')),
    () => call.put(routes.job(jobId), jobBody({ title: 'Pin, long' }), '"v1"'),
    () =>
      call.put(routes.choice(jobId, choiceKey.route), { value: { cause: 'Dry.', route: 'New.', causeId: '', cure: '' }, reason: '' }, '*'),
    () =>
      call.put(
        routes.choice(jobId, choiceKey.route),
        { value: { cause: 'Wet.', route: 'New.', causeId: '', cure: '' }, reason: '' },
        '"v1"',
      ),
    () => call.post(routes.notes(jobId), { station: 'strip', text: 'Kept.' }),
    () => call.put(routes.place(bodyId), placeBody(pinId, { name: 'Long body' }), '"v1"'),
    () => call.delete(routes.place(spare.id as string), '"v1"'),
  ];
  const listed = ['components', 'places', 'readings', 'choices', 'releases', 'proofs', 'notes', 'photos'] as const;
  for (const act of acts) {
    const before = await sheetOf(jobId);
    told = [];
    await act();
    await listener.query('select 1');
    const events = told.filter((e) => e.jobId === jobId);
    expect(events.length).toBeGreaterThan(0);
    const asked = events.map((e): SheetRow => [e.table as SheetRow[0], e.row!]);
    const rows = (await rowsOf(jobId, asked)).body as SheetRows;
    const after = await sheetOf(jobId);
    // Put together by hand: the rows that were asked for as they came, all others as they were.
    const name = (r: { id?: string; key?: string }): string => r.id ?? r.key!;
    const sorted = (list: readonly object[]): string[] => list.map((r) => JSON.stringify(r)).sort();
    for (const table of listed) {
      const of = new Set(asked.filter(([t]) => t === table).map(([, n]) => n));
      const mine = [...(before[table] as readonly { id?: string; key?: string }[]).filter((r) => !of.has(name(r))), ...(rows[table] ?? [])];
      expect([table, sorted(mine)]).toEqual([table, sorted(after[table])]);
    }
    expect(rows.job ?? before.job).toEqual(after.job);
  }
  // Nothing of another job, whoever asks.
  const theirs = (await rowsOf(otherId, [['places', bodyId]])).body as SheetRows;
  expect(theirs).toEqual({ places: [] });
});

it('refuses what does not say which rows, or asks for too many', async () => {
  const { jobId } = await makeJob(call);
  for (const of of [
    null,
    {},
    'x',
    [['people', 'ines']],
    [['readings']],
    [['readings', 4]],
    Array(MOST_SHEET_ROWS + 1).fill(['readings', 'x']),
  ])
    expect((await rowsOf(jobId, of)).status).toBe(422);
  expect((await call.get(routes.sheetRows(jobId))).status).toBe(422);
  expect((await rowsOf('00000000-0000-4000-8000-000000000000', [['readings', 'x']])).status).toBe(404);
});
