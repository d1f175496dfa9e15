import { randomUUID } from 'node:crypto';
import { HEADERS } from '@iron-patch/contract';
import { ACCESSES, whatMay, whoMay, type Access } from '@iron-patch/core/terms/access';
import request from 'supertest';
import { openLockedShop, openTestShop, type TestShop } from '../testing/test-database';
import { signedInAs } from '../testing/signed-in';

/** Who may, by first letters: owner, machinist, apprentice, desk, reader; `-` for what asks nobody who they are. Written by hand. */
const WHO: Readonly<Record<string, string>> = {
  'GET /api/alive': '-',
  'GET /api/health': '-',
  'HEAD /api/live': 'omadr',
  'GET /api/live': 'omadr',
  'GET /api/session': '-',
  'POST /api/session': '-',
  'POST /api/session/first': '-',
  'POST /api/session/pin': '-',
  'POST /api/session/lock': '-',
  'DELETE /api/session': '-',
  'POST /api/session/seen': 'omadr',
  'POST /api/session/out-everywhere': 'omadr',
  'PUT /api/session/password': 'omadr',
  'PUT /api/session/own-pin': 'omadr',
  'GET /api/accounts': 'o',
  'PUT /api/accounts/:id/password': 'o',
  'POST /api/accounts/:id/out-everywhere': 'o',
  'GET /api/audit': 'o',
  'GET /api/shop': 'omadr',
  'PUT /api/shop/card': 'o',
  'GET /api/customers': 'omadr',
  'PUT /api/instruments/:id': 'om',
  'POST /api/instruments/:id/checks': 'oma',
  'PUT /api/drill-sets/:id': 'om',
  'PUT /api/tools/:id': 'om',
  'PUT /api/people/:id': 'o',
  'PUT /api/machines/:id': 'o',
  'PUT /api/bars/:id': 'om',
  'GET /api/bars/:id/counts': 'omadr',
  'GET /api/saw': 'omadr',
  'POST /api/bars/:id/sawn': 'oma',
  'PUT /api/shop/rates': 'o',
  'GET /api/shop/rates/history': 'omadr',
  'PUT /api/shop/hours': 'omd',
  'GET /api/run-order': 'omadr',
  'PUT /api/run-order': 'omd',
  'PUT /api/run-order/calendar': 'omd',
  'PUT /api/house-rules/:id': 'o',
  'POST /api/house-rules/:id/preview': 'omadr',
  'GET /api/house-rules/:id/history': 'omadr',
  'GET /api/floor': 'omadr',
  'GET /api/floor/rows': 'omadr',
  'GET /api/floor/promised': 'omadr',
  'GET /api/search': 'omadr',
  'GET /api/ledger': 'omadr',
  'GET /api/ledger/sums': 'omadr',
  'GET /api/ledger/old-lists': 'omadr',
  'POST /api/ledger/old-lists': 'o',
  'POST /api/ledger/old-lists/:id/withdrawal': 'o',
  'GET /api/everything.zip': 'o',
  'POST /api/jobs': 'omad',
  'GET /api/jobs/:id': 'omadr',
  'PUT /api/jobs/:id': 'omad',
  'GET /api/jobs/:id/sheet': 'omadr',
  'GET /api/jobs/:id/rows': 'omadr',
  'GET /api/jobs/:id/alike': 'omadr',
  'POST /api/jobs/:id/components': 'oma',
  'GET /api/components/:id': 'omadr',
  'PUT /api/components/:id': 'oma',
  'DELETE /api/components/:id': 'oma',
  'POST /api/jobs/:id/places': 'oma',
  'GET /api/places/:id': 'omadr',
  'PUT /api/places/:id': 'oma',
  'DELETE /api/places/:id': 'oma',
  'POST /api/readings': 'omadr',
  'POST /api/jobs/:id/readings': 'oma',
  'POST /api/jobs/:id/readings-file': 'oma',
  'GET /api/jobs/:id/readings.csv': 'omadr',
  'PUT /api/jobs/:id/choices/part': 'oma',
  'PUT /api/jobs/:id/choices/run:x': 'oma',
  'PUT /api/jobs/:id/choices/returned': 'om',
  'PUT /api/jobs/:id/choices/caution:vessel': 'om',
  'PUT /api/jobs/:id/choices/caution%3Avessel': 'om',
  'PUT /api/jobs/:id/choices/accept:x': 'om',
  'PUT /api/jobs/:id/choices/called-off': 'omad',
  'PUT /api/jobs/:id/choices/comeback': 'omad',
  'PUT /api/jobs/:id/choices/urgency': 'omd',
  'GET /api/jobs/:id/choices/:key/history': 'omadr',
  'POST /api/jobs/:id/releases': 'om',
  'POST /api/jobs/:id/proofs': 'om',
  'POST /api/jobs/:id/notes': 'omad',
  'POST /api/jobs/:id/quotes': 'omd',
  'POST /api/quotes/:id/link': 'omd',
  'POST /api/quotes/:id/withdrawal': 'omd',
  'GET /api/quotes/:id/quote.pdf': 'omadr',
  'POST /api/jobs/:id/photos': 'omad',
  'PUT /api/photos/:id': 'omad',
  'DELETE /api/photos/:id': 'omad',
  'GET /api/photos/:id/large.jpg': 'omadr',
  'GET /api/photos/:id/small.jpg': 'omadr',
  'POST /api/bundles': 'om',
  'GET /api/jobs/:id/bundle.json': 'omadr',
  'GET /api/jobs/:id/slip.pdf': 'omadr',
  'GET /api/jobs/:id/label.pdf': 'omadr',
  'GET /api/jobs/:id/first-article.pdf': 'omadr',
  'GET /api/jobs/:id/outside.pdf': 'omadr',
  'GET /api/jobs/:id/delivery.pdf': 'omadr',
  'GET /api/jobs/:id/report.pdf': 'omadr',
  'GET /api/jobs/:id/drawing.svg': 'omadr',
  'GET /api/jobs/:id/drawing.pdf': 'omadr',
  'GET /api/jobs/:id/drawing.dxf': 'omadr',
};

interface Layer {
  readonly route?: { readonly path: string | readonly string[]; readonly methods: Readonly<Record<string, boolean>> };
}
/** Every route that the server has, as Express holds it. */
const mounted = ({ app }: TestShop): string[] =>
  (app as unknown as { readonly router: { readonly stack: readonly Layer[] } }).router.stack
    .flatMap(({ route }) =>
      route ? [route.path].flat().flatMap((path) => Object.keys(route.methods).map((m) => `${m.toUpperCase()} ${path}`)) : [],
    )
    .filter((r) => r.includes(' /api/'));

/** What a request is answered by whom it is not for. */
const REFUSED = ['/problems/may-not'];
const NOBODY = ['/problems/sign-in', '/problems/locked'];

let shop: TestShop;
let cookies: ReadonlyMap<Access, string>;
beforeAll(async () => {
  shop = await openLockedShop();
  cookies = new Map(await Promise.all(ACCESSES.map(async (a) => [a, await signedInAs(shop, a, a)] as const)));
});
afterAll(() => shop.close());

const ask = (route: string, cookie: string, person: string): request.Test => {
  const [method, path] = route.split(' ') as [string, string];
  const at = path.replaceAll(':id', randomUUID()).replaceAll(':key', 'part');
  const r = request(shop.app)[method.toLowerCase() as 'get'](at).set(HEADERS.idempotencyKey, randomUUID());
  if (cookie) void r.set('Cookie', cookie).set(HEADERS.person, person);
  return method === 'GET' || method === 'HEAD' ? r : r.send({});
};
/** The live line never ends by itself. */
const typeOf = async (route: string, cookie: string, person = ''): Promise<string> => {
  if (route === 'GET /api/live') route = 'HEAD /api/live';
  const r = await ask(route, cookie, person);
  return r.status === 401 && route.startsWith('HEAD') ? NOBODY[0]! : String((r.body as { type?: string }).type ?? r.status);
};

it('every route of the server has its line', () => {
  const known = new Set(Object.keys(WHO).map((r) => r.replace(/choices\/[^:/]+(?=$)|choices\/[^/]+$/, 'choices/:key')));
  const all = mounted(shop);
  expect(all.length).toBeGreaterThan(70);
  expect(all.filter((r) => !known.has(r))).toEqual([]);
});

it.each(ACCESSES)('%s: may what the line says, and nothing else', async (access) => {
  const wrong: string[] = [];
  for (const [route, who] of Object.entries(WHO)) {
    // These would end the very sessions that are tried.
    if (/out-everywhere|DELETE \/api\/session|session\/lock/.test(route) && !route.includes(':id')) continue;
    const type = await typeOf(route, cookies.get(access)!, access);
    const may = who === '-' || who.includes(access[0]!);
    if (REFUSED.includes(type) === may || NOBODY.includes(type)) wrong.push(`${route}: ${type}`);
  }
  expect(wrong).toEqual([]);
});

it('nobody who is not signed in gets anything', async () => {
  const wrong: string[] = [];
  for (const [route, who] of Object.entries(WHO)) {
    const type = await typeOf(route, '');
    if (who !== '-' && !NOBODY.includes(type)) wrong.push(`${route}: ${type}`);
  }
  expect(wrong).toEqual([]);
});

it('nor by a name that the device does not have, a cookie that is made up, or a path that stands nowhere', async () => {
  const reader = cookies.get('reader')!;
  expect((await ask('PUT /api/shop/card', reader, 'owner')).body.type).toBe('/problems/not-signed-in-here');
  expect((await ask('POST /api/jobs/:id/readings', reader, 'owner')).body.type).toBe('/problems/not-signed-in-here');
  for (const cookie of [`iron-patch=${'A'.repeat(43)}`, 'iron-patch=', 'iron-patch="', `x=${reader.split('=')[1]}`])
    expect((await ask('GET /api/floor', cookie, 'owner')).body.type).toBe('/problems/sign-in');
  const owner = cookies.get('owner')!;
  for (const route of ['PATCH /api/jobs/:id', 'POST /api/nothing', 'DELETE /api/jobs/:id', 'PUT /api/jobs/:id/choices/part/x'])
    expect([route, (await ask(route, owner, 'owner')).body.type]).toEqual([route, '/problems/may-not']);
  // As written otherwise it is the same door.
  for (const path of ['/API/SHOP/CARD', '/api/shop/card/'])
    expect((await request(shop.app).put(path).set('Cookie', reader).set(HEADERS.person, 'reader').send({})).body.type).toBe(
      '/problems/may-not',
    );
});

it('where people are picked, roles hold all the same', async () => {
  const picked = await openTestShop();
  await picked.pool.query(
    `update people set access = id_access from (values ('ines', 'apprentice'), ('tomas', 'machinist')) v (id_of, id_access) where id = id_of`,
  );
  const put = (person: string): request.Test =>
    request(picked.app)
      .put('/api/shop/card')
      .set(HEADERS.person, person)
      .set('If-Match', '"v2"')
      .send({ name: 'X', unit: 'mm', walked: [] });
  for (const person of ['ines', 'tomas']) expect((await put(person)).body.type).toBe('/problems/may-not');
  expect((await put('nobody')).body.type).toBe('/problems/who-is-at-the-bench');
  expect((await put('maud')).status).toBe(200);
  expect((await request(picked.app).get('/api/audit').set(HEADERS.person, 'ines')).body.type).toBe('/problems/may-not');
  expect((await request(picked.app).get('/api/audit')).body.type).toBe('/problems/sign-in');
  await picked.close();
});

it('says in words what each may, and who may what', () => {
  expect(whoMay('shop')).toEqual(['Owner']);
  expect(whoMay('look')).toHaveLength(ACCESSES.length);
  expect(whatMay('reader')).toEqual(['look at jobs and papers']);
});
