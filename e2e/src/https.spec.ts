import { execFileSync } from 'node:child_process';
import { createHash, X509Certificate } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { openBrowser, SCREEN, type Browser } from './support/browser';
import { Page } from './support/page';
import { openShop, type TestShop } from './support/shop';

/** A tablet opens the shop by its name, under the shop's own certificate, and then without the network too. */
const NAME = 'shop.test';
const folder = mkdtempSync(join(tmpdir(), 'iron-patch-https-'));
const certificate = join(folder, 'shop.crt');
const key = join(folder, 'shop.key');
let shop: TestShop;
let browser: Browser;
let page: Page;
beforeAll(async () => {
  const extension = ['-addext', `subjectAltName=DNS:${NAME}`];
  const made = ['req', '-x509', '-newkey', 'rsa:2048', '-nodes', '-days', '2', '-subj', `/CN=${NAME}`, ...extension];
  execFileSync('openssl', [...made, '-keyout', key, '-out', certificate], { stdio: 'ignore' });
  shop = await openShop({
    demo: false,
    env: {
      IRON_PATCH_CERTIFICATE: certificate,
      IRON_PATCH_KEY: key,
      IRON_PATCH_BIND: '0.0.0.0',
      IRON_PATCH_ADDRESS: `https://${NAME}:8460`,
      // Where more than this machine can open it, people sign in.
      IRON_PATCH_SIGN_IN: 'password',
    },
  });
  // As a tablet would that was told to trust the shop's certificate.
  const spki = new X509Certificate(readFileSync(certificate)).publicKey.export({ type: 'spki', format: 'der' });
  const trusted = createHash('sha256').update(spki).digest('base64');
  browser = await openBrowser(SCREEN, [`--host-resolver-rules=MAP ${NAME} 127.0.0.1`, `--ignore-certificate-errors-spki-list=${trusted}`]);
  page = new Page(browser.driver, shop.address.replace('127.0.0.1', NAME));
});
afterAll(async () => {
  await browser.close();
  await shop.close();
  rmSync(folder, { recursive: true });
});

it('opens by its name, hears its news, and takes a job in', async () => {
  await page.go('/');
  await page.click('Maud Ferrier');
  await page.fill('A password', 'lintel gravy osprey nine');
  await page.click('Make the account');
  await page.seesNot('The owner’s account');
  await page.go('/jobs/new');
  await page.fill('Customer', 'Upper lock');
  await page.fill('What it is', 'Winch pawl pin');
  await page.fill('Pieces received', '1');
  await page.click('Take it in');
  await page.css('ip-rail a.on');
  await page.seesNot('No line to the server');
  expect(await page.run('return isSecureContext')).toBe(true);
});

it('opens without the server, which plain HTTP by that name could not', async () => {
  await page.workerReady();
  await page.go('/');
  await page.sees('Winch pawl pin');
  await browser.driver.get('about:blank');
  await shop.kill();
  await page.go('/');
  await page.sees('Winch pawl pin');
  await page.sees('No line to the server');
});
