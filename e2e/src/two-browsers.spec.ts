import { openShop, type TestShop } from './support/shop';
import { visit, type Visit } from './support/visit';

/** Tomas at the bench and Ines at the counter have the same job open. */
let shop: TestShop;
let tomas: Visit;
let ines: Visit;
beforeAll(async () => {
  shop = await openShop({ demo: true });
  [tomas, ines] = await Promise.all([visit(shop, 'tomas'), visit(shop, 'ines')]);
});
afterAll(async () => {
  await Promise.all([tomas.close(), ines.close()]);
  await shop.close();
});

it("shows one's reading on the other's screen", async () => {
  await tomas.open('Sprayer pump shaft', 'measure');
  await ines.open('Sprayer pump shaft', 'measure');
  await ines.page.sees('Seal track');
  await tomas.page.until('the line', async () => (await tomas.line.where()).startsWith('Seal track at 71 mm'));
  await tomas.line.take('19.903');
  await ines.page.sees('19.903');
  await ines.page.until('the line to move on here too', async () => (await ines.line.where()).startsWith('Seal track at 71 mm, 90°'));
});

it('lets nobody overwrite the other unseen, and loses neither', async () => {
  await tomas.open('Rocker pivot', 'receive');
  await ines.open('Rocker pivot', 'receive');
  await ines.page.fill('What it is', 'Rocker pivot, inlet');
  await tomas.page.fill('What it is', 'Rocker pivot, exhaust');
  await ines.page.click('Save');
  await ines.page.sees('Saved.');
  await tomas.page.sees('Rocker pivot, inlet');
  const typed = await tomas.page.field('What it is');
  expect(await typed.getAttribute('value')).toBe('Rocker pivot, exhaust');
  await tomas.page.click('Save');
  await tomas.page.sees('Somebody else changed what was received');
  const title = async (): Promise<string> =>
    (await shop.query<{ title: string }>(`select title from jobs where title like 'Rocker pivot%'`))[0]!.title;
  expect(await title()).toBe('Rocker pivot, inlet');
  await tomas.page.click('Save mine over it');
  await tomas.page.until('the second save', async () => (await title()) === 'Rocker pivot, exhaust');
  await ines.page.sees('Rocker pivot, exhaust');
});

it('shows a decision of one at once to the other', async () => {
  await tomas.open('Rocker pivot, exhaust', 'decide');
  await ines.open('Rocker pivot, exhaust', 'decide');
  await ines.page.click('Close sliding or locating, keep the hole');
  await tomas.page.until('the other choice', () =>
    tomas.page.run<boolean>(
      `return [...document.querySelectorAll('button[aria-pressed="true"]')].some((b) => b.textContent.trim().startsWith('Close sliding'))`,
    ),
  );
});
