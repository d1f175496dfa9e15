import { openShop, type TestShop } from './support/shop';
import { visit, type Visit } from './support/visit';

/** The server is dead, pages are reloaded and closed: what was typed comes back, and goes by itself where it can. */
let shop: TestShop;
let ines: Visit;
beforeAll(async () => {
  shop = await openShop({ demo: true });
  ines = await visit(shop, 'ines');
});
afterAll(async () => {
  await ines.close();
  await shop.close();
});
const valueOf = (label: string): Promise<string> =>
  ines.page.run<string>(
    `const l = [...document.querySelectorAll('label')].find((l) => l.textContent.trim().startsWith(arguments[0]));
     return document.getElementById(l.htmlFor).value;`,
    label,
  );

it('readings of a page that was closed are sent by another, in the order in which they were typed', async () => {
  const { page, line, browser } = ines;
  const { driver } = browser;
  await ines.open('Sprayer pump shaft', 'measure');
  await page.until('the line', async () => (await line.where()).startsWith('Seal track'));
  const typedIn = await driver.getWindowHandle();
  await driver.switchTo().newWindow('tab');
  await page.go('/');
  await page.sees('Sprayer pump shaft');
  const other = await driver.getWindowHandle();
  await driver.switchTo().window(typedIn);
  await shop.kill();
  await line.takeAll(['19.903', '19.911', '19.972']);
  await page.sees('3 readings kept here, not yet on the server');
  await driver.close();
  await driver.switchTo().window(other);
  await page.sees('3 readings kept here, not yet on the server');
  await shop.start();
  await page.seesNot('not yet on the server');
  const stored = await shop.query<{ text: string }>(`select text from readings where text like '19.9%' order by seq desc limit 3`);
  expect(stored.map((r) => r.text).reverse()).toEqual(['19.903', '19.911', '19.972']);
});

it('a new job that could not be taken in is back after a reload, says so, and is taken in once', async () => {
  const { page } = ines;
  await page.go('/jobs/new');
  await page.fill('Customer', 'Upper lock');
  await page.fill('What it is', 'Winch pawl pin');
  await page.fill('Pieces received', '3');
  await page.choose('Unit of the job', 'in');
  await shop.kill();
  await page.click('Take it in');
  await page.sees('What you typed is still here and stays over a reload');
  await shop.start();
  await page.go('/jobs/new');
  await page.sees('is back. It is not saved yet.');
  expect([await valueOf('Customer'), await valueOf('What it is'), await valueOf('Pieces received')]).toEqual([
    'Upper lock',
    'Winch pawl pin',
    '3',
  ]);
  await page.click('Take it in');
  await page.css('ip-rail a.on');
  expect(await shop.query(`select 1 from jobs where title = 'Winch pawl pin' and unit = 'in' and pieces = 3`)).toHaveLength(1);
  await page.go('/jobs/new');
  await page.css('ip-job-form');
  await page.seesNot('It is not saved yet');
  expect(await valueOf('What it is')).toBe('');
});

it('a component that was half typed is back where it is added again, and can be thrown away', async () => {
  const { page } = ines;
  const id = await ines.open('Winch pawl pin', 'strip');
  await page.click('Add a component');
  await page.fill('Component', 'Pawl');
  await page.go(`/jobs/${id}/strip`);
  await page.click('Add a component');
  await page.sees('is back. It is not saved yet.');
  expect(await valueOf('Component')).toBe('Pawl');
  await page.click('Throw it away');
  await page.seesNot('It is not saved yet');
  expect(await valueOf('Component')).toBe('');
});

it('a job’s ticket comes back with the version that it was typed over: another’s change is shown, not overwritten', async () => {
  const { page } = ines;
  const id = await ines.open('Winch pawl pin', 'receive');
  await page.fill('What happened to it', 'Pawl slips.');
  await page.go('/');
  await page.sees('Sprayer pump shaft');
  await shop.query(`update jobs set machine = 'Lock winch 2', version = version + 1 where id = '${id}'`);
  await page.go(`/jobs/${id}/receive`);
  await page.sees('is back. It is not saved yet.');
  expect(await valueOf('What happened to it')).toBe('Pawl slips.');
  await page.click('Save');
  await page.sees('Somebody else changed');
  expect(await shop.query(`select 1 from jobs where machine = 'Lock winch 2'`)).toHaveLength(1);
});

it('time that was half written down at Return is back after another page, and once it is stored it is gone', async () => {
  const { page } = ines;
  const id = await ines.open('Sprayer pump shaft', 'return');
  await page.fill('Minutes', '35');
  await page.fill('Remark', 'Two seals tried');
  await page.go('/');
  await page.sees('Sprayer pump shaft');
  await page.go(`/jobs/${id}/return`);
  await page.sees('is back. It is not saved yet.');
  expect([await valueOf('Minutes'), await valueOf('Remark')]).toEqual(['35', 'Two seals tried']);
  await page.click('Add time');
  await page.sees('Two seals tried');
  await page.go(`/jobs/${id}/return`);
  await page.sees('Two seals tried');
  await page.seesNot('It is not saved yet');
  expect(await valueOf('Remark')).toBe('');
});
