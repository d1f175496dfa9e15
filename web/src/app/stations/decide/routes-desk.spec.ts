import { choiceKey, proposeRoute, type ConsideredChoice, type ItemChoice, type RouteId } from '@iron-patch/core';
import { testChoice, testSheet, testShop } from '@iron-patch/core/testing';
import { FakeServer } from '../../../testing/fake-server';
import { breathe, openSheet, press, show, type, words } from '../../../testing/open-sheet';
import { RoutesDesk } from './routes-desk';

const RATES = {
  ...{ currency: 'crowns', hourMinor: 3800, machineHourMinor: {}, kgMinor: { steel: 320 }, wastePercent: 10 },
  ...{ markUpPercent: 15, consumablesPercent: 0, minimumMinor: 0, taxPercent: 0, version: 1 },
};
const found = testChoice(choiceKey.finding('f1'), {
  ...{ findingId: 'tight-then-loose', componentId: 'pin', placeId: null, atMm: null, clockDeg: null, words: '', removed: false },
});
const pin = testSheet().components.find((c) => c.id === 'pin')!;
const considered = (id: string, route: RouteId, more: Partial<ConsideredChoice> = {}) =>
  testChoice(choiceKey.considered(id), { ...proposeRoute(route, pin, [], 0, 1), ...more });

let server: FakeServer;
const desk = async (rates: typeof RATES | null, ...more: ReturnType<typeof testChoice>[]) => {
  server = new FakeServer(testSheet({ choices: [found, ...more] }));
  server.shop = { ...testShop, rates };
  await openSheet(server);
  return show(RoutesDesk);
};
const sent = () =>
  server.changes().map((c) => [c.path.split('/choices/')[1]!.split(':')[0]!, (c.body as { value: unknown }).value] as const);
const after = async (fixture: Awaited<ReturnType<typeof desk>>): Promise<void> => {
  for (let i = 0; i < 8; i++) await breathe();
  await fixture.whenStable();
};

it('offers the ways of what was found and to buy it; side by side they have hours, and prices once an hour has one', async () => {
  const fixture = await desk(null);
  expect(words(fixture)).toContain('larger pin to the smallest size of the hole');
  await press(fixture, 'Put them side by side');
  await after(fixture);
  expect(sent().map(([, v]) => (v as ConsideredChoice).routeId)).toEqual(['larger-pin', 'true-pin', 'bush-hole', 'buy']);
  expect(words(fixture)).toContain('Hours only.');
  expect(words(fixture)).not.toContain('crowns');
  const priced = await desk(RATES, considered('a', 'larger-pin'), considered('b', 'buy'));
  expect(words(priced)).toContain('crowns');
  expect(words(priced)).toContain('and the price of the part');
  expect(words(priced)).not.toContain('Put them side by side');
});

it('what a day without it costs the customer stands beside the price of each way', async () => {
  const of = (days: number, least?: number) => ({
    ...{ stock: [], acts: [], postageMinor: 0 },
    bought: [{ what: 'pin', count: 1, costMinor: 10_000, leadDays: days, outside: false, least }],
  });
  const still = testChoice(choiceKey.standingStill, { dayMinor: 5000 });
  const fixture = await desk(RATES, considered('a', 'buy', of(0)), considered('b', 'buy', of(0, 3)), still);
  const [first, second] = [...(fixture.nativeElement as HTMLElement).querySelectorAll('article')].map((a) =>
    a.textContent.replace(/\s+/g, ' '),
  );
  const days = Number(/(\d+) days? without it/.exec(first!)![1]);
  // 100, and 15 % on it, and 50 a day; three at least are sold of the other.
  expect(first).toContain(`price and days without it: ${115 + 50 * days},`);
  expect(second).toContain(`price and days without it: ${345 + 50 * days},`);
  const unsaid = await desk(RATES, considered('a', 'buy', of(9)));
  expect(words(unsaid)).not.toContain('without it:');
  await type(unsaid, 'input[name=dayWithoutIt]', '80');
  await press(unsaid, 'Save it');
  await after(unsaid);
  expect(sent()).toEqual([['standing-still', { dayMinor: 8000 }]]);
});

it('neither chooses one nor puts it away without a reason', async () => {
  const fixture = await desk(RATES, considered('a', 'larger-pin'));
  await press(fixture, 'Not this');
  await press(fixture, 'Not this');
  const form = (fixture.nativeElement as HTMLElement).querySelector<HTMLFormElement>('form.why')!;
  form.dispatchEvent(new Event('submit'));
  await fixture.whenStable();
  expect(words(fixture)).toContain('Say why it is not done');
  expect(sent()).toEqual([]);
  await type(fixture, 'input[name=routeWhy]', 'rattles');
  form.dispatchEvent(new Event('submit'));
  await after(fixture);
  expect(sent()).toMatchObject([['considered', { state: 'dropped', why: 'rattles' }]]);
  await press(fixture, 'Weigh again');
  await after(fixture);
  expect(sent()[1]).toMatchObject(['considered', { state: 'considered', why: '' }]);
});

it('where another is chosen, what the first laid out and nobody touched is called off', async () => {
  const chosen = considered('a', 'straighten', { state: 'chosen', why: 'quick' });
  const buy = considered('b', 'bush-hole', { position: 1 });
  const laid = testChoice(choiceKey.item('i1'), {
    ...{
      kind: 'rework',
      name: 'Hinge pin, straightened',
      quantity: 1,
      componentIds: ['pin'],
      route: 'straighten in a press, indicator map first',
    },
    ...{
      position: 0,
      steps: [],
      cuts: [],
      size: '',
      source: '',
      leadDays: null,
      here: false,
      after: [],
      tried: '',
      givesWay: false,
      off: false,
    },
  });
  const fixture = await desk(RATES, chosen, buy, laid);
  await press(fixture, 'Choose bush the hole');
  expect(words(fixture)).toContain('It adds to this job: Bush,');
  await type(fixture, 'input[name=routeWhy]', 'for good');
  (fixture.nativeElement as HTMLElement).querySelector('form.why')!.dispatchEvent(new Event('submit'));
  await after(fixture);
  const all = sent();
  expect(all[0]).toMatchObject(['item', { name: 'Hinge pin, straightened', off: true }]);
  expect(all[1]).toMatchObject(['considered', { routeId: 'straighten', state: 'considered', estimated: null }]);
  expect(all.slice(2, -1).map(([, v]) => (v as ItemChoice).kind)).toEqual(['make', 'rework', 'join']);
  const last = all.at(-1)![1] as ConsideredChoice;
  expect(last).toMatchObject({ routeId: 'bush-hole', state: 'chosen', why: 'for good' });
  expect(last.estimated!.acts.length).toBe(last.acts.length);
  expect(last.estimated!.priceMinor).toBeGreaterThan(0);
});
