import type { Driver } from 'selenium-webdriver/chrome.js';
import { seriousProblems } from './support/axe';
import { atTheBench } from './support/at-the-bench';

/** Light, dark and high contrast; what the page is called. */
const bench = atTheBench('ines');

const ground = (): Promise<string> => bench.page.run<string>('return getComputedStyle(document.body).backgroundColor');
const emulate = (media: object): Promise<void> =>
  (bench.visit.browser.driver as Driver).sendDevToolsCommand('Emulation.setEmulatedMedia', media);
const choose = async (word: string): Promise<void> => {
  await bench.page.go('/');
  await bench.page.click('Keys, and how this screen looks');
  await bench.page.click(word);
  await bench.page.keys('\uE00C');
};

it('looks as the machine asks for until somebody chooses, and stays as chosen', async () => {
  const { page } = bench;
  await page.go('/');
  await page.css('ip-floor');
  const light = await ground();
  await emulate({ features: [{ name: 'prefers-color-scheme', value: 'dark' }] });
  await page.until('a dark ground', async () => (await ground()) !== light);
  await choose('Light');
  await page.until('a light ground', async () => (await ground()) === light);
  await page.go('/crib');
  await page.css('ip-crib');
  expect(await ground()).toBe(light);
  await emulate({ features: [] });
});

describe.each(['Dark', 'High contrast'])('%s', (word) => {
  beforeAll(() => choose(word));

  it('prints on white paper', async () => {
    await emulate({ media: 'print' });
    await bench.page.until('white', async () => (await ground()) === 'rgb(255, 255, 255)');
    expect(await bench.page.run<string>('return getComputedStyle(document.documentElement).getPropertyValue("--ink")')).toBe('#1b211f');
    await emulate({ media: '' });
  });

  it.each(['receive', 'strip', 'measure', 'decide', 'draw', 'plan', 'cut', 'prove', 'return'])('%s can be read', async (station) => {
    await bench.visit.turnTo('Ramp hinge pin', station);
    await bench.page.settled();
    expect(await seriousProblems(bench.page)).toEqual([]);
  });

  it.each(['/', '/jobs/new', '/crib', '/rack', '/ledger', '/shop', '/house-rules', '/sums/sum/press', '/sums/table/unc-unf'])(
    '%s can be read',
    async (path) => {
      await bench.page.turnTo(path);
      await bench.page.settled();
      expect(await seriousProblems(bench.page)).toEqual([]);
    },
  );
});

it('the page is called by job, station and place, and a station that comes is said', async () => {
  const { page } = bench;
  await bench.visit.open('Ramp hinge pin', 'measure');
  await page.click('Barrel bore');
  await page.until('the title', async () => (await page.driver.getTitle()) === '1001 Ramp hinge pin, Measure: Barrel bore, Iron Patch');
  await page.click('Decide');
  await page.until('the station to be said', async () =>
    page.run<boolean>(`return document.querySelector('.cdk-live-announcer-element').textContent === '1001 Ramp hinge pin, Decide'`),
  );
  await page.click('Crib');
  await page.until('the crib to be said', async () =>
    page.run<boolean>(`return document.querySelector('.cdk-live-announcer-element').textContent === 'Crib'`),
  );
  expect(await page.driver.getTitle()).toBe('Crib, Iron Patch');
});
