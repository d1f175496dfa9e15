import { routes, type ToolInput } from '@iron-patch/contract';
import { caller, type Caller } from '../testing/caller';
import { openTestShop, type TestShop } from '../testing/test-database';

let shop: TestShop;
let call: Caller;
beforeAll(async () => {
  shop = await openTestShop();
  call = caller(shop);
});
afterAll(() => shop.close());

const tap = (more: Partial<ToolInput> = {}): ToolInput => ({
  ...{ kind: 'tap', sizeMm: null, thread: 'M10', note: 'plug', pieces: 1, removed: false },
  ...more,
});
const hanging = async (): Promise<{ id: string }[]> => (await call.get(routes.shop)).body.shop.tools;

it('hangs a tool in the crib, changes it at the version that was read, and takes it off and back', async () => {
  const path = routes.tool('own-tap');
  expect((await call.put(path, tap(), '*')).status).toBe(201);
  expect((await call.put(path, tap(), '*')).status).toBe(412);
  expect((await call.put(path, tap({ pieces: 2 }), '"v1"')).body).toMatchObject({ pieces: 2, version: 2 });
  const late = await call.put(path, tap({ removed: true }), '"v1"');
  expect([late.status, late.body.current.pieces]).toEqual([412, 2]);
  expect(await hanging()).toContainEqual({ id: 'own-tap', kind: 'tap', sizeMm: null, thread: 'M10', note: 'plug', pieces: 2, version: 2 });
  expect((await call.put(path, tap({ pieces: 2, removed: true }), '"v2"')).status).toBe(200);
  expect((await hanging()).map((t) => t.id)).not.toContain('own-tap');
  await call.put(path, tap({ pieces: 2 }), '"v3"');
  expect((await hanging()).map((t) => t.id)).toContain('own-tap');
});

it('refuses what is no tool at its field', async () => {
  const bad = async (more: object): Promise<string[]> =>
    (await call.put(routes.tool('bad'), { ...tap(), ...more }, '*')).body.problems.map((p: { path: string }) => p.path);
  expect(await bad({ thread: '' })).toEqual(['thread']);
  expect(await bad({ kind: 'reamer', sizeMm: 12 })).toEqual(['thread']);
  expect(await bad({ kind: 'spoon', thread: '' })).toContain('kind');
  expect(await bad({ sizeMm: -1 })).toEqual(['sizeMm']);
  expect(await bad({ pieces: 0 })).toEqual(['pieces']);
  expect(await bad({ pieces: 1.5 })).toEqual(['pieces']);
  expect(await bad({ note: 'x'.repeat(201) })).toEqual(['note']);
  expect((await call.put(routes.tool('nothing'), tap(), '"v1"')).status).toBe(404);
});
