import { once } from 'node:events';
import { createServer, connect, type AddressInfo, type Socket } from 'node:net';

/** A wire to the database that can be cut, frozen, and mended. */
export interface Wire {
  /** The database's address by way of the wire. */
  readonly url: string;
  /** Connections that are through it now. */
  open(): number;
  /** Drops what is on it; refuses what comes until it is mended. */
  cut(): void;
  /** Lets nothing through, and says nothing. */
  freeze(): void;
  mend(): void;
  close(): Promise<void>;
}

/** Lays a wire on loopback in front of a database. */
export async function layWire(databaseUrl: string): Promise<Wire> {
  const target = new URL(databaseUrl);
  const pairs = new Set<readonly [Socket, Socket]>();
  let state: 'whole' | 'cut' | 'frozen' = 'whole';
  const server = createServer((near) => {
    near.on('error', () => undefined);
    if (state === 'cut') return void near.destroy();
    const far = connect(Number(target.port), target.hostname);
    const pair = [near, far] as const;
    pairs.add(pair);
    const gone = (): void => {
      pairs.delete(pair);
      near.destroy();
      far.destroy();
    };
    for (const end of pair) end.on('error', gone).on('close', gone);
    near.pipe(far).pipe(near);
    if (state === 'frozen') for (const end of pair) end.pause();
  });
  server.listen(0, '127.0.0.1');
  await once(server, 'listening');
  const url = new URL(databaseUrl);
  url.port = String((server.address() as AddressInfo).port);
  const drop = (): void => {
    for (const [near, far] of pairs) {
      near.destroy();
      far.destroy();
    }
    pairs.clear();
  };
  return {
    url: String(url),
    open: () => pairs.size,
    cut() {
      state = 'cut';
      drop();
    },
    freeze() {
      state = 'frozen';
      for (const [near, far] of pairs) {
        near.unpipe(far);
        far.unpipe(near);
        near.pause();
        far.pause();
      }
    },
    mend() {
      // What was frozen half way through is lost, as with a machine that woke up to find its connections gone.
      if (state === 'frozen') drop();
      state = 'whole';
    },
    async close() {
      drop();
      server.close();
      await once(server, 'close');
    },
  };
}
