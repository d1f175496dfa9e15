import { randomBytes, randomUUID } from 'node:crypto';
import { choiceKey } from '@iron-patch/core';
import { HEADERS, routes } from '@iron-patch/contract';
import request from 'supertest';
import { caller, makeJob, type Caller } from '../testing/caller';
import { openTestShop, type TestShop } from '../testing/test-database';

let shop: TestShop;
let call: Caller;
beforeEach(async () => {
  shop = await openTestShop();
  call = caller(shop);
});
afterEach(() => shop.close());

const secret = (): string => randomBytes(32).toString('base64url');
/** With a key, as a screen sends it, so that the answer is kept. */
const put = (token: string | null, tag = '*') => call.put(routes.calendar, { token }, tag).set(HEADERS.idempotencyKey, randomUUID());
const fetched = (token: string) => request(shop.app).get(routes.calendarFeed(token));
/** Content lines unfolded, as RFC 5545 has it. */
const lines = (ics: string): string[] => ics.replace(/\r\n[ \t]/g, '').split('\r\n');

it('has promises and what is awaited, a day each, at its secret address alone', async () => {
  const { jobId } = await makeJob(call, { title: 'Pin; with, odd\nname', promisedOn: '2026-12-04' });
  await makeJob(call, { title: 'No promise', promisedOn: null });
  const bought = {
    kind: 'buy',
    name: 'Bush',
    quantity: 1,
    componentIds: [],
    route: '',
    position: 9,
    steps: [],
    cuts: [],
    size: '',
    source: '',
  };
  const item = { ...bought, leadDays: 3, here: false, after: [], tried: '', givesWay: false, off: false };
  const itemId = '0b0e8f3e-6a1e-4c3b-9a53-0d4f5a6b7c8d';
  expect((await call.put(routes.choice(jobId, choiceKey.item(itemId)), { value: item, reason: '' }, '*')).status).toBe(201);
  await call.get(routes.runOrder);
  const token = secret();
  expect((await put(token)).status).toBe(201);
  const res = await fetched(token);
  expect([res.status, res.headers['content-type'], res.headers['cache-control']]).toEqual([
    200,
    'text/calendar; charset=utf-8',
    'no-store',
  ]);
  const text = lines(res.text);
  expect([text[0], text.at(-1) || text.at(-2)]).toEqual(['BEGIN:VCALENDAR', 'END:VCALENDAR']);
  expect(res.text.split('\r\n').every((l) => Buffer.byteLength(l) <= 75)).toBe(true);
  expect(text.filter((l) => l === 'BEGIN:VEVENT')).toHaveLength(2);
  expect(text).toContain('DTSTART;VALUE=DATE:20261204');
  expect(text).toContain('DTEND;VALUE=DATE:20261205');
  expect(text.find((l) => l.startsWith('SUMMARY:') && l.includes('promised'))).toMatch(/^SUMMARY:\d+ Pin\\; with\\, odd\\nname: promised$/);
  expect(text.some((l) => l.startsWith('SUMMARY:') && l.endsWith('bush on its way'))).toBe(true);
  expect(new Set(text.filter((l) => l.startsWith('UID:'))).size).toBe(2);
});

it('is found by nobody who does not know the address; another one ends it, and it can be ended', async () => {
  const [one, two] = [secret(), secret()];
  expect((await fetched(one)).status).toBe(404);
  await put(one);
  expect((await fetched(one)).status).toBe(200);
  for (const wrong of [two, 'x', one.slice(1), `${one}x`, '..%2F..', '%00']) {
    const res = await fetched(wrong);
    expect([res.status, res.text]).toEqual([404, 'There is no such calendar.']);
  }
  expect((await put(two, '*')).status).toBe(412);
  await put(two, '"v1"');
  expect([(await fetched(one)).status, (await fetched(two)).status]).toEqual([404, 200]);
  expect((await call.get(routes.runOrder)).body.calendar).toMatchObject({ version: 2, madeAt: expect.any(String) });
  await put(null, '"v2"');
  expect((await fetched(two)).status).toBe(404);
  expect((await call.get(routes.runOrder)).body.calendar).toEqual({ version: 3, madeAt: null });
  // The secret itself is neither in the card nor in what is kept of the requests.
  const { rows } = await shop.pool.query<{ all: string }>(
    `select (select string_agg(card::text, '') from kept_cards) || (select string_agg(to_jsonb(k)::text, '') from idempotency_keys k) as all`,
  );
  expect(rows[0]!.all.length).toBeGreaterThan(100);
  expect(rows[0]!.all).not.toContain(two);
  expect((await put('short', '"v3"')).body.problems[0].path).toBe('token');
});

it('is asked for no more often than people with calendars ever would', async () => {
  const statuses = new Set<number>();
  for (let k = 0; k < 130; k++) statuses.add((await fetched('x')).status);
  expect([...statuses]).toEqual([404, 429]);
});
