import { once } from 'node:events';
import { createServer } from 'node:net';

/** Ports of each worker, below those that the system gives to outgoing connections: a browser's may take one of those at any moment. */
const FIRST = 20_000;
const EACH = 1000;
let next = FIRST + EACH * Number(process.env['JEST_WORKER_ID'] ?? '1') + (process.pid % (EACH / 2));

/** A port on loopback that nobody else here draws. */
export async function freePort(): Promise<number> {
  for (;;) {
    const port = next++;
    const server = createServer().listen(port, '127.0.0.1');
    const free = await Promise.race([once(server, 'listening').then(() => true), once(server, 'error').then(() => false)]).catch(
      () => false,
    );
    if (!free) continue;
    server.close();
    await once(server, 'close');
    return port;
  }
}
