import { Key } from 'selenium-webdriver';
import { seriousProblems } from './support/axe';
import { atTheBench } from './support/at-the-bench';

/** Found from anywhere by what one remembers; an address leads to a place; keys while the hand is on the reading line. */
const bench = atTheBench('tomas');

const focused = (): Promise<string> =>
  bench.page.run<string>('return document.activeElement.getAttribute("aria-label") ?? document.activeElement.id');

it('a size that was read leads to its place, and back to what was found', async () => {
  const { page, line } = bench;
  await page.go('/');
  await page.sees('Ramp hinge pin');
  await page.keys('f');
  await page.until('the box', async () => (await focused()) === 'What to find');
  await page.keys('40.046');
  await page.sees('Size read');
  expect(await seriousProblems(page)).toEqual([]);
  await page.click('1001');
  await page.until('the place', async () => (await page.driver.getTitle()).startsWith('1001 Ramp hinge pin, Measure: Lug bore, head side'));
  const address = await page.driver.getCurrentUrl();
  expect(address).toMatch(/\/measure\?place=[0-9a-f-]{36}$/);
  // The address alone leads there again.
  await page.go('/');
  await page.driver.get(address);
  await page.until('the place again', async () =>
    (await page.driver.getTitle()).startsWith('1001 Ramp hinge pin, Measure: Lug bore, head side'),
  );
  // So does that of a figure whose working is read.
  const heading = (): Promise<string> => page.run<string>('return document.querySelector("ip-working h2").textContent');
  const start = await heading();
  await page.run('[...document.querySelectorAll("ip-measure ip-figure button")].find((b) => b.textContent.includes("oval")).click()');
  await page.until('its working', async () => (await heading()) !== start);
  const [told, withFigure] = [await heading(), await page.driver.getCurrentUrl()];
  expect(withFigure).toContain('&figure=');
  await page.go('/');
  await page.driver.get(withFigure);
  await page.sees('Lug bore, head side');
  await page.until('the figure again', async () => (await heading()) === told);
  await page.click('Lug bore, far side');
  await page.until('another address', async () => (await page.driver.getCurrentUrl()) !== address);
  await bench.visit.open('Sprayer pump shaft', 'measure');
  await page.until('the line', async () => (await line.where()).startsWith('Seal track'));
});

it('finds words of notes and customers, what the shop has and what its book says, and says where nothing is', async () => {
  const { page } = bench;
  await page.go('/find?for=ferry');
  await page.sees('Osmere lake ferry');
  await page.go('/find?for=outside%20mic');
  await page.sees('In the shop');
  await page.click('Instrument');
  await page.sees('Crib: instruments');
  await page.driver.navigate().back();
  await page.sees('In the shop');
  await page.go('/find?for=M16x1.5');
  await page.sees('In the book');
  await page.go('/find?for=rammp%20hinje');
  await page.sees('This is spelt alike');
  await page.sees('Ramp hinge pin');
  await page.go('/find?for=zzqx');
  await page.sees('Nothing has “zzqx” in it');
});

it('function keys work on the reading line and take nothing that is typed, and none reaches behind a dialog', async () => {
  const { page, line } = bench;
  await bench.visit.open('Sprayer pump shaft', 'measure');
  await page.until('the line', async () => (await line.where()).startsWith('Seal track'));
  await line.type('19.9');
  await page.keys(Key.F4);
  await page.until('inches', async () => (await page.text()).includes('in\n'));
  await page.keys(Key.F4);
  await page.keys(Key.F1);
  await page.sees('Keys, and how this screen looks');
  await page.keys('3');
  await page.keys(Key.F8);
  expect(await page.driver.getCurrentUrl()).toContain('/measure');
  await page.keys(Key.ESCAPE);
  await page.seesNot('Keys, and how this screen looks');
  expect(await page.run<string>('return document.getElementById("reading").value')).toBe('19.9');
  await page.until('the focus to be back on the line', async () => (await focused()) === 'reading');
  await page.keys(Key.F8);
  await page.until('the box', async () => (await focused()) === 'What to find');
});
