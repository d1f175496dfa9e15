import { routes, type RatesInput } from '@iron-patch/contract';
import type { RatesChange, Shop, TookRow } from '@iron-patch/core';
import { caller, makeJob, type Caller } from '../testing/caller';
import { openTestShop, type TestShop } from '../testing/test-database';
import { tookRows } from './rate-queries';

let shop: TestShop;
let call: Caller;
beforeAll(async () => {
  shop = await openTestShop();
  call = caller(shop);
});
afterAll(() => shop.close());

const rates = (more: Partial<RatesInput> = {}): RatesInput => ({
  currency: 'crowns',
  hourMinor: 3800,
  machineHourMinor: { 'gap-bed': 600 },
  kgMinor: { steel: 320 },
  wastePercent: 10,
  markUpPercent: 15,
  consumablesPercent: 4,
  minimumMinor: 4500,
  taxPercent: 20,
  ...more,
});
const now = async (): Promise<Shop> => (await call.get(routes.shop)).body.shop;

it('keeps what an hour costs, every version with who set it, and never puts one over another’s', async () => {
  const before = (await now()).rates;
  const from = before ? `"v${before.version}"` : '*';
  const first = await call.put(routes.rates, rates(), from);
  expect([200, 201]).toContain(first.status);
  const { version } = first.body as { version: number };
  expect((await now()).rates).toEqual({ ...rates(), version });
  expect((await call.put(routes.rates, rates({ hourMinor: 4000 }), `"v${version}"`)).body).toMatchObject({ hourMinor: 4000 });
  const late = await call.put(routes.rates, rates({ hourMinor: 1 }), `"v${version}"`);
  expect([late.status, late.body.current.hourMinor]).toEqual([412, 4000]);
  const history = (await call.get(routes.ratesHistory)).body as RatesChange[];
  expect(history.slice(0, 2).map((h) => [h.rates.hourMinor, h.personId])).toEqual([
    [4000, 'tomas'],
    [3800, 'tomas'],
  ]);
  await expect(shop.pool.query('update rates set version = 99')).rejects.toThrow('only added to');
});

it('refuses what is no rate at its field', async () => {
  const wrong = async (more: object): Promise<string[]> =>
    ((await call.put(routes.rates, { ...rates(), ...more }, '*')).body.problems as { path: string }[]).map((p) => p.path);
  expect(await wrong({ hourMinor: 12.5 })).toEqual(['hourMinor']);
  expect(await wrong({ hourMinor: -1, currency: '' })).toEqual(expect.arrayContaining(['hourMinor', 'currency']));
  expect(await wrong({ machineHourMinor: { 'gap-bed': '6' } })).toEqual(['machineHourMinor.gap-bed']);
  expect(await wrong({ machineHourMinor: null })).toEqual(['machineHourMinor']);
  expect(await wrong({ machineHourMinor: [600] })).toEqual(['machineHourMinor']);
  expect(await wrong({ machineHourMinor: { 'No Such': 6 } })).toEqual(['machineHourMinor']);
  expect(await wrong({ kgMinor: { steel: 1.5 } })).toEqual(['kgMinor.steel']);
  expect(await wrong({ taxPercent: 101 })).toEqual(['taxPercent']);
  expect((await caller(shop, '').put(routes.rates, rates(), '*')).status).toBe(403);
});

describe('what acts took', () => {
  const considered = (minutes: number, more: object = {}) => ({
    routeId: 'straighten',
    name: 'straighten',
    componentId: null,
    acts: [{ act: 'straighten', what: '', times: 1, minutes: null, machineId: '' }],
    stock: [],
    bought: [],
    postageMinor: 0,
    lasts: 'years-fewer',
    lastsWhy: '',
    risk: '',
    decides: '',
    state: 'chosen',
    why: 'cheaper',
    estimated: { acts: [{ act: 'straighten', minutes: minutes * 1.5, modelMin: minutes }], priceMinor: 9000 },
    position: 0,
    removed: false,
    ...more,
  });
  const spent = (minutes: number, more: object = {}) => ({
    act: 'straighten',
    itemId: null,
    minutes,
    day: '2026-11-20',
    remark: '',
    removed: false,
    ...more,
  });
  const id = (n: number): string => `00000000-0000-4000-8000-00000000000${n}`;
  const put = async (jobId: string, key: string, value: unknown, version = '*'): Promise<void> => {
    const answer = await call.put(routes.choice(jobId, key), { value, reason: '' }, version);
    expect([200, 201]).toContain(answer.status);
  };
  /** A hand-over past its guard: nothing else of the job matters here. */
  const handBack = (jobId: string): Promise<unknown> =>
    shop.pool.query(`insert into choices (job_id, key, version, value, reason, person_id) values ($1, 'returned', 1, '{}', '', 'tomas')`, [
      jobId,
    ]);

  it('counts jobs that were handed back, by their chosen route, what was withdrawn left out', async () => {
    const { jobId } = await makeJob(call);
    await put(jobId, `considered:${id(1)}`, considered(60));
    await put(jobId, `considered:${id(2)}`, considered(999, { state: 'dropped', why: 'dear' }));
    await put(jobId, `spent:${id(3)}`, spent(50));
    await put(jobId, `spent:${id(4)}`, spent(45));
    await put(jobId, `spent:${id(5)}`, spent(400));
    await put(jobId, `spent:${id(5)}`, spent(400, { removed: true }), '"v1"');
    await put(jobId, `spent:${id(6)}`, spent(20, { act: 'hone' }));
    expect(await tookRows(shop.pool)).toEqual([]);
    await handBack(jobId);
    const rows: TookRow[] = [{ act: 'straighten', estimatedMin: 60, tookMin: 95 }];
    expect(await tookRows(shop.pool)).toEqual(rows);
    expect((await now()).took).toEqual(rows);
  });

  it('refuses a route or hours that are none, at their field', async () => {
    const { jobId } = await makeJob(call);
    const wrong = async (key: string, value: unknown): Promise<string[]> =>
      ((await call.put(routes.choice(jobId, key), { value, reason: '' }, '*')).body.problems as { path: string }[]).map((p) => p.path);
    const at = `considered:${id(1)}`;
    expect(await wrong(at, considered(60, { state: 'chosen', why: '' }))).toEqual(['value.why']);
    expect(await wrong(at, considered(60, { routeId: 'magic' }))).toEqual(['value.routeId']);
    expect(await wrong(at, considered(60, { bought: [{ what: '', count: 1, costMinor: 1.5, leadDays: null, outside: false }] }))).toEqual(
      expect.arrayContaining(['value.bought.0.what', 'value.bought.0.costMinor']),
    );
    const acts = [{ act: 'turn', what: '', times: 1, minutes: { low: 50, likely: 40, high: 60 }, machineId: '' }];
    expect(await wrong(at, considered(60, { acts }))).toEqual(['value.acts.0.minutes.likely']);
    expect(await wrong(`spent:${id(2)}`, spent(0, { day: null }))).toEqual(expect.arrayContaining(['value.minutes', 'value.day']));
  });
});
