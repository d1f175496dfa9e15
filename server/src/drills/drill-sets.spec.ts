import { routes, type DrillSetInput } from '@iron-patch/contract';
import { caller, type Caller } from '../testing/caller';
import { openTestShop, type TestShop } from '../testing/test-database';

let shop: TestShop;
let call: Caller;
beforeAll(async () => {
  shop = await openTestShop();
  call = caller(shop);
});
afterAll(() => shop.close());

const set = (more: Partial<DrillSetInput> = {}): DrillSetInput => ({
  kind: 'metric',
  fromMm: 1,
  toMm: 13,
  stepMm: 0.5,
  removed: false,
  ...more,
});
const hanging = async (): Promise<{ id: string }[]> => (await call.get(routes.shop)).body.shop.drillSets;

it('hangs a set in the crib, changes it at the version that was read, and takes it off', async () => {
  const path = routes.drillSet('own-metric');
  expect((await call.put(path, set(), '*')).status).toBe(201);
  expect((await call.put(path, set(), '*')).status).toBe(412);
  expect((await call.put(path, set({ toMm: 10 }), '"v1"')).body).toMatchObject({ toMm: 10, version: 2 });
  const late = await call.put(path, set({ removed: true }), '"v1"');
  expect([late.status, late.body.current.toMm]).toEqual([412, 10]);
  expect(await hanging()).toContainEqual({ id: 'own-metric', kind: 'metric', fromMm: 1, toMm: 10, stepMm: 0.5, version: 2 });
  expect((await call.put(path, set({ removed: true }), '"v2"')).status).toBe(200);
  expect((await hanging()).map((s) => s.id)).not.toContain('own-metric');
});

it('refuses what is no set of drills at its field, a bad id, and one that is not there', async () => {
  const bad = await call.put(routes.drillSet('bad'), set({ fromMm: 13, toMm: 1, stepMm: 0 }), '*');
  expect(bad.status).toBe(422);
  expect(bad.body.problems.map((p: { path: string }) => p.path).sort()).toEqual(['stepMm', 'toMm']);
  expect((await call.put(routes.drillSet('No Such'), set(), '*')).status).toBe(404);
  expect((await call.put(routes.drillSet('nothing'), set(), '"v1"')).status).toBe(404);
  expect((await call.put(routes.drillSet('x'), set({ kind: 'spade' as never }), '*')).body.problems[0].path).toBe('kind');
});
