import { choiceKey } from './choices';
import { proposeRoute } from './considered';
import { customersWay, priceWords, quoteCard, readyAfterYes, quoteMessage, quoteState } from './quote';
import type { QuoteAnswer, QuoteRecord } from './quote-records';
import type { JobSheet, Shop } from './records';
import { workOut } from './repair';
import { testSheet, testShop, withChoices } from './testing';

const shop: Shop = {
  ...testShop,
  rates: {
    ...{ currency: 'crowns', hourMinor: 3800, machineHourMinor: {}, kgMinor: { steel: 320 }, wastePercent: 10, markUpPercent: 15 },
    ...{ consumablesPercent: 0, minimumMinor: 0, taxPercent: 20, version: 1 },
  },
};
const pin = testSheet().components.find((c) => c.id === 'pin')!;
const decided = withChoices(
  testSheet(),
  [choiceKey.fit('barrel'), { schoolId: 'grease', hole: 'keep', truedMm: null }],
  [choiceKey.route, { cause: 'dry', route: 'new pin', causeId: 'dry', cure: 'grease' }],
  [choiceKey.considered('a'), proposeRoute('larger-pin', pin, [], 0, 1)],
  [choiceKey.considered('b'), proposeRoute('buy', pin, [], 1, 1)],
);
const told = {
  wayIds: ['b', 'a', 'gone'],
  words: '',
  notIncluded: '',
  stopAtMinor: null,
  validUntil: '2026-12-12',
  photoIds: ['none'],
  ready: [],
};
const card = quoteCard(decided, workOut(decided, shop).routes, shop, told, '2026-11-27');
const quote = (more: Partial<QuoteRecord> = {}): QuoteRecord => ({
  ...{
    id: 'q',
    jobId: 'job',
    number: 1,
    card,
    personId: 'tomas',
    at: '2026-11-27T09:00:00Z',
    withdrawn: null,
    answer: null,
    questions: [],
  },
  ...more,
});
const answer = (wayId: string | null): QuoteAnswer => ({ wayId, name: 'Ada', note: '', at: '2026-11-28T09:00:00Z' });

describe('a quote', () => {
  it('holds the ways that were picked, in that order, with price, span and day; nothing that is not there', () => {
    expect(card.ways.map((w) => w.id)).toEqual(['b', 'a']);
    const [bought, made] = card.ways;
    const found = workOut(decided, shop).routes.find((r) => r.route.id === 'a')!;
    expect(made!.priceMinor).toBe(Math.round(found.price!.value * 100));
    expect(made!.lowMinor).toBeLessThan(made!.priceMinor!);
    expect(made!.highMinor).toBeGreaterThan(made!.priceMinor!);
    expect(bought!.unpriced).toEqual(['the part']);
    expect(card.photoIds).toEqual([]);
    expect(card.cautions[0]).toContain('licensed person');
  });

  it('tells a price in words, what is not in it, and that there is none', () => {
    const [bought, made] = card.ways;
    expect(priceWords(made!, 'crowns')).toMatch(/^about \d+ crowns, between \d+ and \d+$/);
    expect(priceWords(bought!, 'crowns')).toMatch(/, and the price of the part$/);
    expect(priceWords({ ...made!, priceMinor: null }, 'crowns')).toBe('price on request');
  });

  it.each([
    [{}, '2026-12-12', 'open'],
    [{}, '2026-12-13', 'expired'],
    [{ withdrawn: { why: 'x', personId: 'tomas', at: '' } }, '2026-12-01', 'withdrawn'],
    [{ answer: answer('a') }, '2027-06-01', 'yes'],
    [{ answer: answer(null) }, '2027-06-01', 'no'],
  ] as const)('stands as it is, %j on %s: %s', (more, today, state) => expect(quoteState(quote(more), today)).toBe(state));
});

describe('a job with a quote', () => {
  const waits = (quotes: readonly QuoteRecord[], on: JobSheet = decided) => {
    const { state, waitsFor } = workOut({ ...on, quotes }, shop).stations.find((s) => s.id === 'decide')!;
    return state === 'done' ? 'done' : waitsFor;
  };
  const chosen = (id: string) =>
    withChoices(decided, [choiceKey.considered(id), { ...proposeRoute('larger-pin', pin, [], 0, 1), state: 'chosen', why: 'x' }]);

  it('waits for the yes, then for the way that was asked for, and for what becomes of a no', () => {
    expect(waits([])).toBe('done');
    expect(waits([quote()])).toBe('the customer’s yes to quote 1, valid until 12 Dec');
    expect(waits([quote({ withdrawn: { why: 'x', personId: 'tomas', at: '' } })])).toBe('done');
    expect(waits([quote({ answer: answer('a') })])).toBe(`the way that the customer chose: ${card.ways[1]!.name}`);
    expect(waits([quote({ answer: answer('a') })], chosen('a'))).toBe('done');
    const no = quote({ answer: answer(null) });
    expect(waits([no])).toMatch(/said no to quote 1/);
    // Chosen before the no it settles nothing, chosen after it does.
    const at = (when: string): JobSheet => ({
      ...chosen('a'),
      choices: chosen('a').choices.map((c) => (c.key === choiceKey.considered('a') ? { ...c, at: when } : c)),
    });
    expect(waits([no], at('2026-11-28T08:00:00Z'))).toMatch(/said no to quote 1/);
    expect(waits([no], at('2026-11-28T10:00:00Z'))).toBe('done');
    // A no to what was found later leaves the yes of before.
    expect(waits([quote({ answer: answer('a') }), quote({ number: 2, answer: answer(null) })], chosen('a'))).toBe('done');
    expect(waits([quote({ answer: answer('a') }), quote({ number: 2, answer: answer(null) })])).toMatch(/the way that the customer chose/);
    // What is shown as the customer's way goes by the same rule.
    expect(customersWay([quote({ answer: answer('a') }), quote({ number: 2, answer: answer(null) })])?.id).toBe('a');
    expect(customersWay([quote({ answer: answer('a'), withdrawn: { why: 'x', personId: 'tomas', at: '' } }), no])).toBeNull();
    // What was found later is asked for anew.
    expect(waits([quote({ answer: answer('a') }), quote({ number: 2 })], chosen('a'))).toMatch(/quote 2/);
  });
});

describe('the message that goes out', () => {
  const { subject, text } = quoteMessage(card, 'https://shop.example/q/abc');

  it('says the ways, the prices and the link, each on its line', () => {
    expect(subject).toBe('Quote for job 1042, Ramp hinge pin');
    expect(text.split('\n')).toContain('https://shop.example/q/abc');
    expect(text).toContain('open until 12 Dec 2026');
    // The day is reckoned from that of the quote, and says so.
    expect(text).toContain('if you say yes on 27 Nov, else later by as many days.');
  });
});

it('is ready later by as many days as the yes came later, and no sooner than was told', () => {
  const way = { ...card.ways[0]!, readyBy: '2026-12-30' };
  const ready = (yesOn: string): string => readyAfterYes(way, { madeOn: '2026-11-27' }, yesOn);
  expect(['2026-11-27', '2026-11-28', '2026-12-04', '2026-11-20'].map(ready)).toEqual([
    '2026-12-30',
    '2026-12-31',
    '2027-01-06',
    '2026-12-30',
  ]);
});
