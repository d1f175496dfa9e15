import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import Ajv from 'ajv';
import { choiceKey, liveReadings, type JobBundle, newPart } from '@iron-patch/core';
import { routes } from '@iron-patch/contract';
import sharp from 'sharp';
import request from 'supertest';
import { HEADERS } from '@iron-patch/contract';
import { randomUUID } from 'node:crypto';
import { caller, makeJob, readingBody, type Caller, type MadeJob } from '../testing/caller';
import { openTestShop, ROOT, type TestShop } from '../testing/test-database';

let shop: TestShop;
let call: Caller;
let made: MadeJob;
let bundle: JobBundle;
beforeAll(async () => {
  shop = await openTestShop();
  call = caller(shop);
  made = await makeJob(call);
  const { jobId, bodyId, boreId, pinId } = made;
  const first = readingBody(bodyId, '1.5716 in', { partTempC: 31 });
  await call.post(routes.readings(jobId), first);
  await call.post(routes.readings(jobId), readingBody(bodyId, '39.92', { supersedesId: first.id }));
  const fit = { schoolId: 'grease', hole: 'keep', truedMm: null };
  await call.put(routes.choice(jobId, choiceKey.fit(boreId)), { value: fit, reason: 'outdoors' }, '*');
  await call.post(routes.notes(jobId), { station: 'strip', text: 'Keep both halves.' });
  const picture = await sharp({ create: { width: 60, height: 40, channels: 3, background: '#888888' } })
    .jpeg()
    .toBuffer();
  const photoId = randomUUID();
  await request(shop.app)
    .post(routes.photos(jobId))
    .set(HEADERS.person, 'tomas')
    .set(HEADERS.idempotencyKey, photoId)
    .set('Content-Type', 'image/jpeg')
    .send(picture);
  const markers = [{ id: randomUUID(), x: 0.5, y: 0.5, placeId: bodyId, text: 'worn' }];
  await call.put(routes.photo(photoId), { caption: 'As it came', markers }, '"v1"');
  await call.post(routes.components(jobId), { ...(await call.get(routes.component(pinId))).body, parentId: pinId, name: 'Bush' });
  bundle = (await call.get(routes.bundle(jobId))).body as JobBundle;
});
afterAll(() => shop.close());

it('goes out by the schema that is published with it', () => {
  const schema = JSON.parse(readFileSync(join(ROOT, 'docs/job-bundle.schema.json'), 'utf8')) as object;
  const validate = new Ajv({ allErrors: true, strict: true }).compile(schema);
  expect(validate(bundle) || validate.errors).toBe(true);
  expect(validate({ ...bundle, readings: [{ ...bundle.readings[0], text: 5 }] })).toBe(false);
});

it('holds every reading with its text, unit, instrument, temperature, time and person', () => {
  expect(bundle.readings).toHaveLength(2);
  expect(bundle.readings[0]).toMatchObject({ text: '1.5716 in', unit: 'in', instrumentId: 'mic-25-50', partTempC: 31, personId: 'tomas' });
  expect(bundle.readings[0]!.takenAt).toMatch(/^2026-11-20T10:00/);
});

it('comes in as a new job that says the same, as often as it is brought', async () => {
  const first = await call.post(routes.bundles, bundle);
  const second = await call.post(routes.bundles, bundle);
  expect([first.status, second.status]).toEqual([201, 201]);
  expect(second.body.id).not.toBe(first.body.id);
  const sheet = (await call.get(routes.sheet(second.body.id))).body;
  expect(sheet.readings.map((r: { text: string }) => r.text)).toEqual(['1.5716 in', '39.92']);
  expect(liveReadings(sheet.readings)).toHaveLength(1);
  const bore = sheet.places.find((f: { name: string }) => f.name === 'Barrel bore');
  expect(sheet.choices[0]).toMatchObject({ key: choiceKey.fit(bore.id), reason: 'outdoors' });
  expect(sheet.photos[0].markers[0].placeId).toBe(bore.matesPlaceId);
  const bush = sheet.components.find((c: { name: string }) => c.name === 'Bush');
  expect(sheet.components.find((c: { id: string }) => c.id === bush.parentId).name).toBe('Hinge pin');
  expect((await call.get(routes.photoPixels(sheet.photos[0].id, 'large'))).status).toBe(200);
});

it('brings a drawing with everything that is cut into it', async () => {
  const part = newPart('headed-pin', 'Pin', 40, 120);
  expect(part.features.length).toBeGreaterThan(0);
  const value = { ...bundle, choices: [...bundle.choices, { key: choiceKey.part, value: part, reason: '' }] };
  const came = await call.post(routes.bundles, value);
  expect(came.status).toBe(201);
  const sheet = (await call.get(routes.sheet(came.body.id))).body;
  expect(sheet.choices.find((c: { key: string }) => c.key === choiceKey.part).value).toEqual(part);
  const out = (await call.get(routes.bundle(came.body.id))).body as JobBundle;
  expect(out.choices.find((c) => c.key === choiceKey.part)!.value).toEqual(part);
});

it('comes in from a file of before places were called so', async () => {
  const old = JSON.stringify({ ...bundle, version: 1 })
    .replaceAll('"places":', '"features":')
    .replaceAll('"placeId":', '"featureId":')
    .replaceAll('"matesPlaceId":', '"matesFeatureId":');
  expect(old).not.toContain('lace"');
  const made = await call.post(routes.bundles, JSON.parse(old));
  expect(made.status).toBe(201);
  const sheet = (await call.get(routes.sheet(made.body.id))).body;
  expect(sheet.places).toHaveLength(bundle.places.length);
  expect(liveReadings(sheet.readings)[0]?.placeId).toBe(sheet.places.find((p: { name: string }) => p.name === 'Body')?.id);
});

it('tells every problem with its path and stores nothing', async () => {
  const before = (await call.get(routes.floor)).body.found;
  const broken = {
    ...bundle,
    places: bundle.places.map((f) => ({ ...f, componentId: randomUUID() })),
    choices: [{ ...bundle.choices[0]!, key: 'pardon:x' }],
  };
  const res = await call.post(routes.bundles, broken);
  expect(res.status).toBe(422);
  expect(res.body.problems.map((p: { path: string }) => p.path)).toEqual(
    expect.arrayContaining(['choices.0.key', 'places.0.componentId', 'places.1.componentId']),
  );
  const foreign = await call.post(routes.bundles, {
    ...bundle,
    instruments: bundle.instruments.map((i) => ({ ...i, name: 'Strange mic' })),
  });
  expect(foreign.body.problems[0].message).toBe('Strange mic is not in the crib. Add it there first.');
  expect((await call.post(routes.bundles, { format: 'something else' })).body.problems[0].path).toBe('format');
  expect((await call.post(routes.bundles, { ...bundle, photos: [{ ...bundle.photos[0]!, jpeg: 'bm8=' }] })).status).toBe(422);
  expect((await call.get(routes.floor)).body.found).toBe(before);
});

it('prints a tag that opens the sheet', async () => {
  const { status, headers, body } = await call.get(routes.label(made.jobId));
  expect([status, headers['content-type']]).toEqual([200, 'application/pdf']);
  expect((body as Buffer).subarray(0, 5).toString()).toBe('%PDF-');
});

describe('states of the part in a file', () => {
  const actId = '0b2f7a52-6a2b-4f0e-9b1e-0d8f6a1c2b3d';
  const act = (componentId: string) => ({
    key: choiceKey.act(actId),
    value: { componentId, placeId: null, kind: 'bend', where: '', state: 'done', override: 'told', removed: false },
    reason: '',
  });
  const bring = async (more: object) => {
    const res = await call.post(routes.bundles, { ...bundle, ...more });
    return {
      status: res.status,
      body: res.body as { problems: unknown },
      sheet: res.status === 201 ? (await call.get(routes.sheet(res.body.id))).body : null,
    };
  };
  const after = () => bundle.readings.map((r, i) => (i === 1 ? { ...r, afterActId: actId } : r));

  it('come back with the act that they name', async () => {
    const { sheet } = await bring({ readings: after(), choices: [...bundle.choices, act(made.pinId)] });
    expect(sheet.readings.map((r: { afterActId: string | null }) => r.afterActId)).toEqual([null, actId]);
  });

  it('are as found in a file of before there were any', async () => {
    const old = bundle.readings.map(({ afterActId: _, ...r }) => r);
    expect((await bring({ readings: old })).sheet.readings[0].afterActId).toBeNull();
  });

  it('that name an act which the file does not hold are refused', async () => {
    const res = await bring({ readings: after() });
    expect(res.body.problems).toMatchObject([{ path: 'readings.1.afterActId', code: 'unknown' }]);
  });
});

it('a hand-over does not come in with the file: it is given here, and held here', async () => {
  const given = { lesson: 'x', stillToDo: '', outcome: 'passed', beforeUse: '', unproved: 'x', undone: '' };
  const res = await call.post(routes.bundles, {
    ...bundle,
    choices: [...bundle.choices, { key: choiceKey.returned, value: given, reason: '' }],
  });
  expect(res.status).toBe(201);
  const sheet = (await call.get(routes.sheet(res.body.id))).body;
  expect(sheet.choices.map((c: { key: string }) => c.key)).not.toContain(choiceKey.returned);
});
