import { randomUUID } from 'node:crypto';
import { HEADERS, routes } from '@iron-patch/contract/wire';
import { NO_DETAIL } from '@iron-patch/core';
import { openBrowser } from './support/browser';

/** How long the page takes to show one reading more on a job that has 5,000: from Enter to the next frame drawn. */
const [address] = process.argv.slice(2);
const PLACES = 10;
const EACH = 500;
const EDITS = 40;
/** Stations of a place, and those of them that are read: the rest is still to be typed. */
const STATIONS = 25;
const READ = 15;
const CLOCKS = [0, 45, 90, 135];

async function post<T>(path: string, body: unknown): Promise<T> {
  const headers = { 'Content-Type': 'application/json', [HEADERS.person]: 'tomas', [HEADERS.idempotencyKey]: randomUUID() };
  const res = await fetch(address + path, { method: 'POST', headers, body: JSON.stringify(body) });
  if (!res.ok) throw new Error(`${path}: ${await res.text()}`);
  return (await res.json()) as T;
}

const ticket = { customerName: 'Bench', customerContact: '', title: 'Many readings', machine: '', complaint: '', want: 'like-for-like' };
const rest = { changes: [], restBy: '', askBefore: '', pieces: 1, promisedOn: null, unit: 'mm', shopTempC: 20, hazards: [] };
const { id: jobId } = await post<{ id: string }>(routes.jobs, { ...ticket, ...rest });
const component = { parentId: null, name: 'Shaft', role: 'worn', materialId: 'steel-c45', axisOffsetMm: 0, verdict: 'remake', asFound: '' };
const { id: componentId } = await post<{ id: string }>(routes.components(jobId), component);
const stationsMm = Array.from({ length: STATIONS }, (_, i) => 2 + i);
for (let p = 0; p < PLACES; p++)
  await post(routes.places(jobId), {
    ...{
      componentId,
      name: `Place ${p}`,
      kind: 'diameter',
      suspicions: [],
      detail: NO_DETAIL,
      side: 'outside',
      startMm: 30 * p,
      lengthMm: 30,
    },
    ...{ land: 'worn', matesPlaceId: null, stationsMm, clocksDeg: CLOCKS, instrumentId: 'mic-25-50' },
  });
const rows = Array.from({ length: PLACES * EACH }, (_, i) => {
  const k = Math.floor(i / PLACES);
  return `Place ${i % PLACES},${2 + (k % READ)},${CLOCKS[Math.floor(k / READ) % CLOCKS.length]},${(40 + (i % 7) * 0.002).toFixed(3)}`;
});
await post(routes.readingsFile(jobId), { csv: ['place,station_mm,clock_deg,reading', ...rows].join('\n') });

const browser = await openBrowser();
await browser.driver.get(`${address}/`);
await browser.driver.executeScript('localStorage.setItem("iron-patch.person", JSON.stringify("tomas"))');
await browser.driver.get(`${address}/jobs/${jobId}/measure`);
while (!(await browser.driver.executeScript<boolean>('return document.querySelector(".cell") !== null')))
  await new Promise((r) => setTimeout(r, 20));

interface Edit {
  /** From Enter until the page holds all that changed, ms. */
  readonly changed: number;
  /** From Enter until the frame with it is drawn, ms. */
  readonly drawn: number;
  /** Is it in the first frame after Enter? */
  readonly first: boolean;
}

/** Types a reading, waits as long as a hand takes to Enter, and waits for the frame that shows it. */
const typed = (text: string): Promise<Edit> =>
  browser.driver.executeAsyncScript<Edit>(
    `const done = arguments[arguments.length - 1];
     const afterwards = (then) => { const c = new MessageChannel(); c.port1.onmessage = then; c.port2.postMessage(0); };
     const line = document.getElementById('reading');
     line.value = arguments[0];
     line.dispatchEvent(new Event('input', { bubbles: true }));
     setTimeout(() => {
       const start = performance.now();
       let changed = 0;
       const watch = new MutationObserver(() => { changed = performance.now() - start; });
       watch.observe(document.body, { subtree: true, childList: true, characterData: true, attributes: true });
       line.form.requestSubmit();
       const frame = (first) => requestAnimationFrame(() => {
         if (!changed) return frame(false);
         watch.disconnect();
         afterwards(() => done({ changed, drawn: performance.now() - start, first }));
       });
       frame(true);
     }, 100 + Math.random() * 16);`,
    text,
  );

const middle = (times: readonly number[]): number => [...times].sort((p, q) => p - q)[Math.floor(times.length / 2)]!;

async function edits(what: string, before: (i: number) => Promise<unknown>): Promise<void> {
  const all: Edit[] = [];
  for (let i = 0; i < EDITS; i++) {
    await before(i);
    all.push(await typed(`40.00${i % 10}`));
    await new Promise((r) => setTimeout(r, 150));
  }
  const changed = all.map((e) => e.changed);
  const drawn = all.map((e) => e.drawn);
  process.stdout.write(
    `  ${what} among ${PLACES * EACH}: the page has changed ${middle(changed).toFixed(1)} ms after Enter (median of ${EDITS}), slowest ${Math.max(...changed).toFixed(1)} ms; ` +
      `in the first frame after Enter: ${all.filter((e) => e.first).length} of ${EDITS}; drawn after ${middle(drawn).toFixed(1)} ms; a frame is 16.7 ms\n`,
  );
}

await edits('the next planned reading', () => Promise.resolve());
await edits('one corrected', (i) => browser.driver.executeScript('document.querySelectorAll(".cell")[arguments[0]].click()', i % 8));
await browser.close();
