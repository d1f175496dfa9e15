import { By, error, Key, type WebDriver, type WebElement } from 'selenium-webdriver';

/** A screen's own code may come late where two browsers share a busy machine. */
const PATIENCE_MS = 30_000;
const POLL_MS = 40;
/** Behind the page all of the application is fetched once more for its own worker: on a busy machine that takes its time. */
const WORKER_MS = 120_000;

/** In the page: an input by its label, or by its accessible name. */
const FIELD = `(wanted) => {
  const fields = [...document.querySelectorAll('input, select, textarea')].filter((f) => f.getClientRects().length);
  const names = (f) => [f.getAttribute('aria-label'), ...[...(f.labels ?? [])].map((l) => l.textContent)].filter(Boolean).map((n) => n.replace(/\\s+/g, ' ').trim());
  return fields.find((f) => names(f).includes(wanted)) ?? fields.find((f) => names(f).some((n) => n.startsWith(wanted))) ?? null;
}`;

/** What a person does with the page: look for words, click, type. Everything waits for what it needs. */
export class Page {
  constructor(
    readonly driver: WebDriver,
    readonly address: string,
  ) {}

  /** Waits until the page's own worker has the page in hand. */
  async workerReady(): Promise<void> {
    const deadline = Date.now() + WORKER_MS;
    while (!(await this.run<boolean>('return navigator.serviceWorker.controller !== null'))) {
      if (Date.now() > deadline) throw new Error('The page’s own worker did not come.');
      await new Promise((r) => setTimeout(r, POLL_MS));
    }
  }

  async go(path: string): Promise<void> {
    await this.driver.get(this.address + path);
  }

  /** Turns to another place as the browser's own back does, without loading the page anew. A screen may add to its address what it opens with. */
  async turnTo(path: string): Promise<void> {
    await this.run('history.pushState(null, "", arguments[0]); dispatchEvent(new PopStateEvent("popstate"));', path);
    await this.until(`to be at ${path}`, () =>
      this.run<boolean>(
        `const asked = new URL(arguments[0], location.href), { searchParams } = new URL(location.href);
         return location.pathname === asked.pathname && [...asked.searchParams].every(([name, value]) => searchParams.get(name) === value);`,
        path,
      ),
    );
  }

  /** Waits until something holds; tells what it waited for. */
  async until<T>(what: string, look: () => Promise<T | null | undefined | false>): Promise<T> {
    const deadline = Date.now() + PATIENCE_MS;
    let last: unknown;
    while (Date.now() < deadline) {
      try {
        const found = await look();
        if (found) return found;
      } catch (e) {
        last = e;
      }
      await new Promise((r) => setTimeout(r, POLL_MS));
    }
    // The page may be gone: then what was waited for is told without it.
    const text = await this.text().catch(() => '');
    throw new Error(
      `Waited for ${what}. The page says:\n${text.length > 3000 ? `${text.slice(0, 900)}\n...\n${text.slice(-1500)}` : text}`,
      { cause: last },
    );
  }

  text(): Promise<string> {
    return this.driver.executeScript('return document.body.innerText');
  }

  async sees(words: string): Promise<void> {
    await this.until(`“${words}”`, async () => (await this.text()).replace(/\s+/g, ' ').includes(words));
  }

  async seesNot(words: string): Promise<void> {
    await this.until(`“${words}” to go`, async () => !(await this.text()).replace(/\s+/g, ' ').includes(words));
  }

  css(selector: string): Promise<WebElement> {
    return this.until(selector, async () => (await this.driver.findElements(By.css(selector)))[0]);
  }

  /** A button, a tab or a link by its accessible name, or the start of its text. */
  button(name: string): Promise<WebElement> {
    return this.until(`the button “${name}”`, () =>
      this.driver.executeScript<WebElement | null>(
        `const wanted = arguments[0];
         const named = [...document.querySelectorAll('button, a, summary, [role=tab]')].filter((b) => b.getClientRects().length && !b.disabled && !b.closest('[inert]'));
         const nameOf = (b) => (b.getAttribute('aria-label') ?? b.textContent).replace(/\\s+/g, ' ').trim();
         return named.find((b) => nameOf(b) === wanted) ?? named.find((b) => nameOf(b).startsWith(wanted)) ?? null;`,
        name,
      ),
    );
  }

  async click(name: string): Promise<void> {
    await this.until(`to press “${name}”`, async () => {
      await this.press(await this.button(name));
      return true;
    });
  }

  /** Presses what is in sight; what lies under something that stays in sight, such as the picture, is scrolled clear of it first. */
  async press(element: WebElement): Promise<void> {
    try {
      await element.click();
    } catch (e) {
      if (!(e instanceof error.ElementClickInterceptedError)) throw e;
      await this.run('arguments[0].scrollIntoView({ block: "center" })', element);
      await element.click();
    }
  }

  /** An input by its label, or by its accessible name. */
  field(label: string): Promise<WebElement> {
    return this.until(`the field “${label}”`, () =>
      this.driver.executeScript<WebElement | null>(`return (${FIELD})(arguments[0]);`, label),
    );
  }

  async fill(label: string, text: string): Promise<void> {
    const field = await this.field(label);
    await field.sendKeys(Key.chord(Key.CONTROL, 'a'), Key.BACK_SPACE, text);
  }

  /** Picks out of a list, or one of those that lie side by side. Looks anew while the list is drawn again under its hand. */
  async choose(label: string, option: string): Promise<void> {
    await this.until(`“${option}” under “${label}”`, async () => {
      const found = await this.driver.executeScript<WebElement | null>(
        `const [label, option] = arguments;
         const said = (e) => e.textContent.replace(/\\s+/g, ' ').trim();
         const group = [...document.querySelectorAll('[role=radiogroup]')].find((g) => {
           const name = document.getElementById(g.getAttribute('aria-labelledby'));
           return name && said(name).startsWith(label);
         });
         const side = [...(group?.querySelectorAll('label') ?? [])].find((l) => said(l).startsWith(option));
         if (side) return side;
         const field = (${FIELD})(label);
         return [...(field?.querySelectorAll('option') ?? [])].find((o) => said(o).startsWith(option)) ?? null;`,
        label,
        option,
      );
      if (!found) return false;
      await this.press(found);
      return true;
    });
  }

  async tick(label: string): Promise<void> {
    await this.press(
      await this.until(`the box “${label}”`, async () => (await this.driver.findElements(By.xpath(`//label[contains(., "${label}")]`)))[0]),
    );
  }

  async keys(...keys: string[]): Promise<void> {
    await this.driver
      .actions()
      .sendKeys(...keys)
      .perform();
  }

  /** Runs something in the page. */
  run<T>(script: string, ...args: unknown[]): Promise<T> {
    return this.driver.executeScript<T>(script, ...args);
  }

  /** Waits for the page to have nothing more to draw. */
  async settled(): Promise<void> {
    await this.driver.executeAsyncScript(
      'const done = arguments[arguments.length - 1]; document.fonts.ready.then(() => requestAnimationFrame(() => requestAnimationFrame(done)))',
    );
  }
}
