import { Key } from 'selenium-webdriver';
import { openShop, type TestShop } from './support/shop';
import { visit, type Visit } from './support/visit';

/** Everything that a tired hand or a bad file puts in. */
let shop: TestShop;
let tomas: Visit;
beforeAll(async () => {
  shop = await openShop({ demo: true });
  tomas = await visit(shop);
});
afterAll(async () => {
  await tomas.close();
  await shop.close();
});

const readings = async (): Promise<number> => (await shop.query<{ n: number }>('select count(*)::int as n from readings'))[0]!.n;
const jobs = async (): Promise<number> => (await shop.query<{ n: number }>('select count(*)::int as n from jobs'))[0]!.n;

describe('on the reading line', () => {
  beforeAll(async () => {
    await tomas.open('Sprayer pump shaft', 'measure');
    await tomas.page.until('the line', async () => (await tomas.line.where()).startsWith('Seal track'));
  });

  it.each([
    ['', 'Type a size first.'],
    ['wobbly', 'is not a size'],
    ['-50', 'below zero'],
    ['0', 'Zero is no size'],
    ['1e9', 'is not a unit used here'],
    ['999999999', 'Check the point and the unit'],
    ['19.9 furlong', 'is not a unit used here'],
    ['1.99', 'Did you mean 19.900'],
    ['199.0', 'cannot show 199.0 mm'],
    ['<script>alert(1)</script>', 'is not a size'],
  ])('"%s": %s', async (text, message) => {
    const before = await readings();
    await tomas.line.type(text || Key.BACK_SPACE);
    await (await tomas.page.css('#reading')).sendKeys(Key.ENTER);
    await tomas.page.sees(message);
    expect(await readings()).toBe(before);
    const kept = await tomas.page.run('return document.getElementById("reading").value');
    expect(kept).toBe(text);
  });

  it('takes the suggestion, or the number as typed when somebody insists', async () => {
    const before = await readings();
    await tomas.line.type('1.990');
    await (await tomas.page.css('#reading')).sendKeys(Key.ENTER);
    await tomas.page.click('It is right');
    await tomas.page.until('it to be stored', async () => (await readings()) === before + 1);
    await tomas.page.click('Take back: reading 1.990');
    await tomas.page.until('the withdrawal to be stored', async () => (await readings()) === before + 2);
  });
});

describe('a pasted table', () => {
  const paste = async (text: string): Promise<void> => {
    await tomas.page.run(
      `const data = new DataTransfer(); data.setData('text', arguments[0]);
       document.getElementById('reading').dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));`,
      text,
    );
    await tomas.page.sees('Bring in readings');
  };
  const header = 'place,station_mm,clock_deg,reading';

  it('with bad rows lists them all and stores nothing', async () => {
    const before = await readings();
    await paste([header, 'Seal track,71,0,19.9', 'Nose,71,0,19.9', 'Seal track,x,0,oops'].join('\n'));
    await tomas.page.click('Bring in');
    await tomas.page.sees('Nothing was stored.');
    await tomas.page.sees('Row 2, place: there is no place called "Nose"');
    await tomas.page.sees('Row 3, station_mm');
    await tomas.page.sees('Row 3, reading');
    expect(await readings()).toBe(before);
    await tomas.page.click('Cancel');
  });

  it('of 500 readings comes in whole', async () => {
    const before = await readings();
    await paste([header, ...Array.from({ length: 500 }, (_, i) => `Seal track,${62 + (i % 16)},${(i % 4) * 45},19.9${i % 10}`)].join('\n'));
    await tomas.page.click('Bring in');
    await tomas.page.sees('500 readings brought in.');
    expect(await readings()).toBe(before + 500);
  });
});

describe('at the counter', () => {
  beforeEach(() => tomas.page.go('/jobs/new'));

  it('tells each field what is wrong and keeps everything typed', async () => {
    const { page } = tomas;
    const before = await jobs();
    await page.fill('Customer', 'x'.repeat(500));
    await page.fill('Pieces received', 'many');
    await page.fill('Shop temperature', '1e9');
    await page.click('Take it in');
    await page.sees('Customer is 500 characters long; 120 at most.');
    await page.sees('Say what it is.');
    await page.sees('"many" is not a number.');
    await page.sees('"1e9" is not a number.');
    expect(await (await page.field('Customer')).getAttribute('value')).toHaveLength(500);
    expect(await (await page.field('Customer')).getAttribute('aria-invalid')).toBe('true');
    expect(await jobs()).toBe(before);
  });

  it('takes names in other scripts and shows tags as text', async () => {
    const { page } = tomas;
    // What was typed before and refused is still there: it makes room on purpose.
    await page.sees('is back. It is not saved yet.');
    await page.click('Throw it away');
    await page.seesNot('It is not saved yet.');
    await page.fill('Customer', 'Ōsumi 渡船');
    await page.fill('What it is', '<img src=x onerror=alert(1)> pin');
    await page.click('Take it in');
    await page.sees('<img src=x onerror=alert(1)> pin');
    expect(await page.run('return document.querySelectorAll("img").length')).toBe(0);
    await page.click('Floor');
    await page.sees('Ōsumi 渡船');
  });
});

it('drawn sizes that cannot be made are told at their field and are not saved', async () => {
  const { page } = tomas;
  await tomas.open('Curtain hoist pin', 'draw');
  await page.fill('Length', '-5');
  await page.sees('is below zero');
  await page.fill('Length', '60');
  await page.fill('Along the axis', '55');
  await page.sees('would cut past the centre line');
  await page.until('saving to be off', async () =>
    page.run<boolean>(`return [...document.querySelectorAll('button')].some((b) => b.textContent.includes('Save drawing') && b.disabled)`),
  );
  await page.click('Forget the changes');
  await page.sees('Saved.');
});

it('asks who is at the bench before it takes a reading', async () => {
  const { page, line } = tomas;
  await page.run('localStorage.removeItem("iron-patch.person")');
  await tomas.open('Sprayer pump shaft', 'measure');
  await page.until('the line', async () => (await line.where()) !== '');
  await line.type('19.9');
  await (await page.css('#reading')).sendKeys(Key.ENTER);
  await page.sees('Who is at the bench? Pick your name');
  await page.choose('Who is at the bench', 'Tomas Quill');
});

it('says so when there is no such job or page', async () => {
  await tomas.page.go('/jobs/0b2f7a52-6a2b-4f0e-9b1e-0d8f6a1c2b3d/measure');
  await tomas.page.sees('There is no such job.');
  await tomas.page.go('/nowhere');
  await tomas.page.sees('There is nothing at this address.');
});
