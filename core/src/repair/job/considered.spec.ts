import { FINDING_IDS, FINDINGS, ROUTE_IDS } from '../../evidence/diagnosis';
import type { Rates } from '../../making/costing';
import { choiceKey } from './choices';
import { layOut, ownRoute, proposeRoute, untouchedOf, type ConsideredChoice } from './considered';
import { itemsOff, jobItems } from './items';
import type { JobSheet, Shop } from './records';
import { workOut } from './repair';
import { estimatedNow } from './route-finding';
import { spentAgainst } from './spent';
import { testPlace, testReading, testSheet, testShop, verdicts, withChoices } from './testing';

const RATES: Rates & { version: number } = {
  currency: 'crowns',
  hourMinor: 3800,
  machineHourMinor: {},
  kgMinor: { steel: 320, copper: 1100 },
  wastePercent: 10,
  markUpPercent: 15,
  consumablesPercent: 0,
  minimumMinor: 0,
  taxPercent: 0,
  version: 1,
};
const shop: Shop = { ...testShop, rates: RATES };
const sheet = testSheet();
const pin = sheet.components.find((c) => c.id === 'pin')!;
const barrel = sheet.components.find((c) => c.id !== 'pin')!;
const places = workOut(sheet, shop).places;
const weighed = (value: ConsideredChoice, on: JobSheet = sheet, s: Shop = shop) =>
  workOut(withChoices(on, [choiceKey.considered('a'), value]), s).routes[0]!;

describe('a route that is weighed', () => {
  it('begins with what it takes, of the measured sizes', () => {
    const bush = proposeRoute('bush-hole', barrel, places, 0, 1);
    // The barrel's bore was read at 40.0 and more: the bar for its bush goes over it, and is of bronze.
    expect(bush.stock[0]!.materialId).toBe('bronze-tin');
    expect(bush.stock[0]!.diameterMm).toBeGreaterThan(43);
    expect(bush.acts.map((a) => a.act)).toContain('press');
    const { minutes, price, unpriced, missing } = weighed(bush);
    expect(minutes.value).toBeGreaterThan(120);
    expect(minutes.limits!.upper).toBeGreaterThan(minutes.value);
    expect(price!.value).toBeGreaterThan((minutes.value / 60) * 38);
    expect(unpriced).toEqual([]);
    // The test shop has no mill, saw, press among its machines.
    expect(missing).toEqual(expect.arrayContaining(['mill', 'press']));
  });

  it('a pin is as thick as the hole that wore, not as the bore beside it', () => {
    const hole = (id: string, name: string, ...sizes: readonly number[]) => ({
      place: testPlace(id, { name, componentId: barrel.id, side: 'inside', stationsMm: [3], clocksDeg: [0, 90], lengthMm: 6 }),
      readings: sizes.map((valueMm, i) => testReading({ placeId: id, stationMm: 3, clockDeg: i * 90, valueMm, instrumentId: 'mic' })),
    });
    const holes = [hole('hub', 'Bore', 38.15, 38.15), hole('small', 'Pin hole', 6.35, 6.65), hole('large', 'Pin hole', 7.34, 7.64)];
    const found = workOut(testSheet({ places: holes.map((h) => h.place), readings: holes.flatMap((h) => h.readings) }), shop).places;
    // 7.64 and the 3 mm that a bar has over it.
    expect(proposeRoute('straight-pin', barrel, found, 0, 1).stock[0]).toMatchObject({ diameterMm: 10.6, lengthMm: 16 });
  });

  it('takes minutes as said, and says what has no price or no day yet', () => {
    const own: ConsideredChoice = {
      ...ownRoute(pin, 0),
      name: 'weld a boss on',
      acts: [{ act: 'weld', what: 'boss', times: 1, minutes: { low: 60, likely: 60, high: 60 }, machineId: '' }],
      bought: [{ what: 'boss', count: 1, costMinor: null, leadDays: null, outside: false }],
    };
    const found = weighed(own);
    expect(found.minutes.value).toBeCloseTo(60, 9);
    expect(found.price!.value).toBeCloseTo(38, 9);
    expect([found.unpriced, found.undated, found.waitDays]).toEqual([['boss'], ['boss'], null]);
    const priced = { ...own, bought: [{ ...own.bought[0]!, costMinor: 1000, leadDays: 12 }] };
    expect(weighed(priced)).toMatchObject({ unpriced: [], waitDays: 12, price: { value: expect.closeTo(49.5, 9) } });
    expect(weighed(own, sheet, testShop).price).toBeNull();
  });

  it('a copy of the part is told to keep a cause alive that survives it, until something is done against it', () => {
    const cause = { cause: 'one side', route: 'pin', causeId: 'load-one-way', cure: '' };
    const on = withChoices(sheet, [choiceKey.route, cause]);
    const copy = proposeRoute('larger-pin', pin, places, 0, 1);
    expect(weighed(copy, on).keptAlive).toMatch(/goes on$/);
    expect(weighed(proposeRoute('bush-hole', barrel, places, 0, 1), on).keptAlive).toBeNull();
    expect(weighed(copy, withChoices(sheet, [choiceKey.route, { ...cause, cure: 'grease' }])).keptAlive).toBeNull();
  });

  it('more pieces take more hours and more bar, and not as many times', () => {
    const one = weighed(proposeRoute('new-shaft', pin, places, 0, 1));
    const six = weighed(proposeRoute('new-shaft', pin, places, 0, 6));
    expect(six.route.value.stock[0]!.pieces).toBe(6);
    expect(six.minutes.value).toBeGreaterThan(1.5 * one.minutes.value);
    expect(six.minutes.value).toBeLessThan(6 * one.minutes.value);
  });

  it('learns from what the shop’s jobs took', () => {
    const took = Array.from({ length: 30 }, () => ({ act: 'turn' as const, estimatedMin: 60, tookMin: 120 }));
    const before = weighed(proposeRoute('new-shaft', pin, places, 0, 1));
    const after = weighed(proposeRoute('new-shaft', pin, places, 0, 1), sheet, { ...shop, took });
    const turn = (r: typeof before): number => r.acts.find((a) => a.act.act === 'turn')!.hands.likely;
    expect(turn(after) / turn(before)).toBeGreaterThan(1.8);
    expect(turn(after) / turn(before)).toBeLessThan(2);
  });

  it('what is kept of its estimate adds up to the hours that were told, and holds the model apart from what was learnt and said', () => {
    const took = Array.from({ length: 30 }, () => ({ act: 'turn' as const, estimatedMin: 60, tookMin: 120 }));
    const route = proposeRoute('new-shaft', pin, places, 0, 1);
    const said = { ...route, acts: route.acts.map((a) => (a.act === 'measure' ? { ...a, minutes: { low: 5, likely: 5, high: 5 } } : a)) };
    const [plain, learnt] = [estimatedNow(weighed(route)), estimatedNow(weighed(said, sheet, { ...shop, took }))];
    const whole = weighed(said, sheet, { ...shop, took });
    expect(learnt.acts.reduce((sum, a) => sum + a.minutes, 0)).toBeCloseTo(whole.minutes.value, 0);
    expect(learnt.acts.map((a) => a.modelMin)).toEqual(plain.acts.map((a) => a.modelMin));
    const of = (e: typeof plain, act: string) => e.acts.find((a) => a.act === act)!;
    expect(of(learnt, 'turn').minutes).toBeGreaterThan(1.8 * of(plain, 'turn').minutes);
    expect(of(learnt, 'measure')).toEqual({ act: 'measure', minutes: 5, modelMin: 45 });
    expect(learnt.priceMinor).toBe(Math.round(whole.price!.value * 100));
  });

  it('stands in its order, without what was taken off, whatever the route and the finding', () => {
    for (const id of ROUTE_IDS) expect(weighed(proposeRoute(id, null, [], 0, 1)).minutes.value).toBeGreaterThan(0);
    for (const f of FINDING_IDS)
      for (const id of FINDINGS[f].routes) expect(Number.isFinite(weighed(proposeRoute(id, pin, places, 0, 2)).price!.value)).toBe(true);
    const two = withChoices(
      sheet,
      [choiceKey.considered('a'), proposeRoute('sleeve', pin, places, 1, 1)],
      [choiceKey.considered('b'), proposeRoute('buy', pin, places, 0, 1)],
      [choiceKey.considered('c'), { ...proposeRoute('remake', pin, places, 0, 1), removed: true }],
    );
    expect(workOut(two, shop).routes.map((r) => [r.number, r.route.id])).toEqual([
      [1, 'b'],
      [2, 'a'],
    ]);
  });
});

const freshId = () => {
  let n = 0;
  return () => `n${n++}`;
};

describe('a route that is chosen lays out its items', () => {
  const laid = (id: Parameters<typeof proposeRoute>[0], on: JobSheet, of = pin) =>
    layOut(proposeRoute(id, of, places, 0, 1), on, [...jobItems(on), ...itemsOff(on)], freshId());

  it('takes up the part that the verdict asks for, and adds what it needs beside it', () => {
    const remade = verdicts('remake', 'reuse');
    const [part, ...more] = laid('new-rod', remade);
    expect(part!.item).toMatchObject({ id: jobItems(remade)[0]!.id });
    expect(part!.value).toMatchObject({ kind: 'make', name: 'Hinge pin', route: 'new rod' });
    expect(more.map((m) => [m.item, m.value.kind, m.value.name])).toEqual([[null, 'buy', 'Set of seals']]);
  });

  it('a bush is made, the part that stays is bored, both are joined', () => {
    const kinds = laid('bush-hole', verdicts('remake', 'reuse'), barrel).map((l) => `${l.value.kind} ${l.value.name}`);
    expect(kinds).toEqual(['make Bush', 'rework Ramp barrel, bored for the bush', 'join Bush pressed in']);
    const steps = laid('bush-hole', verdicts('remake', 'reuse'), barrel)[2]!.value.steps;
    expect(steps.map((s) => [s.what, s.act, s.moves])).toEqual([['press the bush in', 'press', true]]);
    // The joining waits for the bush and the bored part.
    expect(laid('bush-hole', verdicts('remake', 'reuse'), barrel).map((l) => l.value.after)).toEqual([[], [], ['n0', 'n1']]);
  });

  it('does not add a step twice, and days of what is bought go with it', () => {
    const bent = laid('straighten', verdicts('repair', 'reuse'));
    expect(bent[0]!.value.steps.map((s) => s.what)).toEqual(['straighten in the press', 'look for cracks']);
    const on = withChoices(verdicts('repair', 'reuse'), [choiceKey.item(bent[0]!.item!.id), bent[0]!.value]);
    expect(laid('straighten', on)[0]!.value.steps).toHaveLength(2);
    const route = proposeRoute('stone-reseal', pin, places, 0, 1);
    const dated = { ...route, bought: route.bought.map((b) => ({ ...b, leadDays: 4 })) };
    expect(layOut(dated, sheet, [], freshId()).find((l) => l.value.kind === 'buy')!.value.leadDays).toBe(4);
  });

  it('laid out twice, it is what it was', () => {
    const route = proposeRoute('bush-hole', barrel, places, 0, 1);
    const values = layOut(route, sheet, [], freshId()).map((l) => [choiceKey.item(l.id), l.value] as const);
    const on = withChoices(sheet, ...values);
    const again = layOut(route, on, jobItems(on), freshId());
    expect(again.map((l) => l.item?.id)).toEqual(['n0', 'n1', 'n2']);
    expect(again.map((l) => l.value.steps.length)).toEqual(values.map(([, v]) => v.steps.length));
  });

  it('called off with its route, it is taken up again with it, not laid out a second time', () => {
    const route = proposeRoute('bush-hole', barrel, places, 0, 1);
    const values = layOut(route, sheet, [], freshId()).map((l) => [choiceKey.item(l.id), { ...l.value, off: true }] as const);
    const on = withChoices(sheet, ...values);
    const again = layOut(route, on, [...jobItems(on), ...itemsOff(on)], freshId());
    expect(again.map((l) => [l.id, l.item?.id, l.value.off])).toEqual([
      ['n0', 'n0', false],
      ['n1', 'n1', false],
      ['n2', 'n2', false],
    ]);
  });

  it('what nobody touched goes with its route where another is chosen', () => {
    const route = proposeRoute('bush-hole', barrel, places, 0, 1);
    const values = layOut(route, sheet, [], freshId()).map((l) => [choiceKey.item(l.id), l.value] as const);
    const on = withChoices(sheet, ...values);
    expect(untouchedOf(route, on, jobItems(on)).map((i) => i.name)).toEqual(values.map(([, v]) => v.name));
    const drawn = withChoices(on, [`${choiceKey.part}:n0`, { name: 'Bush' }]);
    expect(untouchedOf(route, drawn, jobItems(on)).map((i) => i.id)).toEqual(['n1', 'n2']);
  });
});

it('what was spent stands beside what was estimated', () => {
  const chosen: ConsideredChoice = {
    ...proposeRoute('straighten', pin, places, 0, 1),
    state: 'chosen',
    why: 'cheaper',
    estimated: { acts: [{ act: 'straighten', minutes: 60, modelMin: 40 }], priceMinor: 9000 },
  };
  const spent = (act: string, minutes: number, removed = false) => ({ act, itemId: null, minutes, day: '2026-11-20', remark: '', removed });
  const on = withChoices(
    sheet,
    [choiceKey.considered('a'), chosen],
    [choiceKey.spent('x'), spent('straighten', 50)],
    [choiceKey.spent('y'), spent('straighten', 45)],
    [choiceKey.spent('z'), spent('straighten', 400, true)],
    [choiceKey.spent('v'), spent('hone', 20)],
  );
  expect(spentAgainst(on)).toEqual([
    { act: 'straighten', estimatedMin: 60, tookMin: 95 },
    { act: 'hone', estimatedMin: null, tookMin: 20 },
  ]);
  expect(spentAgainst(sheet)).toEqual([]);
});
