import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { buildAll, root } from './build.mjs';
import { postgres } from './postgres.mjs';
import { claim, end, handOver, ours } from './own-process.mjs';
import { openGauge } from './gauge.mjs';
import { openShop } from './shop.mjs';

const portIn = (name, usual) => {
  const port = Number(process.env[name] ?? usual);
  if (!Number.isInteger(port) || port < 1024 || port > 65535) throw new Error(`${name} is a port from 1024 to 65535.`);
  return port;
};
const directory = process.env.IRON_PATCH_DATA ?? (process.getuid?.() === 0 ? '/var/lib/iron-patch' : join(root, '.run/data'));
/** Who has this data folder open. */
const OWNER = join(directory, 'server.pid');
const settings = () => ({ directory, port: portIn('IRON_PATCH_PORT', 8460), dbPort: portIn('IRON_PATCH_DB_PORT', 8461) });

/** Resolves at the first Ctrl-C; further ones do not cut the orderly stop short. */
const untilStopped = () =>
  new Promise((resolve) => {
    process.on('SIGINT', resolve);
    process.on('SIGTERM', resolve);
  });

/** One at a time: two servers over one data folder, on two ports, would each think it their own. */
async function holding(work) {
  if (!claim(OWNER, process.pid))
    throw new Error(
      `Iron Patch runs already on the data in ${directory} (process ${ours(OWNER)}). Stop it first: ./iron-patch stop, or Ctrl-C where the demo runs.`,
    );
  try {
    await work();
  } catch (e) {
    rmSync(OWNER, { force: true });
    throw e;
  }
}

const demo = () =>
  holding(async () => {
    buildAll();
    const shop = await openShop(settings());
    let gauge = null;
    try {
      const loaded = shop.loadDemo();
      if (loaded) console.log(`Loaded the demo shop: ${loaded} jobs.`);
      gauge = await openGauge({ port: portIn('IRON_PATCH_GAUGE_PORT', 8463) });
      console.log(`Iron Patch runs at ${shop.address}  (Ctrl-C stops it)`);
      await untilStopped();
      console.log('\nStopping.');
    } finally {
      await gauge?.close();
      await shop.close();
      rmSync(OWNER, { force: true });
    }
  });

const start = () =>
  holding(async () => {
    buildAll();
    const shop = await openShop({ ...settings(), detached: true, log: join(root, '.run/server.log') });
    handOver(OWNER, shop.pid());
    shop.leaveRunning();
    console.log(`Iron Patch runs at ${shop.address}. Stop it with ./iron-patch stop.`);
    process.exit(0);
  });

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
