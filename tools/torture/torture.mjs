import { fork, spawnSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { once } from 'node:events';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { buildAll, root } from '../build.mjs';
import { freePort, postgres } from '../postgres.mjs';
import { DEMO_CARD, openShop } from '../shop.mjs';
import { faultsOf, longAbsence } from './faults.mjs';
import { fullDisk } from './full-disk.mjs';
import { openMany } from './many.mjs';
import { readingOf } from './people.mjs';
import { randomOf } from './random.mjs';

const MANY = 200;
const WRITERS = 8;
const EDITORS = 4;
const WATCHERS = 4;
const FUZZED = 22_000;
/** Well again so long after whatever broke is back, on a machine that does nothing else. */
const HEALED_MS = 2000;
/** Of each server: those of its pool, and the one that listens. */
const CONNECTIONS = 11;
const GIVEN_UP_MS = 60_000;
const pause = (ms) => new Promise((r) => setTimeout(r, ms));

/** A diameter has no detail of its own. */
const PLAIN = {
  ...{ vDeg: null, holding: null, supportsMm: [], ringMm: null, grooveWidthMm: null, ringRestsOn: null, ringFace: null },
  ...{ pitches: null, wireMm: null, oneSizeWithId: null },
};

/** A job with a place to measure, as a screen makes it. */
async function makeJob(address, title) {
  const post = async (path, body) => {
    const response = await fetch(address + path, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json', 'X-Person': 'tomas', 'Idempotency-Key': randomUUID() },
      body: JSON.stringify(body),
    });
    if (response.status !== 201) throw new Error(`${path}: ${await response.text()}`);
    return response.json();
  };
  const { id: jobId } = await post('/api/jobs', {
    ...{
      customerName: 'Lower mill',
      customerContact: '',
      title,
      machine: 'Sluice',
      complaint: 'Worn.',
      want: 'like-for-like',
      changes: [],
    },
    ...{ restBy: '', askBefore: '', pieces: 1, promisedOn: null, unit: 'mm', shopTempC: 20, hazards: [] },
  });
  const { id: componentId } = await post(`/api/jobs/${jobId}/components`, {
    ...{ parentId: null, name: 'Pin', role: 'worn', materialId: 'steel-c45', axisOffsetMm: 0, verdict: 'remake', asFound: '' },
  });
  const { id: placeId } = await post(`/api/jobs/${jobId}/places`, {
    ...{ componentId, name: 'Body', kind: 'diameter', suspicions: [], side: 'outside', startMm: 0, lengthMm: 100, land: 'worn' },
    ...{ detail: PLAIN, matesPlaceId: null, stationsMm: [5], clocksDeg: [0], instrumentId: 'mic-25-50' },
  });
  return { jobId, placeId, instrumentId: 'mic-25-50', personId: 'tomas' };
}

/** Sends one reading, once, and tells the status; 0 where no answer came. */
async function sendReading(address, { jobId, placeId, instrumentId, personId }, id = randomUUID()) {
  const reading = readingOf({ id, placeId, instrumentId, text: '39.9' });
  const response = await fetch(`${address}/api/jobs/${jobId}/readings`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json', 'X-Person': personId, 'Idempotency-Key': id },
    body: JSON.stringify(reading),
  }).catch(() => null);
  return response?.status ?? 0;
}

/** A connection that is nobody's any more is gone within so many milliseconds. */
const GONE_MS = 10_000;

/** Milliseconds until the server says that it is well. */
async function untilWell({ address, well }) {
  const from = performance.now();
  const asked = well ?? (async () => (await fetch(`${address}/api/health`, { signal: AbortSignal.timeout(5000) }).catch(() => null))?.ok);
  while (performance.now() - from < GIVEN_UP_MS) {
    if (await asked()) return performance.now() - from;
    await pause(20);
  }
  return Infinity;
}

/** Draws the faults, each by its weight. */
function drawn(faults, count, random) {
  const whole = faults.reduce((sum, f) => sum + f.weight, 0);
  return Array.from({ length: count }, () => {
    let at = random() * whole;
    return faults.find((f) => (at -= f.weight) < 0) ?? faults[0];
  });
}

/** Breaks things one after another while people work; tells how long each took to heal, and how often the server died by itself. */
async function breakThings(shop, people, { count, random, long }) {
  let expected = false;
  const stop = async (work) => {
    people.send({ stopped: true });
    try {
      await work();
    } finally {
      people.send({ stopped: false });
    }
  };
  const faults = drawn(faultsOf(shop, { random, expectExit: () => (expected = true), stop }), count, random);
  if (long) faults.splice(Math.floor(count / 2), 0, longAbsence(shop));
  const healed = [];
  let deaths = 0;
  for (const [at, fault] of faults.entries()) {
    expected = false;
    const pid = shop.pid();
    await fault.run();
    const ms = await untilWell(shop);
    healed.push({ name: fault.name, ms });
    if (!expected && (shop.pid() !== pid || !shop.serverUp())) {
      deaths++;
      console.log(`  The server died by itself at fault ${at + 1}: ${fault.name}.`);
      await shop.startServer();
    }
    if ((at + 1) % 25 === 0) console.log(`  ${at + 1} of ${faults.length} faults`);
    await pause(100 + 500 * random());
  }
  return { healed, deaths };
}

/** Connections to the database once those of killed servers are gone, which the database notices within seconds; all there are where they stay. */
async function connectionsLeft(shop, most) {
  const count = () => Number(shop.db.ask('postgres', `select count(*) from pg_stat_activity where usename = 'iron_patch_app'`));
  const until = Date.now() + GONE_MS;
  while (count() > most && Date.now() < until) await pause(200);
  return count();
}

/** What was stored, held against what was acknowledged. */
function compare(shop, { acknowledged, edits, screens }, editedJobs, connections) {
  const kept = shop.db.ask('iron_patch', `select text from readings where text ~ '^39[.]9[0-9]{8}$'`).trim().split('\n').filter(Boolean);
  const there = new Set(kept);
  const acked = new Set(acknowledged);
  const steps = editedJobs.map((id) => Number(shop.db.ask('iron_patch', `select split_part(title, ' ', 2) from jobs where id = '${id}'`)));
  const versions = new Map(editedJobs.map((id) => [id, Number(shop.db.ask('iron_patch', `select version from jobs where id = '${id}'`))]));
  const made = edits.reduce((sum, e) => sum + e.steps, 0);
  return {
    lost: acknowledged.filter((t) => !there.has(t)).length,
    doubled: kept.length - there.size,
    unasked: kept.filter((t) => !acked.has(t)).length,
    stale: screens.filter((s) => s.shown !== versions.get(s.jobId)).length,
    lines: screens.reduce((sum, s) => sum + s.lines, 0),
    stepsMade: made,
    stepsThere: steps.reduce((sum, n) => sum + n, 0),
    connections,
  };
}

const ranked = (values, share) => values.toSorted((a, b) => a - b)[Math.min(Math.floor(values.length * share), values.length - 1)];
const figure = (ms) => `${Math.round(ms)} ms`;

function report({ healed, deaths }, { acknowledged, edits, tally }, found, { healedMs, processes }) {
  const times = healed.map((h) => h.ms);
  console.log(
    `  ${acknowledged.length} readings acknowledged by ${WRITERS} writers: ${found.lost} lost, ${found.doubled} doubled, ${found.unasked} that nobody sent`,
  );
  console.log(
    `  ${found.stepsMade} changes acknowledged to ${EDITORS} editors, ${found.stepsThere} are there: ${Math.max(0, found.stepsMade - found.stepsThere)} overwritten in silence, ` +
      `${Math.max(0, found.stepsThere - found.stepsMade)} done twice; ${edits.reduce((sum, e) => sum + e.refused, 0)} refused because another was faster`,
  );
  console.log(
    `  ${tally.sent} requests: ${tally.notNow} told to wait, ${tally.noAnswer} without an answer, ${tally.lostOnPurpose} whose answer was dropped on purpose, ` +
      `${tally.hung} hung, slowest answer ${figure(tally.slowestMs)}`,
  );
  console.log(
    `  the server died by itself ${deaths} times; ${found.connections} connections to the database at the end, of ${processes * CONNECTIONS}`,
  );
  console.log(`  ${found.stale} of ${WATCHERS} screens stale in the end; their lines were taken up ${found.lines} times`);
  console.log(
    `  well again after a fault: median ${figure(ranked(times, 0.5))}, 95 of 100 ${figure(ranked(times, 0.95))}, longest ${figure(Math.max(...times))}`,
  );
  for (const name of [...new Set(healed.map((h) => h.name))].sort()) {
    const own = healed.filter((h) => h.name === name).map((h) => h.ms);
    console.log(`    ${name}: ${own.length} times, median ${figure(ranked(own, 0.5))}, longest ${figure(Math.max(...own))}`);
  }
  for (const line of tally.strange.slice(0, 10)) console.log(`  strange: ${line}`);
  const slow = healed.filter((h) => h.ms > healedMs);
  const wrong = [
    found.lost,
    found.doubled,
    found.unasked,
    Math.abs(found.stepsMade - found.stepsThere),
    tally.hung,
    deaths,
    tally.strange.length,
    slow.length,
    Math.max(0, found.connections - processes * CONNECTIONS),
    found.stale,
  ];
  if (acknowledged.length === 0 || found.stepsMade === 0) throw new Error('Nothing was stored: this proves nothing.');
  if (wrong.some((n) => n > 0)) throw new Error('The torture found something: see above.');
  console.log('  Nothing was lost, doubled or overwritten; nothing hung, no screen was stale.');
}

/** Requests of every wrong kind over all routes, by the test that knows them. */
async function fuzz(count) {
  console.log(`${count} requests of every wrong kind`);
  const directory = mkdtempSync(join(tmpdir(), 'iron-patch-fuzz-'));
  const db = postgres(directory, await freePort(), { throwAway: true });
  try {
    db.start();
    const { status } = spawnSync(join(root, 'node_modules/.bin/jest'), ['--selectProjects', 'server', '--testPathPatterns', 'fuzz'], {
      cwd: root,
      stdio: 'inherit',
      env: { ...process.env, IRON_PATCH_TEST_DATABASE_URL: db.url('postgres'), IRON_PATCH_FUZZ: String(count) },
    });
    if (status !== 0) throw new Error('Something that was sent was answered as if it were our own fault: see above.');
  } finally {
    db.stop();
    db.remove();
  }
}

const numberAfter = (args, name, usual) => {
  const at = args.indexOf(name);
  const value = at < 0 ? usual : Number(args[at + 1]);
  if (!Number.isInteger(value) || value < 1) throw new Error(`${name} is a whole number from 1.`);
  return value;
};

const opened = (processes, options) => (processes > 1 ? openMany(options, processes) : openShop(options));

/** Faults of all kinds under a shop of its own while eight people read and four change the same jobs; tells figures, throws where something was wrong. */
export async function torture(args) {
  const count = numberAfter(args, '--faults', MANY);
  const seed = numberAfter(args, '--seed', 1 + (Date.now() % 1_000_000));
  const healedMs = numberAfter(args, '--healed', HEALED_MS);
  const processes = numberAfter(args, '--processes', 1);
  const whole = count >= MANY;
  buildAll();
  console.log(`Torture: ${count} faults, seed ${seed}, ${processes} server${processes > 1 ? 's behind a proxy' : ''}`);
  const directory = mkdtempSync(join(tmpdir(), 'iron-patch-torture-'));
  const shop = await opened(processes, {
    directory,
    card: DEMO_CARD,
    signIn: 'pick',
    port: await freePort(),
    dbPort: await freePort(),
    log: join(directory, 'server.log'),
  });
  try {
    const places = [];
    for (let i = 0; i < WRITERS; i++) places.push(await makeJob(shop.address, `Pin ${i}`));
    const edited = [await makeJob(shop.address, 'Step 0'), await makeJob(shop.address, 'Step 0')];
    const editors = Array.from({ length: EDITORS }, (_, i) => ({ jobId: edited[i % 2].jobId, personId: i < 2 ? 'tomas' : 'ines' }));
    const watchers = Array.from({ length: WATCHERS }, (_, i) => ({ jobId: edited[i % 2].jobId }));
    const told = JSON.stringify({ address: shop.address, seed, writers: places, editors, watchers });
    const people = fork(fileURLToPath(new URL('people-process.mjs', import.meta.url)), [told]);
    try {
      const result = once(people, 'message');
      const broken = await breakThings(shop, people, { count, random: randomOf(seed), long: whole });
      people.send('finish');
      const [work] = await result;
      const found = compare(
        shop,
        work,
        edited.map((e) => e.jobId),
        await connectionsLeft(shop, processes * CONNECTIONS),
      );
      report(broken, work, found, { healedMs, processes });
    } finally {
      people.kill();
    }
  } finally {
    await shop.close();
    rmSync(directory, { recursive: true, force: true });
  }
  if (!whole || processes > 1) return;
  console.log('A full disk');
  await fullDisk(makeJob, sendReading);
  await fuzz(FUZZED);
}
