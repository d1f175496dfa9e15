import { randomUUID } from 'node:crypto';
import { barsFor, newItem, newPart, onRack, USUAL_ALLOWANCES, type Bar, type SawNeed, type Shop } from '@iron-patch/core';
import { routes, type SawJob, type SawnAnswer } from '@iron-patch/contract';
import { caller, makeJob, type Caller } from '../testing/caller';
import { openTestShop, type TestShop } from '../testing/test-database';

let shop: TestShop;
let call: Caller;
beforeEach(async () => {
  shop = await openTestShop();
  call = caller(shop);
});
afterEach(() => shop.close());

const PLAN = {
  latheId: 'gap-bed',
  barId: 'c45-60',
  tool: 'carbide',
  partingMm: 3,
  touched: 'left',
  grippedMm: 25,
  finishes: 2,
  way: 'round-chuck',
};

/** A job with a pin drawn and planned, two of it. */
async function planned(plan: object = PLAN): Promise<string> {
  const { jobId } = await makeJob(call);
  const part = newPart('headed-pin', 'Hinge pin', 40, 120);
  for (const [key, value] of [
    [`item:${jobId}`, { ...newItem('make', 'Hinge pin', [], 0), quantity: 2 }],
    ['part', part],
    ['plan', plan],
  ] as const)
    expect((await call.put(routes.choice(jobId, key), { value, reason: '' }, '*')).status).toBe(201);
  return jobId;
}
const waiting = async (): Promise<SawJob[]> => (await call.get(routes.saw)).body as SawJob[];
const card = async (): Promise<Shop> => ((await call.get(routes.shop)).body as { shop: Shop }).shop;
const rackOf = async (id: string): Promise<Bar | undefined> => (await card()).rack.find((b) => b.id === id);
async function barFor(need: SawNeed): Promise<Bar> {
  const bars = barsFor(need.fit, (await card()).rack);
  if (!bars.ok) throw new Error(bars.problems[0]!.message);
  return bars.value.reduce((p, q) => (q.lengthMm > p.lengthMm ? q : p));
}
const body = (bar: Bar, jobId: string, need: SawNeed, more: object = {}) => ({
  version: bar.version,
  blanks: [{ jobId, itemId: need.itemId, blanks: 1, lengthMm: need.fit.lengthMm }],
  ...{ keep: true, offcutId: randomUUID(), place: 'offcuts', ...more },
});

it('tells what is planned and not sawn, of open jobs alone', async () => {
  expect(await waiting()).toEqual([]);
  const jobId = await planned();
  await makeJob(call);
  const [job, ...others] = await waiting();
  expect(others).toEqual([]);
  expect(job).toMatchObject({ id: jobId, saws: [{ itemId: jobId, left: 2, only: null }] });
  expect(job!.saws[0]!.fit).toMatchObject({ materialId: 'steel-c45' });
  await call.put(routes.choice(jobId, 'called-off'), { value: { off: true, why: 'sold' }, reason: '' }, '*');
  expect(await waiting()).toEqual([]);
});

it('counts the bar down, puts its rest back, and the job has its blank; sent twice it is done once', async () => {
  const jobId = await planned();
  const need = (await waiting())[0]!.saws[0]!;
  const bar = await barFor(need);
  const given = body(bar, jobId, need);
  const key = randomUUID();
  const first = await call.post(routes.sawn(bar.id), given, key);
  expect(first.status).toBe(201);
  expect((await call.post(routes.sawn(bar.id), given, key)).body).toEqual(first.body);
  const { bar: left, offcut, sawn } = first.body as SawnAnswer;
  expect(left).toMatchObject({ id: bar.id, pieces: bar.pieces - 1, version: bar.version + 1 });
  expect(offcut).toMatchObject({ id: given.offcutId, pieces: 1, place: 'offcuts', diameterMm: bar.diameterMm, materialId: bar.materialId });
  expect(offcut!.lengthMm).toBeLessThanOrEqual(bar.lengthMm - need.fit.lengthMm);
  expect(offcut!.lengthMm).toBeGreaterThan(bar.lengthMm - need.fit.lengthMm - 0.11);
  expect(await rackOf(given.offcutId)).toEqual(offcut);
  expect(sawn).toEqual([{ jobId, itemId: jobId, before: { blanks: 0, pieces: 0 }, version: 1 }]);
  expect((await waiting())[0]!.saws[0]!.left).toBe(1);
  // Taken back as it was stored: the bar, the rest, the blank.
  const { id: _, version: _v, ...was } = bar;
  expect((await call.put(routes.bar(bar.id), { ...was, why: 'taken back', removed: false }, `"v${left.version}"`)).status).toBe(200);
  expect((await call.put(routes.choice(jobId, `sawn:${jobId}`), { value: { blanks: 0 }, reason: '' }, '"v1"')).status).toBe(200);
  expect((await waiting())[0]!.saws[0]!.left).toBe(2);
});

it('is refused whole where the job, the plan or the bar moved meanwhile', async () => {
  const jobId = await planned();
  const need = (await waiting())[0]!.saws[0]!;
  const bar = await barFor(need);
  const refused = async (given: object): Promise<unknown[]> => {
    const { status, body: said } = await call.post(routes.sawn(bar.id), given);
    expect(await rackOf(bar.id)).toEqual(bar);
    return [status, said.problems?.map((p: { path: string }) => p.path)];
  };
  const own = { jobId, itemId: jobId, blanks: 1, lengthMm: need.fit.lengthMm };
  expect(await refused(body(bar, jobId, need, { blanks: [{ ...own, blanks: 3 }] }))).toEqual([422, ['blanks.0']]);
  expect(await refused(body(bar, jobId, need, { blanks: [{ ...own, lengthMm: own.lengthMm + 1 }] }))).toEqual([422, ['blanks.0']]);
  expect(await refused(body(bar, jobId, need, { blanks: [] }))).toEqual([422, ['blanks']]);
  expect((await refused(body(bar, jobId, need, { version: bar.version + 1 })))[0]).toBe(412);
  expect((await call.post(routes.sawn('no-such-bar'), body(bar, jobId, need))).status).toBe(404);
  const brass = (await card()).rack.find((b) => b.materialId !== 'steel-c45' && b.lengthMm > need.fit.lengthMm)!;
  expect((await call.post(routes.sawn(brass.id), body(brass, jobId, need))).status).toBe(422);
});

it('once it is released it comes out of a bar as thick as the released one alone', async () => {
  const jobId = await planned();
  expect((await call.post(routes.releases(jobId), {})).status).toBe(201);
  const need = (await waiting())[0]!.saws[0]!;
  expect(need.only).toMatchObject({ shape: 'round', diameterMm: 60 });
  const thicker = { ...(await rackOf('c45-60'))!, diameterMm: 80 };
  const { id: _, version: _v, ...bar } = thicker;
  expect((await call.put(routes.bar('c45-80'), { ...bar, why: '', removed: false }, '*')).status).toBe(201);
  expect((await call.post(routes.sawn('c45-80'), body((await rackOf('c45-80'))!, jobId, need))).status).toBe(422);
});

it('the last blank may end where the bar ends', async () => {
  const jobId = await planned();
  const need = (await waiting())[0]!.saws[0]!;
  const { id: _, version: _v, ...like } = await barFor(need);
  const lengthMm = 2 * need.fit.lengthMm - USUAL_ALLOWANCES.sawMm;
  expect((await call.put(routes.bar('short'), { ...like, lengthMm, why: '', removed: false }, '*')).status).toBe(201);
  const bar = (await rackOf('short'))!;
  const own = { jobId, itemId: jobId, blanks: 2, lengthMm: need.fit.lengthMm };
  const { status, body: answer } = await call.post(routes.sawn('short'), body(bar, jobId, need, { blanks: [own] }));
  expect([status, answer.offcut]).toEqual([201, null]);
  expect(await waiting()).toEqual([]);
});

it('a blank for two pieces is one sawing, and both have their metal', async () => {
  const jobId = await planned({ ...PLAN, way: 'bar' });
  const need = (await waiting())[0]!.saws[0]!;
  expect(need).toMatchObject({ left: 1, each: 2, sawn: { blanks: 0, pieces: 0 } });
  const bar = await barFor(need);
  expect((await call.post(routes.sawn(bar.id), body(bar, jobId, need))).status).toBe(201);
  expect(await waiting()).toEqual([]);
  const { choices } = (await call.get(routes.sheet(jobId))).body as { choices: { key: string; value: unknown }[] };
  expect(choices.find((c) => c.key === `sawn:${jobId}`)!.value).toEqual({ blanks: 1, pieces: 2 });
});

it('a released block is sawn off a flat that it comes out of, and off no other', async () => {
  const { jobId } = await makeJob(call);
  const block = { lengthMm: 60, widthMm: 40, heightMm: 30, cuts: [] };
  const part = { ...newPart('link', 'Jaw', 40, 60), materialId: 'stainless-17-4', block, bores: [], features: [], outside: [], limits: {} };
  expect((await call.put(routes.choice(jobId, 'part'), { value: part, reason: '' }, '*')).status).toBe(201);
  expect(await waiting()).toEqual([]);
  expect((await call.post(routes.releases(jobId), {})).status).toBe(201);
  const like = { ...(await rackOf('c45-60'))!, materialId: 'stainless-17-4', shape: 'flat', finish: 'black', lengthMm: 500, pieces: 1 };
  const { id: _, version: _v, ...bar } = like;
  for (const [id, wide, thick] of [
    ['flat-70', 70, 40],
    ['flat-40', 40, 38],
  ] as const)
    expect((await call.put(routes.bar(id), { ...bar, diameterMm: wide, innerMm: thick, why: '', removed: false }, '*')).body).toMatchObject(
      { id },
    );
  const need = (await waiting())[0]!.saws[0]!;
  expect(need.block).toEqual([64, 44, 34]);
  const laid = onRack(need, [(await rackOf('flat-70'))!]);
  expect((await call.post(routes.sawn('flat-40'), body((await rackOf('flat-40'))!, jobId, laid))).status).toBe(422);
  const { status, body: answer } = await call.post(routes.sawn('flat-70'), body((await rackOf('flat-70'))!, jobId, laid));
  if (status !== 201) throw new Error(JSON.stringify(answer));
  expect([status, answer.offcut?.lengthMm]).toEqual([201, 500 - laid.fit.lengthMm]);
  expect(await waiting()).toEqual([]);
});
