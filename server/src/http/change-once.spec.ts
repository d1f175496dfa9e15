import { randomUUID } from 'node:crypto';
import { choiceKey } from '@iron-patch/core';
import { HEADERS, routes } from '@iron-patch/contract';
import request from 'supertest';
import { caller, placeBody, jobBody, makeJob, type Caller } from '../testing/caller';
import { openTestShop, type TestShop } from '../testing/test-database';

/** The answer to a change was lost on its way, and its author sends it again. */
let shop: TestShop;
let call: Caller;
beforeAll(async () => {
  shop = await openTestShop();
  call = caller(shop);
});
afterAll(() => shop.close());

const send = (method: 'put' | 'delete', path: string, tag: string, key: string, body?: object): request.Test => {
  const asked = request(shop.app)[method](path).set(HEADERS.person, 'tomas').set(HEADERS.idempotencyKey, key);
  const conditioned = asked.set(tag === '*' ? 'If-None-Match' : 'If-Match', tag);
  return body ? conditioned.send(body) : conditioned;
};

it.each([
  ['job', async () => [routes.job((await call.post(routes.jobs, jobBody())).body.id), '"v1"', jobBody({ title: 'Pin, long' })] as const],
  [
    'choice',
    async () => [
      routes.choice((await call.post(routes.jobs, jobBody())).body.id, choiceKey.route),
      '*',
      { value: { cause: 'Dry.', route: 'New pin.', causeId: '', cure: '' }, reason: 'So.' },
    ],
  ],
  [
    'place',
    async () => {
      const { pinId, bodyId } = await makeJob(call);
      return [routes.place(bodyId), '"v1"', placeBody(pinId, { name: 'Long body' })];
    },
  ],
  [
    'tool',
    () =>
      Promise.resolve([
        routes.tool(`tool-${randomUUID()}`),
        '*',
        { kind: 'tap', sizeMm: null, thread: 'M8', note: '', pieces: 1, removed: false },
      ]),
  ],
  [
    'set of drills',
    () =>
      Promise.resolve([routes.drillSet(`set-${randomUUID()}`), '*', { kind: 'metric', fromMm: 1, toMm: 10, stepMm: 0.5, removed: false }]),
  ],
] as [string, () => Promise<readonly [string, string, object]>][])(
  'a %s: sent again it is answered as the first time, and stored once',
  async (_, make) => {
    const [path, tag, body] = await make();
    const key = randomUUID();
    const first = await send('put', path, tag, key, body);
    expect([200, 201]).toContain(first.status);
    const again = await send('put', path, tag, key, body);
    expect([again.status, again.body, again.headers['etag']]).toEqual([first.status, first.body, first.headers['etag']]);
    // Under another key it is somebody else's.
    const other = await send('put', path, tag, randomUUID(), body);
    expect([other.status, other.body.current.version]).toEqual([412, first.body.version]);
  },
);

it('sent at the same moment, both are answered and one is done', async () => {
  const { body: job } = await call.post(routes.jobs, jobBody());
  const key = randomUUID();
  const both = await Promise.all([1, 2, 3].map(() => send('put', routes.job(job.id), '"v1"', key, jobBody({ title: 'Once' }))));
  expect(both.map((r) => [r.status, r.body.version])).toEqual([
    [200, 2],
    [200, 2],
    [200, 2],
  ]);
});

it('taken off twice is taken off', async () => {
  const { boreId, jobId } = await makeJob(call);
  const { body: spare } = await call.post(routes.places(jobId), placeBody((await call.get(routes.place(boreId))).body.componentId));
  const key = randomUUID();
  const twice = [await send('delete', routes.place(spare.id), '"v1"', key), await send('delete', routes.place(spare.id), '"v1"', key)];
  expect(twice.map((r) => r.status)).toEqual([204, 204]);
  expect((await send('delete', routes.place(spare.id), '"v1"', randomUUID())).status).toBe(404);
});

it('a key is of one change: another body, version or path under it is refused', async () => {
  const [one, two] = [await call.post(routes.jobs, jobBody()), await call.post(routes.jobs, jobBody())];
  const key = randomUUID();
  await send('put', routes.job(one.body.id), '"v1"', key, jobBody({ title: 'A' }));
  for (const [path, tag, body] of [
    [routes.job(one.body.id), '"v1"', jobBody({ title: 'B' })],
    [routes.job(one.body.id), '"v2"', jobBody({ title: 'A' })],
    [routes.job(two.body.id), '"v1"', jobBody({ title: 'A' })],
  ] as const)
    expect((await send('put', path, tag, key, body)).body.title).toBe('This key was used for something else.');
  expect((await call.get(routes.job(two.body.id))).body.version).toBe(1);
});

it('a change that was refused may be sent again under its key once it is right', async () => {
  const { body: job } = await call.post(routes.jobs, jobBody());
  const key = randomUUID();
  expect((await send('put', routes.job(job.id), '"v1"', key, jobBody({ title: '' }))).status).toBe(422);
  expect((await send('put', routes.job(job.id), '"v1"', key, jobBody({ title: 'Named' }))).status).toBe(200);
});
