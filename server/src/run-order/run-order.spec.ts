import { choiceKey, NO_SHOP, USUAL_HOURS, type RunOrderRecord, type ToDoAct } from '@iron-patch/core';
import { routes, type RunOrderPage } from '@iron-patch/contract';
import { caller, makeJob, type Caller } from '../testing/caller';
import { openTestShop, type TestShop } from '../testing/test-database';

let shop: TestShop;
let call: Caller;
beforeEach(async () => {
  shop = await openTestShop();
  call = caller(shop);
});
afterEach(() => shop.close());

const page = async (): Promise<RunOrderPage> => (await call.get(routes.runOrder)).body as RunOrderPage;
const acts = async (jobId: string): Promise<readonly ToDoAct[]> => (await page()).jobs.find((j) => j.id === jobId)!.toDo.acts;
const open = { state: 'open', startedAt: null, doneAt: null, personId: null, machineId: '', pinnedAt: null };
const say = (jobId: string, key: string, value: object, tag = '*') =>
  call.put(routes.choice(jobId, choiceKey.run(key)), { value: { ...open, ...value }, reason: '' }, tag);

it('of a shop without jobs is empty', async () => {
  expect(await page()).toMatchObject({
    jobs: [],
    order: null,
    hours: { version: 1, personId: null },
    calendar: { version: 0, madeAt: null },
  });
});

it('has what each open job still takes, follows what is said of an act, and leaves out what is handed back', async () => {
  const { jobId } = await makeJob(call, { title: 'Hinge pin' });
  const first = await acts(jobId);
  expect(first.map((a) => a.act)).toEqual(expect.arrayContaining(['open', 'measure', 'saw', 'turn', 'assemble']));
  const own = (list: readonly ToDoAct[]): ToDoAct => list.find((a) => a.key === 'job:measure')!;
  expect(own(first)).toMatchObject({ done: false, said: null });
  const at = '2026-11-27T09:00:00Z';
  expect((await say(jobId, 'job:measure', { state: 'started', startedAt: at, personId: 'tomas' })).status).toBe(201);
  expect(own(await acts(jobId))).toMatchObject({ done: false, said: { state: 'started', startedAt: at } });
  expect((await say(jobId, 'job:measure', { state: 'done', doneAt: at }, '"v1"')).status).toBe(200);
  expect(own(await acts(jobId))).toMatchObject({ done: true });
  // The floor does not carry it about.
  expect((await call.get(routes.floor)).body.jobs[0]).not.toHaveProperty('toDo');
  await shop.pool.query(
    `insert into choices (job_id, key, version, value, reason, person_id) values ($1, 'called-off', 1, $2, '', 'tomas')`,
    [jobId, JSON.stringify({ off: true, why: 'by mistake' })],
  );
  expect((await page()).jobs).toEqual([]);
});

it('says what is wrong with what is said of an act, at its field', async () => {
  const { jobId } = await makeJob(call);
  const paths = async (value: object): Promise<string[]> =>
    ((await say(jobId, 'job:open', value)).body.problems ?? []).map((p: { path: string }) => p.path);
  expect(await paths({ state: 'started' })).toEqual(['value.startedAt']);
  expect(await paths({ state: 'done' })).toEqual(['value.doneAt']);
  expect(await paths({ pinnedAt: 'soon' })).toEqual(['value.pinnedAt']);
  expect(await paths({ state: 'half' })).toEqual(['value.state']);
  const urgent = (value: object) => call.put(routes.choice(jobId, choiceKey.urgency), { value, reason: '' }, '*');
  expect((await urgent({ urgent: true, notBefore: null, why: '' })).body.problems[0].path).toBe('value.why');
  expect((await urgent({ urgent: true, notBefore: '2026-12-01', why: 'the ferry lies still' })).status).toBe(201);
  expect((await page()).jobs[0]!.toDo.urgency).toMatchObject({ urgent: true, notBefore: '2026-12-01' });
});

it('keeps every order that was stored, and overwrites nobody’s unseen', async () => {
  const { jobId } = await makeJob(call);
  const placed = [{ jobId, key: 'job:open', machineId: '', personId: 'tomas', beginsAt: '2026-11-30T07:00:00.000Z' }];
  const put = (tag: string, more: object = {}) => call.put(routes.runOrder, { placed, ...more }, tag);
  expect((await put('*')).status).toBe(201);
  const again = await put('*');
  expect([again.status, (again.body.current as RunOrderRecord).version]).toEqual([412, 1]);
  expect((await put('"v1"')).status).toBe(200);
  expect((await page()).order).toMatchObject({ version: 2, personId: 'tomas', placed });
  expect(
    (await put('"v2"', { placed: [{ ...placed[0], beginsAt: 'x', jobId: 'y' }] })).body.problems.map((p: { path: string }) => p.path),
  ).toEqual(expect.arrayContaining(['placed.0.jobId', 'placed.0.beginsAt']));
  expect((await shop.pool.query(`select version from kept_cards where key = 'run-order' order by version`)).rows).toHaveLength(2);
  await expect(shop.pool.query(`delete from kept_cards`)).rejects.toThrow();
});

it('keeps the hours of the shop, checked', async () => {
  expect(NO_SHOP.hours).toBeNull();
  const put = (hours: object, tag = '"v1"') => call.put(routes.hours, hours, tag);
  expect((await put(USUAL_HOURS)).status).toBe(200);
  expect((await put(USUAL_HOURS)).status).toBe(412);
  expect((await page()).hours).toMatchObject({ ...USUAL_HOURS, version: 2 });
  expect((await call.get(routes.shop)).body.shop.hours).toMatchObject({ version: 2 });
  const person = { week: null, machines: ['lathe'], off: [], extra: [], notAtIt: false };
  const wrong: readonly [object, string][] = [
    [{ ...USUAL_HOURS, week: [] }, 'week'],
    [{ ...USUAL_HOURS, week: [{ weekday: 1, from: 700, to: 600 }] }, 'week.0.to'],
    [{ ...USUAL_HOURS, handsOnPercent: 0 }, 'handsOnPercent'],
    [{ ...USUAL_HOURS, closed: [{ from: '2026-12-24', to: '2026-12-01', what: '' }] }, 'closed.0.to'],
    [{ ...USUAL_HOURS, people: { 'No one': person } }, 'people'],
    [{ ...USUAL_HOURS, people: { tomas: { ...person, machines: ['boat'] } } }, 'people.tomas.machines.0'],
  ];
  for (const [hours, path] of wrong) expect((await put(hours, '"v2"')).body.problems[0].path).toBe(path);
  expect((await put({ ...USUAL_HOURS, people: { tomas: person } }, '"v2"')).status).toBe(200);
});
