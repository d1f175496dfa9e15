import { chmodSync, existsSync, linkSync, mkdirSync, openSync, closeSync, readdirSync, rmSync, statSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { DATABASE } from './shop.mjs';

/** Where a backup is put together before it is whole. */
const UNFINISHED = '.unfinished';
const RESTORING = `${DATABASE}_restoring`;
/** Backups made by themselves: their names, and how many are kept. */
const NIGHTLY = /^iron-patch-\d{4}-\d{2}-\d{2}T\d{6}\.dump$/;
const KEPT = 14;

/** What a shop holds, as told after a backup and a restore. */
const COUNTS = `select (select count(*) from jobs), (select count(*) from readings), (select count(*) from photos)`;
const told = (line) => {
  const [jobs, readings, photos] = line.trim().split('|').map(Number);
  return { jobs, readings, photos, words: `${jobs} jobs, ${readings} readings, ${photos} photographs` };
};
export const countsOf = (db, database = DATABASE) => told(db.ask(database, COUNTS));

const megabytes = (file) => `${(statSync(file).size / 1e6).toFixed(1)} MB`;

/** The name of a backup of this moment. */
export const backupName = (now = new Date()) => `iron-patch-${now.toISOString().slice(0, 19).replaceAll(':', '')}.dump`;

/**
 * Writes a backup with PostgreSQL's own tool, reads all of it back, and only then gives it its name. The database must run.
 *
 * @returns a sentence on what is in it
 */
export function backup(db, file) {
  const target = resolve(file);
  if (existsSync(target)) throw new Error(`${target} is there already: a backup overwrites nothing. Choose another name.`);
  mkdirSync(dirname(target), { recursive: true });
  const unfinished = target + UNFINISHED;
  rmSync(unfinished, { force: true });
  const out = openSync(unfinished, 'wx', 0o600);
  try {
    db.dump(DATABASE, out);
    closeSync(out);
    db.readBack(unfinished);
    // A name that somebody took meanwhile stays theirs.
    linkSync(unfinished, target);
    chmodSync(target, 0o600);
  } finally {
    rmSync(unfinished, { force: true });
  }
  return `${countsOf(db).words} in ${target}, ${megabytes(target)}, read back.`;
}

/**
 * Brings a backup back into a data folder without jobs: into a database beside first, which takes the empty one's place once it is whole.
 *
 * @returns a sentence on what came
 */
export function restore(db, file) {
  const source = resolve(file);
  if (!existsSync(source)) throw new Error(`There is no file ${source}.`);
  if (db.hasDatabase(DATABASE)) {
    const there = db.ask(DATABASE, `select to_regclass('jobs') is not null`).trim() === 't' ? countsOf(db) : { jobs: 0 };
    if (there.jobs > 0)
      throw new Error(
        `There are ${there.jobs} jobs in this data folder: a backup comes back into an empty one. Name another with IRON_PATCH_DATA.`,
      );
  }
  db.dropDatabase(RESTORING);
  db.createDatabase(RESTORING);
  try {
    db.load(RESTORING, source);
    const { words } = countsOf(db, RESTORING);
    db.dropDatabase(DATABASE);
    db.ask('postgres', `alter database ${RESTORING} rename to ${DATABASE}`);
    return `${words} are back from ${source}.`;
  } catch (e) {
    db.dropDatabase(RESTORING);
    throw new Error(`${source} did not come back, and nothing was changed: ${e.message}`, { cause: e });
  }
}

/** The hour of the next backup that is made by itself, ms from now; `at` is like `02:30`, local time. */
export function untilNext(at, now = new Date()) {
  const match = /^([01]?\d|2[0-3]):([0-5]\d)$/.exec(at);
  if (!match) throw new Error(`IRON_PATCH_BACKUP_AT is an hour like 02:30, not "${at}".`);
  const next = new Date(now);
  next.setHours(Number(match[1]), Number(match[2]), 0, 0);
  if (next <= now) next.setDate(next.getDate() + 1);
  return next - now;
}

/** Makes a backup every night into a folder and keeps the newest; a night that fails says so and the next one tries again. */
export function nightly(db, folder, at, say = console.log) {
  let timer;
  const wait = () => (timer = setTimeout(run, untilNext(at)));
  const run = () => {
    try {
      say(`Backup: ${backup(db, join(folder, backupName()))}`);
      const old = readdirSync(folder)
        .filter((f) => NIGHTLY.test(f))
        .sort()
        .slice(0, -KEPT);
      for (const name of old) rmSync(join(folder, name));
    } catch (e) {
      say(`There is no backup of this night: ${e.message}`);
    }
    wait();
  };
  wait();
  return () => clearTimeout(timer);
}
