import { seriousProblems as problemsOn } from './support/axe';
import { Hand } from './support/hand';
import { openShop, type TestShop } from './support/shop';
import { visit, type Visit } from './support/visit';

/** axe on every screen, and that the look really arrived. */
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

const seriousProblems = (): Promise<string[]> => problemsOn(maud.page);

const STATIONS = ['receive', 'strip', 'measure', 'decide', 'draw', 'plan', 'cut', 'prove', 'return'];

it.each(STATIONS)('%s of a whole job', async (station) => {
  await maud.turnTo('Ramp hinge pin', station);
  await maud.page.settled();
  expect(await seriousProblems()).toEqual([]);
});

it('a job is taken in', async () => {
  await new Hand(maud, shop).takeIn('Hay rake shaft', 'mm', { hazards: [] });
});

it.each(STATIONS)('%s of a job that has hardly begun', async (station) => {
  await maud.turnTo('Hay rake shaft', station);
  await maud.page.settled();
  expect(await seriousProblems()).toEqual([]);
});

it.each([
  ['plan', '4 Across the axis'],
  ['cut', 'Depths and settings'],
  ['cut', 'Practise on a simulated lathe'],
])('%s of a shaft with keyseats: %s', async (station, press) => {
  await maud.turnTo('Mixer drive shaft', station);
  await maud.page.click(press);
  await maud.page.settled();
  expect(await seriousProblems()).toEqual([]);
});

it.each(['sum/press', 'sum/single-point', 'sum/o-ring', 'table/unc-unf', 'table/materials'])('the bench: %s', async (path) => {
  await maud.page.turnTo(`/sums/${path}`);
  await maud.page.sees('Look up, or find a sum');
  await maud.page.settled();
  expect(await seriousProblems()).toEqual([]);
});

it.each(['What fits what', 'Parts to order', 'Loose pieces', 'Point of no return'])('strip of a job in pieces: %s', async (tab) => {
  await maud.turnTo('Grapple cylinder rod', 'strip');
  await maud.page.click(tab);
  await maud.page.settled();
  expect(await seriousProblems()).toEqual([]);
});

it.each(['Rod, straightness', 'Chromed rod', 'Piston thread', 'Depth to the ring groove'])('measuring %s', async (place) => {
  await maud.open('Grapple cylinder rod', 'measure');
  await maud.page.click(place);
  await maud.page.click('Gauge');
  await maud.page.settled();
  expect(await seriousProblems()).toEqual([]);
});

it('a photograph with its markers', async () => {
  await maud.turnTo('Ramp hinge pin', 'receive');
  await maud.page.click('Open picture As it came in');
  await maud.page.sees('Set a marker in the middle');
  expect(await seriousProblems()).toEqual([]);
});

it('the crib, with an instrument to check', async () => {
  await maud.page.turnTo('/crib');
  await maud.page.click('Check Caliper 150');
  await maud.page.settled();
  expect(await seriousProblems()).toEqual([]);
});

it('house rules, with what a change would move', async () => {
  await maud.page.turnTo('/house-rules');
  await maud.page.fill('Base, negative for interference', '0.07 mm');
  await maud.page.click('See what it moves');
  await maud.page.sees('open jobs');
  expect(await seriousProblems()).toEqual([]);
});

it('the bench when something is looked up', async () => {
  await maud.page.turnTo('/sums');
  await maud.page.fill('Look up, or find a sum', '3/8 24');
  await maud.page.sees('3/8-24 UNF');
  expect(await seriousProblems()).toEqual([]);
});

it('the floor, a new job, the forms of Strip, the keys and the import', async () => {
  await maud.page.turnTo('/');
  await maud.page.sees('Ramp hinge pin');
  expect(await seriousProblems()).toEqual([]);
  await maud.page.click('New job');
  await maud.page.click('Take it in');
  await maud.page.sees('Customer is needed.');
  expect(await seriousProblems()).toEqual([]);
  await maud.turnTo('Ramp hinge pin', 'strip');
  await maud.page.click('Change Hinge pin');
  await maud.page.click('Add a place to measure on Ramp barrel');
  expect(await seriousProblems()).toEqual([]);
  await maud.page.click('Keys');
  await maud.page.sees('To the reading line');
  expect(await seriousProblems()).toEqual([]);
  await maud.turnTo('Ramp hinge pin', 'measure');
  await maud.page.click('Bring in readings');
  await maud.page.sees('A table with a header row');
  expect(await seriousProblems()).toEqual([]);
});

it('wears its look: fonts, colours and no request leaves the shop', async () => {
  await maud.turnTo('Roller spindle', 'cut');
  await maud.page.sees('Next cut');
  await maud.page.settled();
  const seen = await maud.page.run<{ family: string; size: string; blue: string; loaded: boolean; foreign: string[] }>(
    `const dial = document.querySelector('.dial.fig');
     return {
       family: getComputedStyle(dial).fontFamily,
       size: getComputedStyle(dial).fontSize,
       blue: getComputedStyle(document.querySelector('section.next')).backgroundColor,
       loaded: document.fonts.check('700 20px B612'),
       foreign: performance.getEntriesByType('resource').map((r) => r.name).filter((n) => !n.startsWith(location.origin)),
     };`,
  );
  expect(seen).toMatchObject({ size: '112px', blue: 'rgb(35, 48, 107)', loaded: true, foreign: [] });
  expect(seen.family).toContain('B612');
});
