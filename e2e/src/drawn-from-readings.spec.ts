import { Key } from 'selenium-webdriver';
import { seriousProblems } from './support/axe';
import { Hand } from './support/hand';
import { openShop, type TestShop } from './support/shop';
import { visit, type Visit } from './support/visit';

/** A gearbox shaft out of its readings in one press: seen as found, corrected, made the other hand, and fitted with what sits on it. */
let shop: TestShop;
let tomas: Visit;
beforeAll(async () => {
  shop = await openShop({ demo: false });
  tomas = await visit(shop);
  await new Hand(tomas, shop).takeIn('Gearbox shaft', 'mm');
  await tomas.page.click('Measure');
});
afterAll(async () => {
  await tomas?.close();
  await shop?.close();
});

interface Drawn {
  readonly outside: readonly { readonly name: string; readonly lengthMm: number; readonly diameterMm: number }[];
  readonly features: readonly { readonly kind: string; readonly name: string; readonly on: string; readonly atMm: number }[];
}
const LINES = [
  'shaft / coupling end, 40 long: 19.99 at 0°, 19.98 at 90°',
  'shaft / coupling keyseat from 6, 28 long: 6 3.5',
  'shaft / body, 50 long from 40: 32.00',
  'shaft / bearing seat, 34 long from 90: 25.01 25.00',
  'shaft / ring groove from 117.1: 1.3 23.9',
  'shaft / overall length: 124',
];
const drawn = async (): Promise<Drawn> =>
  (await shop.query<{ value: Drawn }>(`select value from choices where key like 'part%' order by version desc limit 1`))[0]!.value;
const legends = (): Promise<string[]> =>
  tomas.page.run(`return [...document.querySelectorAll('ip-draw fieldset legend')].map((l) => l.firstChild.textContent.trim())`);

it('as found it has its groove and its keyseat, and touching the groove picks its place', async () => {
  const { page } = tomas;
  for (const [i, line] of LINES.entries()) {
    await page.fill('A place and what was read there, in one line', line);
    await page.keys(Key.ENTER);
    const places = async (): Promise<number> => Number((await shop.query<{ n: string }>('select count(*) n from places'))[0]!.n);
    await page.until(`place ${i + 1}`, async () => (await places()) === i + 1);
    await page.until('the line to be free', async () => (await (await page.css('#pencil')).getAttribute('value')) === '');
  }
  const clocks = await shop.query<{ clock_deg: string }>(`select clock_deg from readings where text like '19.9%' order by clock_deg`);
  expect(clocks.map((c) => Number(c.clock_deg))).toEqual([0, 90]);
  const depths = await page.run<number>(
    `return new Set([...document.querySelectorAll('ip-part-picture path')].map((p) => p.getAttribute('d'))).size`,
  );
  expect(depths).toBeGreaterThan(4);
  await page.run(
    `document.querySelector('ip-part-picture title')?.parentElement.dispatchEvent(new MouseEvent('click', { bubbles: true }))`,
  );
  await page.sees('Coupling keyseat readings');
});

it('is drawn in one press, corrected by one number, and saved', async () => {
  const { page } = tomas;
  await page.click('Draw');
  await page.click('Draw from the readings');
  await page.choose('Material', 'Medium carbon steel (C45');
  await page.sees('124.00 over all');
  expect(await legends()).toEqual(expect.arrayContaining(['Coupling keyseat', 'Ring groove', 'Bearing seat']));
  await page.run('document.activeElement.blur()');
  await page.keys(Key.ARROW_RIGHT);
  await page.sees('Coupling end: diameter');
  await page.keys('20 k6', Key.ENTER);
  await page.click('Save drawing');
  await page.sees('Saved.');
  const part = await drawn();
  expect(part.outside.map((s) => [s.name, s.lengthMm])).toEqual([
    ['Coupling end', 40],
    ['Body', 50],
    ['Bearing seat', 34],
  ]);
  expect(part.outside[0]!.diameterMm).toBe(20);
  expect(part.features.map((f) => f.kind).sort()).toEqual(['keyseat', 'ring-groove']);
  expect(await seriousProblems(page)).toEqual([]);
});

it('what sits between shoulder and ring is reckoned, and the groove moved to where the play is as wanted', async () => {
  const { page } = tomas;
  await page.click('Does something sit between a shoulder and a ring or pin?');
  await page.fill('What sits there, one thing a line', '6205\nWheel: 11 ±0.02');
  await page.click('Reckon the play');
  // Wall at 28.4 from the shoulder, less 15, 11 and the ring of 1.2.
  await page.sees('End play as drawn');
  expect((await (await page.css('ip-stack-form')).getText()).replaceAll('\n', ' ')).toMatch(/End play as drawn .*1\.200/);
  await page.click('Move the groove there');
  await page.until('the play', async () => !(await (await page.css('ip-stack-form')).getText()).includes('1.200'));
  await page.sees('Does something else sit there, between other walls?');
  expect(await seriousProblems(page)).toEqual([]);
});

it('mirrored end for end its seat and groove come first, and once more it is as it was', async () => {
  const { page } = tomas;
  await page.click('Save drawing');
  await page.until('the moved groove', async () => (await drawn()).features.some((f) => f.kind === 'ring-groove' && f.atMm < 26.9));
  const before = await drawn();
  await page.click('Mirror end for end');
  await page.click('Save drawing');
  await page.until('the other hand', async () => (await drawn()).outside[0]!.name === 'Bearing seat');
  const other = await drawn();
  expect(other.outside.map((s) => s.name)).toEqual(['Bearing seat', 'Body', 'Coupling end']);
  const groove = (p: Drawn): number => p.features.find((f) => f.kind === 'ring-groove')!.atMm;
  // As far from the other end of its seat.
  expect(groove(other)).toBeCloseTo(34 - groove(before) - 1.3, 5);
  await page.click('Mirror end for end');
  await page.click('Save drawing');
  await page.until('it as it was', async () => (await drawn()).outside[0]!.name === 'Coupling end');
  expect((await drawn()).features).toEqual(before.features);
});

/** Takes what the line expects, or what is wanted, until it goes on to something else. */
async function goOn(wanted: () => Promise<string | null>): Promise<void> {
  const { page, line } = tomas;
  for (let i = 0; i < 60; i++) {
    const text = await wanted();
    if (text === null) return;
    const before = (await shop.query<{ n: string }>('select count(*) n from readings'))[0]!.n;
    await line.take(text);
    await page.until(
      `${text} to be stored`,
      async () => (await shop.query<{ n: string }>('select count(*) n from readings'))[0]!.n !== before,
    );
  }
  throw new Error('it never ends');
}

it('its other hand is planned between centres and released', async () => {
  const { page } = tomas;
  await page.click('Mirror end for end');
  await page.fill('Limits of diameter of bearing seat', 'k6');
  await page.fill('Limits of diameter of body', '+0.1 -0.1');
  await page.click('Save drawing');
  await page.until('the other hand', async () => (await drawn()).outside[0]!.name === 'Bearing seat');
  await page.click('Plan');
  await page.click('Another bar');
  await page.fill('A bar, a tube or an offcut', '40 x 300 C45 black, rack C');
  await page.click('Put it on the rack');
  await page.click('Between centres');
  await page.sees('Face to length, centre both ends');
  await page.sees('The axis is the two centres');
  await page.click('Release for cutting');
  await page.sees('Released');
  expect(await seriousProblems(page)).toEqual([]);
});

it('is cut as the coach says, from the middle to both ends, then proved seat by seat', async () => {
  const { page, line } = tomas;
  await page.click('Cut');
  for (const [name, setUp, instrument] of [
    ['Coupling end', '2 All that must run true', 'Outside mic 0 to 25'],
    ['Body', '2 All that must run true', 'Outside mic 25 to 50'],
    ['Bearing seat', '3 End for end', 'Outside mic 25 to 50'],
  ] as const) {
    await page.click(setUp);
    await page.click(name);
    await page.until(name, async () => (await line.where()).startsWith(name));
    await page.choose('Instrument', instrument);
    let first = true;
    await goOn(async () => {
      if (!(await line.where()).startsWith(name)) return null;
      const [size, title, then] = await page.run<[string, string, string]>(
        `return [document.querySelectorAll('ip-cut .top .huge')[1].textContent, document.querySelector('ip-cut .next h2').textContent, document.querySelector('ip-cut .then')?.textContent ?? '']`,
      );
      if (/Inside its limits|Too near/.test(title)) return null;
      if (!first) return /Too thin/.test(title) ? size : /(\d+\.\d+)/.exec(then)![1]!;
      first = false;
      return (Number(size) + 0.8).toFixed(3);
    });
    expect(await page.run<string>(`return document.querySelector('ip-cut .next h2').textContent`)).toMatch(/Inside its limits|Too near/);
  }
  expect(await seriousProblems(page)).toEqual([]);
  await page.click('Prove');
  await page.until('the line at the finished part', async () => (await line.where()).includes('finished and cold'));
  let last = '';
  await goOn(async () => {
    const where = await line.where();
    const about = /expecting about (\d+\.\d+)/.exec(await page.text())?.[1];
    if (!where.includes('finished and cold') || where === last || !about) return null;
    last = where;
    return about;
  });
  for (let i = 0; i < 20; i++) {
    const passed = await page.run<boolean>(
      `const b = [...document.querySelectorAll('ip-prove button')].find((x) => !x.disabled && (x.getAttribute('aria-label') ?? '').startsWith('Pass ')); b?.click(); return !!b;`,
    );
    if (!passed) break;
    const n = i + 1;
    await page.until('the pass', async () => Number((await shop.query<{ n: string }>('select count(*) n from proofs'))[0]!.n) >= n);
  }
  await page.sees('passed, Tomas Quill');
  // Both seats four times, its keyseat and its groove: all that must be is passed.
  await page.until('Prove to be done', async () => /Prove\s*, done/.test(await page.text()));
  expect(await seriousProblems(page)).toEqual([]);
});
