import { randomUUID } from 'node:crypto';
import { routes } from '@iron-patch/contract';
import { caller, componentBody, placeBody, makeJob, type Caller, type MadeJob } from '../testing/caller';
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

const paths = (body: { problems: { path: string }[] }): string[] => body.problems.map((p) => p.path);

describe('a place to measure', () => {
  it('is stored with its plan as it was typed', async () => {
    const { body } = await call.get(routes.place(made.boreId));
    expect(body).toMatchObject({
      name: 'Barrel bore',
      side: 'inside',
      stationsMm: [5],
      clocksDeg: [0, 90],
      matesPlaceId: made.bodyId,
      version: 1,
    });
  });

  it('belongs to a component and an instrument of the shop', async () => {
    const other = await makeJob(call);
    const res = await call.post(routes.places(made.jobId), placeBody(other.pinId, { instrumentId: 'thumb' }));
    expect(res.status).toBe(422);
    expect(paths(res.body)).toEqual(['componentId', 'instrumentId']);
  });

  it('fits only a place of the other side, of the same job, and not itself', async () => {
    const outsideOnOutside = await call.post(routes.places(made.jobId), placeBody(made.pinId, { matesPlaceId: made.bodyId }));
    expect(outsideOnOutside.body.problems).toMatchObject([{ path: 'matesPlaceId', code: 'side' }]);
    const nowhere = await call.post(routes.places(made.jobId), placeBody(made.pinId, { matesPlaceId: randomUUID() }));
    expect(nowhere.body.problems).toMatchObject([{ path: 'matesPlaceId', code: 'unknown' }]);
    const itself = await call.put(routes.place(made.bodyId), placeBody(made.pinId, { matesPlaceId: made.bodyId }), '"v1"');
    expect(itself.body.problems).toMatchObject([{ path: 'matesPlaceId', code: 'unknown' }]);
  });

  it('is not removed while another fits it', async () => {
    const res = await call.delete(routes.place(made.bodyId), '"v1"');
    expect([res.status, res.body.detail]).toEqual([409, 'Another place fits together with this one. Take that off first.']);
  });

  it('is changed only at the version that was read', async () => {
    const first = await call.put(routes.place(made.bodyId), placeBody(made.pinId, { name: 'Long body' }), '"v1"');
    expect([first.status, first.body.version]).toEqual([200, 2]);
    const late = await call.put(routes.place(made.bodyId), placeBody(made.pinId, { name: 'Short body' }), '"v1"');
    expect([late.status, late.body.current.name]).toEqual([412, 'Long body']);
    expect((await call.delete(routes.place(made.boreId), '"v9"')).status).toBe(412);
  });

  it('is not found when it is gone', async () => {
    const { body } = await call.post(routes.places(made.jobId), placeBody(made.pinId, { name: 'Spare' }));
    expect((await call.delete(routes.place(body.id), '"v1"')).status).toBe(204);
    expect((await call.get(routes.place(body.id))).status).toBe(404);
    expect((await call.put(routes.place(body.id), placeBody(made.pinId), '"v1"')).status).toBe(404);
  });
});

describe('a component', () => {
  it('is added to a job that there is', async () => {
    expect((await call.post(routes.components(randomUUID()), componentBody())).status).toBe(404);
    const { body } = await call.post(routes.components(made.jobId), componentBody({ name: 'Split pin', role: 'other', verdict: 'buy' }));
    expect(body).toMatchObject({ name: 'Split pin', role: 'other', verdict: 'buy', jobId: made.jobId });
    const changed = await call.put(routes.component(body.id), componentBody({ name: 'Split pin 5', role: 'other', verdict: null }), '"v1"');
    expect(changed.body).toMatchObject({ name: 'Split pin 5', verdict: null, version: 2 });
    expect((await call.delete(routes.component(body.id), '"v2"')).status).toBe(204);
  });

  it('tells every bad field at once', async () => {
    const res = await call.post(routes.components(made.jobId), {
      ...componentBody(),
      name: '',
      materialId: 'mithril',
      verdict: 'pray',
      axisOffsetMm: 1e9,
    });
    expect(paths(res.body).sort()).toEqual(['axisOffsetMm', 'materialId', 'name', 'verdict']);
  });
});
