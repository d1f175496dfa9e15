import { By, Key } from 'selenium-webdriver';
import { atTheBench } from './support/at-the-bench';
import { seriousProblems } from './support/axe';

/** A seat that another shop grinds: drawn by the line, cut to what is left on, proved before it goes and when it is back. */
const bench = atTheBench('tomas');

async function lines(...typed: readonly string[]): Promise<void> {
  const { page } = bench;
  await page.run('document.activeElement.blur()');
  await page.keys('/');
  for (const text of typed) await page.keys(text, Key.ENTER);
}

it('the line asks what is done, how much a side, and by how much that may be off', async () => {
  const { page } = bench;
  await bench.visit.open('Mixer drive shaft', 'draw');
  await page.sees('Seal land');
  await page.run('document.querySelector("ip-sheet .middle").scrollTop = 0');
  await (await page.driver.findElements(By.css('ip-part-picture .size')))[4]!.click();
  await page.until('the line at the seal land', async () => (await page.text()).includes('Seal land: diameter'));
  await lines('treatment', 'ground to size', '0.15', '0.05');
  // 24 h11 is 23.870 to 24.000: 24.000 + 0.20 and 23.870 + 0.40.
  await page.sees('Seal land, before grinding');
  await page.sees('24.200 to 24.270');
});

it('it is cut to what is left on, and the slip goes along', async () => {
  const { page } = bench;
  await bench.visit.open('Mixer drive shaft', 'plan');
  await page.sees('Slip for the outside shop, PDF');
  await page.click('5 Treatment');
  await page.sees('Treatment: have it ground to size');
  await bench.visit.open('Mixer drive shaft', 'cut');
  await page.click('3 End for end');
  await page.sees('Seal land, before grinding');
  await page.sees('24.235');
});

it('is proved first as it goes, and the finished size cannot be passed before', async () => {
  const { page, line } = bench;
  await bench.visit.open('Mixer drive shaft', 'prove');
  await page.until('the line at the size before', async () => (await line.where()).startsWith('Seal land, before grinding, cold'));
  expect(await seriousProblems(page)).toEqual([]);
});
