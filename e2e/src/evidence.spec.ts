import { mkdtemp, readFile, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { Key } from 'selenium-webdriver';
import { seriousProblems } from './support/axe';
import { openShop, type TestShop } from './support/shop';
import { visit, type Visit } from './support/visit';

/** What is written down before it is lost: photographs with markers, the point of no return, loose pieces, the instrument's own record. */
const PHOTO = resolve(__dirname, '../../demo/data/photos/hinge-pin.jpg');
let shop: TestShop;
let maud: Visit;
beforeAll(async () => {
  shop = await openShop({ demo: true });
  maud = await visit(shop, 'maud');
});
afterAll(async () => {
  await maud.close();
  await shop.close();
});

it('takes a photograph, marks a place on it by keyboard too, and finds it again', async () => {
  const { page } = maud;
  await maud.open('Grapple cylinder rod', 'receive');
  await page.sees('None yet. One of the whole thing');
  await (await page.css('ip-photos input[type=file]')).sendKeys(PHOTO);
  await page.click('Open picture 1');
  await page.fill('Caption', 'Rod on the bench');
  await page.click('Set a marker in the middle');
  await page.choose('Place of marker 1', 'Chromed rod');
  await page.fill('What marker 1 shows', 'scored');
  const marker = await page.css('.mark');
  await marker.sendKeys(Key.ARROW_LEFT, Key.ARROW_LEFT, Key.ARROW_UP);
  await page.run(
    `const img = document.querySelector('.picture img'); const b = img.getBoundingClientRect();
     img.dispatchEvent(new MouseEvent('click', { bubbles: true, clientX: b.left + b.width * 0.8, clientY: b.top + b.height * 0.3 }));`,
  );
  await page.click('Save the picture');
  await page.sees('Rod on the bench, 2 marked');
  const [photo] = await shop.query<{ markers: { x: number; y: number; text: string; placeId: string | null }[] }>(
    `select markers from photos p join jobs j on j.id = p.job_id where j.title = 'Grapple cylinder rod'`,
  );
  expect(photo!.markers[0]).toMatchObject({ x: expect.closeTo(0.46, 6), y: expect.closeTo(0.48, 6), text: 'scored' });
  expect(photo!.markers[0]!.placeId).not.toBeNull();
  expect(photo!.markers[1]!.x).toBeCloseTo(0.8, 1);
});

it('tells over a slow line how much of a photograph went', async () => {
  const { page, browser } = maud;
  const large = join(await mkdtemp(join(tmpdir(), 'photo-')), 'large.jpg');
  // What stands behind the end of a JPEG is no picture, and has to go over the line all the same.
  await writeFile(large, Buffer.concat([await readFile(PHOTO), Buffer.alloc(1_500_000)]));
  await browser.slow(400_000);
  await page.run(
    `window.shares = [];
     new MutationObserver(() => { const p = document.querySelector('progress[aria-label="Sending large.jpg"]'); if (p) shares.push(p.value); })
       .observe(document.querySelector('ip-photos'), { subtree: true, childList: true, attributes: true });`,
  );
  await (await page.css('ip-photos input[type=file]')).sendKeys(large);
  await page.sees('large.jpg: on its way');
  await page.seesNot('large.jpg: on its way');
  await browser.slow(10, 'in');
  await page.click('Open picture 2');
  // It takes its room before it has come: a marker stands where it will stand.
  await page.until('a picture on its way that has its room', () =>
    page.run(
      `const img = document.querySelector('.picture img'); return img && !img.complete && img.clientWidth > 300 && img.clientHeight > 200;`,
    ),
  );
  await browser.slow(null);
  await page.click('Close');
  await page.until('the picture to be put away', () => page.run(`return !document.querySelector('.picture img')`));
  const shares = await page.run<number[]>('return window.shares');
  expect(shares.filter((s) => s > 0 && s < 100).length).toBeGreaterThan(2);
  expect(shares).toEqual([...shares].sort((p, q) => p - q));
});

it('says what is wrong with a file that is no picture, and keeps the rest', async () => {
  const { page } = maud;
  const file = join(await mkdtemp(join(tmpdir(), 'photo-')), 'notes.jpg');
  await writeFile(file, 'not a picture');
  await (await page.css('ip-photos input[type=file]')).sendKeys(file);
  await page.sees('notes.jpg: This is no JPEG, PNG or WebP picture that can be read.');
  await page.click('Remove');
  await page.seesNot('notes.jpg');
});

it('keeps a photograph that was taken while the line was down, though the page is left, and sends it once', async () => {
  const { page, browser } = maud;
  const stored = async (): Promise<number> =>
    Number(
      (
        await shop.query<{ n: string }>(
          `select count(*) n from photos p join jobs j on j.id = p.job_id where j.title = 'Grapple cylinder rod'`,
        )
      )[0]!.n,
    );
  const before = await stored();
  await browser.offline(true);
  await (await page.css('ip-photos input[type=file]')).sendKeys(PHOTO);
  await page.sees('hinge-pin.jpg: the server does not answer. It is kept here and goes by itself.');
  await page.driver.get('about:blank');
  await browser.offline(false);
  expect(await stored()).toBe(before);
  await maud.open('Grapple cylinder rod', 'receive');
  await page.until('the picture to be stored', async () => (await stored()) === before + 1);
  await page.button('Open picture 2');
  await page.seesNot('hinge-pin.jpg:');
});

it('stands in the way of an act that would destroy what is not on record, and yields once it is', async () => {
  const { page, line } = maud;
  await page.click('Strip');
  await page.sees('The point of no return: press out, gland is planned');
  await page.click('See what is missing');
  await page.sees('Not yet: record these first');
  expect(await (await page.css('ip-no-return article button.next')).isEnabled()).toBe(false);

  await page.click('What came apart');
  await page.click('As found: Gland');
  await page.fill('Which way it faced', 'Grease nipple up');
  await page.tick('It had no play or shims');
  await page.click('Save as found');
  await page.sees('Faced: Grease nipple up');
  await page.click('Point of no return');
  await page.click('Measure it: Gland bore');
  await page.until('the line', async () => (await line.where()).startsWith('Gland bore at 36'));
  await line.takeAll(['40.131', '40.128', '40.127', '40.129']);
  await page.click('Strip');
  await page.click('Point of no return');
  await page.sees('Everything is on record: go ahead');
  await page.click('It is done');
  await page.sees('Done');
});

it('lets an act go ahead with a reason, which is kept', async () => {
  const { page } = maud;
  await page.choose('What is done', 'Saw through');
  await page.choose('To which component', 'Cylinder, whole');
  await page.fill('Where', 'Across the eye');
  await page.click('Put it on the plan');
  await page.sees('Saw through: Cylinder, whole');
  await page.fill('Why it goes ahead all the same', 'The eye is scrap either way.');
  await page.click('Go ahead without');
  await page.sees('Goes ahead because: The eye is scrap either way.');
});

it('does not let the job go back while a piece is loose', async () => {
  const { page } = maud;
  await page.click('Loose pieces');
  await page.sees('A third of the piston ring');
  await page.fill('How it was accounted for', 'Fished out of the barrel');
  await page.click('Accounted for');
  await page.sees('Fished out of the barrel');
  expect(
    await shop.query(`select 1 from choices where key like 'fragment:%' and value ->> 'settled' = 'Fished out of the barrel'`),
  ).toHaveLength(1);
});

it('finds the size to order in the tables', async () => {
  const { page } = maud;
  await page.click('Parts to order');
  await page.choose('What', 'O-ring');
  await page.fill('Inside, measured', '18.7');
  await page.fill('Section, measured', '3.5');
  await page.click('AS568 -210');
  await page.fill('How many', '2');
  await page.click('Put on the list');
  await page.sees('AS568 -210');
  await page.until(
    'it to be stored',
    async () => (await shop.query(`select 1 from choices where value ->> 'size' = 'AS568 -210'`)).length === 1,
  );
});

it('logs a check of an instrument, which corrects what it reads from then on', async () => {
  const { page } = maud;
  await page.go('/crib');
  await page.sees('overdue');
  await page.click('Check Outside mic 25 to 50');
  await page.fill('Checked against', 'Setting piece 25');
  await page.fill('Its size', '25');
  await page.fill('It reads', '25.004');
  await page.sees('+0.004 mm');
  await page.click('Log the check');
  await page.sees('Setting piece 25: +0.004 mm');
  expect(await shop.query('select 1 from instrument_checks')).toHaveLength(1);
});

it('lists the drills of the crib, which then come first for a tapped hole', async () => {
  const { page } = maud;
  await page.go('/crib');
  await page.sees('Metric drills 1 to 13 mm, by 0.5 mm');
  await page.click('Add drills');
  await page.choose('Which drills', 'Number drills');
  await page.fill('Smallest', '.3');
  await page.click('Save drills');
  await page.sees('The largest is not smaller than the smallest.');
  await page.fill('Smallest', '.0135');
  await page.click('Save drills');
  await page.sees('Number drills 0.0135 to 0.228 in, all that are sold');
  expect(await seriousProblems(page)).toEqual([]);
  await page.go('/sums/sum/tap-drill');
  await page.fill('Thread', '1/4 20');
  await page.sees('In the crib');
  await page.sees('number 7');
  await page.go('/crib');
  await page.click('Remove Number drills');
  await page.seesNot('Number drills 0.0135');
});

it('takes like for like with a cause that it keeps alive only with what is done against it', async () => {
  const { page } = maud;
  await maud.open('Gearbox shaft, spun seat', 'decide');
  await page.sees('The inner ring turned on its seat');
  await page.click('This is it: The inner ring turned on its seat');
  await page.fill('What is done, and what', 'New shaft.');
  await page.click('Save cause and route');
  await page.sees('Like for like keeps this alive');
  await page.click('new bearing');
  await page.click('Save cause and route');
  await page.seesNot('Like for like keeps this alive');
});

it('draws the new part from its readings in one press, puts it right, and saves it', async () => {
  const { page } = maud;
  await maud.open('Gearbox shaft, spun seat', 'draw');
  await page.sees('What they do not tell, to be read or said yet');
  await page.click('Draw from the readings');
  await page.sees('found');
  await page.sees('25.002 to 25.011');
  expect(await seriousProblems(page)).toEqual([]);
  await page.fill('Length', '120');
  await page.click('Save drawing');
  await page.sees('Saved.');
  const [drawing] = await shop.query<{ value: { outside: { lengthMm: number; name: string }[] } }>(
    `select value from choices c join jobs j on j.id = c.job_id where j.title = 'Gearbox shaft, spun seat' and c.key like 'part%' order by c.version desc limit 1`,
  );
  expect(drawing!.value.outside).toMatchObject([{ name: 'Bearing seat', lengthMm: 120 }]);
});
