import { randomUUID } from 'node:crypto';
import { NO_DETAIL } from '@iron-patch/core';
import { HEADERS, routes, type ComponentInput, type PlaceInput, type JobInput, type ReadingInput } from '@iron-patch/contract';
import request from 'supertest';
import type { TestShop } from './test-database';

/** Speaks to the API as a screen does. */
export const caller = (shop: TestShop, person = 'tomas') => {
  const as = (r: request.Test): request.Test => r.set(HEADERS.person, person).set(HEADERS.screen, 'test-screen');
  return {
    get: (path: string) => request(shop.app).get(path),
    post: (path: string, body: object, key: string = randomUUID()) =>
      as(request(shop.app).post(path)).set(HEADERS.idempotencyKey, key).send(body),
    put: (path: string, body: object, tag: string) =>
      as(request(shop.app).put(path))
        .set(tag === '*' ? 'If-None-Match' : 'If-Match', tag)
        .send(body),
    delete: (path: string, tag: string) => as(request(shop.app).delete(path)).set('If-Match', tag),
  };
};
export type Caller = ReturnType<typeof caller>;

export const jobBody = (more: Partial<JobInput> = {}): JobInput => ({
  customerName: 'Osmere lake ferry',
  customerContact: '',
  title: 'Ramp hinge pin',
  machine: 'Lake ferry, bow ramp',
  complaint: 'Ramp bangs when a car drives on.',
  want: 'like-for-like',
  changes: [],
  restBy: '',
  askBefore: '',
  pieces: 2,
  promisedOn: '2026-12-04',
  unit: 'mm',
  shopTempC: 20,
  hazards: ['vessel'],
  ...more,
});

export const componentBody = (more: Partial<ComponentInput> = {}): ComponentInput => ({
  parentId: null,
  name: 'Hinge pin',
  role: 'worn',
  materialId: 'steel-c45',
  axisOffsetMm: 0,
  verdict: 'remake',
  asFound: '',
  ...more,
});

export const placeBody = (componentId: string, more: Partial<PlaceInput> = {}): PlaceInput => ({
  componentId,
  name: 'Body',
  kind: 'diameter',
  suspicions: [],
  detail: { ...NO_DETAIL, supportsMm: [] },
  side: 'outside',
  startMm: 0,
  lengthMm: 100,
  land: 'worn',
  matesPlaceId: null,
  stationsMm: [5, 20],
  clocksDeg: [0, 90],
  instrumentId: 'mic-25-50',
  ...more,
});

export const readingBody = (placeId: string | null, text: string, more: Partial<ReadingInput> = {}): ReadingInput => ({
  id: randomUUID(),
  purpose: 'found',
  placeId,
  segmentId: null,
  quantity: 'size',
  stationMm: 5,
  clockDeg: 0,
  text,
  unit: 'mm',
  instrumentId: 'mic-25-50',
  partTempC: null,
  dial: null,
  takenAt: '2026-11-20T10:00:00.000Z',
  supersedesId: null,
  withdrawn: false,
  confirmed: false,
  ...more,
});

export interface MadeJob {
  readonly jobId: string;
  readonly pinId: string;
  readonly bodyId: string;
  readonly boreId: string;
}

/** A job with a pin, its body, and the bore that it runs in. */
export async function makeJob(call: Caller, more: object = {}): Promise<MadeJob> {
  const jobId = (await call.post(routes.jobs, jobBody(more))).body.id as string;
  const pinId = (await call.post(routes.components(jobId), componentBody())).body.id as string;
  const barrel = (await call.post(routes.components(jobId), componentBody({ name: 'Barrel', role: 'mate', verdict: 'reuse' }))).body
    .id as string;
  const bodyId = (await call.post(routes.places(jobId), placeBody(pinId))).body.id as string;
  const bore = placeBody(barrel, {
    name: 'Barrel bore',
    side: 'inside',
    matesPlaceId: bodyId,
    stationsMm: [5],
    clocksDeg: [0, 90],
    instrumentId: 'tele',
  });
  const boreId = (await call.post(routes.places(jobId), bore)).body.id as string;
  return { jobId, pinId, bodyId, boreId };
}
