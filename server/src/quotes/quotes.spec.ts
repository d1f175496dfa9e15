import { randomBytes, randomUUID } from 'node:crypto';
import { HEADERS, routes } from '@iron-patch/contract';
import { proposeRoute, quoteCard, workOut, type JobSheet, type QuoteRecord } from '@iron-patch/core';
import sharp from 'sharp';
import request from 'supertest';
import { caller, jobBody, makeJob, type Caller, type MadeJob } from '../testing/caller';
import { openTestShop, type TestShop } from '../testing/test-database';
import { textOfPdf } from '../testing/text-of-pdf';

let shop: TestShop;
let call: Caller;
beforeAll(async () => {
  shop = await openTestShop();
  call = caller(shop);
});
afterAll(() => shop.close());

const secret = (): string => randomBytes(32).toString('base64url');
const told = (wayIds: readonly string[], more: object = {}) => ({
  wayIds,
  words: 'We looked at it together on Monday.',
  notIncluded: 'Seals of the other cylinder',
  stopAtMinor: 50_000,
  validUntil: '2999-12-31',
  ready: [] as readonly object[],
  photoIds: [],
  token: secret(),
  ...more,
});
const sheetOf = async (jobId: string): Promise<JobSheet> => (await call.get(routes.sheet(jobId))).body as JobSheet;

interface Weighed extends MadeJob {
  readonly wayIds: readonly string[];
}

/** A job with two ways side by side. */
async function weighed(more: object = {}): Promise<Weighed> {
  const made = await makeJob(call, more);
  const pin = (await sheetOf(made.jobId)).components.find((c) => c.id === made.pinId)!;
  const wayIds = [randomUUID(), randomUUID()];
  for (const [i, id] of (['new-shaft', 'sleeve'] as const).entries())
    await call.put(routes.choice(made.jobId, `considered:${wayIds[i]!}`), { value: proposeRoute(id, pin, [], i, 1), reason: '' }, '*');
  return { ...made, wayIds };
}
const quoted = async (job: Weighed, more: object = {}) => {
  const input = told(job.wayIds, more);
  const res = await call.post(routes.quotes(job.jobId), input);
  expect(res.status).toBe(201);
  return { quote: res.body as QuoteRecord, token: input.token, job };
};
const page = (token: string) => request(shop.app).get(routes.quotePage(token));
const answer = (token: string, body: object) => request(shop.app).post(routes.quotePage(token)).type('form').send(body);

describe('a quote', () => {
  it('is exactly what the job says today, made once however often it is sent, and of its link only a digest is kept', async () => {
    const job = await weighed();
    const input = told(job.wayIds);
    const key = randomUUID();
    const first = await call.post(routes.quotes(job.jobId), input, key);
    const again = await call.post(routes.quotes(job.jobId), input, key);
    expect([first.status, again.body]).toEqual([201, first.body]);
    const sheet = await sheetOf(job.jobId);
    const { shop: card } = (await call.get(routes.shop)).body;
    const { token, ...said } = { ...input, ready: [] };
    expect(sheet.quotes).toHaveLength(1);
    expect(sheet.quotes[0]!.card).toEqual(quoteCard(sheet, workOut(sheet, card).routes, card, said, sheet.quotes[0]!.card.madeOn));
    expect(sheet.quotes[0]!.card.ways.map((w) => w.priceMinor! > 0)).toEqual([true, true]);
    const tables = (await shop.pool.query<{ name: string }>(`select tablename as name from pg_tables where schemaname = 'public'`)).rows;
    for (const { name } of tables) {
      const found = await shop.pool.query(`select 1 from ${name} t where strpos(t::text, $1) > 0`, [token]);
      expect([name, found.rowCount]).toEqual([name, 0]);
    }
    await expect(shop.pool.query(`update quotes set card = '{}'`)).rejects.toThrow('only added to');
    await expect(shop.pool.query(`delete from quote_answers`)).resolves.toMatchObject({ rowCount: 0 });
  });

  it('keeps by when each way is ready, with its chance, which the customer is not told', async () => {
    const job = await weighed();
    const [first, second] = job.wayIds;
    const ready = [{ wayId: second, day: '2999-03-04', chance: 0.8125 }];
    expect((await call.post(routes.quotes(job.jobId), told(job.wayIds, { ready }))).status).toBe(201);
    const { ways } = (await sheetOf(job.jobId)).quotes[0]!.card;
    expect(ways.find((w) => w.id === second)).toMatchObject({ readyBy: '2999-03-04', readyChance: 0.8125 });
    expect(ways.find((w) => w.id === first)).toMatchObject({ readyChance: null });
    const twice = { ready: [...ready, ...ready] };
    const past = { ready: [{ ...ready[0], day: '2020-01-01' }] };
    for (const [more, path] of [
      [twice, 'ready.1.wayId'],
      [past, 'ready.0.day'],
    ] as const)
      expect((await call.post(routes.quotes(job.jobId), told(job.wayIds, more))).body.problems[0].path).toBe(path);
  });

  it('refuses what is no quote at its field, and nobody', async () => {
    const job = await weighed();
    const wrong = async (more: object): Promise<string[]> =>
      ((await call.post(routes.quotes(job.jobId), told(job.wayIds, more))).body.problems as { path: string }[]).map((p) => p.path);
    expect(await wrong({ wayIds: [] })).toEqual(['wayIds']);
    expect(await wrong({ wayIds: [randomUUID()] })).toEqual(['wayIds']);
    expect(await wrong({ wayIds: [job.wayIds[0], job.wayIds[0]] })).toEqual(['wayIds']);
    expect(await wrong({ photoIds: [randomUUID()] })).toEqual(['photoIds']);
    expect(await wrong({ validUntil: '2020-01-01' })).toEqual(['validUntil']);
    expect(await wrong({ validUntil: null })).toEqual(['validUntil']);
    const [wayId] = (await weighed()).wayIds;
    expect(await wrong({ ready: [{ wayId, day: '2999-01-01', chance: 0.8 }] })).toEqual(['ready.0.wayId']);
    expect(await wrong({ ready: [{ wayId, day: '2026-02-30', chance: 2 }] })).toEqual(['ready.0.day', 'ready.0.chance']);
    expect(await wrong({ token: 'short' })).toEqual(['token']);
    expect(await wrong({ stopAtMinor: 1.5 })).toEqual(['stopAtMinor']);
    expect((await caller(shop, '').post(routes.quotes(job.jobId), told(job.wayIds))).status).toBe(403);
    expect((await call.post(routes.quotes(randomUUID()), told(job.wayIds))).status).toBe(404);
    expect((await call.post(routes.quotes(job.jobId), told(job.wayIds), 'no-id')).status).toBe(400);
  });

  it('and what becomes of it, makes the job stand anew', async () => {
    const job = await weighed();
    const changed = async (): Promise<number> =>
      Number((await shop.pool.query<{ n: string }>('select changed::text as n from standings where job_id = $1', [job.jobId])).rows[0]!.n);
    const before = await changed();
    const { quote, token } = await quoted(job);
    const made = await changed();
    await answer(token, { say: 'no', name: 'Ada', note: '' });
    expect([made > before, (await changed()) > made]).toEqual([true, true]);
    expect((await sheetOf(job.jobId)).quotes[0]).toMatchObject({ id: quote.id, answer: { wayId: null, name: 'Ada' } });
  });

  it('is on paper as it was shown', async () => {
    const { quote } = await quoted(await weighed());
    const pdf = await call.get(routes.quotePdf(quote.id));
    expect([pdf.status, pdf.headers['content-type']]).toEqual([200, 'application/pdf']);
    const text = textOfPdf(pdf.body as Buffer).join(' ');
    expect(text).toContain('New shaft');
    expect(text).toContain('Seals of the other cylinder');
    expect((await call.get(routes.quotePdf(randomUUID()))).status).toBe(404);
  });
});

describe('the page for the customer', () => {
  it('shows this quote in plain words, escapes what people wrote, runs nothing and is kept by nobody', async () => {
    const job = await weighed({ title: '<script>alert(1)</script>', complaint: 'It "bangs" & <b>rattles</b>' });
    const { token } = await quoted(job);
    const res = await page(token);
    expect(res.status).toBe(200);
    expect(res.text).toContain('&lt;script&gt;alert(1)&lt;/script&gt;');
    expect(res.text).toContain('It &quot;bangs&quot; &amp; &lt;b&gt;rattles&lt;/b&gt;');
    expect(res.text).not.toContain('<script');
    expect(res.text).toMatch(/about \d+ crowns, between/);
    expect(res.text).toContain('A licensed person passes it before service');
    expect(res.text).not.toContain(job.jobId);
    expect(res.headers['content-security-policy']).toContain("default-src 'none'");
    expect(res.headers['cache-control']).toBe('no-store');
    expect(res.headers['referrer-policy']).toBe('same-origin');
    expect(res.headers['x-robots-tag']).toContain('noindex');
    expect(res.headers['set-cookie']).toBeUndefined();
  });

  it('takes one answer with a name; what was said first stands', async () => {
    const { token, job, quote } = await quoted(await weighed());
    const nameless = await answer(token, { say: `yes:${job.wayIds[1]!}`, name: ' ', note: 'soon please' });
    expect(nameless.status).toBe(422);
    expect(nameless.text).toContain('Please give your name.');
    expect(nameless.text).toContain('soon please');
    expect((await answer(token, { say: `yes:${randomUUID()}`, name: 'Ada', note: '' })).status).toBe(422);
    expect((await answer(token, { name: 'Ada' })).status).toBe(422);
    expect((await answer(token, { say: `yes:${job.wayIds[1]!}`, name: 'Ada', note: 'soon' })).status).toBe(303);
    expect((await answer(token, { say: 'no', name: 'Eve', note: '' })).status).toBe(303);
    const res = await page(token);
    expect(res.text).toContain('Yes: Sleeve');
    expect(res.text).toContain('Said by Ada');
    expect(res.text).not.toContain('<form');
    const [now] = (await sheetOf(job.jobId)).quotes;
    expect(now!.answer).toMatchObject({ wayId: job.wayIds[1], name: 'Ada', note: 'soon' });
    expect((await call.post(routes.quoteWithdrawal(quote.id), { why: 'x' })).status).toBe(422);
    expect((await call.post(routes.quoteLink(quote.id), { token: secret() })).status).toBe(422);
  });

  it('of many answers that come at once keeps one', async () => {
    const { token, job } = await quoted(await weighed());
    const all = await Promise.all(
      Array.from({ length: 12 }, (_, i) => answer(token, { say: i % 2 ? 'no' : `yes:${job.wayIds[0]!}`, name: `P${i}`, note: '' })),
    );
    expect(all.map((r) => r.status)).toEqual(Array(12).fill(303));
    const { rowCount } = await shop.pool.query('select 1 from quote_answers where quote_id = $1', [
      (await sheetOf(job.jobId)).quotes[0]!.id,
    ]);
    expect(rowCount).toBe(1);
  });

  it('takes questions without using up the answer, and not without end', async () => {
    const { token, job } = await quoted(await weighed());
    expect((await answer(token, { say: 'ask', name: 'Ada', note: '' })).text).toContain('Please write your question.');
    expect((await answer(token, { say: 'ask', name: 'Ada', note: 'How long is it away?' })).status).toBe(303);
    expect((await page(token)).text).toContain('How long is it away?');
    for (let i = 0; i < 19; i++) await answer(token, { say: 'ask', name: 'Ada', note: `And ${i}?` });
    expect((await answer(token, { say: 'ask', name: 'Ada', note: 'One more?' })).text).toContain('please telephone');
    expect((await answer(token, { say: `yes:${job.wayIds[0]!}`, name: 'Ada', note: '' })).status).toBe(303);
    expect((await sheetOf(job.jobId)).quotes[0]!.questions).toHaveLength(20);
  });

  it('leads nowhere by a guess, an old link, a withdrawn or a run-out quote, in the same words', async () => {
    const { token, quote } = await quoted(await weighed());
    const nowhere = (await page(secret())).text;
    const isGone = async (t: string): Promise<void> => {
      for (const res of [await page(t), await answer(t, { say: 'no', name: 'Ada', note: '' })])
        expect([res.status, res.text]).toEqual([404, nowhere]);
    };
    for (const t of ['x', '..%2f', 'A'.repeat(43), `${token}x`, token.toLowerCase()]) await isGone(t);
    const newer = secret();
    expect((await call.post(routes.quoteLink(quote.id), { token: newer })).status).toBe(201);
    await isGone(token);
    expect((await page(newer)).status).toBe(200);
    expect((await call.post(routes.quoteWithdrawal(quote.id), { why: '' })).body.problems[0].path).toBe('why');
    expect((await call.post(routes.quoteWithdrawal(quote.id), { why: 'Prices went up' })).status).toBe(201);
    await isGone(newer);
    const old = await quoted(await weighed());
    // Run out: the same card, a day ago.
    const late = { ...old.quote.card, validUntil: '2020-01-01' };
    const id = randomUUID();
    const t = secret();
    await shop.pool.query(`insert into quotes (id, job_id, number, card, person_id) values ($1, $2, 9, $3, 'tomas')`, [
      id,
      old.job.jobId,
      JSON.stringify(late),
    ]);
    await shop.pool.query(`insert into quote_links (digest, quote_id, person_id) values (sha256($1::text::bytea), $2, 'tomas')`, [t, id]);
    await isGone(t);
  });

  it('shows the pictures that were picked, and no other', async () => {
    const job = await weighed();
    const jpeg = await sharp({ create: { width: 40, height: 30, channels: 3, background: '#456' } })
      .jpeg()
      .toBuffer();
    const put = async (): Promise<string> =>
      (
        await request(shop.app)
          .post(routes.photos(job.jobId))
          .set(HEADERS.person, 'tomas')
          .set(HEADERS.idempotencyKey, randomUUID())
          .set('Content-Type', 'image/jpeg')
          .send(jpeg)
      ).body.id as string;
    const [shown, other] = [await put(), await put()];
    const { token } = await quoted(job, { photoIds: [shown] });
    expect((await page(token)).text).toContain(routes.quotePicture(token, shown));
    const picture = await request(shop.app).get(routes.quotePicture(token, shown));
    expect([picture.status, picture.headers['content-type']]).toEqual([200, 'image/jpeg']);
    expect((await request(shop.app).get(routes.quotePicture(token, other))).status).toBe(404);
    expect((await request(shop.app).get(routes.quotePicture(secret(), shown))).status).toBe(404);
  });

  it('is refused to a page of another site, and takes no body that is none without falling over', async () => {
    const { token, job } = await quoted(await weighed());
    const foreign = await answer(token, { say: 'no', name: 'Eve', note: '' }).set('Origin', 'https://elsewhere.example');
    expect(foreign.status).toBe(403);
    const send = (type: string, body: string) => request(shop.app).post(routes.quotePage(token)).set('Content-Type', type).send(body);
    for (const [type, body] of [
      ['application/json', '{"say":"no","name":"Eve"}'],
      ['application/x-www-form-urlencoded', 'say=no&say=ask&name[]=x'],
      ['application/x-www-form-urlencoded', `say=no&name=Eve&note=${'x'.repeat(5000)}`],
      ['application/x-www-form-urlencoded', 'say=no&name=%00%01&note=a'],
      ['application/x-www-form-urlencoded', '__proto__=1&constructor=2'],
      ['text/plain', 'say=no'],
    ] as const) {
      const { status } = await send(type, body);
      expect(status).toBe(422);
    }
    expect((await send('application/x-www-form-urlencoded', `note=${'x'.repeat(40_000)}`)).status).toBe(413);
    expect((await sheetOf(job.jobId)).quotes[0]!.answer).toBeNull();
  });

  it('stands a hundred looks a minute from one address, not a search for links', async () => {
    const statuses = await Promise.all(Array.from({ length: 130 }, async () => (await page(secret())).status));
    expect(statuses).toContain(429);
    expect((await call.post(routes.jobs, jobBody())).status).toBe(201);
  });
});
