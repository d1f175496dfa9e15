import { openBrowser, SCREEN, type Browser } from './browser';
import { Page } from './page';
import { ReadingLinePage } from './reading-line';
import type { TestShop } from './shop';

/** A person at a screen of the shop. */
export interface Visit {
  readonly browser: Browser;
  readonly page: Page;
  readonly line: ReadingLinePage;
  /** Opens a job of the floor at a station. */
  open(title: string, station: string): Promise<string>;
  /** The same from a page that is loaded, without loading it anew. */
  turnTo(title: string, station: string): Promise<void>;
  close(): Promise<void>;
}

/** Opens a browser of its own with that person at the bench. */
export async function visit(
  shop: TestShop,
  person = 'tomas',
  screen: { readonly width: number; readonly height: number } = SCREEN,
): Promise<Visit> {
  const browser = await openBrowser(screen);
  const page = new Page(browser.driver, shop.address);
  // Who it is, before the page looks: anything of the same address will do.
  await page.go('/api/alive');
  await page.run('localStorage.setItem("iron-patch.person", JSON.stringify(arguments[0]))', person);
  await page.go('/');
  const idOf = async (title: string): Promise<string> => {
    const { jobs } = (await (await fetch(`${shop.address}/api/floor?returned=1`)).json()) as { jobs: { id: string; title: string }[] };
    return jobs.find((j) => j.title === title)!.id;
  };
  return {
    browser,
    page,
    line: new ReadingLinePage(page),
    async open(title, station) {
      const id = await idOf(title);
      await page.go(`/jobs/${id}/${station}`);
      await page.css('ip-rail a.on');
      return id;
    },
    async turnTo(title, station) {
      await page.turnTo(`/jobs/${await idOf(title)}/${station}`);
      await page.css(`ip-rail a.on[href$="/${station}"]`);
    },
    close: () => browser.close(),
  };
}
