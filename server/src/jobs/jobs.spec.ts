import { randomUUID } from 'node:crypto';
import { HEADERS, PROBLEM_TYPE, routes } from '@iron-patch/contract';
import request from 'supertest';
import { caller, jobBody, type Caller } from '../testing/caller';
import { openTestShop, type TestShop } from '../testing/test-database';

let shop: TestShop;
let call: Caller;
beforeAll(async () => {
  shop = await openTestShop();
  call = caller(shop);
});
afterAll(() => shop.close());

describe('taking a job in', () => {
  it('numbers it and finds the customer again by name, whatever the case', async () => {
    const first = await call.post(routes.jobs, jobBody());
    const second = await call.post(routes.jobs, jobBody({ customerName: 'OSMERE Lake Ferry' }));
    expect(first.status).toBe(201);
    expect(second.body.customerId).toBe(first.body.customerId);
    expect(second.body.number).toBe(first.body.number + 1);
    expect(first.body).toMatchObject({ title: 'Ramp hinge pin', promisedOn: '2026-12-04', hazards: ['vessel'], version: 1 });
  });

  it('keeps names in any script and tags as they are', async () => {
    const { body } = await call.post(routes.jobs, jobBody({ title: '渡船 <script>alert(1)</script> \u{1F529}' }));
    expect((await call.get(routes.job(body.id))).body.title).toBe('渡船 <script>alert(1)</script> \u{1F529}');
  });

  it('tells every bad field at once as problem details, and stores nothing', async () => {
    const before = (await call.get(routes.floor)).body.found;
    const res = await call.post(routes.jobs, { ...jobBody(), title: '', pieces: -2, customerName: 'x'.repeat(500), promisedOn: 'soon' });
    expect(res.status).toBe(422);
    expect(res.headers['content-type']).toContain(PROBLEM_TYPE);
    expect(res.body.problems.map((p: { path: string }) => p.path).sort()).toEqual(['customerName', 'pieces', 'promisedOn', 'title']);
    expect((await call.get(routes.floor)).body.found).toBe(before);
  });

  it('asks who is at the bench, refuses broken JSON and another site', async () => {
    const nobody = await request(shop.app).post(routes.jobs).set(HEADERS.idempotencyKey, randomUUID()).send(jobBody());
    expect([nobody.status, nobody.body.title]).toEqual([403, 'Who is at the bench?']);
    const broken = await request(shop.app).post(routes.jobs).set('Content-Type', 'application/json').send('{"a":');
    expect(broken.status).toBe(400);
    const foreign = await request(shop.app).post(routes.jobs).set('Sec-Fetch-Site', 'cross-site').send(jobBody());
    expect(foreign.status).toBe(403);
  });
});

describe('a retry', () => {
  it('records once and tells the same answer', async () => {
    const key = randomUUID();
    const [one, two] = await Promise.all([call.post(routes.jobs, jobBody(), key), call.post(routes.jobs, jobBody(), key)]);
    expect([one.status, two.status]).toEqual([201, 201]);
    expect(two.body).toEqual(one.body);
  });

  it('with the same key for something else is refused, and without a key too', async () => {
    const key = randomUUID();
    await call.post(routes.jobs, jobBody(), key);
    expect((await call.post(routes.jobs, jobBody({ title: 'Another' }), key)).status).toBe(422);
    expect((await call.post(routes.jobs, jobBody(), '')).status).toBe(400);
  });

  it('after a refused try may be mended under the same key', async () => {
    const key = randomUUID();
    expect((await call.post(routes.jobs, jobBody({ title: '' }), key)).status).toBe(422);
    expect((await call.post(routes.jobs, jobBody({ title: 'Mended' }), key)).status).toBe(201);
  });
});

it('is promised for a day of the calendar', async () => {
  for (const promisedOn of ['0000-01-01', '10000-01-01', '2026-02-30', '-0001-01-01'])
    expect((await call.post(routes.jobs, jobBody({ promisedOn }))).body.problems).toMatchObject([{ path: 'promisedOn' }]);
  expect((await call.post(routes.jobs, jobBody({ promisedOn: '0001-01-01' }))).status).toBe(201);
});

describe('changing a job', () => {
  it('needs the version that was read, and shows the other change instead of overwriting it', async () => {
    const { body: job } = await call.post(routes.jobs, jobBody());
    const path = routes.job(job.id);
    expect((await call.put(path, jobBody(), '"other"')).status).toBe(428);
    const mine = await call.put(path, jobBody({ title: 'Mine' }), '"v1"');
    expect([mine.status, mine.headers['etag']]).toEqual([200, '"v2"']);
    const theirs = await call.put(path, jobBody({ title: 'Theirs' }), '"v1"');
    expect(theirs.status).toBe(412);
    expect(theirs.body.current).toMatchObject({ title: 'Mine', version: 2 });
  });

  it('lets only one of two at the same moment through', async () => {
    const { body: job } = await call.post(routes.jobs, jobBody());
    const both = await Promise.all(['A', 'B'].map((title) => call.put(routes.job(job.id), jobBody({ title }), '"v1"')));
    expect(both.map((r) => r.status).sort()).toEqual([200, 412]);
  });

  it('says not found for an old link', async () => {
    for (const id of [randomUUID(), 'nonsense', "1' or '1'='1"])
      expect((await call.get(routes.job(encodeURIComponent(id)))).status).toBe(404);
    expect((await call.get('/api/nothing')).status).toBe(404);
  });
});
