import { Key } from 'selenium-webdriver';
import { seriousProblems } from './support/axe';
import { openBrowser, type Browser } from './support/browser';
import { Page } from './support/page';
import { ReadingLinePage } from './support/reading-line';
import { openShop, type TestShop } from './support/shop';

/** A shop with passwords: Maud owns it, Tomas and Ines share a bench, and it locks. */
const MAUDS = 'lintel gravy osprey nine';
const GIVEN = 'quarry velvet tin harbour';
const OWN = 'sparrow ninth kettle loam';
let shop: TestShop;
let office: Browser;
let bench: Browser;
let maud: Page;
let page: Page;
beforeAll(async () => {
  shop = await openShop({ demo: true, roles: true, env: { IRON_PATCH_SIGN_IN: 'password' } });
  [office, bench] = await Promise.all([openBrowser(), openBrowser({ width: 1024, height: 768 })]);
  maud = new Page(office.driver, shop.address);
  page = new Page(bench.driver, shop.address);
});
afterAll(async () => {
  await Promise.all([office.close(), bench.close()]);
  await shop.close();
});

/** Nobody touched the bench for long, as the server has it. */
const lock = (): Promise<unknown> => shop.query(`update devices set at_bench = null where at_bench <> 'maud'`);
const typePin = async (p: Page, digits: string): Promise<void> => {
  await p.css('ip-pin-pad');
  await p.keys(...digits, Key.ENTER);
};
const jobId = async (title: string): Promise<string> =>
  (await shop.query<{ id: string }>(`select id from jobs where title = '${title}'`))[0]!.id;
const readings = async (): Promise<number> => (await shop.query<{ n: number }>('select count(*)::int as n from readings'))[0]!.n;

it('makes the owner’s account at the first start, and nobody gets in without', async () => {
  await maud.go('/');
  await maud.sees('The owner’s account');
  expect(await seriousProblems(maud)).toEqual([]);
  await maud.click('Maud Ferrier');
  await maud.fill('A password', 'password1234');
  await maud.click('Make the account');
  await maud.sees('it is one of those that are tried first');
  await maud.fill('A password', MAUDS);
  await maud.click('Make the account');
  await maud.sees('New job');
  await page.go('/');
  await page.sees('Sign in');
  await page.seesNot('Ramp hinge pin');
});

it('the owner gives passwords, which are changed before anything else', async () => {
  for (const name of ['Tomas Quill', 'Ines Okoro']) {
    await maud.go('/shop');
    await maud.click(`Change ${name}`);
    await maud.sees('Has no password yet');
    await maud.click('Give a password');
    await maud.fill('A password to begin with', GIVEN);
    await maud.click('Give this password');
    await maud.sees('Has a password that was given');
    await page.go('/');
    if (name === 'Ines Okoro') {
      await page.click('Tomas Quill');
      await page.click('Somebody else signs in');
    }
    await page.fill('Your name', name);
    await page.fill('Password', 'wrong wrong wrong');
    await page.click('Sign in');
    await page.sees('That is not the name and the password of anybody here.');
    await page.fill('Password', GIVEN);
    await page.click('Sign in');
    await page.sees('Choose a password of your own');
    await page.fill('The password that you were given', GIVEN);
    await page.fill('New password', OWN);
    await page.click('Change the password');
    await page.seesNot('Choose a password of your own');
    await page.click(name);
    await page.click('Set a PIN');
    await page.fill('New PIN', '1234');
    await page.fill('Password', OWN);
    await page.click('Set the PIN');
    await page.sees('nor a run');
    await page.fill('New PIN', name === 'Ines Okoro' ? '5839' : '7291');
    await page.click('Set the PIN');
    await page.sees('The PIN is set');
  }
});

it('people change at the bench by PIN, and each may what they may', async () => {
  await page.go('/shop');
  await page.sees('You look on here. As “apprentice” you may not change the shop');
  await page.click('Ines Okoro');
  expect(await seriousProblems(page)).toEqual([]);
  await page.click('Tomas Quill');
  await page.css('ip-pin-pad');
  expect(await seriousProblems(page)).toEqual([]);
  await typePin(page, '1111');
  await page.sees('That is not the PIN');
  await typePin(page, '7291');
  await page.sees('As “machinist” you may not change the shop');
  await page.go('/crib');
  await page.sees('Crib: instruments');
  await page.seesNot('You look on here');
  // A button of somebody else's can be reached, and says why it does nothing.
  await page.click('Tomas Quill');
  await page.click('Ines Okoro');
  await typePin(page, '5839');
  await page.seesNot('By password');
  await page.go(`/jobs/${await jobId('Sprayer pump shaft')}/return`);
  await page.css('ip-rail a.on');
  await page.click('Hand it back');
  await page.sees('you may not release for cutting, pass what is proved, sign or hand over. Who may: owner, machinist.');
  await page.click('Close');
});

it('what was typed stays under the lock, and goes once it is lifted', async () => {
  await page.go('/jobs/new');
  await page.fill('Customer', 'Upper lock');
  await page.fill('What it is', 'Winch pawl pin');
  await page.fill('Pieces received', '1');
  await lock();
  await page.click('Take it in');
  await page.sees('Locked: who is it?');
  await page.click('Ines Okoro');
  await typePin(page, '5839');
  await page.seesNot('Locked');
  expect(await (await page.field('What it is')).getAttribute('value')).toBe('Winch pawl pin');
  await page.click('Take it in');
  await page.css('ip-rail a.on');
  expect((await shop.query<{ n: number }>(`select count(*)::int as n from jobs where title = 'Winch pawl pin'`))[0]!.n).toBe(1);
});

it('a reading of a screen that was locked meanwhile is kept, and stored as whose it is', async () => {
  await page.go(`/jobs/${await jobId('Sprayer pump shaft')}/measure`);
  const line = new ReadingLinePage(page);
  await page.until('the line', async () => (await line.where()).startsWith('Seal track'));
  const before = await readings();
  await lock();
  await line.type('19.903');
  await page.keys(Key.ENTER);
  await page.sees('1 reading kept here waits for whoever took it.');
  expect(await readings()).toBe(before);
  // Somebody else comes to the bench first.
  await page.click('Tomas Quill');
  await typePin(page, '7291');
  await page.until('the reading', async () => (await readings()) === before + 1);
  const [last] = await shop.query<{ by: string; text: string }>('select person_id as by, text from readings order by seq desc limit 1');
  expect(last).toEqual({ by: 'ines', text: '19.903' });
});

it('signed out by the owner, nobody goes on; and everything stands on record', async () => {
  await maud.go('/shop');
  await maud.click('Change Tomas Quill');
  await maud.sees('A PIN is set.');
  await maud.click('Sign out everywhere');
  await maud.sees('Tomas Quill is signed out everywhere.');
  await page.go('/');
  await page.sees('Locked: who is it?');
  expect(await page.text()).not.toContain('Tomas Quill');
  await maud.go('/shop/done');
  await maud.sees('signed somebody out everywhere');
  await maud.choose('Whose', 'Ines Okoro');
  await maud.sees('took a job in');
  await maud.sees('gave a wrong password');
  expect(await seriousProblems(maud)).toEqual([]);
  await maud.click('Maud Ferrier');
  await maud.click('Sign out here');
  await maud.sees('Sign in');
  expect(
    await maud.run<number>(
      'return document.querySelectorAll("header nav").length && document.querySelector("ip-top-strip").hasAttribute("inert") ? 1 : 0',
    ),
  ).toBe(1);
});
