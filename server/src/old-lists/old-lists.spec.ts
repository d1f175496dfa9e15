import { randomUUID } from 'node:crypto';
import { HEADERS, routes, type LedgerPage, type OldListResource } from '@iron-patch/contract';
import request from 'supertest';
import { caller, makeJob, type Caller } from '../testing/caller';
import { openTestShop, type TestShop } from '../testing/test-database';

let shop: TestShop;
let call: Caller;
beforeEach(async () => {
  shop = await openTestShop();
  call = caller(shop);
});
afterEach(() => shop.close());

const job = (line: number, more: object = {}) => ({
  ...{ line, number: String(line), doneOn: '2019-12-04', customer: 'Orchard', machine: 'Winch', title: `Pin ${line}` },
  ...{ cause: '', route: '', lesson: '' },
  ...more,
});
const bring = (jobs: readonly object[], name = 'cards.csv') => call.post(routes.oldLists, { name, jobs });
const ledger = async (query = ''): Promise<LedgerPage> => (await call.get(`${routes.ledger}?${query}`)).body as LedgerPage;
const lists = async (): Promise<OldListResource[]> => (await call.get(routes.oldLists)).body as OldListResource[];

it('comes in as a whole and is found in the ledger, among what was handed back here', async () => {
  const { status, body } = await bring([job(1, { route: 'turned new, 25 k6 seat' }), job(2, { doneOn: null, lesson: 'Oil it' }), job(3)]);
  expect([status, body.name, body.jobs, body.takenBackAt]).toEqual([201, 'cards.csv', 3, null]);
  const { rows, found } = await ledger('find=pin');
  expect([found, rows.map((r) => [r.jobId, r.number, r.returnedOn])]).toEqual([
    3,
    [
      [null, '3', '2019-12-04'],
      [null, '1', '2019-12-04'],
      [null, '2', null],
    ],
  ]);
  expect((await ledger('find=25%20k6')).rows.map((r) => r.number)).toEqual(['1']);
  expect((await ledger('from=2019-12-04&to=2019-12-04')).found).toBe(2);
  expect((await ledger('from=2019-12-05')).found).toBe(0);
});

it('tells what a machine had done before, where it is the same customer’s', async () => {
  await bring([job(1), job(2, { customer: 'Others' }), job(3, { machine: ' WINCH ' })]);
  const { jobId } = await makeJob(call, { customerName: 'orchard', machine: 'winch' });
  expect((await ledger(`machineOf=${jobId}`)).rows.map((r) => r.number).sort()).toEqual(['1', '3']);
});

it('stores nothing of a list that has anything wrong, and tells all of it by its row', async () => {
  const { status, body } = await bring([
    job(1),
    job(2, { title: '' }),
    job(3, { doneOn: '2019-02-30' }),
    job(4, { machine: 'x'.repeat(201) }),
  ]);
  expect([status, body.problems.map((p: { path: string }) => p.path)]).toEqual([422, ['jobs.1.title', 'jobs.2.doneOn', 'jobs.3.machine']]);
  for (const odd of [
    [],
    null,
    'x',
    [null],
    [5],
    Array.from({ length: 5001 }, (_, i) => job(i + 1)),
    [job(1, { title: 'a\u0000b' })],
    [job(0)],
  ])
    expect((await bring(odd as object[])).status).toBe(422);
  expect([await lists(), (await ledger()).found]).toEqual([[], 0]);
});

it('comes in once: sent again by the same key, or as the same rows under another name', async () => {
  const key = randomUUID();
  const send = (body: object) =>
    request(shop.app).post(routes.oldLists).set(HEADERS.person, 'tomas').set(HEADERS.idempotencyKey, key).send(body);
  const [one, two] = [await send({ name: 'a', jobs: [job(1)] }), await send({ name: 'a', jobs: [job(1)] })];
  expect([one.status, two.status, two.body.id]).toEqual([201, 201, one.body.id]);
  const again = await bring([job(1)], 'b');
  expect([again.status, again.body.problems[0].message]).toEqual([
    422,
    'These jobs are in the ledger already, as “a”. Take that list back first.',
  ]);
  const both = await Promise.all([bring([job(2)], 'c'), bring([job(2)], 'd')]);
  expect(both.map((b) => b.status).sort()).toEqual([201, 422]);
  expect((await ledger()).found).toBe(2);
});

it('is taken back as a whole, once, stays on record, and can come in again', async () => {
  const { body } = await bring([job(1), job(2)]);
  for (let i = 0; i < 2; i++) expect((await call.post(routes.oldListWithdrawal(body.id), {})).status).toBe(201);
  expect((await ledger()).found).toBe(0);
  expect((await lists())[0]).toMatchObject({ id: body.id, jobs: 2, takenBackAt: expect.any(String) });
  expect((await call.post(routes.oldListWithdrawal(randomUUID()), {})).status).toBe(404);
  expect((await bring([job(1), job(2)])).status).toBe(201);
  expect((await ledger()).found).toBe(2);
});
