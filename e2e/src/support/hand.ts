import type { WebElement } from 'selenium-webdriver';
import type { TestShop } from './shop';
import type { Visit } from './visit';

/** One place to measure, as it is said at Strip. Lengths are typed, in the unit of the job. */
export interface Place {
  readonly kind?: string;
  readonly side?: 'Outside' | 'Inside';
  readonly wear?: 'It ran' | 'Never ran';
  readonly at?: string;
  readonly length?: string;
  readonly fits?: string;
  readonly stations?: string;
  readonly clocks?: string;
  readonly instrument?: string;
  /** Fields that only its kind has, by label. */
  readonly fields?: Readonly<Record<string, string>>;
  /** Choices that only its kind has, by label. */
  readonly choices?: Readonly<Record<string, string>>;
  readonly suspected?: readonly string[];
}

/** A number that is doubted as it is typed, and the button that settles it. */
export interface Doubted {
  readonly text: string;
  readonly doubt: string;
  readonly answer: string;
}

/** A machinist's hand at Receive, Strip and Measure: every entry goes through the page. */
export class Hand {
  constructor(
    private readonly visit: Visit,
    private readonly shop: TestShop,
  ) {}

  async takeIn(
    title: string,
    unit: 'in' | 'mm',
    more: { complaint?: string; pieces?: number; hazards?: readonly string[] } = {},
  ): Promise<void> {
    const { page } = this.visit;
    await page.go('/jobs/new');
    await page.fill('Customer', 'Osmere parks department');
    await page.fill('What it is', title);
    await page.fill('What happened to it', more.complaint ?? 'Worn.');
    await page.fill('Pieces received', String(more.pieces ?? 1));
    await page.choose('Unit of the job', unit);
    for (const h of more.hazards ?? []) await page.tick(h);
    await page.click('Take it in');
    await page.sees('Nothing is on record yet.');
  }

  async component(
    name: string,
    role: 'The worn part' | 'What it runs in' | 'Something else',
    material: string,
    zero?: string,
  ): Promise<void> {
    const { page } = this.visit;
    await page.click('Add a component');
    await page.fill('Component', name);
    await page.choose('What it is', role);
    await page.choose('Material', material);
    if (zero) await page.fill('Its zero face lies', zero);
    await page.click('Save component');
    await page.button(`Add a place to measure on ${name}`);
  }

  async place(component: string, name: string, p: Place): Promise<void> {
    const { page } = this.visit;
    await page.click(`Add a place to measure on ${component}`);
    await page.fill('Place', name);
    if (p.kind) await page.choose('What is measured', p.kind);
    if (p.side) await page.choose('Outside or inside', p.side);
    if (p.wear) await page.choose('Did it wear?', p.wear);
    if (p.at) await page.fill('Starts at', p.at);
    if (p.length) await page.fill('Length', p.length);
    for (const s of p.suspected ?? []) await page.tick(s);
    await page.choose('Fits together with', p.fits ?? 'nothing yet');
    for (const [label, words] of Object.entries(p.choices ?? {})) await page.choose(label, words);
    for (const [label, text] of Object.entries(p.fields ?? {})) await page.fill(label, text);
    if (p.stations) await page.fill('Stations', p.stations);
    if (p.clocks) await page.choose('Clock angles', p.clocks);
    if (p.instrument) await page.choose('Instrument', p.instrument);
    await page.click('Save place');
    await page.until(`${name} to be on record`, async () => (await page.driver.findElements({ css: 'ip-place-form' })).length === 0);
  }

  /** Types readings at a place, in the order in which the line asks for them. */
  async measure(place: string, texts: readonly (string | Doubted)[]): Promise<void> {
    const { page, line } = this.visit;
    await this.look(place);
    for (const t of texts) {
      const before = await this.readings();
      if (typeof t === 'string') await line.take(t);
      else {
        await line.type(t.text);
        await page.keys('\uE007');
        await page.sees(t.doubt);
        await page.click(t.answer);
      }
      await page.until(`${typeof t === 'string' ? t : t.text} to be stored`, async () => (await this.readings()) > before);
    }
  }

  /** Says at Decide what runs in a hole, or on a shaft that stays. */
  async runs(place: string, kind: string): Promise<void> {
    const { page } = this.visit;
    await page.until(`“${kind}” at ${place}`, async () => {
      const option = await page.run<WebElement | null>(
        `const [place, kind] = arguments;
         const said = (e) => e.textContent.replace(/\\s+/g, ' ').trim();
         const section = [...document.querySelectorAll('section')].find((s) => [...s.querySelectorAll(':scope > h2')].some((h) => said(h).startsWith(place)));
         return [...(section?.querySelector('select')?.options ?? [])].find((o) => said(o).startsWith(kind)) ?? null;`,
        place,
        kind,
      );
      await option?.click();
      return option;
    });
  }

  /** Looks at a place at Measure. */
  async look(place: string): Promise<void> {
    const { page } = this.visit;
    await page.click('Measure');
    await page.click(place);
    await page.until(`the line at ${place}`, async () => (await this.visit.line.where()).startsWith(place));
  }

  private async readings(): Promise<number> {
    return (await this.shop.query<{ n: number }>('select count(*)::int as n from readings'))[0]!.n;
  }
}
