import { seriousProblems } from './support/axe';
import { anEmptyBench } from './support/empty-bench';

/** A scored rod, by hand in an empty shop: ways side by side, rates, one changed, one chosen with its items, time spent on it. */
const bench = anEmptyBench();

it('the usual ways for what was found stand side by side, each with its hours and price', async () => {
  const { page, hand } = bench();
  await hand.takeIn('Splitter rod', 'mm');
  await hand.component('Rod', 'The worn part', 'Medium carbon steel (C45');
  await hand.place('Rod', 'Rod outside', { length: '600', stations: '100, 300, 500', clocks: '0°', instrument: 'Outside mic 25 to 50' });
  await hand.measure('Rod outside', ['44.93', '44.94', '44.93']);
  await page.click('Decide');
  await page.click('Pick something that was found');
  await page.choose('What', 'Chrome rod scored, dented or pitted in the seal’s path');
  await page.click('Add the finding');
  await page.click('Put them side by side');
  await page.sees('4 Buy it');
  await page.sees('and the price of set of seals');
  await page.sees('1 Stone the high spots and reseal');
  expect(await seriousProblems(page)).toEqual([]);
});

it('an hour that costs more makes every way dearer, and the rates of before stay on record', async () => {
  const { page, shop } = bench();
  const price = async (): Promise<number> => Number(/2 New rod\s+(?:price:\s+)?(\d+)/.exec(await page.text())?.[1]);
  const place = await page.driver.getCurrentUrl();
  const before = await price();
  await page.click('Shop');
  await page.fill('An hour of hands', '76,00');
  await page.click('Save rates');
  await page.until('rates to be stored', async () => (await shop.query('select 1 from rates')).length === 2);
  await page.click('How they were before');
  await page.sees('38.00 crowns');
  expect(await seriousProblems(page)).toEqual([]);
  await page.driver.get(place);
  await page.sees('Ways to put it right');
  await page.until('the new price', async () => (await price()) > 1.5 * before);
});

it('a way is changed to what its seals cost and how long they take', async () => {
  const { page } = bench();
  await page.click('Change new rod');
  await page.fill('Price each', 'dear');
  await page.click('Save this way');
  await page.sees('1 thing to put right');
  await page.fill('Price each', '27');
  await page.fill('Days till here', '4');
  await page.click('Save this way');
  await page.sees('set of seals, 4 days');
  expect(await seriousProblems(page)).toEqual([]);
});

it('one is chosen with a reason, and lays out what it takes', async () => {
  const { page, count, shop } = bench();
  await page.click('Choose new rod');
  await page.sees('It adds to this job: Set of seals.');
  await page.click('Choose it');
  await page.sees('Say why it is this one');
  await page.fill('Why new rod', 'He wants it for good');
  await page.click('Choose it');
  await page.sees('“He wants it for good”');
  expect(await count(`choices where key like 'item:%'`)).toBe(2);
  const [made] = await shop.query<{ value: { estimated: { priceMinor: number; acts: { act: string }[] } } }>(
    `select value from choices where key like 'considered:%' and value ->> 'state' = 'chosen'`,
  );
  expect(made!.value.estimated.priceMinor).toBeGreaterThan(10_000);
  await page.click('Draw');
  await page.sees('Route: new rod');
  await page.sees('Set of seals');
});

it('what the days took stands beside it at the end', async () => {
  const { page, count } = bench();
  await page.click('Return');
  await page.sees('Time spent');
  await page.choose('Act', 'turn');
  await page.fill('Minutes', '95');
  await page.click('Add time');
  await page.sees('1:35 turn');
  await page.fill('Minutes', '0');
  await page.click('Add time');
  await page.sees('Minutes is a number from 1');
  await page.click('Withdraw 1:35 turn');
  await page.seesNot('1:35 turn');
  expect(await count(`choices where key like 'spent:%'`)).toBe(2);
  expect(await seriousProblems(page)).toEqual([]);
});
