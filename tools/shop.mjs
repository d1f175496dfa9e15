import { execFileSync, spawn } from 'node:child_process';
import { once } from 'node:events';
import { closeSync, existsSync, mkdirSync, openSync, readFileSync, renameSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { root } from './build.mjs';
import { healthy } from './health.mjs';
import { portTaken, postgres } from './postgres.mjs';

export const DATABASE = 'iron_patch';
/** A log that has grown beyond this is put aside, one old one kept, bytes. */
const MOST_LOG = 5_000_000;

/** Opens a log to add to. */
export function openLog(file) {
  mkdirSync(dirname(file), { recursive: true });
  if (existsSync(file) && statSync(file).size > MOST_LOG) renameSync(file, `${file}.1`);
  return openSync(file, 'a');
}

/** People, machines and bars of the demo. */
export const DEMO_CARD = join(root, 'demo/data/shop.json');

/** How long a server that lives may take to answer: longer than a busy machine needs, for its first act is to bring the database up to date. */
const OPENS_WITHIN_MS = 120_000;

/** Lines with which Node.js frames an error that nobody caught. */
const FRAME = /^(\s|Node\.js v|$)/;
const lastSaid = (text) => text.split('\n').findLast((line) => !FRAME.test(line)) ?? '';

/** The last thing that a log says. */
export const lastLine = (file) => (existsSync(file) ? lastSaid(readFileSync(file, 'utf8')) : '');

/**
 * A server process over a shop's database, once it answers.
 *
 * @param options.address by which this machine reaches it
 */
export async function serverOver(db, { port, address, card = '', signIn = 'password', log = null }) {
  const out = log ? openLog(log) : 'pipe';
  const server = spawn(process.execPath, ['--enable-source-maps', join(root, 'server/dist/main.mjs')], {
    cwd: root,
    stdio: ['ignore', out, out],
    env: {
      ...process.env,
      IRON_PATCH_PORT: String(port),
      IRON_PATCH_DATABASE_URL: db.url(DATABASE, 'app'),
      IRON_PATCH_OWNER_URL: db.url(DATABASE, 'owner'),
      IRON_PATCH_MIGRATIONS: join(root, 'server/migrations'),
      IRON_PATCH_WEB: join(root, 'web/dist'),
      IRON_PATCH_SIGN_IN: process.env.IRON_PATCH_SIGN_IN ?? signIn,
      IRON_PATCH_SHOP: process.env.IRON_PATCH_SHOP ?? card,
    },
  });
  if (log) closeSync(out);
  let said = '';
  server.stdout?.on('data', (d) => (said += d));
  server.stderr?.on('data', (d) => (said += d));
  for (const from = Date.now(); Date.now() - from < OPENS_WITHIN_MS;) {
    if (server.exitCode !== null || server.signalCode !== null)
      throw new Error(`The server did not start: ${(log ? lastLine(log) : lastSaid(said)) || 'it did not say why'}`);
    if (await healthy(address)) return server;
    await new Promise((r) => setTimeout(r, 50));
  }
  server.kill('SIGKILL');
  throw new Error(`The server did not answer within ${OPENS_WITHIN_MS / 1000} seconds${log ? `: see ${log}` : ''}.`);
}

/**
 * A running shop: its own PostgreSQL and the server over it.
 *
 * @param options.directory where the database lives; options.card file that the shop is set up from the first time, nothing for an empty
 *   one; options.log a file for the server's words, or null to drop them; options.signIn how people sign in, `password`, or `pick` on this
 *   machine alone
 */
export async function openShop({
  directory,
  port,
  dbPort,
  card = '',
  throwAway = false,
  durable = !throwAway,
  log = null,
  signIn = 'password',
}) {
  // A wrong setting is said before anything runs.
  const network = await import('../server/dist/network.mjs');
  const placed = network.readNetwork(process.env);
  if (await portTaken(port)) throw new Error(`Port ${port} is in use. Stop what runs there, or choose another with IRON_PATCH_PORT.`);
  const db = postgres(directory, dbPort, { throwAway, durable });
  if (!db.running() && (await portTaken(dbPort)))
    throw new Error(`Port ${dbPort} is in use. Choose another for the database with IRON_PATCH_DB_PORT.`);
  db.start();
  try {
    db.createDatabase(DATABASE);
  } catch (e) {
    db.stop();
    throw e;
  }
  const address = network.reachedHere(placed, port);
  let server = null;

  const startServer = async () => {
    server = await serverOver(db, { port, address, card, signIn, log });
  };

  try {
    await startServer();
  } catch (e) {
    // A start that failed leaves nothing running.
    db.stop();
    throw e;
  }
  return {
    address,
    /** What whoever starts it should know of its place on the network; empty on loopback. */
    warning: network.warningOf(placed),
    db,
    databaseUrl: db.url(DATABASE),
    pid: () => server.pid,
    startServer,
    /** Ends the server: asked to, or as a power cut would. */
    async endServer(signal) {
      const gone = once(server, 'exit');
      server.kill(signal);
      await gone;
    },
    loadDemo: () =>
      Number(
        execFileSync(process.execPath, [join(root, 'demo/dist/load-demo.mjs'), address, join(root, 'demo/data/jobs')], {
          encoding: 'utf8',
          // Our own server, by an address that no certificate names.
          ...(address.startsWith('https:') ? { env: { ...process.env, NODE_TLS_REJECT_UNAUTHORIZED: '0', NODE_NO_WARNINGS: '1' } } : {}),
        }),
      ),
    serverUp: () => server.exitCode === null && server.signalCode === null,
    async close() {
      if (server.exitCode === null && server.signalCode === null) {
        const gone = once(server, 'exit');
        server.kill('SIGTERM');
        await Promise.race([gone, new Promise((r) => setTimeout(r, 5000))]);
        if (server.exitCode === null && server.signalCode === null) server.kill('SIGKILL');
      }
      db.stop();
      if (throwAway) db.remove();
    },
  };
}
