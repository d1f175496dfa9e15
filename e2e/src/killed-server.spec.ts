import { openShop, type TestShop } from './support/shop';
import { visit, type Visit } from './support/visit';

/** The server dies while readings are typed. */
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

const texts = async (): Promise<string[]> =>
  (await shop.query<{ text: string }>(`select text from readings where text like '20.04%' or text like '19.9%' order by seq`)).map(
    (r) => r.text,
  );

it('loses nothing that was acknowledged, keeps what was not, and sends it when the server is back', async () => {
  const { page, line } = ines;
  const id = await ines.open('Sprayer pump shaft', 'measure');
  await page.until('the line', async () => (await line.where()).startsWith('Seal track'));
  const before = (await texts()).length;
  await line.takeAll(['19.903', '19.911']);
  await page.until('both to be stored', async () => (await texts()).length === before + 2);

  await shop.kill();
  await line.takeAll(['19.972', '19.974', '20.041', '20.042']);
  await page.sees('4 readings kept here, not yet on the server');
  await page.sees('20.042');

  // A reload while the server is down: the page itself does not come, but nothing typed is gone.
  await shop.start();
  await page.go(`/jobs/${id}/measure`);
  await page.until('all to be stored once', async () => (await texts()).length === before + 6);
  await page.seesNot('not yet on the server');
  expect((await texts()).slice(before)).toEqual(['19.903', '19.911', '19.972', '19.974', '20.041', '20.042']);
});

it('goes on by itself when the page stays open', async () => {
  const { page, line } = ines;
  const before = (await texts()).length;
  await page.until('the line', async () => (await line.where()).startsWith('Housing bush'));
  await shop.kill();
  await line.take('20.044');
  await page.sees('1 reading kept here');
  await shop.start();
  await page.until('it to be stored', async () => (await texts()).length === before + 1);
  await page.seesNot('kept here');
});

it('keeps a form that could not be saved', async () => {
  const { page } = ines;
  await page.click('Receive');
  await page.fill('What happened to it', 'Weeps worse when warm.');
  await shop.kill();
  await page.click('Save');
  await page.sees('What you typed is still here');
  await shop.start();
  await page.click('Save');
  await page.sees('Saved.');
  expect(await shop.query(`select 1 from jobs where complaint = 'Weeps worse when warm.'`)).toHaveLength(1);
});
