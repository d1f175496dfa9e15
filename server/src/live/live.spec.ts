import { once } from 'node:events';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { routes } from '@iron-patch/contract';
import { caller, jobBody } from '../testing/caller';
import { openTestShop, type TestShop } from '../testing/test-database';

let shop: TestShop;
let server: Server;
beforeAll(async () => {
  shop = await openTestShop();
  server = shop.app.listen(0, '127.0.0.1');
  await once(server, 'listening');
});
afterAll(async () => {
  server.closeAllConnections();
  server.close();
  await shop.close();
});

/** Reads server-sent events until one passes. */
async function until(pass: (text: string) => boolean, act: () => Promise<unknown>): Promise<string> {
  const abort = new AbortController();
  const address = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  const res = await fetch(address + routes.live, { signal: abort.signal });
  const decoder = new TextDecoder();
  let text = '';
  let acted = false;
  for await (const chunk of res.body as unknown as AsyncIterable<Uint8Array>) {
    text += decoder.decode(chunk);
    if (!acted && text.includes('event: hello')) {
      acted = true;
      await act();
    }
    if (pass(text)) break;
  }
  abort.abort();
  return text;
}

it('tells every screen what was stored, and which screen did it', async () => {
  const call = caller(shop);
  let id = '';
  const text = await until(
    (t) => t.includes('event: stored') && t.includes(id),
    async () => {
      id = (await call.post(routes.jobs, jobBody())).body.id;
    },
  );
  expect(text).toContain(`"jobId" : "${id}"`);
  expect(text).toContain('"table" : "jobs"');
  expect(text).toContain('"screen" : "test-screen"');
});

it('comes back when the database drops its connection, and says hello again', async () => {
  const text = await until(
    (t) => (t.match(/event: hello/g) ?? []).length >= 2,
    () =>
      shop.pool.query(
        `select pg_terminate_backend(pid) from pg_stat_activity where query = 'listen iron_patch' and datname = current_database()`,
      ),
  );
  expect(text.match(/event: hello/g)!.length).toBeGreaterThanOrEqual(2);
});
