import { Key } from 'selenium-webdriver';
import { seriousProblems } from './support/axe';
import { Hand } from './support/hand';
import { openShop, type TestShop } from './support/shop';
import { visit, type Visit } from './support/visit';

/** A shop of one's own, from nothing to the first size; inches throughout. */
let shop: TestShop;
let ada: Visit;
beforeAll(async () => {
  shop = await openShop({ demo: false, card: false });
  ada = await visit(shop, 'nobody');
});
afterAll(async () => {
  await ada?.close();
  await shop?.close();
});

const card = async (): Promise<{ walked: string[]; unit: string }> =>
  (await shop.query<{ walked: string[]; unit: string }>('select walked, unit from shop_cards'))[0]!;

it('opens on the walk round the shop, and lets nothing be done before somebody is there', async () => {
  const { page } = ada;
  await page.sees('Set up the shop');
  await page.click('Save and go on');
  await page.sees('Say what the shop is called.');
  await page.fill('Name of the shop', 'Upper Forge');
  await page.choose('Unit that jobs start in', 'in');
  expect(await seriousProblems(page)).toEqual([]);
  await page.click('Save and go on');
  await page.sees('Whoever is at the bench stands behind');
  await page.fill('Name', 'Ada Brook');
  await page.click('Save person');
  await page.until('Ada at the bench', async () => (await page.text()).includes('Ada Brook'));
  expect(await card()).toMatchObject({ unit: 'in', walked: ['name'] });
});

it('takes machines, instruments and bars from lists and lines, and can be left and taken up again', async () => {
  const { page } = ada;
  await page.click('Go on');
  await page.click('Engine lathe');
  await page.sees('Cross slide dial');
  await page.fill('Name', 'Old lathe');
  await page.fill('Spindle speeds, rpm', '40, 80, x');
  await page.click('Save machine');
  await page.sees('1 thing to put right:');
  await page.fill('Spindle speeds, rpm', '40, 80, 160, 320, 640');
  await page.click('Save machine');
  await page.sees('5 speeds');
  await page.click('Leave it for now');
  await page.sees('No jobs yet.');
  await page.go('/shop');
  await page.sees('The walk round the shop is not done: instruments, house fits, bars.');
  await page.click('Go on with it');
  for (const name of ['Outside mic 0 to 1 in', 'Telescoping gauges', 'Caliper 6 in']) await page.tick(name);
  await page.click('Hang up 3 instruments');
  await page.sees('In the crib: Caliper 6 in, Outside mic 0 to 1 in, Telescoping gauges');
  expect(await seriousProblems(page)).toEqual([]);
  await page.click('Go on');
  await page.sees('How much room a running fit gets');
  await page.click('Go on');
  await page.fill('A bar, a tube or an offcut, in inches', '1 1/4 x 14 brownium');
  await page.keys(Key.ENTER);
  await page.sees('The book has no material called “brownium”.');
  await page.fill('A bar, a tube or an offcut, in inches', '1 1/4 x 14 1045 black, bin 3');
  await page.sees('Understood, in inches: 1.25 x 14 round, black, bin 3, Medium carbon steel (C45, 1045)');
  await page.keys(Key.ENTER);
  await page.until('the bar', async () => (await shop.query('select 1 from bars')).length === 1);
  await page.click('Take in the first job');
  await page.sees('New job');
});

it('measures and sizes the first job with what the shop has', async () => {
  const { page } = ada;
  const hand = new Hand(ada, shop);
  await hand.takeIn('Pivot pin', 'in');
  await hand.component('Pin', 'The worn part', 'not known');
  await hand.place('Pin', 'Body', { length: '2', stations: '1', clocks: '0° and 90°' });
  await hand.component('Lever', 'What it runs in', 'Mild steel (S235');
  await hand.place('Lever', 'Lever bore', { length: '1', fits: 'Body', stations: '0.5', clocks: '0° and 90°' });
  await hand.measure('Body', ['0.7462', '0.7465']);
  await hand.measure('Lever bore', ['0.7521', '0.7515']);
  await page.click('Decide');
  await page.sees('0.7515');
  await page.sees('house rule');
});

it('counts the rack up and down, takes it back by key, and says who is where', async () => {
  const { page } = ada;
  await page.go('/rack');
  await page.click('One more of 1.25 round');
  await page.sees('1.25 round: 2 left.');
  await page.driver.actions().keyDown(Key.CONTROL).sendKeys('z').keyUp(Key.CONTROL).perform();
  await page.until('one again', async () => (await shop.query<{ pieces: number }>('select pieces from bars'))[0]!.pieces === 1);
  await page.click('Counts of 1.25 round');
  await page.sees('undone');
  await page.click('Remove 1.25 round');
  await page.sees('The rack is empty.');
  await page.click('Undo');
  await page.sees('bin 3');
  expect(await seriousProblems(page)).toEqual([]);
  await page.click('Change 1.25 round');
  await page.choose('Shape', 'tube');
  await page.fill('Bore', '0.75');
  expect(await seriousProblems(page)).toEqual([]);
  await page.click('Save bar');
  await page.sees('1.25 x 0.75 tube');
  await page.go('/shop');
  await page.click('Add a person');
  await page.sees('What they do here');
  await page.fill('Name', 'ada brook');
  await page.click('Save person');
  await page.sees('1 thing to put right: Somebody here is called that already');
  await page.fill('Name', 'Ben Holt');
  await page.click('Save person');
  await page.click('Remove Ben Holt');
  await page.sees('Ben Holt is no longer offered at the bench.');
  expect(await seriousProblems(page)).toEqual([]);
});

it('calls a job off with its reason, finds it put away, and takes it up again', async () => {
  const { page } = ada;
  await ada.open('Pivot pin', 'receive');
  await page.click('Call this job off');
  await page.click('Call it off');
  await page.sees('Say why it is called off');
  await page.fill('Why is it called off?', 'The customer took it back.');
  await page.click('Call it off');
  await page.sees('This job is called off: The customer took it back.');
  await page.go('/');
  await page.sees('Nothing is open');
  await page.click('Show what is put away, 1');
  await page.sees('Called off');
  await ada.open('Pivot pin', 'receive');
  await page.click('Take this job up again');
  await page.fill('Why is it taken up again?', 'It came back.');
  await page.click('Take it up again');
  await page.seesNot('This job is called off');
  await page.go('/');
  await page.sees('Pivot pin');
});
