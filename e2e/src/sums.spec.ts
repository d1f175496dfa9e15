import { Key } from 'selenium-webdriver';
import { openShop, type TestShop } from './support/shop';
import { visit, type Visit } from './support/visit';

/** The Sums bench from the middle of a job, and as a place of its own. */
let shop: TestShop;
let tomas: Visit;
beforeAll(async () => {
  shop = await openShop({ demo: true });
  tomas = await visit(shop);
});
afterAll(async () => {
  await tomas.close();
  await shop.close();
});

const at = (path: string): Promise<void> => tomas.page.go(`/sums/${path}`);

it('opens with = over a half typed reading, sends a sum to the job and gives the reading line back as it was', async () => {
  const { page, line } = tomas;
  const id = await tomas.open('Sprayer pump shaft', 'measure');
  await page.until('the line', async () => (await line.where()).startsWith('Seal track'));
  await line.type('19.9');
  await (await page.css('#reading')).sendKeys('=');
  await page.sees('Look up, or find a sum');
  await page.click('Centre of a round from its edge');
  await page.fill('Round', '1 in');
  await page.sees('17.780');
  await page.click('Send');
  await page.sees('Written into the notes of job');
  const notes = await shop.query<{ text: string }>(`select text from notes where job_id = '${id}'`);
  expect(notes.some((n) => n.text.includes('17.780 mm = half the round'))).toBe(true);
  await page.keys(Key.ESCAPE);
  await page.seesNot('Look up, or find a sum');
  expect(await page.run('return document.getElementById("reading").value')).toBe('19.9');
});

it('tap drill: 1/4 20 from the drills of the inch set', async () => {
  const { page } = tomas;
  await at('sum/tap-drill');
  await page.fill('Thread', '1/4 20');
  await page.choose('Drills at hand', 'inch');
  await page.sees('number 7');
  await page.fill('Thread', '1/4 21');
  await page.sees('is no thread in the book');
  await page.sees('last good answer');
});

it('push force: refuses to crack a grey iron hub, and says what cools enough', async () => {
  const { page } = tomas;
  await at('sum/press');
  await page.choose('Hub', 'Grey cast iron (EN-GJL-250)');
  await page.fill('Hub outside', '40');
  await page.fill('Interference', '0.15');
  await page.sees('would crack');
  await page.sees('liquid nitrogen');
  await page.sees('Press behind a shield');
});

it('what was typed stands in the address, which lays it out in another browser', async () => {
  const { page } = tomas;
  await at('sum/convert');
  await page.fill('Size, mm', '1 3/16');
  await page.sees('1.1875');
  await page.until('the address', async () => (await page.driver.getCurrentUrl()).includes('1+3%2F16'));
  const address = await page.driver.getCurrentUrl();
  const maud = await visit(shop, 'maud');
  try {
    await maud.page.driver.get(address);
    await maud.page.sees('1.1875');
    // Nonsense in an address is told at its field like any typing.
    await maud.page.driver.get(`${shop.address}/sums/sum/convert?unit=mm&size=nonsense&no-field=1`);
    await maud.page.sees('is not a size');
  } finally {
    await maud.close();
  }
});

it('speeds: steps down to a gear that the shop’s lathe has', async () => {
  const { page } = tomas;
  await at('sum/speeds');
  await page.fill('Diameter', '46');
  await page.sees('next slower that the machine has');
  await page.sees('173 rpm');
});

it('key and keyseat: both units, switched in the middle', async () => {
  const { page } = tomas;
  await at('sum/key');
  await page.fill('Shaft', '25.4');
  await page.sees('ASME B17.1 square');
  await page.click('Unit mm, switch to the other');
  await page.sees('0.859');
  expect(await (await page.field('Shaft')).getAttribute('value')).toBe('1');
  await page.click('Unit in, switch to the other');
});

it('shim pack: an impossible one is said', async () => {
  const { page } = tomas;
  await at('sum/shims');
  await page.sees('0.5');
  await page.fill('Shims at hand, each as often as wanted', '0.5; wedge');
  await page.sees('"wedge" is no number');
  await page.fill('Shims at hand, each as often as wanted', '0.5');
  await page.sees('None of them is near enough');
});

it('the book: looked up by what people type, and a table by rows', async () => {
  const { page } = tomas;
  await page.go('/sums');
  for (const [asked, said] of [
    ['M16x1.5', 'M16 x 1.5'],
    ['6204', 'Bearing 6204'],
    ['-214', 'O-ring -214'],
    ['25 H7/p6', '25.035'],
  ] as const) {
    await page.fill('Look up, or find a sum', asked);
    await page.sees(said);
  }
  await page.fill('Look up, or find a sum', 'split pins');
  await page.click('Split pins');
  await page.sees('Clevis pin over');
  await page.fill('Show rows with', '6.3');
  await page.seesNot('0.600');
});
