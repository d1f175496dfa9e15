import { Key } from 'selenium-webdriver';
import { seriousProblems } from './support/axe';
import { openShop, type TestShop } from './support/shop';
import { visit, type Visit } from './support/visit';

/** Three pencil sheets, typed as they stand, with every touch and key counted from the counter to the end of Measure. */
let shop: TestShop;
let tomas: Visit;
beforeAll(async () => {
  shop = await openShop({ demo: false });
  tomas = await visit(shop);
});
afterAll(async () => {
  await tomas?.close();
  await shop?.close();
});

const MOST_CLICKS = 25;
const MOST_KEYS = 60;

let clicks = 0;
let keys = 0;
const press = async (name: string): Promise<void> => {
  clicks++;
  await tomas.page.click(name);
};
/** Types where the cursor is; `read` are the digits of readings in it, which do not count. */
const type = async (text: string, read: readonly string[] = []): Promise<void> => {
  keys += text.length - read.join('').length;
  await tomas.page.keys(text);
};

/** Takes a job in with a name and what it is. */
async function takeIn(title: string, unit: 'mm' | 'in'): Promise<void> {
  const { page } = tomas;
  await page.go('/jobs/new');
  await (await page.field('Customer')).click();
  clicks++;
  await type('Ito');
  await (await page.field('What it is')).click();
  clicks++;
  await type(title);
  if (unit === 'in') {
    clicks++;
    await page.choose('Unit of the job', 'in');
  }
  await press('Take it in');
  await page.css('ip-rail a.on');
  await press('Measure');
  await page.css('#pencil');
}

const count = async (): Promise<number> => (await shop.query<{ n: number }>('select count(*)::int as n from readings'))[0]!.n;

/** One line: touches, then numbers; waits until its readings are stored. */
async function put(touches: readonly string[], readings: string, mate?: string): Promise<void> {
  const before = await count();
  const texts = readings.split(' ').filter((t) => !t.startsWith('@'));
  for (const t of touches) await press(t);
  await type(readings, texts);
  if (mate) await press(mate);
  await type(Key.ENTER);
  await tomas.page.until(`${readings} to be stored`, async () => (await count()) === before + texts.length);
}

beforeEach(() => {
  clicks = 0;
  keys = 0;
});
afterEach(() => {
  process.stdout.write(`    ${clicks} touches, ${keys} keys\n`);
  expect(clicks).toBeLessThanOrEqual(MOST_CLICKS);
  expect(keys).toBeLessThanOrEqual(MOST_KEYS);
});

it('a loose peg in an oval swivel hole (mm)', async () => {
  const { page } = tomas;
  await takeIn('Vise peg', 'mm');
  await put(['Lever', 'hole'], '@3 20.32 20.41 20.49 20.40 @12 20.32 20.41 20.49 20.40');
  await put(['far hole'], '18.00 18.00');
  await put(['Pin', 'body'], '19.80 19.60', 'in Hole');
  await put(['far end'], '18.02 18.02', 'in Far hole');
  await page.sees('oval');
  expect(await seriousProblems(page)).toEqual([]);
  const places = await shop.query<{
    name: string;
    side: string;
    length_mm: number;
    mate: string | null;
    assumed: boolean | null;
    clocks: number[];
  }>(
    `select f.name, f.side, f.length_mm, m.name as mate, (f.detail ->> 'lengthAssumed')::boolean as assumed, f.clocks_deg as clocks
     from places f left join places m on m.id = f.mates_place_id order by f.created_at`,
  );
  expect(places.map((p) => [p.name, p.side, p.mate])).toEqual([
    ['Hole', 'inside', null],
    ['Far hole', 'inside', null],
    ['Body', 'outside', 'Hole'],
    ['Far end', 'outside', 'Far hole'],
  ]);
  expect(places[0]).toMatchObject({ length_mm: 15, assumed: true, clocks: [0, 45, 90, 135] });
  // The old peg's worn side is doubted by nobody, and the new one is sized by the smallest of the hole.
  await page.click('Decide');
  await page.sees('20.32');
});

it('an axle broken at its ring groove (in)', async () => {
  const { page } = tomas;
  await takeIn('Axle', 'in');
  await put(['Shaft', 'body'], '0.8745 0.8745');
  await put(['ring groove'], '0.046 0.812');
  await put(['keyseat'], '0.25');
  await put(['flats'], '0.625');
  await put(['thread'], '0.7485');
  await page.sees('Thread');
  await page.sees('All planned readings are in.');
});

it('a stripped stud in an aluminium case (in)', async () => {
  const { page } = tomas;
  await takeIn('Stud', 'in');
  await put(['Case', 'threaded hole'], '0.372');
  await put(['depth'], '0.75');
  await put(['overall length'], '0.62');
  await page.sees('All planned readings are in.');
});

it('asks what a line leaves out, keeps a half-typed one, and holds up a doubted reading', async () => {
  const { page } = tomas;
  const id = await tomas.open('Vise peg', 'measure');
  await page.click('Add a place with its readings');
  await (await page.css('#pencil')).click();
  await page.keys('Pin / body: 1 2 3 4 5');
  await page.keys(Key.ENTER);
  await page.sees('5 readings round one section');
  await page.go(`/jobs/${id}/measure`);
  const half = await page.until('the half line', async () => (await page.css('#pencil')).getAttribute('value'));
  expect(half).toBe('Pin / body: 1 2 3 4 5');
  // A slipped point is asked about, and what comes after it waits.
  await page.fill('A place and what was read there', 'Pin / land: 18.02 1.802 18.03');
  const before = await count();
  await page.keys(Key.ENTER);
  await page.sees('Measure again');
  await page.until('the first of the two', async () => (await count()) === before + 1);
  // Put right in the line itself, it is what was typed last; nothing that waits is written over it.
  await (await page.css('#reading')).sendKeys(Key.chord(Key.CONTROL, 'a'), Key.BACK_SPACE);
  await page.keys('18.01', Key.ENTER);
  await page.until('the corrected one and the last', async () => (await count()) === before + 3);
  const texts = await shop.query<{ text: string }>('select text from readings order by seq desc limit 3');
  expect(texts.map((t) => t.text)).toEqual(['18.03', '18.01', '18.02']);
  clicks = keys = 0;
});
