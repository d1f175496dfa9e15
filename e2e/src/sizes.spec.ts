import type { Driver } from 'selenium-webdriver/chrome.js';
import { screensOf } from './support/screens';
import { openShop, type TestShop } from './support/shop';
import { visit, type Visit } from './support/visit';

/** The screens of the shop at the sizes that lie about in it: lying and standing tablet, an old PC, a telephone. */
let shop: TestShop;
let tomas: Visit;
let jobId: string;
beforeAll(async () => {
  shop = await openShop({ demo: true });
  tomas = await visit(shop);
  jobId = await tomas.open('Ramp hinge pin', 'measure');
});
afterAll(async () => {
  await tomas?.close();
  await shop?.close();
});

const SIZES = [
  [1280, 800],
  [1024, 768],
  [768, 1024],
  [390, 844],
  // The narrowest that is asked for, and a screen of 1280 x 800 at twice the size of everything.
  [320, 640],
  [640, 400],
] as const;

const sized = (width: number, height: number): Promise<unknown> =>
  (tomas.browser.driver as Driver).sendDevToolsCommand('Emulation.setDeviceMetricsOverride', {
    ...{ width, height, deviceScaleFactor: 1, mobile: false },
  });

/** How far the page, or what scrolls in it, can be pushed sideways, px; tables and the strip have room of their own. */
const sideways = (): Promise<number> =>
  tomas.page.run<number>(
    `const all = [document.scrollingElement, ...document.querySelectorAll('main, .middle, ip-app > *')];
     return Math.max(...all.map((e) => e.scrollWidth - e.clientWidth));`,
  );

it.each(screensOf(() => jobId))('%s is pushed sideways at no size', async (_, path, sees) => {
  await tomas.page.turnTo(path());
  await tomas.page.sees(sees);
  const wide: string[] = [];
  for (const [width, height] of SIZES) {
    await sized(width, height);
    await tomas.page.settled();
    if ((await sideways()) > 1) wide.push(`${width} x ${height}`);
  }
  expect(wide).toEqual([]);
});

it.each(SIZES)('the reading line has its button on the screen at %d x %d', async (width, height) => {
  await sized(width, height);
  await tomas.page.go(`/jobs/${jobId}/measure`);
  await tomas.page.click('Barrel bore');
  await tomas.page.css('ip-reading-line button[type=submit]');
  const { left, top, right, bottom } = await tomas.page.run<DOMRect>(
    `return [...document.querySelectorAll('ip-reading-line button[type=submit]')][0].getBoundingClientRect().toJSON()`,
  );
  expect([left >= 0, top >= 0, right <= width, bottom <= height]).toEqual([true, true, true, true]);
});
