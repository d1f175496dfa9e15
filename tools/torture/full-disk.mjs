import { Buffer } from 'node:buffer';
import { execFileSync } from 'node:child_process';
import { closeSync, mkdtempSync, openSync, rmSync, statfsSync, writeSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { freePort } from '../postgres.mjs';
import { DEMO_CARD, openShop } from '../shop.mjs';

const DISK = '110m';
const TOO_SMALL = '12m';
const MEGABYTE = Buffer.alloc(1_000_000, 7);

/** A disk of that size, gone afterwards; null where this machine lets nobody mount one. */
async function withDisk(size, work) {
  const directory = mkdtempSync(join(tmpdir(), 'iron-patch-disk-'));
  try {
    execFileSync('mount', ['-t', 'tmpfs', '-o', `size=${size}`, 'tmpfs', directory], { stdio: 'pipe' });
  } catch {
    rmSync(directory, { recursive: true });
    return null;
  }
  try {
    return await work(directory);
  } finally {
    execFileSync('umount', [directory]);
    rmSync(directory, { recursive: true });
  }
}

/** Writes until nothing goes in any more. */
function fill(file) {
  const out = openSync(file, 'w');
  try {
    for (let left = MEGABYTE.length; left > 64;) {
      try {
        while (true) writeSync(out, MEGABYTE, 0, left);
      } catch (e) {
        if (e.code !== 'ENOSPC') throw e;
        left = Math.floor(left / 4);
      }
    }
  } finally {
    closeSync(out);
  }
}

const open = async (directory) =>
  openShop({
    directory,
    card: DEMO_CARD,
    signIn: 'pick',
    port: await freePort(),
    dbPort: await freePort(),
    log: join(directory, 'server.log'),
  });

/** A shop on a disk that fills up while somebody reads: what was acknowledged stays, what was not goes in once there is room again. */
async function fills(directory, makeJob, sendReading) {
  const shop = await open(directory);
  const filler = join(directory, 'filler');
  try {
    const place = await makeJob(shop.address, 'Pin on a small disk');
    const acknowledged = [];
    const take = async (id) => {
      const status = await sendReading(shop.address, place, id);
      if (status === 201) acknowledged.push(id);
      return status;
    };
    for (let i = 0; i < 20; i++) await take();
    fill(filler);
    const statuses = new Set();
    for (let i = 0; i < 400 && !statuses.has(503); i++) statuses.add(await take());
    if (!statuses.has(503)) throw new Error(`A full disk was answered with ${[...statuses].join(', ')}.`);
    if (!shop.serverUp()) throw new Error('The server died of a full disk.');
    rmSync(filler);
    if (!shop.db.running()) shop.db.start();
    for (let i = 0; i < 200 && (await take()) !== 201; i++) await new Promise((r) => setTimeout(r, 50));
    const there = Number(shop.db.ask('iron_patch', 'select count(*) from readings'));
    if (there !== acknowledged.length) throw new Error(`${acknowledged.length} readings were acknowledged, ${there} are there.`);
    return `${acknowledged.length} readings acknowledged before, while and after the disk was full, all there; 503 meanwhile, the server lived`;
  } finally {
    rmSync(filler, { force: true });
    await shop.close();
  }
}

/** What is said where there is no room to begin with. */
async function tooSmall(directory) {
  try {
    await (await open(directory)).close();
  } catch (e) {
    if (/no room left on the disk/.test(e.message) && statfsSync(directory)) return `a start without room says: ${e.message}`;
    throw new Error(`A start without room says: ${e.message}`, { cause: e });
  }
  throw new Error('It started on a disk without room.');
}

export async function fullDisk(makeJob, sendReading) {
  const told = [
    await withDisk(DISK, (directory) => fills(directory, makeJob, sendReading)),
    await withDisk(TOO_SMALL, (directory) => tooSmall(directory)),
  ];
  for (const line of told) console.log(`  ${line ?? 'not tried: this machine lets nobody mount a small disk'}`);
}
