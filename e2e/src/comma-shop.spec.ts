import type { ShopResource } from '@iron-patch/contract';
import type { JobSheet } from '@iron-patch/core';
import { atTheBench } from './support/at-the-bench';
import { screensOf } from './support/screens';

/** A shop that writes 19,05: what is read there and what is typed there, on every screen. */
const bench = atTheBench();
let jobId: string;

const api = async <R>(path: string): Promise<R> => (await fetch(bench.shop.address + path)).json() as Promise<R>;

beforeAll(async () => {
  const { page, visit } = bench;
  await page.go('/shop');
  await page.sees('Decimal mark');
  await page.choose('Decimal mark', 'comma');
  await page.click('Save the shop');
  await page.click('Load the page anew');
  await page.sees('Decimal mark');
  expect((await api<ShopResource>('/api/shop')).shop.card.decimalMark).toBe(',');
  jobId = await visit.open('Ramp hinge pin', 'measure');
});

/** Numbers with a point that somebody reads or hears: in texts, spoken words and fields of figures, but for what people wrote themselves. */
const pointed = (): Promise<string[]> =>
  bench.page.run<string[]>(`
    const seen = [];
    const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    for (let t = walk.nextNode(); t; t = walk.nextNode())
      if (!t.parentElement.closest('[data-verbatim], script, style')) seen.push(t.nodeValue);
    for (const e of document.querySelectorAll('[aria-label], [title], input.fig'))
      seen.push(e.getAttribute('aria-label') ?? '', e.getAttribute('title') ?? '', e.matches('input.fig') ? e.value : '');
    return seen.filter((text) => /\\d\\.\\d/.test(text)).map((text) => text.trim());
  `);
/** Names that have a point wherever they stand: standards, materials, the address of the gauge. */
const NAMES = /\bB4\.\d|\(1\.4\d{3}(?:,| H)|AlSi7Mg0\.3|127\.0\.0\.1/;

const SCREENS = screensOf(() => jobId);

it.each(SCREENS)('%s shows no decimal point', async (_, path, sees) => {
  await bench.page.go(path());
  await bench.page.sees(sees);
  await bench.page.settled();
  expect((await pointed()).filter((text) => !NAMES.test(text))).toEqual([]);
});

it('takes a reading with a comma that could part thousands at once, and keeps it whole', async () => {
  const { page, line } = bench;
  await page.go(`/jobs/${jobId}/measure`);
  await page.click('Barrel bore');
  const before = (await api<JobSheet>(`/api/jobs/${jobId}/sheet`)).readings.length;
  await line.take('40,127');
  const readings = async (): Promise<JobSheet['readings']> => (await api<JobSheet>(`/api/jobs/${jobId}/sheet`)).readings;
  // The line goes on at once; the server has it a moment later.
  await page.until('it to be stored', async () => (await readings()).length === before + 1);
  expect((await readings()).at(-1)).toMatchObject({ valueMm: 40.127, unit: 'mm' });
});

it('a sum takes commas and lists, and shows what it understood', async () => {
  const { page } = bench;
  await page.go('/sums/sum/convert');
  await page.sees('Look up, or find a sum');
  const field = await page.css('ip-sum-bench input');
  await field.clear();
  await field.sendKeys('19,05');
  await page.sees('0,7500');
});
