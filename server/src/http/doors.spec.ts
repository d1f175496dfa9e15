import { routes } from '@iron-patch/contract';
import express from 'express';
import pino from 'pino';
import request from 'supertest';
import { jobBody } from '../testing/caller';
import { openTestShop, type TestShop } from '../testing/test-database';
import { readConfig } from '../config';
import { doors, writesLimited } from './doors';
import { errorMiddleware } from './error-middleware';

let shop: TestShop;
beforeAll(async () => {
  shop = await openTestShop();
});
afterAll(() => shop.close());

const get = (path: string, headers: Record<string, string>): request.Test => {
  const r = request(shop.app).get(path);
  for (const [name, value] of Object.entries(headers)) void r.set(name, value);
  return r;
};

it.each([['127.0.0.1'], ['localhost'], ['localhost:8460'], ['LOCALHOST:1'], ['[::1]:8460']])('opens to %s', async (host) => {
  expect((await get(routes.floor, { Host: host })).status).toBe(200);
});

it.each([['evil.example'], ['127.0.0.1.evil.example:8460'], ['localhost.'], ['192.168.1.9:8460'], ['localhost:8460:1'], ['']])(
  'is not served under the name "%s", not to look and not the live line',
  async (host) => {
    for (const path of [routes.floor, routes.live, routes.health, '/', routes.shop]) {
      const { status, body } = await get(path, { Host: host });
      expect([path, status, body.type]).toEqual([path, 421, '/problems/not-served-here']);
    }
  },
);

it('refuses pages of another site, whatever they ask', async () => {
  const own = { Host: 'localhost:8460' };
  for (const [headers, status] of [
    [{ ...own, Origin: 'http://localhost:8460' }, 200],
    [{ ...own, Origin: 'http://localhost:9999' }, 403],
    [{ ...own, Origin: 'http://evil.example' }, 403],
    [{ ...own, Origin: 'null' }, 403],
    [{ ...own, 'Sec-Fetch-Site': 'cross-site', 'Sec-Fetch-Mode': 'navigate' }, 200],
    [{ ...own, 'Sec-Fetch-Site': 'cross-site', 'Sec-Fetch-Mode': 'no-cors' }, 403],
    [{ ...own, 'Sec-Fetch-Site': 'same-site', 'Sec-Fetch-Mode': 'cors' }, 403],
    [{ ...own, 'Sec-Fetch-Site': 'same-origin', 'Sec-Fetch-Mode': 'cors' }, 200],
  ] as const)
    expect([headers, (await get(routes.floor, headers)).status]).toEqual([headers, status]);
  const sent = await request(shop.app).post(routes.jobs).set('Origin', 'http://evil.example').send(jobBody());
  expect([sent.status, sent.body.type]).toEqual([403, '/problems/cross-site']);
  const live = await get(routes.live, { ...own, Origin: 'http://evil.example' });
  expect(live.status).toBe(403);
});

it('opens to the names that the shop is told to be served under, and says which of them is none', async () => {
  const app = express().use(doors(['shop.osmere']), (_req, res) => void res.json({}));
  app.use(errorMiddleware(pino({ level: 'silent' })));
  expect((await request(app).get('/').set('Host', 'Shop.osmere:8460')).status).toBe(200);
  expect((await request(app).get('/').set('Host', 'other.osmere')).status).toBe(421);
  const env = { IRON_PATCH_DATABASE_URL: 'x' };
  expect(readConfig({ ...env, IRON_PATCH_HOSTS: 'shop.osmere, 10.0.0.7' }).hosts).toEqual(['shop.osmere', '10.0.0.7']);
  expect(() => readConfig({ ...env, IRON_PATCH_HOSTS: 'http://shop' })).toThrow('"http://shop" is none');
});

it('takes so much from one machine and no more, and says when again; looking is free', async () => {
  const app = express().use(writesLimited(3), (_req, res) => void res.json({}));
  const statuses: number[] = [];
  for (let i = 0; i < 5; i++) statuses.push((await request(app).post('/')).status);
  expect(statuses).toEqual([200, 200, 200, 429, 429]);
  const late = await request(app).put('/');
  expect([late.headers['retry-after'], late.body.type]).toEqual([expect.stringMatching(/^\d+$/), '/problems/too-many']);
  expect((await request(app).get('/')).status).toBe(200);
});
