import type { Driver } from 'selenium-webdriver/chrome.js';
import { Key } from 'selenium-webdriver';
import { seriousProblems } from './support/axe';
import { atTheBench } from './support/at-the-bench';

/** What the tables, tabs, words and files of all screens do alike: by finger, by key, read aloud, copied and on paper. */
const bench = atTheBench('tomas');
let jobId: string;
beforeAll(async () => {
  jobId = await bench.visit.open('Ramp hinge pin', 'strip');
});
const focus = (selector: string, words: string): Promise<void> =>
  bench.page.run(
    `[...document.querySelectorAll(arguments[0])].find((e) => e.textContent.trim().startsWith(arguments[1])).focus()`,
    selector,
    words,
  );
const column = (nth: number): Promise<string[]> =>
  bench.page.run<string[]>(
    `return [...document.querySelectorAll('nz-table tbody tr')].map((r) => r.cells[arguments[0]].textContent.trim())`,
    nth,
  );

it('tabs are turned by the arrow keys, and the address keeps the one that is open', async () => {
  const { page } = bench;
  await page.css('[role=tab][aria-selected=true]');
  await focus('[role=tab]', 'What came apart');
  await page.keys(Key.ARROW_RIGHT, Key.ARROW_RIGHT, Key.ENTER);
  await page.until('the parts to order', () => page.run<boolean>(`return !!document.querySelector('ip-to-order')`));
  expect(await page.driver.getCurrentUrl()).toContain('leaf=');
  await page.driver.navigate().refresh();
  await page.css('ip-to-order');
  expect(await seriousProblems(page)).toEqual([]);
});

it('a table is sorted by its heads with the keyboard, and says how', async () => {
  const { page } = bench;
  await page.turnTo('/rack');
  await page.css('nz-table tbody tr');
  await focus('th .head', 'Length');
  const numbers = async (): Promise<number[]> => (await column(2)).map((t) => Number(t.replace(',', '.')));
  await page.keys(Key.ENTER);
  await page.css('th[aria-sort=ascending] .head');
  // The head says how before its rows are drawn anew.
  const rises = (all: readonly number[]): boolean => all.every((x, i) => i === 0 || all[i - 1]! <= x);
  await page.until('the rows to rise', async () => rises(await numbers()));
  const up = await numbers();
  expect(up.length).toBeGreaterThan(5);
  await page.keys(Key.SPACE);
  await page.css('th[aria-sort=descending] .head');
  await page.until('the rows to fall', async () => rises((await numbers()).reverse()));
  expect(await numbers()).toEqual([...up].reverse());
  expect(await seriousProblems(page)).toEqual([]);
});

it('an instrument is found among many by its words', async () => {
  const { page } = bench;
  await page.turnTo('/crib');
  await page.fill('Find an instrument', 'outside 25 50');
  await page.until('one instrument', async () => (await column(0)).length === 1);
  expect((await column(0))[0]).toContain('Outside mic 25 to 50');
  await page.fill('Find an instrument', 'spectrometer');
  await page.sees('No instrument has “spectrometer” in it.');
  await page.click('Show all');
  await page.until('all of them', async () => (await column(0)).length > 8);
});

it('a copied table is a table, also where it is drawn as a picture', async () => {
  const { page } = bench;
  const copied = (selector: string): Promise<string> =>
    page.run<string>(
      `const table = document.querySelector(arguments[0]);
       getSelection().selectAllChildren(table);
       const event = new ClipboardEvent('copy', { bubbles: true, cancelable: true, clipboardData: new DataTransfer() });
       table.dispatchEvent(event);
       return event.defaultPrevented ? event.clipboardData.getData('text/plain') : getSelection().toString();`,
      selector,
    );
  await page.turnTo('/rack');
  await page.css('nz-table tbody tr');
  const bars = (await copied('nz-table table')).split('\n');
  expect(bars[1]!.split('\t').length).toBeGreaterThan(4);
  await page.turnTo(`/jobs/${jobId}/decide`);
  await page.css('[role=table]');
  const fits = (await copied('[role=table]')).split('\n').map((line) => line.split('\t'));
  expect(fits.length).toBeGreaterThan(3);
  expect(new Set(fits.map((cells) => cells.length)).size).toBe(1);
  expect(fits[0]![0]).toBe('Fit');
});

it('a word of the trade is explained where it is touched, read aloud, and put away by Esc', async () => {
  const { page } = bench;
  await page.turnTo(`/jobs/${jobId}/measure`);
  await page.click('Three lobes');
  // Read aloud it stays where a screen reader finds it: what is seen is the bubble.
  const shown = (): Promise<string> => page.run<string>(`return document.querySelector('.ip-word')?.innerText ?? ''`);
  await page.until('the bubble', async () => (await shown()).includes('a vee block under an indicator shows them'));
  await page.until('it to be read aloud', () =>
    page.run<boolean>(`return document.querySelector('.cdk-live-announcer-element').textContent.startsWith('Three lobes: ')`),
  );
  expect(await seriousProblems(page)).toEqual([]);
  await page.keys(Key.ESCAPE);
  await page.until('it to be put away', async () => (await shown()) === '');
});

it('of two thousand readings those are drawn that are looked at, and all of them on paper', async () => {
  const { page } = bench;
  const rows = Array.from({ length: 2000 }, (_, i) => `Barrel bore,60,${(i % 8) * 45},40.${String(200 + (i % 90))}`);
  await page.turnTo(`/jobs/${jobId}/measure`);
  await page.click('Barrel bore');
  await page.click('Bring in readings');
  const dialog = 'nz-modal-container textarea, .ant-modal textarea';
  await page.until('the dialog', () => page.run<boolean>(`return document.querySelector('${dialog}') !== null`));
  await page.run(
    `const area = document.querySelector('${dialog}');
     area.value = arguments[0]; area.dispatchEvent(new Event('input', { bubbles: true }));`,
    ['place,station_mm,clock_deg,reading', ...rows].join('\n'),
  );
  await page.click('Bring in');
  await page.sees('2000 readings brought in');
  await page.run(`[...document.querySelectorAll('details')].find((d) => d.textContent.includes('one by one')).open = true`);
  const drawn = (): Promise<number> => page.run<number>(`return document.querySelectorAll('nz-table tbody tr').length`);
  await page.until('the newest of them', async () => (await drawn()) > 3);
  expect(await drawn()).toBeLessThan(60);
  const driver = bench.visit.browser.driver as Driver;
  await page.run(
    `window.onPaper = 0; addEventListener('beforeprint', () => { window.onPaper = document.querySelectorAll('nz-table tbody tr').length; });`,
  );
  await driver.sendAndGetDevToolsCommand('Page.printToPDF', {});
  expect(await page.run<number>('return window.onPaper')).toBeGreaterThanOrEqual(2000);
  await page.until('few of them again', async () => (await drawn()) < 60);
});

it('a place is made by two touches on the picture, and holds what is typed next', async () => {
  const { page, shop } = bench;
  await page.click('Add a place with its readings');
  await page.click('Hinge pin');
  await page.click('Touch it on the picture');
  const touch = async (share: number): Promise<void> => {
    const over = await page.css('.over');
    const { width } = await over.getRect();
    await page.driver
      .actions()
      .move({ origin: over, x: Math.round((share - 0.5) * width) })
      .click()
      .perform();
  };
  await page.sees('Touch where it begins');
  await touch(0.6);
  await page.sees('Touch where it ends');
  await touch(0.4);
  const text = await (await page.css('#pencil')).getAttribute('value');
  const [, from, long] = /^Hinge pin \/ place \d+ from ([\d.]+), ([\d.]+) long: $/.exec(text ?? '')!.map(Number);
  expect(from! + long!).toBeLessThan(120);
  await page.keys('39.95 39.94');
  await page.click('Put it down');
  await page.until('the place', async () => {
    const [place] = await shop.query<{ start: number; length: number }>(
      `select start_mm::float as start, length_mm::float as length from places p where name ~ '^Place [0-9]+$' and p.component_id in
       (select id from components where job_id = '${jobId}')`,
    );
    return place && Math.abs(place.start - from!) < 1e-6 && Math.abs(place.length - long!) < 1e-6;
  });
});
