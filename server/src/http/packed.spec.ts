import { get, type IncomingMessage, type Server } from 'node:http';
import { once } from 'node:events';
import type { AddressInfo } from 'node:net';
import { routes } from '@iron-patch/contract';
import { caller, makeJob, readingBody } from '../testing/caller';
import { openTestShop, type TestShop } from '../testing/test-database';

/** Large answers go packed, small ones as they are, and the live line at once. */
let shop: TestShop;
let server: Server;
let address: string;
beforeAll(async () => {
  shop = await openTestShop();
  server = shop.app.listen(0, '127.0.0.1');
  await once(server, 'listening');
  address = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
});
afterAll(async () => {
  server.closeAllConnections();
  server.close();
  await shop.close();
});

/** The head and the size on the wire. */
const fetched = (path: string): Promise<{ encoding: string | undefined; bytes: number }> =>
  new Promise((resolve, reject) => {
    get(address + path, { headers: { 'Accept-Encoding': 'gzip' } }, (res: IncomingMessage) => {
      let bytes = 0;
      res.on('data', (d: Buffer) => (bytes += d.length));
      res.on('end', () => resolve({ encoding: res.headers['content-encoding'], bytes }));
    }).on('error', reject);
  });

it('packs a long sheet to less than a fifth, and leaves a short answer alone', async () => {
  const call = caller(shop);
  const { jobId, bodyId } = await makeJob(call);
  expect((await fetched(routes.job(jobId))).encoding).toBeUndefined();
  for (let i = 0; i < 60; i++) await call.post(routes.readings(jobId), readingBody(bodyId, `39.9${String(i).padStart(2, '0')}`));
  const plain = JSON.stringify((await call.get(routes.sheet(jobId))).body).length;
  const sheet = await fetched(routes.sheet(jobId));
  expect(sheet.encoding).toBe('gzip');
  expect(sheet.bytes).toBeLessThan(plain / 5);
});

it('does not hold the live line back', async () => {
  const started = performance.now();
  const hello = await new Promise<string>((resolve, reject) => {
    const asked = get(address + routes.live, { headers: { 'Accept-Encoding': 'gzip' } }, (res) => {
      res.once('data', (d: Buffer) => {
        resolve(`${res.headers['content-encoding'] ?? 'plain'} ${d.toString()}`);
        asked.destroy();
      });
    }).on('error', reject);
  });
  expect(hello).toContain('plain');
  expect(hello).toContain('event: hello');
  expect(performance.now() - started).toBeLessThan(1000);
});
