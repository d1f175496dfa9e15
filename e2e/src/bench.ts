import { openBrowser } from './support/browser';

/** Time from asking for the page until its work can be used, cold, ms. */
const [address, jobId] = process.argv.slice(2);
const VIEWS = [
  { name: 'Floor', path: '/', ready: '.strip' },
  { name: 'Job sheet, Measure', path: `/jobs/${jobId}/measure`, ready: '#reading, .none' },
];
for (const view of VIEWS) {
  const times: number[] = [];
  let paint = 0;
  for (let i = 0; i < 3; i++) {
    const browser = await openBrowser();
    await browser.driver.get('about:blank');
    const start = performance.now();
    await browser.driver.get(address + view.path);
    while (!(await browser.driver.executeScript<boolean>('return document.querySelector(arguments[0]) !== null', view.ready)))
      await new Promise((r) => setTimeout(r, 5));
    times.push(performance.now() - start);
    paint = await browser.driver.executeScript<number>(`return performance.getEntriesByName('first-contentful-paint')[0]?.startTime ?? 0`);
    await browser.close();
  }
  process.stdout.write(
    `  ${view.name}: usable after ${Math.round(times.sort((p, q) => p - q)[1]!)} ms cold (median of 3), first paint ${Math.round(paint)} ms\n`,
  );
}
