import { routes, type BarInput, type MachineInput } from '@iron-patch/contract';
import type { Bar, BarCount, Shop } from '@iron-patch/core';
import { caller, makeJob, readingBody, type Caller } from '../testing/caller';
import { openTestDatabase, openTestShop, ROOT, serve, type TestShop } from '../testing/test-database';
import { migrate } from '../db';

let shop: TestShop;
let call: Caller;
beforeAll(async () => {
  shop = await openTestShop();
  call = caller(shop);
});
afterAll(() => shop.close());

const now = async (): Promise<Shop> => (await call.get(routes.shop)).body.shop;
const bar = (more: Partial<BarInput> = {}): BarInput => ({
  shape: 'round',
  materialId: 'unknown',
  diameterMm: 38.1,
  innerMm: null,
  finish: 'black',
  lengthMm: 350,
  pieces: 3,
  place: 'bin 3',
  priceMinor: null,
  why: '',
  removed: false,
  ...more,
});
const machine = (more: Partial<MachineInput> = {}): MachineInput => ({
  name: 'Knee mill, old',
  kind: 'mill',
  powerKw: 2.2,
  note: '',
  lathe: null,
  mill: { dial: { unit: 'in', perTurn: 0.2, perLine: 0.001 }, readout: null, gearsRpm: [80, 160], longMm: 600, crossMm: 250 },
  capacityMm: null,
  tonnes: null,
  removed: false,
  ...more,
});

it('counts a bar up and down, and keeps every count with who and why', async () => {
  const path = routes.bar('black-38');
  expect((await call.put(path, bar(), '*')).status).toBe(201);
  expect((await call.put(path, bar({ pieces: 2, why: 'hinge pin' }), '"v1"')).body).toMatchObject({ pieces: 2, version: 2 });
  // Another place is no other count.
  expect((await call.put(path, bar({ pieces: 2, place: 'bin 4' }), '"v2"')).status).toBe(200);
  const late = await call.put(path, bar({ pieces: 9 }), '"v1"');
  expect([late.status, late.body.current.pieces]).toEqual([412, 2]);
  expect((await call.put(path, bar({ pieces: 2, removed: true, why: 'scrapped' }), '"v3"')).status).toBe(200);
  const counts = (await call.get(routes.barCounts('black-38'))).body as BarCount[];
  expect(counts.map((c) => [c.pieces, c.why, c.personId])).toEqual([
    [0, 'scrapped', 'tomas'],
    [2, 'hinge pin', 'tomas'],
    [3, '', 'tomas'],
  ]);
  expect((await now()).rack.some((b) => b.id === 'black-38')).toBe(false);
  await expect(shop.pool.query('update bar_counts set pieces = 1')).rejects.toThrow('only added to');
});

it('refuses a bar that cannot be', async () => {
  const wrong = async (more: Partial<BarInput>): Promise<string[]> =>
    ((await call.put(routes.bar('x'), bar(more), '*')).body.problems as { path: string }[]).map((p) => p.path);
  expect(await wrong({ shape: 'tube' })).toEqual(['innerMm']);
  expect(await wrong({ shape: 'tube', innerMm: 38.1 })).toEqual(['innerMm']);
  expect(await wrong({ innerMm: 10 })).toEqual(['innerMm']);
  expect((await wrong({ pieces: 1.5, diameterMm: 0, materialId: 'cheese' })).sort()).toEqual(['diameterMm', 'materialId', 'pieces']);
  expect((await call.get(routes.barCounts('nothing'))).status).toBe(404);
});

it('bars of the card are there with their count', async () => {
  const [first] = (await now()).rack as Bar[];
  expect(((await call.get(routes.barCounts(first!.id))).body as BarCount[])[0]).toMatchObject({ pieces: first!.pieces, personId: '' });
});

it('takes machines of every kind; lathes among them turn', async () => {
  expect((await call.put(routes.machine('old-mill'), machine(), '*')).status).toBe(201);
  const twice = await call.put(routes.machine('other'), machine({ name: 'KNEE MILL, OLD' }), '*');
  expect(twice.body.problems).toMatchObject([{ path: 'name', code: 'taken' }]);
  const none = await call.put(routes.machine('l'), machine({ name: 'L', kind: 'lathe', mill: null }), '*');
  expect(none.body.problems).toMatchObject([{ path: 'lathe', message: 'What the lathe can do is needed.' }]);
  const both = await call.put(routes.machine('l'), machine({ name: 'L', kind: 'saw' }), '*');
  expect(both.body.problems).toMatchObject([{ path: 'mill' }]);
  const { cross, carriage } = (await now()).lathes[0]!;
  const lathe = {
    cross,
    carriage,
    readout: null,
    gearsRpm: [100],
    swingMm: 200,
    centresMm: 400,
    holdings: [{ kind: 'collet', runOutMm: 0.01 }],
  };
  const made = await call.put(routes.machine('small'), machine({ name: 'Small', kind: 'lathe', mill: null, lathe: lathe as never }), '*');
  expect(made.status).toBe(201);
  expect((await now()).lathes.find((l) => l.id === 'small')).toMatchObject({ name: 'Small', gearsRpm: [100] });
  expect((await call.put(routes.machine('small'), machine({ name: 'Small', kind: 'saw', mill: null, removed: true }), '"v1"')).status).toBe(
    200,
  );
  expect((await now()).lathes.some((l) => l.id === 'small')).toBe(false);
  expect((await call.put(routes.machine('x'), machine({ mill: { ...machine().mill!, gearsRpm: [] } }), '*')).body.problems).toMatchObject([
    { path: 'mill.gearsRpm' },
  ]);
});

it('keeps who left for what they did, and never loses the last', async () => {
  expect((await call.put(routes.person('bo'), { name: 'Bo', role: 'smith', gone: false }, '*')).status).toBe(201);
  const same = await call.put(routes.person('bo2'), { name: 'bo', role: '', gone: false }, '*');
  expect(same.body.problems).toMatchObject([{ path: 'name', code: 'taken' }]);
  const { jobId, bodyId } = await makeJob(call);
  await caller(shop, 'bo').post(routes.readings(jobId), readingBody(bodyId, '39.90'));
  expect((await call.put(routes.person('bo'), { name: 'Bo', role: 'smith', gone: true }, '"v1"')).status).toBe(200);
  expect((await now()).people.at(-1)).toMatchObject({ id: 'bo', gone: true });
});

describe('a shop without a card', () => {
  let empty: TestShop;
  beforeAll(async () => {
    const database = await openTestDatabase();
    await migrate(database.url, `${ROOT}/server/migrations`);
    empty = await serve(database, null);
  });
  afterAll(() => empty.close());

  it('has nobody and nothing but the starting fits, and lets the first person in', async () => {
    const nobody = caller(empty, '');
    const { card, people, machines, instruments, rack, houseRules } = (await nobody.get(routes.shop)).body.shop as Shop;
    expect([people, machines, instruments, rack]).toEqual([[], [], [], []]);
    expect(houseRules.map((r) => r.id)).toContain('grease');
    expect(card).toEqual({ name: '', unit: 'mm', decimalMark: '.', walked: [], warranty: '', version: 1 });
    const named = await nobody.put(routes.shopCard, { name: 'Upper Forge', unit: 'in', walked: ['name'] }, '"v1"');
    expect(named.body).toMatchObject({ name: 'Upper Forge', unit: 'in', decimalMark: '.', version: 2 });
    expect((await nobody.put(routes.machine('mill'), machine(), '*')).status).toBe(403);
    expect((await nobody.put(routes.person('ada'), { name: 'Ada', role: '', gone: false }, '*')).status).toBe(201);
    expect((await nobody.put(routes.person('eve'), { name: 'Eve', role: '', gone: false }, '*')).status).toBe(403);
    expect((await nobody.put(routes.shopCard, { name: 'x', unit: 'mm', walked: [] }, '"v2"')).status).toBe(403);
    const ada = caller(empty, 'ada');
    const last = await ada.put(routes.person('ada'), { name: 'Ada', role: '', gone: true }, '"v1"');
    expect(last.body.problems).toMatchObject([{ path: 'gone', code: 'last' }]);
    expect(
      (await ada.put(routes.shopCard, { name: '', unit: 'cm', decimalMark: ';', walked: [] }, '"v2"')).body.problems.map(
        (p: { path: string }) => p.path,
      ),
    ).toEqual(['name', 'unit', 'decimalMark']);
    const comma = await ada.put(routes.shopCard, { name: 'Upper Forge', unit: 'mm', decimalMark: ',', walked: [] }, '"v2"');
    expect(comma.body).toMatchObject({ decimalMark: ',', version: 3 });
    // A page of before, that knows of no mark, leaves it as it is.
    const before = await ada.put(routes.shopCard, { name: 'Upper Forge', unit: 'in', walked: [] }, '"v3"');
    expect(before.body).toMatchObject({ unit: 'in', decimalMark: ',', version: 4 });
  });
});
