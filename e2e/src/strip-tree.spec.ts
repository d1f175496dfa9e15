import { By, Key, type WebElement } from 'selenium-webdriver';
import { atTheBench } from './support/at-the-bench';

/** What came out of what: by dragging, by touch, by keys; and back. */
const bench = atTheBench('tomas');
beforeAll(() => bench.visit.open('Grapple cylinder rod', 'strip'));

const parentOf = async (name: string): Promise<string | null> =>
  (
    await bench.shop.query<{ parent: string | null }>(
      `select p.name as parent from components c join jobs j on j.id = c.job_id left join components p on p.id = c.parent_id
       where j.title = 'Grapple cylinder rod' and c.name = '${name}'`,
    )
  )[0]!.parent;
const names = (): Promise<string[]> =>
  bench.page.run<string[]>(`return [...document.querySelectorAll('article[data-component] h2')].map((h) => h.textContent.trim())`);
const article = (name: string): Promise<WebElement> =>
  bench.page.driver.findElement(By.xpath(`//article[@data-component][header/h2[normalize-space(.)="${name}"]]/header`));
const becomes = (name: string, parent: string | null): Promise<unknown> =>
  bench.page.until(`${name} to come out of ${parent}`, async () => (await parentOf(name)) === parent);

it('a component is dragged onto what it came out of, and taken back by a key', async () => {
  const { page } = bench;
  await page.css('article[data-component]');
  const all = await names();
  const moved = all.at(-1)!;
  const before = await parentOf(moved);
  const onto = all.find((n) => n !== moved && n !== before)!;
  await page.driver.executeScript('arguments[0].scrollIntoView({block: "center"})', await article(moved));
  const grip = await page.button(`Move ${moved}`);
  const to = await article(onto);
  // Both on the screen: the sheet is zoomed out for it.
  await page.run(`document.querySelector('.middle').style.zoom = 0.35; document.querySelector('.middle').scrollTop = 0`);
  await page.driver
    .actions()
    .move({ origin: grip })
    .press()
    .move({ origin: to, y: 4 })
    .move({ origin: to, y: 2 })
    .pause(100)
    .release()
    .perform();
  await becomes(moved, onto);
  await page.run(`document.querySelector('.middle').style.zoom = 1`);
  await page.button(`Take back: moving ${moved}`);
  await page.driver.actions().keyDown(Key.CONTROL).sendKeys('z').keyUp(Key.CONTROL).perform();
  await becomes(moved, before);
});

it('the same by touch, without dragging, and what is in it is never offered', async () => {
  const { page } = bench;
  const all = await names();
  const [outer, inner] = [all[0]!, all.at(-1)!];
  await page.click(`Move ${inner}`);
  await page.click('nothing: it stands by itself');
  await becomes(inner, null);
  await page.click(`Move ${inner}`);
  await page.click(outer);
  await becomes(inner, outer);
  await page.click(`Move ${outer}`);
  const offered = await page.run<string[]>(`return [...document.querySelectorAll('.moves button')].map((b) => b.textContent.trim())`);
  expect(offered).not.toContain(inner);
});

it('what came out of something is folded away and out again, by touch and by the arrow keys of a tree', async () => {
  const { page } = bench;
  const all = await names();
  const [outer, inner] = [all[0]!, all.at(-1)!];
  const item = (name: string): Promise<WebElement> =>
    page.driver.findElement(By.xpath(`//nz-tree-view//*[@role="treeitem"][article/header/h2[normalize-space(.)="${name}"]]`));
  const node = await item(outer);
  expect(await node.getAttribute('aria-level')).toBe('1');
  expect(await (await item(inner)).getAttribute('aria-level')).toBe('2');
  await page.click(`What came out of ${outer}`);
  await page.until('it to be folded', async () => !(await names()).includes(inner));
  await node.sendKeys(Key.ARROW_RIGHT);
  await page.until('it to lie open', async () => (await names()).includes(inner));
  await node.sendKeys(Key.ARROW_LEFT);
  await page.until('it to be folded by the key', async () => !(await names()).includes(inner));
  await page.click(`What came out of ${outer}`);
  await page.until('it to lie open again', async () => (await names()).join() === all.join());
});

it('a component and its place that were removed come back, the newest first', async () => {
  const { page } = bench;
  await page.click('Add a component');
  await page.fill('Component', 'Dust cap');
  await page.choose('What it is', 'Something else');
  await page.click('Save component');
  await page.click('Add a place to measure on Dust cap');
  await page.fill('Place', 'Lip');
  await page.choose('Fits together with', 'nothing yet');
  await page.click('Save place');
  await page.click('Remove Lip');
  await page.click('Remove Dust cap');
  await page.until('the cap to go', async () => !(await names()).includes('Dust cap'));
  await page.click('Take back: removing Dust cap');
  await page.until('the cap', async () => (await names()).includes('Dust cap'));
  await page.click('Take back: removing Lip');
  await page.button('Remove Lip');
  const [lip] = await bench.shop.query<{ name: string }>(
    `select c.name from places f join components c on c.id = f.component_id where f.name = 'Lip'`,
  );
  expect(lip!.name).toBe('Dust cap');
});
