import { openShop, type TestShop } from './support/shop';
import { visit, type Visit } from './support/visit';

/** A mower spindle in its bush, from the counter to the customer, in inch, as Tomas types it. */
let shop: TestShop;
let tomas: Visit;
beforeAll(async () => {
  shop = await openShop({ demo: false });
  tomas = await visit(shop);
});
afterAll(async () => {
  await tomas.close();
  await shop.close();
});

const shows = (selector: string): Promise<string> =>
  tomas.page.run('return document.querySelector(arguments[0])?.textContent.trim() ?? ""', selector);

it('is taken in at the counter', async () => {
  const { page } = tomas;
  await page.sees('No jobs yet.');
  await page.click('New job');
  await page.fill('Customer', 'Osmere parks department');
  await page.fill('What it is', 'Roller spindle');
  await page.fill('What happened to it', 'Roller rattles.');
  await page.choose('Unit of the job', 'in');
  await page.fill('Shop temperature', '20');
  await page.tick('Held fuel');
  await page.sees('No hot work without proper cleaning');
  await page.click('Take it in');
  await page.sees('Nothing is on record yet.');
});

it('is stripped: a spindle with a land and a track, and the bush it runs in', async () => {
  const { page } = tomas;
  await page.click('Add a component');
  await page.fill('Component', 'Spindle');
  await page.click('Save component');
  await page.click('Add a place to measure on Spindle');
  await page.fill('Place', 'Land');
  await page.choose('Did it wear?', 'Never ran');
  await page.fill('Length', '1/2');
  await page.fill('Stations', '0.25');
  await page.click('Save place');
  await page.click('Add a place to measure on Spindle');
  await page.fill('Place', 'Track');
  await page.fill('Starts at', '1');
  await page.fill('Length', '2');
  await page.fill('Stations', '2');
  await page.click('Save place');
  await page.sees('1 to 3');
  await page.click('Add a component');
  await page.fill('Component', 'Bush');
  await page.choose('What it is', 'What it runs in');
  await page.fill('Its zero face lies', '1');
  await page.click('Save component');
  await page.click('Add a place to measure on Bush');
  await page.fill('Place', 'Bush bore');
  await page.fill('Length', '2');
  await page.choose('Fits together with', 'Track');
  await page.fill('Stations', '0.5; 1.5');
  await page.click('Save place');
  await page.sees('0.5, 1.5; 4 clocks');
});

it('is measured on the reading line, which moves on and asks about a slip', async () => {
  const { page, line } = tomas;
  await page.click('Measure');
  await page.until('the line at the land', async () => (await line.where()) === 'Land at 0.25 in, 0°');
  await line.takeAll(['.7492', '.7492']);
  await page.until('the line at the track', async () => (await line.where()) === 'Track at 2 in, 0°');
  await line.take('.7410');
  await line.type('7.412');
  await page.keys('\uE007');
  await page.sees('cannot show 7.412 in');
  await page.click('Take 0.7412');
  await page.until('the line at the bore', async () => (await line.where()) === 'Bush bore at 0.5 in, 0°');
  await line.takeAll(['.7524', '.7522', '.7520', '.7522', '.7524', '.7522', '.7520', '.7522']);
  await page.sees('All planned readings are in.');
  await page.click('Bush bore');
  await page.sees('0.7522');
});

it('is decided: a grease fit in the kept bore', async () => {
  const { page } = tomas;
  await page.click('Decide');
  await page.fill('Why this fit', 'Grass and grit.');
  await page.click('Running in grease or dirt, keep the hole');
  await page.sees('Why: Grass and grit.');
  // 0.7520 smallest less 0.002 + 0.0015 x 0.7520
  expect(await shows('.facts ip-figure .fig span:nth-of-type(2)')).toBe('0.7489');
  await page.sees('3/4 in');
  await page.fill('Why it wore', 'Dry.');
  await page.fill('What is done', 'New spindle, agreed by telephone.');
  await page.click('Save cause and route');
  await page.until('the choice to be stored', async () => (await shop.query(`select 1 from choices where key = 'route'`)).length === 1);
});

it('is drawn so that its body follows the fit', async () => {
  const { page } = tomas;
  await page.click('Draw');
  await page.click('Plain pin');
  await page.fill('Overall length', '4 1/2');
  await page.click('Draw it');
  await page.sees('Diameter, from the fit');
  await page.click('Save drawing');
  await page.sees('Saved.');
});

it('is planned and released', async () => {
  const { page } = tomas;
  await page.click('Plan');
  await page.choose('Tool', 'High-speed steel');
  await page.sees('Part off');
  await page.click('Release for cutting');
  await page.sees('Released');
});

it('is cut by what the coach says', async () => {
  const { page, line } = tomas;
  await page.click('Cut');
  await page.sees('First: skim it');
  await line.take('.9640');
  for (let i = 0; i < 8; i++) {
    const now = await page.text();
    if (now.includes('Inside its limits') || now.includes('Too thin for this tool')) break;
    const next = await page.until('what to expect', async () => /expecting about (\d\.\d+)/.exec(await page.text())?.[1]);
    const before = (await shop.query('select 1 from readings')).length;
    await line.take(next);
    await page.until('the cut to be stored', async () => (await shop.query('select 1 from readings')).length > before);
  }
  // Half a thou of limits is less than this dial is set to: the coach leaves a hair for emery, which takes it home.
  if ((await page.text()).includes('Too thin for this tool')) await line.take('.7486');
  await page.sees('Inside its limits');
});

it('is proved, with its play', async () => {
  const { page, line } = tomas;
  await page.click('Prove');
  await page.until('the line at the body', async () => (await line.where()).startsWith('Body, finished and cold, at '));
  await line.takeAll(['.7486', '.7486']);
  await page.sees('fits');
  // One end is not the whole seat, a slender one: it passes once the rest is read too, or with a reason.
  await page.sees('2 of 6 read');
  await page.click('Pass Body');
  await page.sees('Read at 2 of 6 spots.');
  await line.takeAll(['.7486', '.7486', '.7486', '.7486']);
  await page.click('Pass Body');
  await page.sees('passed, Tomas Quill');
  await page.click('Draw 400,000 plays');
  await page.sees('in 95 of 100 places');
});

it('is handed back with its lesson and papers', async () => {
  const { page } = tomas;
  await page.click('Return');
  await page.fill('What the customer still does', 'Grease monthly.');
  await page.fill('One lesson', 'Ask for the bush with the spindle.');
  await page.click('Hand it back');
  await page.until(
    'the hand-over to be stored',
    async () => (await shop.query(`select 1 from choices where key = 'returned'`)).length === 1,
  );
  const [job] = await shop.query<{ id: string }>('select id from jobs');
  for (const paper of ['slip.pdf', 'report.pdf', 'first-article.pdf', 'drawing.svg', 'readings.csv'])
    expect((await fetch(`${shop.address}/api/jobs/${job!.id}/${paper}`)).status).toBe(200);
  await page.click('Floor');
  await page.click('Show what is put away, 1');
  await page.sees('Returned');
});

it('marks what a later reading moves, until somebody accepts it', async () => {
  const { page, line } = tomas;
  await tomas.open('Roller spindle', 'measure');
  await page.click('Bush bore');
  await page.until('a spot', async () => (await line.where()) !== '');
  await line.take('.7515');
  await page.sees('released numbers moved.');
  await page.sees('0.7489');
  await page.click('Release again with these');
  await page.seesNot('released numbers moved.');
  const [stored] = await shop.query<{ n: number }>('select count(*)::int as n from releases');
  expect(stored!.n).toBe(2);
});
