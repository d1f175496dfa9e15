import { createServer } from 'node:http';
import { createProxyServer } from 'httpxy';

/** A server that was lost is tried again after so long. */
const LOST_MS = 300;

/**
 * A small proxy over several servers of one shop, as stands before them where one machine is not enough: each request goes to the next that
 * answers. Where one is gone before it answered, the request is told to come again.
 *
 * @param ports of the servers on this machine
 */
export async function proxyOver(ports) {
  const proxy = createProxyServer({});
  const lostAt = new Map(ports.map((p) => [p, -Infinity]));
  let turn = 0;
  const next = () => {
    const known = ports.filter((p) => performance.now() - lostAt.get(p) > LOST_MS);
    const among = known.length ? known : ports;
    return among[turn++ % among.length];
  };
  /** Which server a request went to. */
  const asked = new WeakMap();
  proxy.on('error', (_error, req, res) => {
    lostAt.set(asked.get(req), performance.now());
    if (res.headersSent) return void res.destroy();
    res.writeHead(503, { 'Content-Type': 'application/problem+json', 'Retry-After': '1' });
    res.end(JSON.stringify({ status: 503, title: 'This server is gone.' }));
  });
  const server = createServer((req, res) => {
    const port = next();
    asked.set(req, port);
    void proxy.web(req, res, { target: `http://127.0.0.1:${port}` });
  });
  await new Promise((resolve) => server.listen(0, '127.0.0.1', resolve));
  return {
    address: `http://127.0.0.1:${server.address().port}`,
    close: () => {
      server.closeAllConnections();
      return new Promise((resolve) => server.close(resolve));
    },
  };
}
