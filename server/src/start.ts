import { createServer as createPlain, type Server } from 'node:http';
import { createServer as createSecure } from 'node:https';
import type { AddressInfo } from 'node:net';
import pino, { type Logger } from 'pino';
import { createApp } from './app';
import type { Config } from './config';
import { grantRights, migrate, openPool } from './db';
import { forgetOldAnswers } from './http';
import { LiveHub } from './live';
import { namesOf, originOf, reachedHere, warningOf } from './network';
import { setUpShop } from './shop';
import { forgetOldDevices } from './sign-in';
import { Standings, type Bench } from './standings';

export interface Running {
  readonly address: string;
  stop(): Promise<void>;
}

const DAY_MS = 86_400_000;
/** What is being answered while the server is asked to stop may be answered. */
const LAST_ANSWERS_MS = 1500;

const listening = (server: Server): Promise<void> =>
  new Promise((resolve, reject) => {
    server.once('listening', resolve);
    server.once('error', reject);
  });

/** Where jobs are worked out, and which program does it. */
export interface Work {
  readonly bench: Bench;
  readonly program: string;
}

/** Migrates, listens, and stops cleanly when asked. */
export async function start(config: Config, { bench, program }: Work, log: Logger = pino({ level: 'warn' })): Promise<Running> {
  const pool = openPool(config.databaseUrl);
  pool.on('error', (err) => log.warn({ err }, 'idle database connection lost'));
  await migrate(config.ownerUrl, config.migrationsDirectory);
  await grantRights(config.ownerUrl);
  await setUpShop(pool, config.shopFile);
  const live = new LiveHub(config.databaseUrl, log);
  await live.start();
  const forget = (): void =>
    void Promise.all([forgetOldAnswers(pool), forgetOldDevices(pool)]).catch((err: unknown) =>
      log.warn({ err }, 'old answers and devices were not forgotten'),
    );
  forget();
  const daily = setInterval(forget, DAY_MS).unref();
  const standings = new Standings(pool, bench, log, program);
  standings.catchUp();
  const { network } = config;
  const warning = warningOf(network);
  if (warning) log.warn(warning);
  const app = createApp({
    pool,
    live,
    log,
    standings,
    bench,
    hosts: [...config.hosts, ...namesOf(network)],
    origin: originOf(network, config.port),
    timeZone: config.timeZone,
    gaugePort: config.gaugePort,
    signIn: config.signIn,
    webDirectory: config.webDirectory,
  });
  const server = network.certificate ? createSecure(network.certificate, app) : createPlain(app);
  server.listen(config.port, network.bind);
  await listening(server);
  return {
    address: reachedHere(network, (server.address() as AddressInfo).port),
    async stop() {
      clearInterval(daily);
      await live.stop();
      await new Promise<void>((resolve) => {
        server.close(() => resolve());
        server.closeIdleConnections();
        // A browser keeps a connection open that it may use again: it has had its time.
        setTimeout(() => server.closeAllConnections(), LAST_ANSWERS_MS).unref();
      });
      await standings.close();
      await pool.end();
    },
  };
}
