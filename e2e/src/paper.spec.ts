import { execFileSync } from 'node:child_process';
import { join } from 'node:path';
import type { Driver } from 'selenium-webdriver/chrome.js';
import { atTheBench } from './support/at-the-bench';

/** What comes out of the printer when a screen is printed, read back from the paper. */
const bench = atTheBench();
let jobId: string;
beforeAll(async () => {
  jobId = await bench.visit.open('Ramp hinge pin', 'measure');
});

const READER = join(__dirname, '../../tools/pdf-text.mjs');
const A4_IN = { paperWidth: 8.27, paperHeight: 11.69 };

/** The text of each page of what is on the screen. */
async function printed(path: string, sees: string): Promise<string[]> {
  await bench.page.go(path);
  await bench.page.sees(sees);
  await bench.page.settled();
  const { data } = (await (bench.visit.browser.driver as Driver).sendAndGetDevToolsCommand('Page.printToPDF', A4_IN)) as unknown as {
    data: string;
  };
  const input = Buffer.from(data, 'base64');
  return JSON.parse(execFileSync(process.execPath, [READER], { input, encoding: 'utf8', stdio: ['pipe', 'pipe', 'ignore'] })) as string[];
}

it('a long table of the book has every row, and its head on every page', async () => {
  const pages = await printed('/sums/table/bearings', 'Rolling bearings, metric');
  const all = pages.join('\n');
  expect(pages.length).toBeGreaterThan(3);
  for (const page of pages) expect(page).toMatch(/Bearing\s*Bore/);
  const rows = await bench.page.run<string[]>(
    `return [...document.querySelectorAll('tbody tr')].map((r) => r.cells[0].textContent.trim())`,
  );
  expect(rows.length).toBeGreaterThan(100);
  for (const row of rows) expect(all).toContain(row);
});

const PAPERS = [
  ['Measure', () => `/jobs/${jobId}/measure`, 'Barrel bore', ['40.023', 'Working', 'Lug bore, head side']],
  ['Decide', () => `/jobs/${jobId}/decide`, 'What was', ['40.284', '40.239', 'Ran dry', '0.111 running clearance']],
  ['Plan', () => `/jobs/${jobId}/plan`, 'Passes and speeds', ['152.500', 'Set-up 3', '1 turn + 0.0265']],
  ['Prove', () => `/jobs/${jobId}/prove`, 'Passed by', ['55.020', 'Part of a vessel']],
  ['Return', () => `/jobs/${jobId}/return`, 'The report', ['Agreed with the harbour office']],
  ['Receive', () => `/jobs/${jobId}/receive`, 'Photographs', ['Ramp bangs when a car drives on', "A vessel's ramp"]],
  ['the rack', () => '/rack', 'Put it on the rack', ['behind the saw', 'bin 2']],
] as const;
/** Words that only stand on what a finger touches. */
const CONTROLS = /Enter, next|Save|Remove|Change|Add a|Put it on|Draw 400|Hand it back|New job|Pass over|Who is at the bench/;

it.each(PAPERS)('%s prints what it tells and nothing that only a finger can use', async (_, path, sees, told) => {
  const all = (await printed(path(), sees)).join('\n');
  const words = all.replace(/\s+/g, '');
  for (const text of told) expect(words).toContain(text.replace(/\s+/g, ''));
  expect(CONTROLS.exec(all)).toBeNull();
});

it('nothing is cut off at the side of the paper', async () => {
  const driver = bench.visit.browser.driver as Driver;
  // What Chromium gives a page of A4 less its margins.
  await driver.sendDevToolsCommand('Emulation.setEmulatedMedia', { media: 'print' });
  await driver.sendDevToolsCommand('Emulation.setDeviceMetricsOverride', { width: 695, height: 1000, deviceScaleFactor: 1, mobile: false });
  try {
    for (const [name, path] of PAPERS) {
      await bench.page.go(path());
      await bench.page.css('main ip-caution, main table, main section');
      await bench.page.settled();
      const over = await bench.page.run<number>('return document.scrollingElement.scrollWidth - document.scrollingElement.clientWidth');
      expect([name, over]).toEqual([name, 0]);
    }
  } finally {
    await driver.sendDevToolsCommand('Emulation.setEmulatedMedia', { media: '' });
    await driver.sendDevToolsCommand('Emulation.clearDeviceMetricsOverride', {});
  }
});
