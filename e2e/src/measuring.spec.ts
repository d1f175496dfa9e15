import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { mkdtemp, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { Key } from 'selenium-webdriver';
import { openShop, type TestShop } from './support/shop';
import { visit, type Visit } from './support/visit';

/** Measuring with a gauge that sends its readings, instruments that disagree, and a line that is down for a minute. */
const MINUTE_MS = 60_000;
const ROOT = resolve(__dirname, '../..');
let shop: TestShop;
let tomas: Visit;
let gauge: ChildProcess | null = null;
let address = '';

async function startGauge(port = 0): Promise<void> {
  gauge = spawn(
    process.execPath,
    [`${ROOT}/gauge/dist/gauge.mjs`, `${ROOT}/demo/data/gauge/worn-bearing-housing.json`, String(port), '0'],
    {
      stdio: ['ignore', 'pipe', 'inherit'],
    },
  );
  const [said] = (await once(gauge.stdout!.setEncoding('utf8'), 'data')) as [string];
  address = /ws:\/\/\S+?(?= )/.exec(said)![0];
}
async function stopGauge(): Promise<void> {
  const gone = once(gauge!, 'exit');
  gauge!.kill('SIGKILL');
  await gone;
  gauge = null;
}

beforeAll(async () => {
  shop = await openShop({ demo: true });
  tomas = await visit(shop);
});
afterAll(async () => {
  if (gauge) await stopGauge();
  await tomas.close();
  await shop.close();
});

const boreTexts = async (): Promise<string[]> =>
  (
    await shop.query<{ text: string }>(
      `select r.text from readings r join places f on f.id = r.place_id where f.name = 'Old bore' order by r.seq`,
    )
  ).map((r) => r.text);
const focused = (): Promise<string> => tomas.page.run('return document.activeElement?.id ?? ""');

it('takes readings of the simulated gauge by key, spot after spot', async () => {
  const { page, line } = tomas;
  await startGauge();
  await tomas.open('Gearbox shaft, spun seat', 'strip');
  await page.click('Add a place to measure on Bearing 6205');
  await page.fill('Place', 'Old bore');
  await page.fill('Length', '60');
  await page.tick('oval');
  await page.choose('Did it wear?', 'It ran');
  await page.click('Save place');
  await page.sees('Old bore');
  await page.click('Measure');
  await page.click('Old bore');
  await page.until('the line', async () => (await line.where()).startsWith('Old bore'));

  await page.click('Gauge');
  await page.fill('Address of the gauge', address);
  await page.keys(Key.ENTER);
  await page.sees('Connected');
  await page.until('the display', async () =>
    /\d\d\.\d\d\d mm/.test(await page.run('return document.querySelector(".live")?.textContent ?? ""')),
  );
  await (await page.css('#reading')).click();
  for (let i = 1; i <= 5; i++) {
    await page.keys(Key.F2);
    await page.until(`reading ${i}`, async () => (await boreTexts()).length === i);
  }
  for (const text of await boreTexts()) expect(text).toMatch(/^(29|30)\.\d{3} mm$/);
  expect(await focused()).toBe('reading');
  await page.sees('Old bore at 30 mm, 45°');
});

it('says that the line to the gauge is lost, calls again by itself, and doubles no reading', async () => {
  const { page } = tomas;
  const port = Number(new URL(address).port);
  await stopGauge();
  await page.sees('Line lost: calling again');
  await page.keys(Key.F2);
  await page.sees('nothing was taken');
  const before = (await boreTexts()).length;
  await startGauge(port);
  await page.sees('Connected');
  // A gauge that starts anew counts from 1 again: what it sends now is new, and what was taken stays taken once.
  await page.until('the display', async () => /\d mm/.test(await page.run('return document.querySelector(".live")?.textContent ?? ""')));
  await page.keys(Key.F2);
  await page.until('the reading', async () => (await boreTexts()).length > before);
  await new Promise((r) => setTimeout(r, 500));
  expect((await boreTexts()).length).toBe(before + 1);
  const ids = await shop.query<{ n: number }>('select count(*)::int - count(distinct id)::int as n from readings');
  expect(ids[0]!.n).toBe(0);
  await page.click('Disconnect');
  await page.click('Put away');
});

it('puts two instruments that disagree side by side, and goes on once somebody says which is believed', async () => {
  const { page } = tomas;
  await tomas.open('Grapple cylinder rod', 'measure');
  await page.sees('Two instruments disagree');
  await page.sees('together they allow');
  await page.fill('Why (kept with the choice)', 'The caliper had a chip in its jaws.');
  const believe = await page.run<HTMLElement>(
    `return [...document.querySelectorAll('ip-disputes .sides div')].find((d) => d.textContent.includes('Outside mic')).querySelector('button')`,
  );
  await (believe as unknown as { click(): Promise<void> }).click();
  await page.sees('Outside mic 25 to 50 is believed here. Why: The caliper had a chip in its jaws.');
  await page.seesNot('Two instruments disagree');
  const stored = await shop.query<{ value: { believed: string }; reason: string }>(
    `select value, reason from choices where key like 'settle:%'`,
  );
  expect(stored).toMatchObject([{ value: { believed: 'mic-25-50' }, reason: 'The caliper had a chip in its jaws.' }]);
  // The reading that is not believed stays on record.
  expect(await shop.query(`select 1 from readings where text = '40.02'`)).toHaveLength(1);
});

it('keeps what is typed while the line is down for a minute, and sends it when it is back', async () => {
  const { page, line } = tomas;
  await page.click('Gland bore');
  await page.until('the line', async () => (await line.where()).startsWith('Gland bore at 36'));
  const count = async (): Promise<number> => (await shop.query(`select 1 from readings where text like '40.13%'`)).length;
  await tomas.browser.offline(true);
  for (const text of ['40.131', '40.132', '40.133']) {
    await line.take(text);
    await new Promise((r) => setTimeout(r, MINUTE_MS / 3));
  }
  await page.sees('3 readings kept here, not yet on the server');
  expect(await count()).toBe(0);
  await line.take('40.134');
  await tomas.browser.offline(false);
  await page.until('all four to be stored', async () => (await count()) === 4);
  await page.seesNot('kept here');
});

it('shows the bend with its plane and where to press, and what a thread is', async () => {
  const { page } = tomas;
  await page.click('Rod, straightness');
  await page.sees('high spot at');
  await page.sees('press here, high spot up');
  await page.click('Piston thread');
  await page.sees('M30 x 2');
});

it('brings a job out as a file and in again as a new job', async () => {
  const { page } = tomas;
  const id = (await page.driver.getCurrentUrl()).split('/jobs/')[1]!.split('/')[0]!;
  const bundle = await (await fetch(`${shop.address}/api/jobs/${id}/bundle.json`)).text();
  const file = join(await mkdtemp(join(tmpdir(), 'bundle-')), 'job.json');
  await writeFile(file, bundle);
  await page.go('/jobs/new');
  await (await page.css('input[type=file]')).sendKeys(file);
  await page.until('the new job', async () => /\/jobs\/[0-9a-f-]{36}\/receive/.test(await page.driver.getCurrentUrl()));
  await page.sees('Grapple cylinder rod');
  expect((await page.driver.getCurrentUrl()).includes(id)).toBe(false);
});
