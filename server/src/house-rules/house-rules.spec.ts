import { STARTING_HOUSE_RULES, type MovedJob } from '@iron-patch/core';
import { routes, type HouseRuleInput, type HouseRulePreview } from '@iron-patch/contract';
import { caller, makeJob, readingBody, type Caller, type MadeJob } from '../testing/caller';
import { openTestShop, type TestShop } from '../testing/test-database';

let shop: TestShop;
let call: Caller;
let made: MadeJob;
beforeAll(async () => {
  shop = await openTestShop();
  call = caller(shop);
  made = await makeJob(call);
  for (const clockDeg of [0, 90])
    await call.post(routes.readings(made.jobId), readingBody(made.boreId, '40.20', { clockDeg, instrumentId: 'tele' }));
});
afterAll(() => shop.close());

const grease = STARTING_HOUSE_RULES.find((r) => r.id === 'grease')!;
const input = (more: Partial<HouseRuleInput> = {}): HouseRuleInput => {
  const { name, baseMm, ratePerDiameter, mostPlayFactor, grade, reason } = grease;
  return { name, baseMm, ratePerDiameter, mostPlayFactor, grade, reason, removed: false, because: 'Grit from the lake.', ...more };
};
const rules = async () => (await call.get(routes.shop)).body.shop.houseRules as { id: string; version: number; baseMm: number }[];

it('come with the shop at version 1, with nobody behind them', async () => {
  expect((await rules()).map((r) => [r.id, r.version])).toEqual(STARTING_HOUSE_RULES.map((r) => [r.id, 1]));
  const [first] = (await call.get(routes.houseRuleHistory('grease'))).body;
  expect(first).toMatchObject({ version: 1, personId: null, because: 'The shop’s starting value.' });
});

it('tell what a change would move before it is made, and change nothing', async () => {
  await call.put(routes.choice(made.jobId, `runs:${made.boreId}`), { value: { kind: 'running-grease' }, reason: '' }, '*');
  const wide = input({ baseMm: grease.baseMm + 0.05 });
  const moved = async (id: string, body: HouseRuleInput): Promise<MovedJob[]> =>
    (await call.post(routes.houseRulePreview(id), body)).body.moved;
  const body = await moved('grease', wide);
  expect(body).toHaveLength(1);
  expect(body[0]).toMatchObject({ jobId: made.jobId, released: false });
  const upper = body[0]!.moves.find((m) => m.label.endsWith('largest the new part may be'))!;
  expect(upper.beforeMm! - upper.afterMm!).toBeCloseTo(0.05, 9);
  expect(await moved('grease', input())).toEqual([]);
  expect(await moved('close', { ...wide, name: 'Close' })).toEqual([]);
  expect((await rules()).find((r) => r.id === 'grease')).toMatchObject({ version: 1, baseMm: grease.baseMm });
});

it('are weighed some open jobs at a time, each of them once', async () => {
  for (let i = 0; i < 24; i++) await makeJob(call);
  const wide = input({ baseMm: grease.baseMm + 0.05 });
  const steps: HouseRulePreview[] = [];
  for (let last: string | null = ''; last !== null; last = steps.at(-1)!.last)
    steps.push((await call.post(`${routes.houseRulePreview('grease')}?after=${last}`, wide)).body);
  expect(steps.map((s) => [s.weighed, s.open])).toEqual([
    [20, 25],
    [25, 25],
  ]);
  expect(steps.flatMap((s) => s.moved).map((m) => m.jobId)).toEqual([made.jobId]);
});

it('are changed with who and why, and never over somebody else’s change', async () => {
  const put = await call.put(routes.houseRule('grease'), input({ baseMm: 0.06 }), '"v1"');
  expect([put.status, put.headers['etag']]).toEqual([200, '"v2"']);
  const late = await call.put(routes.houseRule('grease'), input({ baseMm: 0.07 }), '"v1"');
  expect([late.status, late.body.current.rule.baseMm]).toEqual([412, 0.06]);
  expect((await rules()).find((r) => r.id === 'grease')).toMatchObject({ version: 2, baseMm: 0.06 });
  const history = (await call.get(routes.houseRuleHistory('grease'))).body;
  expect(history.map((c: { personId: string | null; because: string }) => [c.personId, c.because])).toEqual([
    ['tomas', 'Grit from the lake.'],
    [null, 'The shop’s starting value.'],
  ]);
});

it('are added at the end, withdrawn, and can come back; the default cannot be withdrawn', async () => {
  const added = await call.put(routes.houseRule('loose-hinge'), input({ name: 'Loose hinge' }), '*');
  expect(added.status).toBe(201);
  expect((await rules()).at(-1)).toMatchObject({ id: 'loose-hinge', version: 1 });
  expect((await call.put(routes.houseRule('loose-hinge'), input({ name: 'Loose hinge', removed: true }), '"v1"')).status).toBe(200);
  expect((await rules()).map((r) => r.id)).not.toContain('loose-hinge');
  expect((await call.put(routes.houseRule('loose-hinge'), input({ name: 'Loose hinge' }), '"v2"')).status).toBe(200);
  expect((await rules()).at(-1)).toMatchObject({ id: 'loose-hinge', version: 3 });
  const lost = await call.put(routes.houseRule('grease'), input({ removed: true }), '"v2"');
  expect([lost.status, lost.body.problems[0].code]).toEqual([422, 'default']);
});

it('are checked: every field that is wrong at once', async () => {
  const bad = { name: '', baseMm: 'wide', ratePerDiameter: 4, mostPlayFactor: 0, grade: 'IT99', reason: '', removed: 'no', because: ' ' };
  const { status, body } = await call.put(routes.houseRule('grease'), bad, '"v2"');
  expect(status).toBe(422);
  expect(body.problems.map((p: { path: string }) => p.path).sort()).toEqual(Object.keys(bad).sort());
  expect((await call.put(routes.houseRule('grease'), input(), 'x')).status).toBe(428);
  expect((await call.put('/api/house-rules/Not%20One', input(), '*')).status).toBe(404);
  expect((await caller(shop, 'nobody').put(routes.houseRule('grease'), input(), '"v2"')).status).toBe(403);
});
