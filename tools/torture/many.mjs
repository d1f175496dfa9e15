import { once } from 'node:events';
import { healthy } from '../health.mjs';
import { freePort } from '../postgres.mjs';
import { openShop, serverOver } from '../shop.mjs';
import { proxyOver } from './proxy.mjs';

const up = (server) => server.exitCode === null && server.signalCode === null;

/**
 * A shop behind a proxy over several servers on one database. It is broken and mended as a shop of one server is: what is done to "the
 * server" is done to one of them, each in its turn.
 *
 * @param options as for a shop
 * @param count how many servers
 */
export async function openMany(options, count) {
  const shop = await openShop(options);
  const settings = { card: options.card, signIn: options.signIn, log: options.log };
  const ports = await Promise.all(Array.from({ length: count - 1 }, freePort));
  const reached = (port) => `http://127.0.0.1:${port}`;
  const start = (port) => serverOver(shop.db, { ...settings, port, address: reached(port) });
  const others = await Promise.all(ports.map(start));
  const proxy = await proxyOver([options.port, ...ports]);
  /** Whose turn it is; the first is the shop's own. */
  let at = 0;
  const endOne = async (signal) => {
    if (at === 0) return shop.endServer(signal);
    const gone = once(others[at - 1], 'exit');
    others[at - 1].kill(signal);
    await gone;
  };
  return {
    ...shop,
    address: proxy.address,
    pid: () => (at === 0 ? shop.pid() : others[at - 1].pid),
    serverUp: () => shop.serverUp() && others.every(up),
    /** True once each of them is well. */
    well: async () => (await Promise.all([options.port, ...ports].map((p) => healthy(reached(p))))).every(Boolean),
    endServer: endOne,
    async startServer() {
      if (!shop.serverUp()) await shop.startServer();
      for (const [i, server] of others.entries()) if (!up(server)) others[i] = await start(ports[i]);
      at = (at + 1) % count;
    },
    async close() {
      await proxy.close();
      for (const server of others) if (up(server)) server.kill('SIGKILL');
      await shop.close();
    },
  };
}
