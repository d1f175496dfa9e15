import { execFileSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { Agent, request } from 'node:http';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import pg from 'pg';
import { benchFloor } from './bench-floor.mjs';
import { buildAll, bundle, root } from './build.mjs';
import { openThrowAwayShop } from './throw-away.mjs';

const kb = (bytes) => `${(bytes / 1024).toFixed(0)} kB`;
const mb = (bytes) => `${(bytes / 1024 / 1024).toFixed(0)} MB`;
const node = (...args) => execFileSync(process.execPath, args, { cwd: root, stdio: 'inherit' });

/** What index.html asks for before anything else, packed as a server would. */
function initialBytes() {
  const dist = join(root, 'web/dist');
  const html = readFileSync(join(dist, 'index.html'), 'utf8');
  const named = new Set([...html.matchAll(/(?:src|href)="([^"]+\.(?:js|css))"/g)].map((m) => m[1]));
  for (const file of named)
    for (const m of readFileSync(join(dist, file), 'utf8').matchAll(/^import[^;]*?["']\.\/([\w.-]+\.js)["']/gm)) named.add(m[1]);
  const packed = [...named].reduce((s, f) => s + gzipSync(readFileSync(join(dist, f))).length, 0);
  const all = readdirSync(dist)
    .filter((f) => /\.(js|css)$/.test(f))
    .reduce((s, f) => s + gzipSync(readFileSync(join(dist, f))).length, 0);
  console.log(`  initial JavaScript and CSS: ${kb(packed)} gzip in ${named.size} files; everything: ${kb(all)} gzip`);
}

const memoryOf = (pid) => mb(Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))[1]) * 1024);

const readingOf = (placeId) => ({
  id: randomUUID(),
  purpose: 'found',
  quantity: 'size',
  placeId,
  segmentId: null,
  stationMm: 71,
  clockDeg: 0,
  text: '19.903',
  unit: 'mm',
  instrumentId: 'mic-0-25',
  partTempC: null,
  dial: null,
  takenAt: new Date().toISOString(),
  supersedesId: null,
  withdrawn: false,
  confirmed: false,
});

/** Runs something so many times, some at once, and tells how many a second. */
async function rate(count, abreast, act) {
  const start = performance.now();
  let left = count;
  await Promise.all(
    Array.from({ length: abreast }, async () => {
      while (left-- > 0) await act();
    }),
  );
  return count / ((performance.now() - start) / 1000);
}

/** Readings that waited go so many in a request. */
const TOGETHER = 25;

/** Sends something and waits for its answer, as cheaply as this process can: it shares the machine with what it measures. */
function sender(address) {
  const agent = new Agent({ keepAlive: true, maxSockets: 10 });
  return (path, headers, body) =>
    new Promise((resolve, reject) => {
      const asked = request(address + path, { agent, method: 'POST', headers: { ...headers, 'Content-Length': body.length } }, (res) => {
        res.resume();
        res.on('end', () => (res.statusCode < 300 ? resolve() : reject(new Error(`A reading was refused: ${res.statusCode}`))));
      });
      asked.on('error', reject);
      asked.end(body);
    });
}

async function recording(shop, jobId, placeId) {
  const headers = { 'Content-Type': 'application/json', 'X-Person': 'tomas' };
  const send = sender(shop.address);
  const post = () => {
    const body = readingOf(placeId);
    return send(`/api/jobs/${jobId}/readings`, { ...headers, 'Idempotency-Key': body.id }, JSON.stringify(body));
  };
  const postSeveral = () => {
    const readings = Array.from({ length: TOGETHER }, () => ({ jobId, personId: 'tomas', input: readingOf(placeId) }));
    return send('/api/readings', headers, JSON.stringify({ readings }));
  };
  const pool = new pg.Pool({ connectionString: shop.databaseUrl, max: 10 });
  const insert = () =>
    pool.query(
      `insert into readings (id, job_id, purpose, place_id, station_mm, clock_deg, text, unit, value_mm, instrument_id, person_id, taken_at)
       values ($1, $2, 'found', $3, 71, 0, '19.903', 'mm', 19.903, 'mic-0-25', 'tomas', now())`,
      [randomUUID(), jobId, placeId],
    );
  console.log(`  memory of the server, idle: ${memoryOf(shop.pid())}`);
  const acts = { one: [post, 1], several: [postSeveral, TOGETHER], plain: [insert, 1] };
  const rates = { one: [], several: [], plain: [] };
  await rate(1000, 10, post);
  for (let turn = 0; turn < 3; turn++)
    for (const [name, [act, each]] of Object.entries(acts)) rates[name].push(each * (await rate(2000 / each, 10, act)));
  const [one, several, plain] = Object.values(rates).map((r) => r.toSorted((a, b) => a - b)[1]);
  const share = (r) => `${Math.round(r)} a second, ${(r / plain).toFixed(2)} of the plain INSERTs`;
  console.log(`  plain INSERTs through a pool of ten, safe as in a shop: ${Math.round(plain)} a second`);
  console.log(`  readings through the API, one a request, ten at once: ${share(one)}`);
  console.log(`  readings that waited, ${TOGETHER} a request, ten at once: ${share(several)}`);
  await rate(5600, 10, post);
  console.log(
    `  memory of the server after ${(await pool.query('select count(*) from readings')).rows[0].count} readings: ${memoryOf(shop.pid())}`,
  );
  await pool.end();
}

/** Measures and prints; asserts nothing. */
export async function bench() {
  buildAll();
  bundle('core/src/repair/job/repair.bench.ts', 'core/dist/repair.bench.mjs');
  bundle('core/src/repair/drawn/drawing.bench.ts', 'core/dist/drawing.bench.mjs');
  bundle('core/src/book/look-up/book.bench.ts', 'core/dist/book.bench.mjs');
  bundle('core/src/evidence/simulated/known-truth.bench.ts', 'core/dist/known-truth.bench.mjs');
  bundle('core/src/making/coach/coach.bench.ts', 'core/dist/coach.bench.mjs');
  bundle('core/src/making/run-order/run-order.bench.ts', 'core/dist/run-order.bench.mjs');
  bundle('core/src/making/run-order/classical-worker.bench.ts', 'core/dist/classical.worker.mjs');
  bundle('e2e/src/bench-order.ts', 'e2e/dist/bench-order.mjs');
  bundle('e2e/src/bench.ts', 'e2e/dist/bench.mjs');
  bundle('e2e/src/bench-many.ts', 'e2e/dist/bench-many.mjs');
  console.log('Working out');
  node(join(root, 'core/dist/repair.bench.mjs'));
  node(join(root, 'core/dist/drawing.bench.mjs'));
  console.log('Known truth');
  node(join(root, 'core/dist/known-truth.bench.mjs'));
  node(join(root, 'core/dist/coach.bench.mjs'));
  console.log('Run order');
  node(join(root, 'core/dist/run-order.bench.mjs'));
  node(join(root, 'e2e/dist/bench-order.mjs'), root, '5000');
  console.log('The book');
  node(join(root, 'core/dist/book.bench.mjs'));
  console.log('Web build');
  initialBytes();
  const shop = await openThrowAwayShop({ durable: true });
  try {
    shop.loadDemo();
    // The browsers below take their time: a connection that was kept open is gone by then, so ask once more.
    const get = async (path) => {
      const ask = () => fetch(shop.address + path);
      return (await ask().catch(ask)).json();
    };
    const floor = await get('/api/floor?returned=1');
    const job = floor.jobs.find((j) => j.title === 'Sprayer pump shaft');
    node(join(root, 'e2e/dist/bench.mjs'), shop.address, job.id);
    node(join(root, 'e2e/dist/bench-many.mjs'), shop.address);
    console.log('Server');
    const sheet = await get(`/api/jobs/${job.id}/sheet`);
    await recording(shop, job.id, sheet.places.find((f) => f.name === 'Seal track').id);
  } finally {
    await shop.close();
  }
  console.log('The floor');
  await benchFloor();
}
