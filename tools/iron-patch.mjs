import { spawn } from 'node:child_process';
import { existsSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { createInterface } from 'node:readline/promises';
import { fileURLToPath } from 'node:url';
import { buildAll, root } from './build.mjs';
import { backup, backupName, nightly, restore, untilNext } from './backup.mjs';
import { portTaken, postgres } from './postgres.mjs';
import { keepUp } from './keep-up.mjs';
import { claim, end, ours } from './own-process.mjs';
import { openGauge } from './gauge.mjs';
import { healthy } from './health.mjs';
import { DATABASE, DEMO_CARD, lastLine, openLog, openShop } from './shop.mjs';

const portIn = (name, usual) => {
  const port = Number(process.env[name] ?? usual);
  if (!Number.isInteger(port) || port < 1024 || port > 65535) throw new Error(`${name} is a port from 1024 to 65535.`);
  return port;
};
const [command, ...rest] = process.argv.slice(2);
/** The demo never touches the shop's own data. */
const isDemo = command === 'demo' || command === 'reset' || rest.includes('--demo');
const folder = isDemo ? 'demo' : 'data';
const ofRoot = isDemo ? '/var/lib/iron-patch-demo' : '/var/lib/iron-patch';
const directory = process.env.IRON_PATCH_DATA ?? (process.getuid?.() === 0 ? ofRoot : join(root, '.run', folder));
/** Who has this data folder open. */
const OWNER = join(directory, 'server.pid');
const SERVER_LOG = join(directory, 'server.log');
const BACKUPS = { folder: process.env.IRON_PATCH_BACKUPS, at: process.env.IRON_PATCH_BACKUP_AT ?? '02:30' };
const START_MS = 180_000;
/** A real shop starts with nobody in it; the demo has people, machines and bars of its own. */
const settings = () => ({
  card: isDemo ? DEMO_CARD : '',
  /** The demo signs in by a name that is picked, on this machine alone. */
  signIn: isDemo ? 'pick' : 'password',
  directory,
  port: portIn('IRON_PATCH_PORT', 8460),
  dbPort: portIn('IRON_PATCH_DB_PORT', 8461),
});

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
    // A wrong hour is said before anything runs.
    if (BACKUPS.folder) untilNext(BACKUPS.at);
    const shop = await openShop({ ...settings(), log: SERVER_LOG });
    const watches = [
      keepUp({ what: 'The database', isUp: shop.db.running, start: () => shop.db.start(), log: join(directory, 'postgres.log') }),
      keepUp({ what: 'The server', isUp: shop.serverUp, start: shop.startServer, log: SERVER_LOG }),
    ];
    const noMore = BACKUPS.folder ? nightly(shop.db, BACKUPS.folder, BACKUPS.at) : () => undefined;
    try {
      await beside(shop);
    } finally {
      noMore();
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
      if (shop.warning) console.log(shop.warning);
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
  const { readNetwork, reachedHere, warningOf } = await import('../server/dist/network.mjs');
  const network = readNetwork(process.env);
  const address = reachedHere(network, settings().port);
  const out = openLog(SERVER_LOG);
  const keeper = spawn(process.execPath, [fileURLToPath(import.meta.url), 'keep'], {
    cwd: root,
    detached: true,
    stdio: ['ignore', out, out],
  });
  for (const from = Date.now(); Date.now() - from < START_MS; await new Promise((r) => setTimeout(r, 100))) {
    if (keeper.exitCode !== null) throw new Error(lastLine(SERVER_LOG).replace(/^iron-patch: /, ''));
    if (ours(OWNER) !== keeper.pid || !(await healthy(address))) continue;
    if (warningOf(network)) console.log(warningOf(network));
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

/** Whether the person at the keyboard agrees; nobody at it is no. */
async function agreed(question) {
  if (rest.includes('--yes')) return true;
  if (!process.stdin.isTTY) throw new Error(`${question} Say --yes to do it.`);
  const ask = createInterface({ input: process.stdin, output: process.stdout });
  const answer = await ask.question(`${question} (yes or no) `);
  ask.close();
  return /^y(es)?$/i.test(answer.trim());
}

/** The database of a data folder that nobody has open, for as long as the work takes. */
const withDatabase = (work) =>
  holding(async () => {
    const db = postgres(directory, settings().dbPort);
    const wasUp = db.running();
    if (!wasUp && (await portTaken(settings().dbPort)))
      throw new Error(`Port ${settings().dbPort} is in use. Choose another for the database with IRON_PATCH_DB_PORT.`);
    db.start();
    try {
      return await work(db);
    } finally {
      if (!wasUp) db.stop();
      rmSync(OWNER, { force: true });
    }
  });

async function reset() {
  if (!(await agreed(`This removes everything that was entered into the demo shop in ${directory}; a copy of it stays there.`)))
    return console.log('Nothing was done.');
  await stop({ quiet: true });
  buildAll();
  await withDatabase((db) => {
    if (db.hasDatabase(DATABASE)) console.log(`Removed, and kept: ${backup(db, join(directory, 'removed', backupName()))}`);
    db.dropDatabase(DATABASE);
  });
  await holding(async () => {
    const shop = await openShop(settings());
    console.log(`The demo shop is back: ${shop.loadDemo()} jobs.`);
    await shop.close();
    rmSync(OWNER, { force: true });
  });
}

const fileAmong = (args, what) => {
  const [file] = args.filter((a) => !a.startsWith('--'));
  if (!file) throw new Error(`Say which file: ./iron-patch ${what} FILE`);
  return file;
};

/** Does something with the database of a shop that runs or rests. */
async function withShop(work) {
  const db = postgres(directory, settings().dbPort);
  if (!existsSync(db.data)) throw new Error(`There is no shop in ${directory} yet.`);
  if (!db.running()) return withDatabase(work);
  db.start();
  return work(db);
}

/** PostgreSQL's dump is of one moment. */
async function backUp(args) {
  const file = fileAmong(args, 'backup');
  await withShop((db) => console.log(backup(db, file)));
}

async function password([name]) {
  if (!name || name.startsWith('--')) throw new Error('Say whose: ./iron-patch password "NAME"');
  await withShop(async (db) => {
    const { newPassword } = await import('./new-password.mjs');
    console.log(`${name} signs in with this once, and chooses another there: ${await newPassword(db, name)}`);
  });
}

async function bringBack(args) {
  const file = fileAmong(args, 'restore');
  refuseSecond();
  await withDatabase((db) => console.log(restore(db, file)));
}

async function gauge([file]) {
  buildAll();
  const running = await openGauge({ port: portIn('IRON_PATCH_GAUGE_PORT', 8463), ...(file ? { file } : {}) });
  console.log('Ctrl-C stops it.');
  await untilStopped();
  await running.close();
}

function isLanguage(name) {
  try {
    return Intl.PluralRules.supportedLocalesOf([name]).length > 0;
  } catch {
    return false;
  }
}

async function words(args) {
  const { markWords, takeWords } = await import('./other-words.mjs');
  const file = fileAmong(args, 'words');
  const language = args.find((a) => a.startsWith('--language='))?.slice('--language='.length);
  if (language && !isLanguage(language)) throw new Error(`${language} is no language that Node.js knows: say it like fr or pt-BR.`);
  if (args.includes('--marked')) markWords(file);
  else takeWords(file, language ?? '');
}

const commands = {
  demo,
  gauge,
  start,
  keep,
  stop,
  reset,
  backup: backUp,
  password,
  restore: bringBack,
  test: async () => (await import('./test.mjs')).test(),
  shots: async (args) => (await import('./shots.mjs')).shots(args),
  torture: async (args) => (await import('./torture/torture.mjs')).torture(args),
  words,
  bench: async () => (await import('./bench.mjs')).bench(),
};

try {
  await commands[command](rest);
} catch (e) {
  console.error(`iron-patch: ${e.message}`);
  process.exit(1);
}
