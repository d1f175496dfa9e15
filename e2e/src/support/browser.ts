import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Builder, error, logging, type WebDriver } from 'selenium-webdriver';
import { Name, type Command } from 'selenium-webdriver/lib/command.js';
import { Options, ServiceBuilder, type Driver } from 'selenium-webdriver/chrome.js';

const FLAGS = [
  '--headless=new',
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--disable-dev-shm-usage',
  // A page that nobody looks at is drawn all the same: a click waits for a frame.
  '--disable-backgrounding-occluded-windows',
  '--disable-renderer-backgrounding',
  '--disable-background-timer-throttling',
  '--force-device-scale-factor=1',
  '--lang=en-GB',
];

export const SCREEN = { width: 1280, height: 800 } as const;

/** As long as a browser may take to answer one command; most take milliseconds. */
const ANSWER_MS = 60_000;

/**
 * As long as a page may take to load before it is asked for once more.
 * A navigation that begins just while the page's worker becomes the active one may never leave Chromium; the next one does.
 */
const PAGE_MS = 20_000;

/** Lets a command that the browser never answers fail by its name, rather than the test by its time. */
function answers(driver: WebDriver): void {
  const execute = driver.execute.bind(driver);
  driver.execute = async <T>(command: Command): Promise<T> => {
    let timer: NodeJS.Timeout | undefined;
    const silence = new Promise<never>((_, fail) => {
      const told = () => `${command.getName()} ${JSON.stringify(command.getParameters()).slice(0, 300)}`;
      timer = setTimeout(() => fail(new Error(`The browser did not answer within ${ANSWER_MS / 1000} s: ${told()}`)), ANSWER_MS);
    });
    const again = (e: unknown): Promise<T> => {
      if (command.getName() === Name.GET && e instanceof error.TimeoutError) return execute(command) as Promise<T>;
      throw e;
    };
    try {
      return await Promise.race([(execute(command) as Promise<T>).catch(again), silence]);
    } finally {
      clearTimeout(timer);
    }
  };
}

export interface Browser {
  readonly driver: WebDriver;
  screenshot(file: string): Promise<void>;
  /** Pulls the plug of this browser's network, or puts it back. */
  offline(off: boolean): Promise<void>;
  /** What the page sends goes out, or what it asks for comes in, as slowly as this, bytes a second; null: as fast as it can. */
  slow(bytesPerSecond: number | null, way?: 'in' | 'out'): Promise<void>;
  /** Fails where a page made a mistake. */
  close(): Promise<void>;
}

/** Cuts or slows the page's line. */
async function line(driver: Driver, offline: boolean, uploadThroughput: number, downloadThroughput = -1): Promise<void> {
  await driver.sendDevToolsCommand('Network.enable', {});
  // The page's own worker has a network of its own, which this does not reach: it is passed by for as long.
  await driver.sendDevToolsCommand('Network.setBypassServiceWorker', { bypass: offline || uploadThroughput > 0 || downloadThroughput > 0 });
  await driver.sendDevToolsCommand('Network.emulateNetworkConditions', { offline, latency: 0, downloadThroughput, uploadThroughput });
}

/** A mistake of the program that a page wrote to its console; what the network refused is none. */
const MISTAKE = /\bERROR\b|Uncaught/;

/** Fails where a page made a mistake that nobody may have seen: a form that does not open looks like one that nobody opened. */
async function madeNone(driver: WebDriver): Promise<void> {
  const told = await driver.manage().logs().get(logging.Type.BROWSER);
  const mistakes = told.map((e) => e.message).filter((m) => MISTAKE.test(m));
  if (mistakes.length) throw new Error(`The page made a mistake: ${mistakes.join('\n').slice(0, 2000)}`);
}

/** A fresh headless Chromium with a true 1280 x 800 page, started with `flags` besides. */
export async function openBrowser(size: { width: number; height: number } = SCREEN, flags: readonly string[] = []): Promise<Browser> {
  const profile = await mkdtemp(join(tmpdir(), 'iron-patch-chromium-'));
  const options = new Options();
  options.setChromeBinaryPath('/usr/bin/chromium');
  options.addArguments(...FLAGS, ...flags, `--user-data-dir=${profile}`);
  const logged = new logging.Preferences();
  logged.setLevel(logging.Type.BROWSER, logging.Level.SEVERE);
  options.setLoggingPrefs(logged);
  const driver = await new Builder()
    .forBrowser('chrome')
    .setChromeOptions(options)
    .setChromeService(new ServiceBuilder('/usr/bin/chromedriver'))
    .build();
  answers(driver);
  await driver.manage().setTimeouts({ pageLoad: PAGE_MS });
  await (driver as Driver).sendDevToolsCommand('Emulation.setDeviceMetricsOverride', { ...size, deviceScaleFactor: 1, mobile: false });
  return {
    driver,
    async screenshot(file) {
      await writeFile(file, Buffer.from(await driver.takeScreenshot(), 'base64'));
    },
    offline: (off) => line(driver as Driver, off, -1),
    slow: (bytes, way = 'out') =>
      way === 'out' ? line(driver as Driver, false, bytes ?? -1) : line(driver as Driver, false, -1, bytes ?? -1),
    async close() {
      try {
        await madeNone(driver);
      } finally {
        await driver.quit();
        await rm(profile, { recursive: true, force: true, maxRetries: 3 });
      }
    },
  };
}
