import { Key } from 'selenium-webdriver';
import type { Page } from './page';

/** The reading line: type, Enter, see where it stands next. */
export class ReadingLinePage {
  constructor(private readonly page: Page) {}

  where(): Promise<string> {
    return this.page.run('return document.querySelector(".where label")?.textContent ?? ""');
  }

  async type(text: string): Promise<void> {
    const input = await this.page.css('#reading');
    await input.sendKeys(Key.chord(Key.CONTROL, 'a'), text);
  }

  /** Takes a reading and waits until the line is empty again. */
  async take(text: string): Promise<void> {
    await this.type(text);
    await (await this.page.css('#reading')).sendKeys(Key.ENTER);
    await this.page.until(
      `${text} to be taken`,
      async () => (await this.page.run<string>('return document.getElementById("reading")?.value ?? ""')) === '',
    );
  }

  async takeAll(texts: readonly string[]): Promise<void> {
    for (const text of texts) await this.take(text);
  }
}
