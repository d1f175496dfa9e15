import { By, Key } from 'selenium-webdriver';
import { seriousProblems } from './support/axe';
import { openShop, type TestShop } from './support/shop';
import { visit, type Visit } from './support/visit';

/** The acts of all jobs of the demo shop: put in order, one pinned, one begun and done, seen by somebody else, at a desk and on a telephone. */
let shop: TestShop;
let tomas: Visit;
beforeAll(async () => {
  shop = await openShop({ demo: true });
  tomas = await visit(shop, 'tomas');
});
afterAll(async () => {
  await tomas.close();
  await shop.close();
});

const orders = async (): Promise<number> =>
  (await shop.query<{ n: number }>(`select count(*)::int as n from kept_cards where key = 'run-order'`))[0]!.n;
const said = async (state: string): Promise<number> =>
  (await shop.query<{ n: number }>(`select count(*)::int as n from choices where key like 'run:%' and value ->> 'state' = '${state}'`))[0]!
    .n;

it('acts stand on lanes of machines and people, and promises beside them', async () => {
  const { page } = tomas;
  await page.click('Run order');
  await page.sees('12 jobs open');
  await page.sees('Gap-bed lathe');
  await page.sees('Horizontal saw');
  await page.sees('Promises');
  await page.sees('What would help most');
  await page.seesNot('Being played through');
  expect(await seriousProblems(page)).toEqual([]);
});

it('promises stand with the day that was promised, also where the shop is closed on it', async () => {
  const rows = await shop.query<{ number: number; day: string }>(
    `select number, to_char(promised_on, 'YYYY-MM-DD') as day from jobs where promised_on is not null`,
  );
  const written = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short', timeZone: 'UTC' });
  const promised = new Map(rows.map((r) => [String(r.number), written.format(new Date(r.day)).replace(',', '')]));
  const shown = await tomas.page.run<[string, string][]>(
    `return [...document.querySelectorAll('[aria-label=Promises] li')].map((li) => [li.querySelector('.number').textContent.trim(), li.querySelector('.due').textContent.trim()])`,
  );
  expect(shown.length).toBeGreaterThan(5);
  for (const [number, day] of shown) expect([number, day]).toEqual([number, promised.get(number)]);
});

it('are put in order by a worker that can be stopped, and the order is kept for everybody', async () => {
  const { page } = tomas;
  await page.click('Put it in order');
  await page.sees('Looking,');
  await page.click('Stop');
  await page.sees('Put it in order');
  expect(await orders()).toBe(0);
  await page.click('Put it in order');
  await page.until('the order to be kept', async () => (await orders()) === 1);
  await page.sees('Put in order.');
});

it('one is pinned by what is typed, with what that costs, and seen by somebody else', async () => {
  const { page } = tomas;
  await page.click('5 days');
  const box = await page.css('.box[aria-label*="turn"]:not(.thin)');
  const label = (await box.getAttribute('aria-label'))!;
  await page.press(box);
  await page.sees('Where to?');
  const field = await page.css('#reading');
  await field.sendKeys('some day');
  await page.sees('A time, or a day and a time');
  await field.sendKeys(Key.chord(Key.CONTROL, 'a'), 'tomorrow 9:10');
  await page.sees('promise');
  await field.sendKeys(Key.ENTER);
  await page.sees('pinned');
  await page.until('the pin to be kept', async () => (await said('open')) === 1);
  expect(await seriousProblems(page)).toEqual([]);
  const ines = await visit(shop, 'ines');
  try {
    await ines.page.go('/run-order');
    await ines.page.css('.box[aria-label$="pinned"]');
    await page.click('Let it go');
    await ines.page.until(
      'the pin to go there too',
      async () => (await ines.page.driver.findElements(By.css('.box[aria-label$="pinned"]'))).length === 0,
    );
  } finally {
    await ines.close();
  }
  expect(label).toContain('turn');
});

it('what somebody does next stands on their floor, on a telephone too: begun, done, and on record', async () => {
  const phone = await visit(shop, 'tomas', { width: 390, height: 844 });
  try {
    const { page } = phone;
    await page.go('/');
    await page.sees('Next for Tomas');
    expect(await page.driver.executeScript('return document.documentElement.scrollWidth <= innerWidth')).toBe(true);
    await page.click('Begin: ');
    await page.sees('under way, until about');
    await page.until('it to be kept', async () => (await said('started')) === 1);
    await page.click('It is done: ');
    await page.until('it to be done', async () => (await said('done')) === 1);
    expect(await seriousProblems(page)).toEqual([]);
    await page.go('/run-order');
    await page.sees('Promises');
    expect(await page.driver.executeScript('return document.documentElement.scrollWidth <= innerWidth')).toBe(true);
  } finally {
    await phone.close();
  }
});

it('hours are changed, and the order follows', async () => {
  const { page } = tomas;
  await page.click('Shop');
  await page.fill('Own week, empty for the shop’s', 'Mon 25-26');
  await page.click('Save hours');
  await page.sees('1 thing to put right');
  await page.fill('Own week, empty for the shop’s', 'Mon to Sun 6-22');
  await page.click('Save hours');
  await page.until('the hours to be kept', async () => (await shop.query(`select 1 from kept_cards where key = 'hours'`)).length === 2);
  expect(await seriousProblems(page)).toEqual([]);
  await page.click('Run order');
  await page.sees('21');
});

it('a machine that is out of order has nothing to do until it works again', async () => {
  const { page } = tomas;
  await page.click('Shop');
  await page.click('Change Gap-bed lathe');
  await page.fill('Out of order, works again on', '2090-12-04');
  await page.click('Save machine');
  await page.sees('out of order until');
  expect(await seriousProblems(page)).toEqual([]);
  await page.click('Run order');
  await page.sees('out until');
  const boxes = () => page.run<number>('return document.querySelectorAll(".lane[aria-label^=\\"Gap-bed lathe\\"] .box:not(.done)").length');
  await page.until('the lathe to be empty', async () => (await boxes()) === 0);
  expect(await page.run<number>('return document.querySelectorAll(".lane .box:not(.done)").length')).toBeGreaterThan(0);
  await page.click('Shop');
  await page.click('Change Gap-bed lathe');
  await page.fill('Out of order, works again on', '');
  await page.click('Save machine');
  await page.click('Run order');
  await page.until('the lathe to have work', async () => (await boxes()) > 0);
});

it('a calendar elsewhere fetches what is promised from its secret address, until it is ended', async () => {
  const { page } = tomas;
  await page.click('Close');
  await page.click('Calendar');
  await page.click('Make an address');
  const address = await (await page.css('.address')).getText();
  const feed = await fetch(address);
  expect([feed.status, (await feed.text()).includes('Roller spindle: promised')]).toEqual([200, true]);
  expect(await seriousProblems(page)).toEqual([]);
  await page.click('End it');
  await page.until('it to end', async () => (await fetch(address)).status === 404);
});
