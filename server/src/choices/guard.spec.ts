import { choiceKey, newItem, newPart, type JobSheet } from '@iron-patch/core';
import { routes } from '@iron-patch/contract';
import { caller, componentBody, makeJob, readingBody, type Caller, type MadeJob } from '../testing/caller';
import { openTestShop, type TestShop } from '../testing/test-database';

let shop: TestShop;
let call: Caller;
let made: MadeJob;
beforeAll(async () => {
  shop = await openTestShop();
  call = caller(shop);
  made = await makeJob(call);
});
afterAll(() => shop.close());

const choose = (key: string, value: object | null, tag = '*') => call.put(routes.choice(made.jobId, key), { value, reason: '' }, tag);

describe('an act that destroys evidence', () => {
  const key = choiceKey.act('0b2f7a52-6a2b-4f0e-9b1e-0d8f6a1c2b3d');
  const act = (more: object = {}) => ({
    componentId: made.pinId,
    kind: 'saw',
    where: 'Middle',
    state: 'planned',
    override: '',
    removed: false,
    ...more,
  });

  it('may be planned, but not recorded as done before what it takes is on record', async () => {
    expect((await choose(key, act())).status).toBe(201);
    const held = await choose(key, act({ state: 'done' }), '"v1"');
    expect(held.status).toBe(422);
    expect(held.body.problems[0]).toMatchObject({ code: 'no-return', path: 'value.override' });
    expect(held.body.problems[0].message).toContain('Body: diameter at 5 mm 0°');
  });

  it('goes ahead with a reason that is kept', async () => {
    const done = await choose(key, act({ state: 'done', override: 'Scrap anyway.' }), '"v1"');
    expect(done.status).toBe(200);
    const history = await call.get(routes.choiceHistory(made.jobId, key));
    expect(history.body.map((c: { value: { override: string } }) => c.value.override)).toEqual(['Scrap anyway.', '']);
  });

  it('goes ahead once all of it is on record', async () => {
    const other = choiceKey.act('1b2f7a52-6a2b-4f0e-9b1e-0d8f6a1c2b3d');
    for (const stationMm of [5, 20])
      for (const clockDeg of [0, 90])
        await call.post(routes.readings(made.jobId), readingBody(made.bodyId, '39.7', { stationMm, clockDeg }));
    await choose(choiceKey.strip(made.pinId), {
      faced: 'Head to port',
      shims: [],
      endPlayMm: 0.3,
      sidePlayMm: null,
      noPlay: false,
      damaged: '',
    });
    const short = await choose(other, act({ state: 'done' }));
    expect(short.body.problems[0].message).toContain('A photograph');
    await shop.pool.query(
      `insert into photos (id, job_id, caption, width_px, height_px, person_id) values (gen_random_uuid(), $1, '', 10, 10, 'tomas')`,
      [made.jobId],
    );
    expect((await choose(other, act({ state: 'done' }))).status).toBe(201);
  });
});

it('takes an act back as if it had never been planned, but not one that readings rest on', async () => {
  const id = '2b2f7a52-6a2b-4f0e-9b1e-0d8f6a1c2b3d';
  const key = choiceKey.act(id);
  const act = { componentId: made.pinId, kind: 'saw', where: '', state: 'done', override: 'Told.', removed: false };
  await choose(key, act);
  expect((await choose(key, null, '"v1"')).status).toBe(200);
  const sheet = (await call.get(routes.sheet(made.jobId))).body;
  expect(sheet.choices.find((c: { key: string }) => c.key === key)).toMatchObject({ value: null, version: 2 });
  expect((await choose(key, act, '"v2"')).status).toBe(200);
  const after = readingBody(made.bodyId, '39.7', { stationMm: 20, clockDeg: 45, afterActId: id });
  expect((await call.post(routes.readings(made.jobId), after)).status).toBe(201);
  const held = await choose(key, null, '"v3"');
  expect([held.status, held.body.problems[0].message]).toEqual([422, 'Readings were taken after this act: it stays on record.']);
  // A bundle with a choice that was taken back comes in as it went out.
  const bundle = (await call.get(routes.bundle(made.jobId))).body;
  expect((await call.post(routes.bundles, bundle)).status).toBe(201);
});

const back = { lesson: 'Count the pieces.', stillToDo: '', outcome: 'passed', beforeUse: '', unproved: '', undone: '' };
const onRecord = { cause: 'Dry', route: 'New pin', causeId: '', cure: '' };

it('does not hand a job back while a piece is loose', async () => {
  const fragment = { what: 'Half a snap ring', where: '', settled: '', removed: false };
  const key = choiceKey.fragment('0b2f7a52-6a2b-4f0e-9b1e-0d8f6a1c2b3d');
  await choose(choiceKey.route, onRecord);
  await choose(key, fragment);
  const held = await choose(choiceKey.returned, back);
  expect([held.status, held.body.problems[0].message]).toEqual([409, 'Account first for what is loose: half a snap ring.']);
  await choose(key, { ...fragment, settled: 'Found in the sump' }, '"v1"');
  await choose(choiceKey.caution('vessel'), { signedBy: 'Tomas Quill', licence: '7', by: 'shop' });
  expect((await choose(choiceKey.returned, back)).status).toBe(201);
});

it('holds a hand-over with everything that is missing, and lets a licensed matter out only as not passed', async () => {
  made = await makeJob(call, { hazards: ['lifting'] });
  const held = await choose(choiceKey.returned, { ...back, unproved: 'No time.', undone: 'No time.' });
  expect([held.status, held.headers['content-type']]).toEqual([409, expect.stringContaining('application/problem+json')]);
  expect(held.body.problems.map((p: { code: string; path: string }) => [p.code, p.path])).toEqual([
    ['licensed', 'value.beforeUse'],
    ['found', 'value'],
    ['made', 'value'],
  ]);
  await choose(choiceKey.route, onRecord);
  expect((await choose(choiceKey.caution('lifting'), { signedBy: 'A surveyor', licence: '' })).status).toBe(422);
  expect((await choose(choiceKey.returned, back)).status).toBe(409);
  const out = { ...back, outcome: 'not-passed', beforeUse: 'A licensed person passes it.' };
  expect((await choose(choiceKey.returned, out)).status).toBe(201);
});

describe('an item', () => {
  const key = choiceKey.item('3b2f7a52-6a2b-4f0e-9b1e-0d8f6a1c2b3d');
  const item = (more: object) => ({ ...newItem('rework', 'Arm', [made.pinId], 1), ...more });
  const cut = (placeId: string) => ({ placeId, sizeMm: 40.5, limits: { lowerDev: 0, upperDev: 0.025, text: 'H7' } });

  it('names components and places of its own job', async () => {
    const strange = await makeJob(call);
    expect((await choose(key, item({ componentIds: [strange.pinId] }))).body.problems).toMatchObject([{ path: 'value.componentIds' }]);
    expect((await choose(key, item({ cuts: [cut(strange.boreId)] }))).body.problems).toMatchObject([{ path: 'value.cuts.0.placeId' }]);
    expect((await choose(key, item({ quantity: 0 }))).body.problems).toMatchObject([{ path: 'value.quantity' }]);
    expect((await choose(key, item({ cuts: [cut(made.bodyId)] }))).status).toBe(201);
  });

  it('is cut, released and proved by its own readings, and refuses those of no item of the job', async () => {
    const itemId = key.slice(5);
    const reading = (more: object) => readingBody(null, '40.51', { purpose: 'cut', segmentId: made.bodyId, dial: 0, itemId, ...more });
    const take = (more: object = {}) => call.post(routes.readings(made.jobId), reading(more));
    expect((await take({ itemId: '4b2f7a52-6a2b-4f0e-9b1e-0d8f6a1c2b3d' })).body.problems).toMatchObject([
      { path: 'itemId', code: 'unknown' },
    ]);
    expect((await take({ piece: 0 })).body.problems).toMatchObject([{ path: 'piece' }]);
    const cutOnce = await take();
    expect(cutOnce.body).toMatchObject({ itemId, piece: 1 });
    // A correction stays with its piece.
    expect((await take({ supersedesId: cutOnce.body.id, piece: 2 })).body.problems).toMatchObject([{ path: 'supersedesId' }]);
    const released = await call.post(routes.releases(made.jobId), { itemId });
    expect([released.status, released.body.itemId]).toEqual([201, itemId]);
    expect(released.body.figures.map((f: { key: string }) => f.key)).toContain(`item.${itemId}.segment.${made.bodyId}.diameter`);
    const sign = (more: object) =>
      call.post(routes.proofs(made.jobId), { itemId, segmentId: made.bodyId, passed: true, remark: '', ...more });
    expect((await sign({ piece: 7 })).body.problems).toMatchObject([{ code: 'unknown' }]);
    expect((await sign({})).body.problems).toMatchObject([{ code: 'unmeasured' }]);
    await take({ purpose: 'proof', dial: null });
    expect((await sign({})).body.problems).toMatchObject([{ code: 'unread', path: 'remark' }]);
    const once = { remark: 'One place tells it.' };
    expect((await sign(once)).body).toMatchObject({ itemId, piece: 1, passed: true, measuredMm: 40.51 });
    expect((await call.post(routes.releases(made.jobId), { itemId: 'gone' })).body.problems).toMatchObject([{ code: 'no-part' }]);
  });

  it('that only its drawing tells of is cut too, and its job file comes in', async () => {
    const { jobId } = await makeJob(call);
    const orphan = '5b2f7a52-6a2b-4f0e-9b1e-0d8f6a1c2b3d';
    const cutIt = () =>
      call.post(routes.readings(jobId), readingBody(null, '40.1', { purpose: 'cut', segmentId: 'body', dial: 0, itemId: orphan }));
    expect((await cutIt()).body.problems).toMatchObject([{ path: 'itemId', code: 'unknown' }]);
    const drawing = { value: newPart('plain-pin', 'Spacer', 40, 20), reason: '' };
    expect((await call.put(routes.choice(jobId, `${choiceKey.part}:${orphan}`), drawing, '*')).status).toBe(201);
    expect((await cutIt()).body).toMatchObject({ itemId: orphan });
    const bundle = (await call.get(routes.bundle(jobId))).body;
    expect((await call.post(routes.bundles, bundle)).status).toBe(201);
  });

  it('is released only once somebody took it up', async () => {
    const other = await makeJob(call);
    expect((await call.put(routes.component(other.pinId), componentBody({ verdict: 'repair' }), '"v1"')).status).toBe(200);
    const held = await call.post(routes.releases(other.jobId), { itemId: other.pinId });
    expect(held.body.problems.map((p: { code: string }) => p.code)).toContain('proposed');
  });

  it('goes out in a job file and comes in with ids of its own', async () => {
    await call.post(routes.readings(made.jobId), readingBody(null, '40.1', { purpose: 'cut', segmentId: 'body', dial: 0 }));
    const bundle = (await call.get(routes.bundle(made.jobId))).body;
    const { body: job } = await call.post(routes.bundles, bundle);
    const sheet = (await call.get(routes.sheet(job.id))).body as JobSheet;
    const proof = sheet.readings.find((r) => r.purpose === 'proof')!;
    expect(sheet.choices.some((c) => c.key === choiceKey.item(proof.itemId!))).toBe(true);
    expect(sheet.places.some((p) => p.id === proof.segmentId)).toBe(true);
    // What was cut of the job's own new part is of this job's own.
    expect(sheet.readings.find((r) => r.segmentId === 'body')!.itemId).toBe(job.id);
  });
});

it('keeps the tree of components a tree', async () => {
  const inner = await call.post(routes.components(made.jobId), componentBody({ name: 'Bush', role: 'other', parentId: made.pinId }));
  expect(inner.body.parentId).toBe(made.pinId);
  const circle = await call.put(routes.component(made.pinId), componentBody({ parentId: inner.body.id }), '"v1"');
  expect(circle.body.problems).toMatchObject([{ path: 'parentId', code: 'circle' }]);
  expect((await call.delete(routes.component(made.pinId), '"v1"')).body.detail).toContain('came out of this one');
  const strange = await makeJob(call);
  const other = await call.post(routes.components(made.jobId), componentBody({ parentId: strange.pinId }));
  expect(other.body.problems).toMatchObject([{ path: 'parentId', code: 'unknown' }]);
});
