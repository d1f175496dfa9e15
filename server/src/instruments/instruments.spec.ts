import { routes, type InstrumentInput } from '@iron-patch/contract';
import { caller, makeJob, readingBody, type Caller } from '../testing/caller';
import { openTestShop, type TestShop } from '../testing/test-database';

let shop: TestShop;
let call: Caller;
beforeAll(async () => {
  shop = await openTestShop();
  call = caller(shop);
});
afterAll(() => shop.close());

const mic = (more: Partial<InstrumentInput> = {}): InstrumentInput => ({
  name: 'Outside mic 75 to 100',
  kind: 'micrometer',
  unit: 'mm',
  uMm: 0.003,
  repeatMm: 0.002,
  resolutionMm: 0.001,
  biasMm: 0,
  rangeLowMm: 75,
  rangeHighMm: 100,
  calibratedOn: '2026-01-10',
  dueOn: '2027-01-10',
  ...more,
});
const check = (text: string, more: object = {}) => ({
  reference: 'Setting rod 75',
  referenceMm: 75,
  text,
  unit: 'mm',
  remark: '',
  ...more,
});

it('takes a new instrument into the crib, and changes it only at the version that was read', async () => {
  const path = routes.instrument('mic-75-100');
  expect((await call.put(path, mic(), '*')).status).toBe(201);
  expect((await call.put(path, mic(), '*')).status).toBe(412);
  const changed = await call.put(path, mic({ biasMm: 0.002 }), '"v1"');
  expect(changed.body).toMatchObject({ biasMm: 0.002, version: 2, dueOn: '2027-01-10' });
  const late = await call.put(path, mic(), '"v1"');
  expect([late.status, late.body.current.biasMm]).toEqual([412, 0.002]);
  const { instruments } = (await call.get(routes.shop)).body.shop;
  expect(instruments.find((i: { id: string }) => i.id === 'mic-75-100')).toMatchObject({ name: 'Outside mic 75 to 100', repeatMm: 0.002 });
});

it('keeps names apart, and refuses a bad id or one that is not there', async () => {
  const taken = await call.put(routes.instrument('other'), mic({ name: 'OUTSIDE MIC 25 TO 50' }), '*');
  expect(taken.body.problems).toMatchObject([{ path: 'name', code: 'taken' }]);
  expect((await call.put(routes.instrument('No Such'), mic(), '*')).status).toBe(404);
  expect((await call.put(routes.instrument('nothing'), mic(), '"v1"')).status).toBe(404);
});

it('logs a check, once however often it is sent, and a slip not at all', async () => {
  const path = routes.instrumentChecks('mic-50-75');
  const key = 'check-1';
  const first = await call.post(path, check('75.004'), key);
  expect(first.body).toMatchObject({ readMm: 75.004, instrumentId: 'mic-50-75', personId: 'tomas' });
  await call.post(path, check('75.004'), key);
  const slip = await call.post(path, check('7.5004'));
  expect(slip.body.problems).toMatchObject([{ path: 'text', code: 'implausible' }]);
  expect((await call.post(path, check('round'))).body.problems[0].path).toBe('text');
  expect((await call.post(routes.instrumentChecks('nothing'), check('75'))).status).toBe(404);
  const { instrumentChecks } = (await call.get(routes.shop)).body.shop;
  expect(instrumentChecks).toHaveLength(1);
  await expect(shop.pool.query('delete from instrument_checks')).rejects.toThrow('only added to');
});

it('takes an indicator below zero, and only what is read of such a place', async () => {
  const { jobId, pinId, bodyId } = await makeJob(call);
  const { placeBody } = await import('../testing/caller');
  const bend = (await call.post(routes.places(jobId), placeBody(pinId, { name: 'Bend', kind: 'straightness' }))).body.id as string;
  const taken = await call.post(routes.readings(jobId), readingBody(bend, '-0.02', { quantity: 'indicator' }));
  expect([taken.status, taken.body.valueMm, taken.body.quantity]).toEqual([201, -0.02, 'indicator']);
  const again = await call.post(routes.readings(jobId), readingBody(bend, '0.40', { quantity: 'indicator', clockDeg: 90 }));
  expect(again.status).toBe(201);
  const mixed = await call.post(routes.readings(jobId), readingBody(bodyId, '0.02', { quantity: 'indicator' }));
  expect(mixed.body.problems).toMatchObject([{ path: 'quantity', message: 'Diameter has no indicator.' }]);
});
