import { openBrowser } from './support/browser';

/** How long the floor takes from being opened until its strips are drawn. */
const [address, what] = process.argv.slice(2);
const OPENED = 15;

const browser = await openBrowser();
try {
  const opened = async (): Promise<number> => {
    await browser.driver.get('about:blank');
    await browser.driver.get(`${address}/`);
    return browser.driver.executeAsyncScript<number>(`
      const done = arguments[arguments.length - 1];
      const look = () => (document.querySelector('.strip') ? requestAnimationFrame(() => done(performance.now())) : setTimeout(look, 5));
      look();
    `);
  };
  await opened();
  const times: number[] = [];
  for (let i = 0; i < OPENED; i++) times.push(await opened());
  times.sort((a, b) => a - b);
  process.stdout.write(`${what}: from opening to the strips drawn, median ${times[Math.floor(OPENED / 2)]!.toFixed(0)} ms\n`);
} finally {
  await browser.close();
}
