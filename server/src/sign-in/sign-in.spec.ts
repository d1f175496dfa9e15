import { randomUUID } from 'node:crypto';
import { HEADERS, routes, type AccountRow, type AuditPage, type SessionResource } from '@iron-patch/contract';
import { choiceKey } from '@iron-patch/core';
import request from 'supertest';
import { componentBody, jobBody, placeBody, readingBody } from '../testing/caller';
import { openLockedShop, type TestShop } from '../testing/test-database';

const PASSWORD = 'lintel gravy osprey nine';
const OTHER = 'quarry velvet tin harbour';
type Device = ReturnType<typeof request.agent>;

let shop: TestShop;
beforeEach(async () => {
  shop = await openLockedShop();
});
afterEach(() => shop.close());

const device = (): Device => request.agent(shop.app);
const session = async (d: Device): Promise<SessionResource> => (await d.get(routes.session)).body;
const first = (d: Device, name = 'Maud Ferrier', password = PASSWORD): request.Test => d.post(routes.sessionFirst).send({ name, password });
const enter = (d: Device, name: string, password = PASSWORD): request.Test => d.post(routes.session).send({ name, password });
const pin = (d: Device, personId: string, digits: string): request.Test => d.post(routes.sessionPin).send({ personId, pin: digits });
const as = (r: request.Test, person: string): request.Test => r.set(HEADERS.person, person).set(HEADERS.idempotencyKey, randomUUID());
const paths = (r: { body: { problems?: { path: string; code: string }[] } }): string[] =>
  (r.body.problems ?? []).map((p) => `${p.path} ${p.code}`);

/** Somebody of the demo shop with a password of their own, signed in on a device. */
async function ownPassword(owner: Device, personId: string, name: string): Promise<Device> {
  expect((await owner.put(routes.givenPassword(personId)).send({ password: OTHER })).status).toBe(200);
  const d = device();
  await enter(d, name, OTHER);
  expect((await d.put(routes.ownPassword).send({ old: OTHER, password: PASSWORD })).body).toMatchObject({ state: 'in', borrowed: false });
  return d;
}

describe('the first account', () => {
  it('is the owner’s, made once, on the machine itself', async () => {
    const d = device();
    expect(await session(d)).toMatchObject({ state: 'first', first: { here: true }, here: [] });
    expect((await session(d)).first!.people.map((p) => p.name)).toEqual(['Ines Okoro', 'Maud Ferrier', 'Tomas Quill']);
    expect((await d.get(routes.shop)).body.type).toBe('/problems/sign-in');
    for (const header of ['X-Forwarded-For', 'Forwarded', 'Via', 'X-Real-IP']) {
      const brought = await first(d).set(header, '10.0.0.7');
      expect([header, brought.status]).toEqual([header, 409]);
    }
    expect((await d.get(routes.session).set('X-Forwarded-For', '10.0.0.7')).body.first).toEqual({ here: false, people: [] });
    const made = await first(d, 'maud ferrier');
    expect(made.body).toMatchObject({
      state: 'in',
      personId: 'maud',
      here: [{ id: 'maud', name: 'Maud Ferrier', pin: false }],
      first: null,
    });
    expect((await d.get(routes.shop)).body.shop.people.find((p: { id: string }) => p.id === 'maud').access).toBe('owner');
    expect((await first(device(), 'Tomas Quill')).status).toBe(409);
  });

  it('of two at once only one is made', async () => {
    const both = await Promise.all([first(device(), 'Maud Ferrier'), first(device(), 'Tomas Quill')]);
    expect(both.map((r) => r.status).sort()).toEqual([200, 409]);
  });

  it('refuses what is guessed first', async () => {
    for (const password of ['short', 'password1234', 'aaaaaaaaaaaaaa', 'maud ferrier1', 'ferry lane works'])
      expect([password, (await first(device(), 'Maud Ferrier', password)).status]).toEqual([password, 422]);
    expect((await first(device(), 'Maud Ferrier', 'x'.repeat(129))).status).toBe(422);
  });

  it('can be of somebody new in a shop without anybody', async () => {
    const empty = await openLockedShop({}, null);
    const d = request.agent(empty.app);
    await first(d, 'Ada Byrne');
    expect((await d.get(routes.shop)).body.shop.people).toMatchObject([{ name: 'Ada Byrne', access: 'owner' }]);
    await empty.close();
  });
});

describe('the password', () => {
  it('lets in by name, under a cookie that no script reads, and tells nobody whose name it knows', async () => {
    await first(device());
    const d = device();
    const wrong = await enter(d, 'Maud Ferrier', 'wrong wrong wrong');
    const nobody = await enter(d, 'Nobody Here', 'wrong wrong wrong');
    expect([wrong.status, wrong.body]).toEqual([422, nobody.body]);
    const right = await enter(d, 'MAUD FERRIER');
    expect(right.headers['set-cookie']![0]).toMatch(
      /^iron-patch=[\w-]{43}; Max-Age=7776000; Path=\/; Expires=[^;]+; HttpOnly; SameSite=Strict$/,
    );
    // Every sign-in has a secret of its own, and the one before it is dead.
    const before = right.headers['set-cookie']![0]!.split(';')[0]!;
    const again = await enter(d, 'Maud Ferrier');
    expect(again.headers['set-cookie']![0]!.split(';')[0]).not.toBe(before);
    expect((await request(shop.app).get(routes.shop).set('Cookie', before)).status).toBe(401);
    const { rows } = await shop.pool.query<{ text: string }>(
      'select password_hash || (select token_hash::text from devices limit 1) as text from accounts',
    );
    expect(rows[0]!.text).toMatch(/^\$argon2id\$v=19\$m=19456,t=2,p=1\$/);
    expect(rows[0]!.text).not.toContain(before.split('=')[1]);
  });

  it('over HTTPS the cookie goes by nothing else', async () => {
    const secure = await openLockedShop({ secure: true });
    const made = await first(request.agent(secure.app));
    expect(made.headers['set-cookie']![0]).toMatch(/^__Host-iron-patch=.*; Path=\/; .*HttpOnly; Secure; SameSite=Strict$/);
    await secure.close();
  });

  it('makes whoever guesses wait, however many guesses come at once', async () => {
    await first(device());
    const many = await Promise.all(Array.from({ length: 24 }, () => enter(device(), 'Maud Ferrier', 'guess guess guess guess')));
    const tried = many.filter((r) => r.status === 422).length;
    expect(tried).toBeLessThanOrEqual(5);
    expect(many.filter((r) => r.status === 429)).toHaveLength(24 - tried);
    // The right one waits too, and others do not.
    expect((await enter(device(), 'Maud Ferrier')).body.type).toBe('/problems/wait');
    await shop.pool.query(`update sign_in_misses set until = now() - interval '1 second' where who = 'name:maud ferrier'`);
    expect((await enter(device(), 'Maud Ferrier')).status).toBe(200);
    expect((await shop.pool.query(`select 1 from sign_in_misses where who like 'name:maud%'`)).rowCount).toBe(0);
  });

  it('given by the owner opens nothing before it was changed', async () => {
    const owner = device();
    await first(owner);
    await owner.put(routes.givenPassword('tomas')).send({ password: OTHER });
    const tomas = device();
    expect((await enter(tomas, 'Tomas Quill', OTHER)).body).toMatchObject({ state: 'in', borrowed: true });
    expect((await tomas.get(routes.shop)).body.title).toBe('Choose a password of your own first.');
    expect(paths(await tomas.put(routes.ownPassword).send({ old: OTHER, password: OTHER }))).toEqual(['password same']);
    expect(paths(await tomas.put(routes.ownPassword).send({ old: PASSWORD, password: PASSWORD + 'x' }))).toEqual(['old wrong']);
    await tomas.put(routes.ownPassword).send({ old: OTHER, password: PASSWORD });
    expect((await tomas.get(routes.shop)).status).toBe(200);
    expect(paths(await owner.put(routes.givenPassword('maud')).send({ password: OTHER }))).toEqual(['password own']);
    expect((await owner.put(routes.givenPassword('nobody')).send({ password: OTHER })).status).toBe(404);
    const rows = (await owner.get(routes.accounts)).body as AccountRow[];
    expect(rows.map((r) => [r.personId, r.password, r.devices])).toEqual([
      ['ines', 'none', 0],
      ['maud', 'own', 1],
      ['tomas', 'own', 1],
    ]);
  });

  it('changed, signs out everywhere else', async () => {
    const [one, two] = [device(), device()];
    await first(one);
    await enter(two, 'Maud Ferrier');
    await two.put(routes.ownPassword).send({ old: PASSWORD, password: OTHER });
    expect([(await one.get(routes.shop)).status, (await two.get(routes.shop)).status]).toEqual([401, 200]);
    expect((await session(one)).state).toBe('out');
  });
});

describe('at one bench', () => {
  let bench: Device;
  beforeEach(async () => {
    bench = device();
    await first(bench);
    await ownPassword(bench, 'tomas', 'Tomas Quill');
    await enter(bench, 'Tomas Quill');
  });

  it('people change by PIN once they signed in there', async () => {
    expect((await session(bench)).here.map((p) => [p.id, p.pin])).toEqual([
      ['maud', false],
      ['tomas', false],
    ]);
    expect(paths(await bench.put(routes.ownPin).send({ password: PASSWORD, pin: '1234' }))).toEqual(['pin plain']);
    expect(paths(await bench.put(routes.ownPin).send({ password: PASSWORD, pin: '7777' }))).toEqual(['pin plain']);
    expect(paths(await bench.put(routes.ownPin).send({ password: 'no', pin: '7291' }))).toEqual(['password wrong']);
    expect((await bench.put(routes.ownPin).send({ password: PASSWORD, pin: '7291' })).body.here[1]).toMatchObject({
      id: 'tomas',
      pin: true,
    });
    await enter(bench, 'Maud Ferrier');
    expect((await session(bench)).personId).toBe('maud');
    expect(paths(await pin(bench, 'tomas', '7290'))).toEqual(['pin wrong']);
    expect((await pin(bench, 'tomas', '7291')).body).toMatchObject({ state: 'in', personId: 'tomas' });
    // Elsewhere the password comes first.
    const other = device();
    expect((await pin(other, 'tomas', '7291')).status).toBe(401);
    await enter(other, 'Maud Ferrier');
    expect(paths(await pin(other, 'tomas', '7291'))).toEqual(['pin wrong']);
    // Without the one of before.
    expect(paths(await pin(bench, 'maud', '7291'))).toEqual(['pin wrong']);
  });

  it('after five wrong PINs only the password will do', async () => {
    await bench.put(routes.ownPin).send({ password: PASSWORD, pin: '7291' });
    const many = await Promise.all(Array.from({ length: 12 }, (_, i) => pin(bench, 'tomas', `80${10 + i}`)));
    expect(many.every((r) => r.status === 422)).toBe(true);
    expect(paths(await pin(bench, 'tomas', '7291'))).toEqual(['pin wrong']);
    expect((await session(bench)).here[1]).toMatchObject({ id: 'tomas', pin: false });
    await enter(bench, 'Tomas Quill');
    expect((await pin(bench, 'tomas', '7291')).status).toBe(200);
  });

  it('a screen locks, by hand and where nobody touched it, and nothing goes until it is unlocked', async () => {
    await bench.put(routes.ownPin).send({ password: PASSWORD, pin: '7291' });
    expect((await bench.post(routes.sessionLock)).body).toMatchObject({ state: 'locked', personId: null });
    for (const asked of [bench.get(routes.shop), as(bench.post(routes.jobs).send(jobBody()), 'tomas'), bench.get(routes.live)])
      expect((await asked).body.type).toBe('/problems/locked');
    await pin(bench, 'tomas', '7291');
    await shop.pool.query(`update devices set seen_at = now() - interval '34 minutes'`);
    expect((await session(bench)).state).toBe('locked');
    expect((await bench.post(routes.sessionSeen)).status).toBe(401);
    await pin(bench, 'tomas', '7291');
    await shop.pool.query(`update devices set seen_at = now() - interval '29 minutes'`);
    expect((await bench.post(routes.sessionSeen)).status).toBe(204);
    const { rows } = await shop.pool.query<{ fresh: boolean }>(
      `select bool_or(seen_at > now() - interval '5 seconds') as fresh from devices`,
    );
    expect(rows[0]!.fresh).toBe(true);
  });

  it('signs out one, or whoever it is everywhere', async () => {
    expect((await bench.delete(routes.session)).body).toMatchObject({ state: 'locked', here: [{ id: 'maud' }] });
    await enter(bench, 'Maud Ferrier');
    const other = device();
    await enter(other, 'Maud Ferrier');
    const out = await bench.post(routes.sessionOutEverywhere);
    expect([out.body.state, out.headers['set-cookie']![0]]).toEqual([
      'out',
      expect.stringMatching(/^iron-patch=; Path=\/; Expires=Thu, 01 Jan 1970/),
    ]);
    expect((await other.get(routes.shop)).status).toBe(401);
  });

  it('whoever leaves the shop, or is signed out by its owner, is out at once', async () => {
    const owner = device();
    await enter(owner, 'Maud Ferrier');
    expect((await bench.get(routes.shop)).status).toBe(200);
    await owner.post(routes.outEverywhere('tomas'));
    expect((await bench.get(routes.shop)).status).toBe(401);
    await enter(bench, 'Tomas Quill');
    const gone = await as(owner.put(routes.person('tomas')), 'maud')
      .set('If-Match', '"v1"')
      .send({ name: 'Tomas Quill', role: '', gone: true });
    expect(gone.status).toBe(200);
    expect((await bench.get(routes.shop)).status).toBe(401);
    expect(paths(await enter(bench, 'Tomas Quill'))).toEqual(['password wrong']);
  });

  it('takes what waited of somebody who was there, and of nobody else', async () => {
    const owner = device();
    await enter(owner, 'Maud Ferrier');
    const jobId = (await as(owner.post(routes.jobs).send(jobBody()), 'maud')).body.id as string;
    const partId = (await as(owner.post(routes.components(jobId)).send(componentBody()), 'maud')).body.id as string;
    const placeId = (await as(owner.post(routes.places(jobId)).send(placeBody(partId)), 'maud')).body.id as string;
    // Maud is at the bench; Tomas, who signed in there, took one before.
    await enter(bench, 'Maud Ferrier');
    const reading = readingBody(placeId, '39.90');
    expect((await as(bench.post(routes.readings(jobId)).send(reading), 'tomas').set(HEADERS.idempotencyKey, reading.id)).status).toBe(201);
    expect((await as(bench.post(routes.notes(jobId)).send({ station: 'receive', text: 'x' }), 'tomas')).body.type).toBe(
      '/problems/not-signed-in-here',
    );
    const waited = ['tomas', 'ines', 'maud'].map((personId) => ({ jobId, personId, input: readingBody(placeId, '39.91') }));
    const { answers } = (await as(bench.post(routes.readingsWaiting).send({ readings: waited }), 'maud')).body;
    expect(answers.map((a: { status: number }) => a.status)).toEqual([201, 401, 201]);
    const { rows } = await shop.pool.query<{ by: string[] }>('select array_agg(person_id order by seq) as by from readings');
    expect(rows[0]!.by).toEqual(['tomas', 'tomas', 'maud']);
  });

  it('a licensed matter is signed by one’s own PIN as oneself, or by the paper of somebody from outside', async () => {
    await bench.put(routes.ownPin).send({ password: PASSWORD, pin: '7291' });
    const jobId = (await as(bench.post(routes.jobs).send(jobBody()), 'tomas')).body.id as string;
    const sign = (value: object, digits = ''): request.Test =>
      as(bench.put(routes.choice(jobId, choiceKey.caution('vessel'))), 'tomas')
        .set('If-None-Match', '*')
        .set(HEADERS.pin, digits)
        .send({ value, reason: '' });
    expect(paths(await sign({ signedBy: 'Tomas Quill', licence: '7' }))).toEqual(['value.by by']);
    expect(paths(await sign({ signedBy: 'Maud Ferrier', licence: '7', by: 'shop' }, '7291'))).toEqual(['value.signedBy another']);
    expect(paths(await sign({ signedBy: 'Tomas Quill', licence: '7', by: 'shop' }, '7290'))).toEqual(['pin wrong']);
    expect(paths(await sign({ signedBy: 'Tomas Quill', licence: '7', by: 'shop' }))).toEqual(['pin wrong']);
    expect(paths(await sign({ signedBy: 'A surveyor', licence: '7', by: 'outside' })).sort()).toEqual([
      'value.on optionality',
      'value.photoId optionality',
    ]);
    expect(paths(await sign({ signedBy: 'A surveyor', licence: '7', by: 'outside', on: '2026-11-20', photoId: randomUUID() }))).toEqual([
      'value.photoId unknown',
    ]);
    expect((await sign({ signedBy: 'Tomas Quill', licence: '7', by: 'shop' }, '7291')).status).toBe(201);
  });

  it('puts on record who did what, which the server cannot take back', async () => {
    await as(bench.post(routes.jobs).send(jobBody({ title: 'Kept' })), 'tomas');
    await enter(device(), 'Tomas Quill', 'wrong wrong wrong');
    const owner = device();
    await enter(owner, 'Maud Ferrier');
    expect((await bench.get(routes.audit)).status).toBe(403);
    const { rows, next } = (await owner.get(`${routes.audit}?person=tomas`)).body as AuditPage;
    expect(rows.slice(0, 3).map((r) => [r.method, r.path, r.status])).toEqual([
      ['POST', routes.session, 401],
      ['POST', routes.jobs, 201],
      ['POST', routes.session, 200],
    ]);
    expect([next, rows[1]!.sent]).toEqual([null, expect.objectContaining({ title: 'Kept' })]);
    // No secret of anybody stands in it.
    const { rows: all } = await shop.pool.query<{ text: string }>(`select string_agg(audit::text, ' ') as text from audit`);
    for (const secret of [PASSWORD, OTHER, '7291']) expect(all[0]!.text).not.toContain(secret);
    expect(
      (await owner.get(`${routes.audit}?before=${rows[1]!.seq}&person=tomas`)).body.rows.map((r: { seq: number }) => r.seq),
    ).not.toContain(rows[1]!.seq);
    await expect(shop.pool.query('delete from audit')).rejects.toThrow('only added to');
  });
});
