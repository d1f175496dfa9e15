import { By, Key } from 'selenium-webdriver';
import { seriousProblems } from './support/axe';
import { Hand } from './support/hand';
import { openShop, type TestShop } from './support/shop';
import { visit, type Visit } from './support/visit';

/** A shaft drawn at the line, changed in the picture, gone back on, saved with its reason and brought back. */
let shop: TestShop;
let tomas: Visit;
beforeAll(async () => {
  shop = await openShop({ demo: false });
  tomas = await visit(shop);
  await new Hand(tomas, shop).takeIn('Pump shaft', 'mm');
  await tomas.page.click('Draw');
});
afterAll(async () => {
  await tomas?.close();
  await shop?.close();
});

const FACTS =
  'return [...document.querySelectorAll("ip-lanes tbody tr")].map((r) => [...r.children].map((c) => c.textContent.trim()).join(" "))';

/** Lines typed one after the other, each with Enter: how many they were. */
async function lines(typed: readonly string[]): Promise<number> {
  await tomas.page.run('document.activeElement.blur()');
  await tomas.page.keys('/');
  for (const text of typed) await tomas.page.keys(...(text ? [text] : []), Key.ENTER);
  return typed.length;
}
const control = (key: string): Promise<void> => tomas.page.driver.actions().keyDown(Key.CONTROL).sendKeys(key).keyUp(Key.CONTROL).perform();
/** Touches something of the picture or its lanes, which lie at the top. */
async function touch(selector: string, nth: number): Promise<void> {
  await tomas.page.run('document.querySelector("ip-sheet .middle").scrollTop = 0');
  await (await tomas.page.driver.findElements(By.css(selector)))[nth]!.click();
}
const asks = (words: string): Promise<void> => tomas.page.sees(words);

it('a stepped shaft with groove, keyseat and thread is drawn by keyboard alone in under 60 entries', async () => {
  const { page } = tomas;
  await page.click('Plain pin');
  await page.fill('Overall length', '60');
  await page.fill('Body diameter, about', '25');
  await page.click('Draw it');
  await asks('Body: diameter');
  const entries = await lines([
    ...['25 k6', '30', '', ''],
    ...['step', '30 h6', '40', '', '', 'keyseat', '6', '28'],
    ...['step', '25 k6', '34', '', '', 'ring', '30.35', '', ''],
    ...['step', '20', '24', '', '', 'M20 x 1.5', '2', '', '18', 'undercut', '1', '4', '1.2'],
  ]);
  expect(entries).toBeLessThan(60);
  await asks('That was the last.');
  const facts = await page.run<string[]>(FACTS);
  expect(facts.filter((f) => f.startsWith('Length'))).toEqual([
    'Length 0 30 30.00',
    'Length 30 70 40.00',
    'Length 70 104 34.00',
    'Length 104 128 24.00',
  ]);
  await page.click('Save drawing');
  await page.sees('Saved.');
  const [kept] = await shop.query<{ value: { features: { kind: string }[]; limits: Record<string, unknown> } }>(
    `select value from choices where key like 'part%' order by version desc limit 1`,
  );
  expect(kept!.value.features.map((f) => f.kind)).toEqual(expect.arrayContaining(['keyseat', 'ring-groove', 'thread', 'undercut']));
  expect(Object.keys(kept!.value.limits)).toHaveLength(3);
  expect(await seriousProblems(page)).toEqual([]);
});

it('a number that is touched in the picture or a lane is asked for; what is typed wrongly is said and taken back', async () => {
  const { page } = tomas;
  await touch('ip-part-picture .size', 1);
  await asks('Step: diameter');
  await asks('now 30.000');
  await touch('ip-lanes .touch', 1);
  await asks('Step: length');
  await page.keys('20', Key.ENTER);
  await page.sees('this does not lie wholly on it');
  await page.click('Take it back');
  await page.seesNot('this does not lie wholly on it');
  await page.sees('Saved.');
});

it('goes back and on by keys, keeps why it was changed, and brings an older drawing back', async () => {
  const { page } = tomas;
  const over = async (mm: string): Promise<void> => page.sees(`${mm} over all`);
  await touch('ip-lanes .touch', 3);
  await asks('Step 3: length');
  await page.keys('30', Key.ENTER);
  await over('134.00');
  await control('z');
  await over('128.00');
  await control('y');
  await over('134.00');
  await page.fill('Why, if it is changed', 'The nut is thicker');
  await page.click('Save drawing');
  await page.sees('Saved.');
  await page.click('Drawn before');
  await page.sees('The nut is thicker');
  await page.sees('Length of Step 3 30.000, was 24.000');
  await page.click('Bring it back: the drawing of version 1');
  await over('128.00');
  await page.click('Forget the changes');
  await over('134.00');
});

it('gets longer in the middle of a stretch, another diameter with its keyseat, and a shoulder where a ring was', async () => {
  const { page } = tomas;
  const over = async (mm: string): Promise<void> => page.sees(`${mm} over all`);
  const named = (words: string): Promise<string[]> =>
    page
      .run<string[]>(`return [...document.querySelectorAll('ip-part-acts [role=status] li')].map((l) => l.textContent.trim())`)
      .then((all) => all.filter((l) => l.includes(words)));
  await page.click('Longer, thicker, a shoulder instead of a ring');
  await page.choose('Which stretch', 'Step 2');
  await page.fill('Parted from its left end at', '30.8');
  await page.fill('By: shorter below 0', '12');
  await page.click('Change the length');
  await page.sees('Ring groove lies there: choose a place beside it.');
  await page.fill('Parted from its left end at', '10');
  await page.click('Change the length');
  await over('146.00');
  expect(await named('left wall')).toEqual(['ring groove, left wall from the left end 42.350, was 30.350']);

  await page.choose('Which diameter', 'Step');
  await page.fill('Its new diameter', '40');
  await page.click('Change the diameter');
  // DIN 6885: 30 takes 8 x 7, 40 takes 12 x 8.
  await page.until('the key of the new shaft', async () => (await named('keyseat, width'))[0]?.includes('12.000, was 8.000'));

  await page.fill('Diameter of the shoulder', '32');
  await page.click('Put the shoulder there');
  await page.sees('would have to come on over step, which is thicker.');
  await page.choose('It stands', 'left of what it holds');
  await page.click('Put the shoulder there');
  await page.until('the groove to be gone', async () => (await named('Ring groove gone')).length === 1);
  expect(await seriousProblems(page)).toEqual([]);
  await control('z');
  await control('z');
  await control('z');
  await over('134.00');
});
