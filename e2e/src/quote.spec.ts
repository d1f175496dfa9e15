import { seriousProblems } from './support/axe';
import { anEmptyBench } from './support/empty-bench';
import { visit } from './support/visit';

/** From ways side by side to the customer's yes: made at the desk, read and answered on a telephone, seen at the desk at once. */
const bench = anEmptyBench();
let link = '';

const linkOn = async (): Promise<string> => {
  const { page } = bench();
  const message = await page.css('.message textarea');
  return /http\S+\/q\/\S+/.exec(String(await message.getAttribute('value')))![0];
};

it('a quote is made of the ways, and its link told once', async () => {
  const { page, hand, count } = bench();
  await hand.takeIn('Sweeper axle', 'mm');
  await hand.component('Axle', 'The worn part', 'Medium carbon steel (C45');
  await hand.place('Axle', 'Bearing seat', { length: '40', stations: '10, 30', clocks: '0°', instrument: 'Outside mic 0 to 25' });
  await hand.measure('Bearing seat', ['22.10', '22.11']);
  await page.click('Decide');
  await page.sees('Put ways to put it right side by side first');
  await page.click('Pick something that was found');
  await page.choose('What', 'Shaft sheared');
  await page.click('Add the finding');
  await page.click('Put them side by side');
  await page.sees('3 Buy it');
  await page.click('Make a quote');
  await page.sees('times in 100, as the run order stands');
  await page.fill('Stop and ask at', '250');
  await page.fill('In your words', 'The groove is where it broke.');
  await page.click('Make the quote');
  await page.sees('This link is shown now and never again.');
  link = await linkOn();
  expect(await seriousProblems(page)).toEqual([]);
  expect(await count('quotes')).toBe(1);
  expect(await page.text()).toContain('Waits for the customer');
});

it('the customer reads it on a telephone, asks, and says yes once', async () => {
  const { shop } = bench();
  const phone = await visit(shop, 'tomas', { width: 390, height: 844 });
  try {
    const { page } = phone;
    await page.driver.get(link);
    await page.sees('Ways to put it right');
    await page.sees('We stop and ask you before it comes to more than 250.00 crowns.');
    expect(await seriousProblems(page)).toEqual([]);
    const wide = await page.driver.executeScript<number>('return document.documentElement.scrollWidth');
    expect(wide).toBeLessThanOrEqual(390);
    await page.click('Send it to the shop');
    await page.sees('Please give your name.');
    const pick = (value: string) => page.css(`input[value${value}]`).then((input) => page.press(input));
    await pick('=ask');
    await page.fill('Your name', 'Ada Finch');
    await page.fill('A note, or your question', 'Is the hub sound?');
    await page.click('Send it to the shop');
    await page.sees('Your question of');
    await pick('^="yes:"');
    await page.fill('Your name', 'Ada Finch');
    await page.click('Send it to the shop');
    await page.sees('Said by Ada Finch');
    expect(await seriousProblems(page)).toEqual([]);
  } finally {
    await phone.close();
  }
});

it('the desk hears both at once, and the way that was asked for is chosen', async () => {
  const { page } = bench();
  await page.sees('Ada Finch said yes to: New shaft with a shoulder instead of the groove');
  await page.sees('“Is the hub sound?”');
  await page.click('Choose new shaft with a shoulder');
  await page.fill('Why new shaft with a shoulder instead of the groove, bigger radius, better steel', 'As the customer said');
  await page.click('Choose it');
  await page.sees('“As the customer said”');
});

it('another quote is withdrawn, and its link leads nowhere', async () => {
  const { page } = bench();
  await page.click('Another quote');
  await page.click('Make the quote');
  await page.sees('Quote 2');
  const second = await linkOn();
  await page.click('Withdraw quote 2');
  await page.click('Withdraw it');
  await page.sees('Say why it is withdrawn.');
  await page.fill('Why it is withdrawn', 'Not needed after all');
  await page.click('Withdraw it');
  await page.sees('Withdrawn by Tomas Quill: Not needed after all');
  await page.driver.get(second);
  await page.sees('This link leads nowhere any more');
});
