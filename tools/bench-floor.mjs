import { execFileSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { join } from 'node:path';
import pg from 'pg';
import { bundle, root } from './build.mjs';
import { openThrowAwayShop } from './throw-away.mjs';

const FEW = 10;
const MANY = 10_000;
const READINGS_EACH = 30;
const ASKED = 60;

/** Rows of jobs, each a shaft with one place and its readings; told in SQL, as a shop of many years would have them. */
const SEED = `
with c as (insert into customers (name) values ('Canal boats ' || $2) returning id),
j as (insert into jobs (customer_id, title, machine, complaint, want, ask_before, pieces, promised_on, unit, shop_temp_c, hazards)
      select c.id, 'Winch pin ' || n, 'Winch ' || n % 97, 'Worn.', 'like-for-like', '', 1, date '2026-12-01' + n % 400, 'mm', 20, '{}'
      from c, generate_series(1, $1) n returning id),
k as (insert into components (job_id, name, role, material_id, axis_offset_mm, verdict, as_found)
      select id, 'Pin', 'worn', 'steel-c45', 0, 'remake', '' from j returning id, job_id),
f as (insert into places (job_id, component_id, name, side, start_mm, length_mm, land, stations_mm, clocks_deg, instrument_id)
      select job_id, id, 'Body', 'outside', 0, 100, 'worn', '{5,20,35,50,65,80,95}', '{0,45,90,135}', 'mic-25-50' from k returning id, job_id)
insert into readings (id, job_id, purpose, place_id, station_mm, clock_deg, text, unit, value_mm, instrument_id, person_id, taken_at)
select gen_random_uuid(), f.job_id, 'found', f.id, 5 + 15 * (i / 4 % 7), 45 * (i % 4), '39.9', 'mm', 39.9 + (i % 7) * 0.002, 'mic-25-50', 'tomas', now()
from f, generate_series(0, ${READINGS_EACH - 1}) i`;
const ranked = (times, share) => times.toSorted((a, b) => a - b)[Math.min(Math.floor(times.length * share), times.length - 1)];
const ms = (t) => `${t.toFixed(0)} ms`;

async function timed(act) {
  const start = performance.now();
  await act();
  return performance.now() - start;
}

async function times(count, act) {
  const all = [];
  for (let i = 0; i < count; i++) all.push(await timed(act));
  return all;
}

/** How long other requests take while the server catches up with every job. */
async function catchingUp(get, say) {
  const others = [];
  let behind = Infinity;
  const took = await timed(async () => {
    while (behind > 0) {
      others.push(await timed(() => get('/api/health')), await timed(() => get('/api/shop')));
      ({ behind } = await get('/api/floor'));
      await new Promise((r) => setTimeout(r, 20));
    }
  });
  say(`all standings worked out again in ${(took / 1000).toFixed(1)} s; meanwhile other requests: p99 ${ms(ranked(others, 0.99))}`);
}

/** Prints how the floor of ten jobs and that of ten thousand open. */
export async function benchFloor() {
  bundle('e2e/src/bench-floor.ts', 'e2e/dist/bench-floor.mjs');
  for (const jobs of [FEW, MANY]) {
    const shop = await openThrowAwayShop();
    const db = new pg.Client({ connectionString: shop.databaseUrl });
    try {
      await db.connect();
      const say = (text) => console.log(`  ${jobs} jobs, ${jobs * READINGS_EACH} readings: ${text}`);
      const get = async (path) => {
        const res = await fetch(shop.address + path);
        if (!res.ok) throw new Error(`${path}: ${res.status} ${await res.text()}`);
        return res.json();
      };
      await db.query(SEED, [jobs, randomUUID()]);
      await db.query('analyze');
      await catchingUp(get, say);
      const all = await times(ASKED, () => get('/api/floor'));
      say(`all open, the floor at the server: median ${ms(ranked(all, 0.5))}, p99 ${ms(ranked(all, 0.99))}`);
      const found = await times(ASKED, () => get('/api/floor?find=winch%2096%20pin'));
      say(`a search: median ${ms(ranked(found, 0.5))}`);
      execFileSync(process.execPath, [join(root, 'e2e/dist/bench-floor.mjs'), shop.address, `  ${jobs} jobs, all open`], {
        stdio: 'inherit',
      });
    } finally {
      await db.end();
      await shop.close();
    }
  }
}
