import { spawn } from 'node:child_process';
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { buildAll, root } from './build.mjs';
import { postgres } from './postgres.mjs';
import { keepUp } from './keep-up.mjs';
import { claim, end, ours } from './own-process.mjs';
import { openGauge } from './gauge.mjs';
import { lastLine, openLog, openShop } from './shop.mjs';

const portIn = (name, usual) => {
  const port = Number(process.env[name] ?? usual);
  if (!Number.isInteger(port) || port < 1024 || port > 65535) throw new Error(`${name} is a port from 1024 to 65535.`);
  return port;
};
const directory = process.env.IRON_PATCH_DATA ?? (process.getuid?.() === 0 ? '/var/lib/iron-patch' : join(root, '.run/data'));
/** Who has this data folder open. */
const OWNER = join(directory, 'server.pid');
const SERVER_LOG = join(directory, 'server.log');
const START_MS = 40_000;
const settings = () => ({ directory, port: portIn('IRON_PATCH_PORT', 8460), dbPort: portIn('IRON_PATCH_DB_PORT', 8461) });

/** Resolves at the first Ctrl-C; further ones do not cut the orderly stop short. */
const untilStopped = () =>
  new Promise((resolve) => {
    process.on('SIGINT', resolve);
    process.on('SIGTERM', resolve);
  });

function refuseSecond() {
  const pid = ours(OWNER);
  if (pid !== null)
    throw new Error(
      `Iron Patch runs already on the data in ${directory} (process ${pid}). Stop it first: ./iron-patch stop, or Ctrl-C where the demo runs.`,
    );
}

/** One at a time: two servers over one data folder, on two ports, would each think it their own. */
async function holding(work) {
  if (!claim(OWNER, process.pid)) return refuseSecond();
  try {
    await work();
  } catch (e) {
    rmSync(OWNER, { force: true });
    throw e;
  }
}

/** Opens the shop, keeps its server and its database up until somebody stops it, and runs something beside. */
const keeping = (beside) =>
  holding(async () => {
    const shop = await openShop({ ...settings(), log: SERVER_LOG });
    const watches = [
      keepUp({ what: 'The database', isUp: shop.db.running, start: () => shop.db.start(), log: join(directory, 'postgres.log') }),
      keepUp({ what: 'The server', isUp: shop.serverUp, start: shop.startServer, log: SERVER_LOG }),
    ];
    try {
      await beside(shop);
    } finally {
      await Promise.all(watches.map((unwatch) => unwatch()));
      await shop.close();
      rmSync(OWNER, { force: true });
    }
  });

async function demo() {
  refuseSecond();
  buildAll();
  await keeping(async (shop) => {
    const loaded = shop.loadDemo();
    if (loaded) console.log(`Loaded the demo shop: ${loaded} jobs.`);
    const gauge = await openGauge({ port: portIn('IRON_PATCH_GAUGE_PORT', 8463) });
    try {
      console.log(`Iron Patch runs at ${shop.address}  (Ctrl-C stops it; its log is ${SERVER_LOG})`);
      await untilStopped();
      console.log('\nStopping.');
    } finally {
      await gauge.close();
    }
  });
}

/** What `start` leaves running. */
const keep = () =>
  keeping(async (shop) => {
    console.log(`Iron Patch runs at ${shop.address}.`);
    await untilStopped();
  });

async function start() {
  refuseSecond();
  buildAll();
  const { port } = settings();
  const out = openLog(SERVER_LOG);
  const keeper = spawn(process.execPath, [fileURLToPath(import.meta.url), 'keep'], {
    cwd: root,
    detached: true,
    stdio: ['ignore', out, out],
  });
  const address = `http://127.0.0.1:${port}`;
  for (const from = Date.now(); Date.now() - from < START_MS; await new Promise((r) => setTimeout(r, 100))) {
    if (keeper.exitCode !== null) throw new Error(lastLine(SERVER_LOG).replace(/^iron-patch: /, ''));
    if (ours(OWNER) !== keeper.pid || !(await fetch(`${address}/api/health`).catch(() => null))?.ok) continue;
    console.log(`Iron Patch runs at ${address}. Stop it with ./iron-patch stop; its log is ${SERVER_LOG}.`);
    process.exit(0);
  }
  keeper.kill('SIGTERM');
  throw new Error(`It did not start within ${START_MS / 1000} seconds: see ${SERVER_LOG}.`);
}

async function stop({ quiet = false } = {}) {
  let stopped = await end(OWNER);
  const db = postgres(directory, settings().dbPort);
  if (db.running()) {
    db.stop();
    stopped = true;
  }
  if (!quiet) console.log(stopped ? 'Stopped.' : 'Nothing was running.');
}

async function reset() {
  await stop({ quiet: true });
  buildAll();
  const db = postgres(directory, settings().dbPort);
  db.start();
  db.dropDatabase('iron_patch');
  const shop = await openShop(settings());
  console.log(`The demo shop is back: ${shop.loadDemo()} jobs.`);
  await shop.close();
}

async function gauge([file]) {
  buildAll();
  const running = await openGauge({ port: portIn('IRON_PATCH_GAUGE_PORT', 8463), ...(file ? { file } : {}) });
  console.log('Ctrl-C stops it.');
  await untilStopped();
  await running.close();
}

const commands = {
  demo,
  gauge,
  start,
  keep,
  stop,
  reset,
  test: async () => (await import('./test.mjs')).test(),
  shots: async (args) => (await import('./shots.mjs')).shots(args),
  bench: async () => (await import('./bench.mjs')).bench(),
};

try {
  await commands[process.argv[2]](process.argv.slice(3));
} catch (e) {
  console.error(`iron-patch: ${e.message}`);
  process.exit(1);
}
