import { randomUUID } from 'node:crypto';
import { choiceKey, workOut } from '@iron-patch/core';
import { routes, type FloorPage } from '@iron-patch/contract';
import { caller, makeJob, readingBody, type Caller } from '../testing/caller';
import { openTestShop, type TestShop } from '../testing/test-database';

let shop: TestShop;
let call: Caller;
beforeAll(async () => {
  shop = await openTestShop();
  call = caller(shop);
});
afterAll(() => shop.close());

it('is empty before the first job', async () => {
  expect((await call.get(routes.floor)).body).toEqual({ jobs: [], found: 0, open: 0, returned: 0, behind: 0 });
});

it('tells each job’s next move as the browser would work it out from the sheet', async () => {
  const one = await makeJob(call);
  const two = await makeJob(call);
  await call.post(routes.readings(two.jobId), readingBody(two.bodyId, '39.9'));
  const floor = (await call.get(routes.floor)).body.jobs as { id: string; next: unknown }[];
  expect(floor.map((j) => j.id)).toEqual([one.jobId, two.jobId]);
  const { shop: card } = (await call.get(routes.shop)).body;
  for (const job of floor) {
    const sheet = (await call.get(routes.sheet(job.id))).body;
    expect(job.next).toEqual(workOut(sheet, card).next);
  }
  expect(floor[1]!.next).toMatchObject({ id: 'measure', waitsFor: '5 more readings, next body at 5 mm, 90°' });
});

it('says which job cannot be worked out, and goes on with the others', async () => {
  const broken = await makeJob(call);
  const sound = await makeJob(call);
  // No screen stores such a drawing; an older version, or somebody at the database, may have.
  await shop.pool.query(
    `insert into choices (job_id, key, version, value, reason, person_id) values ($1, 'part', 1, '{"segments": 7}', '', 'tomas')`,
    [broken.jobId],
  );
  const floor = (await call.get(routes.floor)).body.jobs as { id: string; trouble?: true; stations: unknown[]; next: unknown }[];
  expect(floor.find((j) => j.id === broken.jobId)).toMatchObject({ trouble: true, stations: [], next: null });
  expect(floor.find((j) => j.id === sound.jobId)!.stations).toHaveLength(9);
  const rule = {
    name: 'Grease',
    baseMm: 0.2,
    ratePerDiameter: 0.001,
    mostPlayFactor: 3,
    grade: 'IT6',
    reason: 'x',
    removed: false,
    because: 'x',
  };
  expect((await call.post(routes.houseRulePreview('grease'), rule)).status).toBe(200);
  // Its own page has its records all the same.
  expect((await call.get(routes.sheet(broken.jobId))).status).toBe(200);
});

it('has the shop’s people, instruments, lathes, rules and bars', async () => {
  const { shop: card } = (await call.get(routes.shop)).body;
  expect(card.people.map((p: { name: string }) => p.name)).toEqual(['Ines Okoro', 'Maud Ferrier', 'Tomas Quill']);
  expect(card.lathes[0]).toMatchObject({ id: 'gap-bed', cross: { unit: 'in', reads: 'radius' } });
  expect(card.houseRules.map((r: { id: string }) => r.id)).toContain('grease');
  expect(card.rack.length).toBeGreaterThan(10);
});

it('keeps notes with who and where', async () => {
  const { jobId } = await makeJob(call);
  expect(
    (await call.post(routes.notes(jobId), { station: 'attic', text: '' })).body.problems.map((p: { path: string }) => p.path).sort(),
  ).toEqual(['station', 'text']);
  const note = await call.post(routes.notes(jobId), { station: 'strip', text: 'Keep both pieces.' });
  expect(note.body).toMatchObject({ station: 'strip', text: 'Keep both pieces.', personId: 'tomas' });
  expect((await call.get(routes.sheet(jobId))).body.notes).toHaveLength(1);
});

it('gives papers that say what is missing, and no drawing, before anything is drawn', async () => {
  const { jobId } = await makeJob(call);
  for (const paper of [routes.slip(jobId), routes.report(jobId)]) expect((await call.get(paper)).status).toBe(200);
  const drawing = await call.get(routes.drawing(jobId));
  expect([drawing.status, drawing.body.title]).toEqual([404, 'There is no drawing yet.']);
  expect((await call.get(routes.slip(randomUUID()))).status).toBe(404);
});

it('answers that it is well, and wears its security headers', async () => {
  const res = await call.get(routes.health);
  expect(res.body).toEqual({ ok: true });
  expect(res.headers['content-security-policy']).toContain("default-src 'self'");
  expect(res.headers['x-powered-by']).toBeUndefined();
  expect(res.headers['cache-control']).toBe('no-store');
});

it('refuses a body that is far too large', async () => {
  const { jobId } = await makeJob(call);
  const res = await call.post(routes.readingsFile(jobId), { csv: 'x'.repeat(5_000_000) });
  expect([res.status, res.body.type, res.body.detail]).toEqual([413, '/problems/too-large', 'Send no more than 4 MB.']);
});

it('puts a job away that is called off, finds it again, and brings it back when it is taken up', async () => {
  const { jobId } = await makeJob(call);
  const path = routes.choice(jobId, choiceKey.calledOff);
  const there = async (query = ''): Promise<boolean> =>
    ((await call.get(`${routes.floor}${query}`)).body as FloorPage).jobs.some((j) => j.id === jobId);
  expect(await there()).toBe(true);
  const silent = await call.put(path, { value: { off: true, why: ' ' }, reason: '' }, '*');
  expect(silent.body.problems).toMatchObject([{ path: 'value.why' }]);
  expect((await call.put(path, { value: { off: true, why: 'Made twice.' }, reason: '' }, '*')).status).toBe(201);
  expect([await there(), await there('?returned=1')]).toEqual([false, true]);
  const { jobs } = (await call.get(`${routes.floor}?returned=1`)).body as FloorPage;
  expect(jobs.find((j) => j.id === jobId)).toMatchObject({ calledOff: true, next: null });
  await call.put(path, { value: { off: false, why: 'It was not.' }, reason: '' }, '"v1"');
  expect(await there()).toBe(true);
});
