import { once } from 'node:events';
import { request as send, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { choiceKey, seededRandom } from '@iron-patch/core';
import { routes } from '@iron-patch/contract';
import { caller, jobBody, makeJob, readingBody } from '../testing/caller';
import { openTestShop, type TestShop } from '../testing/test-database';

/** Whatever is sent to any route is answered, and never as if it were our own fault. */
const REQUESTS = Number(process.env['IRON_PATCH_FUZZ'] ?? 2500);
const TOGETHER = 8;
let shop: TestShop;
let server: Server;
let port: number;
let ids: { jobId: string; bodyId: string };
beforeAll(async () => {
  shop = await openTestShop();
  server = shop.app.listen(0, '127.0.0.1');
  await once(server, 'listening');
  port = (server.address() as AddressInfo).port;
  ids = await makeJob(caller(shop));
});
afterAll(async () => {
  server.closeAllConnections();
  server.close();
  await shop.close();
});

interface Sent {
  readonly method: string;
  readonly path: string;
  readonly headers: Record<string, string>;
  readonly body: string | Buffer;
}

const answerTo = ({ method, path, headers, body }: Sent): Promise<{ status: number; text: string }> =>
  new Promise((resolve, reject) => {
    const req = send({ host: '127.0.0.1', port, method, path, headers, timeout: 10_000 }, (res) => {
      let text = '';
      res.setEncoding('utf8');
      // The live line goes on for ever: its head is its answer.
      if (String(res.headers['content-type']).startsWith('text/event-stream')) {
        res.destroy();
        return resolve({ status: res.statusCode!, text });
      }
      res.on('data', (d: string) => (text += d));
      res.on('end', () => resolve({ status: res.statusCode!, text }));
      res.on('error', () => resolve({ status: res.statusCode!, text }));
    });
    req.on('timeout', () => req.destroy(new Error(`no answer to ${method} ${path}`)));
    req.on('error', (e: NodeJS.ErrnoException) =>
      // What is no HTTP at all is cut off.
      e.code === 'ECONNRESET' || e.code === 'EPIPE' ? resolve({ status: 400, text: '' }) : reject(e),
    );
    req.end(body);
  });

/** A machine that is busy elsewhere may say not now, as it says to a screen: asked again it answers. */
async function answerInTime(sent: Sent): Promise<{ status: number; text: string }> {
  for (let times = 1; ; times++) {
    const answer = await answerTo(sent);
    if (answer.status !== 503 || times === 5) return answer;
    await new Promise((r) => setTimeout(r, 1000));
  }
}

const NASTY = [
  ...['constructor', '__proto__', 'toString', 'hasOwnProperty', 'valueOf', 'prototype', 'then', 'length', ''],
  ...['%00', 'a\u0000b', '\ud800', '\udfff x', '‮', 'x'.repeat(70_000), "'; drop table jobs; --", '${7*7}', '../../etc/passwd', '=1+1'],
  ...['-0', '1e999', '-1e999', 'NaN', 'Infinity', '9'.repeat(400), '0.5', '1/0', '0x10', '１２'],
  ...[
    '0000-01-01',
    '-0001-01-01',
    '9999-12-31',
    '10000-01-01',
    '2026-02-30',
    '2026-11-26T25:00:00Z',
    '275760-09-13T00:00:01Z',
    '+012026-01-01T00:00:00Z',
  ],
] as const;

class Sender {
  private readonly uniform: () => number;
  constructor(seed: number) {
    this.uniform = seededRandom(seed);
  }
  private pick<T>(items: readonly T[]): T {
    return items[Math.floor(this.uniform() * items.length)]!;
  }
  private chance(p: number): boolean {
    return this.uniform() < p;
  }

  private anyValue(depth = 0): unknown {
    const nested = depth < 4;
    switch (Math.floor(this.uniform() * (nested ? 9 : 6))) {
      case 0:
        return this.pick(NASTY);
      case 1:
        return this.pick([0, -0, 1, -1, 0.1, 1e308, -1e308, 5e-324, 2 ** 53, 2 ** 31, 40.1]);
      case 2:
        return this.pick([true, false, null]);
      case 3:
        return this.pick([ids.jobId, ids.bodyId, 'tomas', 'mic-25-50', 'found', 'size', 'mm', 'in']);
      case 4:
        return '';
      case 5:
        return this.pick(['40.1', '0.7491', '3/4', '2026-12-04']);
      case 6:
        return Array.from({ length: Math.floor(this.uniform() * 5) }, () => this.anyValue(depth + 1));
      default:
        return Object.fromEntries(
          Array.from({ length: Math.floor(this.uniform() * 5) }, () => [
            this.pick([...NASTY.slice(0, 12), 'id', 'value', 'text', 'removed', 'segments']),
            this.anyValue(depth + 1),
          ]),
        );
    }
  }

  /** A body that would do, with something in it turned bad; or anything at all. */
  private body(): unknown {
    const good: Record<string, unknown> = this.pick([
      () => jobBody() as unknown as Record<string, unknown>,
      () => readingBody(ids.bodyId, '39.9') as unknown as Record<string, unknown>,
      () => ({ value: { schoolId: 'grease', hole: 'keep', truedMm: null }, reason: '' }),
      () => ({ value: { sizeMm: 40, name: '40 mm' }, reason: '' }),
      () => ({ station: 'strip', text: 'x' }),
      () => ({
        name: 'x',
        kind: 'micrometer',
        unit: 'mm',
        uMm: null,
        repeatMm: null,
        resolutionMm: null,
        biasMm: 0,
        rangeLowMm: 0,
        rangeHighMm: 25,
        calibratedOn: null,
        dueOn: null,
      }),
      () => ({ kind: 'metric', fromMm: 1, toMm: 13, stepMm: 0.5, removed: false }),
      () => ({ csv: 'station_mm,clock_deg,reading\n5,0,40.1\n' }),
    ])();
    if (this.chance(0.2)) return this.anyValue();
    for (const key of Object.keys(good)) if (this.chance(0.3)) good[key] = this.anyValue();
    if (this.chance(0.2)) good[this.pick(NASTY)] = this.anyValue();
    return good;
  }

  private path(): string {
    const id = (): string =>
      this.pick(
        [
          ids.jobId,
          ids.bodyId,
          ids.jobId.toUpperCase(),
          ...NASTY.slice(0, 19),
          '1',
          'null',
          'undefined',
          '..',
          '%2e%2e',
          '%zz',
          '%ed%a0%80',
        ].map(String),
      );
    const safe = (text: string): string =>
      this.chance(0.8)
        ? encodeURIComponent(text.replace(/[\ud800-\udfff]/g, '?')).slice(0, 3000)
        : text.replace(/[^\x21-\x7e]/g, '').slice(0, 3000);
    const key = (): string =>
      this.pick([
        choiceKey.fit(ids.bodyId),
        choiceKey.part,
        choiceKey.returned,
        `act:${ids.bodyId}`,
        ...NASTY.slice(0, 19).map(String),
        'constructor:x',
        '__proto__:y',
        'toString',
      ]);
    const made = this.pick(Object.values(routes).map((r) => (): string => (typeof r === 'string' ? r : r(safe(id()), safe(key())))))();
    return this.chance(0.1) ? `${made}?${safe(this.pick(NASTY))}=${safe(this.pick(NASTY))}` : made;
  }

  /** What a screen sends, with at most one thing in it turned bad. */
  private nearlyRight(): Sent {
    const { jobId, bodyId } = ids;
    const reading = { ...readingBody(bodyId, this.pick(['39.9', '39.85', '1 1/2', '3 thou'])), stationMm: this.pick([5, 20, 60]) };
    const [method, path, body] = this.pick<readonly [string, string, Record<string, unknown> | null]>([
      ['POST', routes.jobs, { ...jobBody() }],
      ['POST', routes.readings(jobId), reading],
      ['POST', routes.notes(jobId), { station: 'strip', text: 'x' }],
      ['PUT', routes.choice(jobId, choiceKey.fit(bodyId)), { value: { schoolId: 'grease', hole: 'keep', truedMm: null }, reason: '' }],
      ['PUT', routes.choice(jobId, choiceKey.nominal(bodyId)), { value: { sizeMm: 40, name: '40 mm' }, reason: '' }],
      ['PUT', routes.person(this.pick(['a', 'b'])), { name: 'Ada', role: '', gone: false }],
      ['PUT', routes.shopCard, { name: 'Upper Forge', unit: 'mm', decimalMark: ',', walked: [] }],
      [
        'PUT',
        routes.machine(this.pick(['a', 'b'])),
        { name: 'Saw', kind: 'saw', powerKw: null, note: '', lathe: null, mill: null, capacityMm: 200, tonnes: null, removed: false },
      ],
      [
        'PUT',
        routes.bar(this.pick(['a', 'b'])),
        {
          ...{ shape: 'tube', materialId: 'unknown', diameterMm: 50, innerMm: 30, finish: 'black', lengthMm: 400 },
          ...{ pieces: 1, place: '', priceMinor: null, why: '', removed: false },
        },
      ],
      ['PUT', routes.tool(this.pick(['a', 'b'])), { kind: 'tap', sizeMm: null, thread: 'M8', note: '', pieces: 1, removed: false }],
      ['PUT', routes.drillSet(this.pick(['a', 'b'])), { kind: 'metric', fromMm: 1, toMm: 13, stepMm: 0.5, removed: false }],
      ...[routes.floor, routes.shop, routes.sheet(jobId), routes.readingsCsv(jobId), routes.slip(jobId), routes.bundle(jobId)].map(
        (p) => ['GET', p, null] as const,
      ),
    ]);
    if (body && this.chance(0.6)) body[this.pick(Object.keys(body))] = this.anyValue();
    const headers = {
      ...{ 'Content-Type': 'application/json', 'X-Person': 'tomas', 'Idempotency-Key': String(this.uniform()) },
      ...(this.chance(0.5) ? { 'If-None-Match': '*' } : { 'If-Match': this.pick(['"v1"', '"v2"', '"v9"']) }),
    };
    return { method, path, headers, body: body ? JSON.stringify(body) : '' };
  }

  request(): Sent {
    return this.chance(0.4) ? this.nearlyRight() : this.anything();
  }

  private anything(): Sent {
    const method = this.pick(['GET', 'POST', 'PUT', 'PUT', 'DELETE', 'PATCH', 'HEAD', 'OPTIONS']);
    const plain = (text: string): string => text.replace(/[^\x20-\x7e]/g, '').slice(0, 300);
    const headers: Record<string, string> = {
      'Content-Type': this.pick([
        'application/json',
        'application/json',
        'application/json',
        'text/plain',
        'application/json; charset=klingon',
        'image/jpeg',
        plain(this.pick(NASTY)) || 'x',
      ]),
      'X-Person': this.chance(0.8) ? 'tomas' : plain(this.pick(NASTY)),
      'X-Screen': plain(this.pick(NASTY)),
      'Idempotency-Key': this.chance(0.9) ? String(this.uniform()) : plain(this.pick(NASTY)),
    };
    if (this.chance(0.5))
      headers['If-Match'] = this.pick([
        '"v1"',
        '"v0"',
        '"v99999999999999999999"',
        '"v-1"',
        '*',
        'v1',
        '"v2147483648"',
        plain(this.pick(NASTY)),
      ]);
    if (this.chance(0.3)) headers['If-None-Match'] = this.pick(['*', '"v1"', '']);
    if (this.chance(0.05)) headers['Content-Encoding'] = this.pick(['gzip', 'br', 'zip', 'x']);
    if (this.chance(0.05)) headers['Accept-Encoding'] = 'x';
    const body = this.pick<() => string | Buffer>([
      () => JSON.stringify(this.body()) ?? '',
      () => JSON.stringify(this.body()) ?? '',
      () => JSON.stringify(this.body()) ?? '',
      () => '{"a":'.repeat(50) + '1' + '}'.repeat(50),
      () => '['.repeat(20_000) + ']'.repeat(20_000),
      () => '{"value": {"__proto__": {"polluted": true}}, "constructor": {"prototype": {"polluted": true}}}',
      () => '{"text": "\\ud800", "unit": "mm"}',
      () => '{"text": "a\\u0000b"}',
      () => Buffer.from([0xff, 0xfe, 0x00, 0x7b]),
      () => '{"half": ',
    ])();
    return { method, path: this.path(), headers, body: method === 'GET' || method === 'HEAD' ? '' : body };
  }
}

it(
  'answers everything, never with an error of its own',
  async () => {
    const sender = new Sender(20261126);
    const seen: Record<number, number> = {};
    const wrong: string[] = [];
    for (let i = 0; i < REQUESTS; i += TOGETHER) {
      const batch = Array.from({ length: TOGETHER }, () => sender.request());
      const answers = await Promise.all(batch.map(answerInTime));
      answers.forEach(({ status, text }, k) => {
        seen[status] = (seen[status] ?? 0) + 1;
        const { method, path, headers, body } = batch[k]!;
        if (status >= 500)
          wrong.push(
            `${status} to ${method} ${path.slice(0, 120)} ${JSON.stringify(headers).slice(0, 300)} ${String(body).slice(0, 300)}: ${text.slice(0, 200)}`,
          );
      });
    }
    expect(wrong.slice(0, 12)).toEqual([]);
    // It got through as well as being refused.
    for (const status of [200, 201, 404, 422, 412]) expect(seen[status]).toBeGreaterThan(5);
    expect(({} as { polluted?: boolean }).polluted).toBeUndefined();
    expect((await answerTo({ method: 'GET', path: routes.floor, headers: {}, body: '' })).status).toBe(200);
  },
  Math.max(90_000, 25 * REQUESTS),
);
