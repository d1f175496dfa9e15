import { LASTS_WORDS } from '../../evidence/diagnosis';
import { readyOn } from '../../making/costing';
import { dayAfter } from '../../making/run-order';
import { dayWords, daysUntil, type IsoDay } from '../../terms/calendar';
import { capital } from '../../terms/words';
import { CAUTIONS } from './cautions.data';
import { chosenRoute } from './choices';
import type { JobSheet, Shop } from './records';
import type { QuoteCard, QuotedWay, QuoteRecord } from './quote-records';
import type { RouteFinding } from './route-finding';

/** By when a way can be ready. */
export interface QuoteReady {
  readonly wayId: string;
  readonly day: IsoDay;
  /** As the run order stood, 0 to 1; null where that was not looked at. */
  readonly chance: number | null;
}

/** What somebody says of a quote; all else is of the job as it stands. */
export interface QuoteTold {
  readonly wayIds: readonly string[];
  readonly words: string;
  readonly notIncluded: string;
  readonly stopAtMinor: number | null;
  readonly validUntil: IsoDay;
  readonly photoIds: readonly string[];
  /** By when each way can be ready; of one that is not told it goes by its hours and what it waits for alone. */
  readonly ready: readonly QuoteReady[];
}

const minor = (whole: number): number => Math.round(whole * 100);

function quotedWay({ route, price, unpriced, waitDays, minutes }: RouteFinding, ready: QuoteReady | null, today: IsoDay): QuotedWay {
  const { name, lasts, lastsWhy, risk, decides } = route.value;
  return {
    id: route.id,
    name: capital(name),
    priceMinor: price ? minor(price.value) : null,
    lowMinor: price ? minor(price.limits!.lower) : null,
    highMinor: price ? minor(price.limits!.upper) : null,
    unpriced,
    lasts: [LASTS_WORDS[lasts], lastsWhy].filter(Boolean).join(': '),
    risk,
    decides,
    readyBy: ready?.day ?? readyOn(today, waitDays ?? 0, minutes.limits!.upper),
    readyChance: ready?.chance ?? null,
  };
}

/** A quote as it will be shown, of the job as it stands today. */
export function quoteCard(
  sheet: JobSheet,
  routes: readonly RouteFinding[],
  { card, rates }: Pick<Shop, 'card' | 'rates'>,
  told: QuoteTold,
  today: IsoDay,
): QuoteCard {
  const { job, customer } = sheet;
  const asked = told.wayIds.flatMap((id) => routes.find((r) => r.route.id === id) ?? []);
  return {
    shop: card.name,
    currency: rates?.currency ?? '',
    jobNumber: job.number,
    title: job.title,
    machine: job.machine,
    customer: customer.name,
    complaint: job.complaint,
    cause: chosenRoute(sheet)?.cause ?? '',
    madeOn: today,
    validUntil: told.validUntil,
    ways: asked.map((r) => quotedWay(r, told.ready.find((x) => x.wayId === r.route.id) ?? null, today)),
    words: told.words,
    notIncluded: told.notIncluded,
    stopAtMinor: told.stopAtMinor,
    cautions: job.hazards.filter((h) => CAUTIONS[h].licensed).map((h) => [CAUTIONS[h].what, CAUTIONS[h].why, CAUTIONS[h].who].join(' ')),
    photoIds: told.photoIds.filter((id) => sheet.photos.some((p) => p.id === id)),
  };
}

export type QuoteState = 'open' | 'yes' | 'no' | 'expired' | 'withdrawn';

/** Where a quote stands: what was answered stays answered; one that is open runs out at the end of its day. */
export function quoteState({ answer, withdrawn, card }: Pick<QuoteRecord, 'answer' | 'withdrawn' | 'card'>, today: IsoDay): QuoteState {
  if (answer) return answer.wayId === null ? 'no' : 'yes';
  if (withdrawn) return 'withdrawn';
  return card.validUntil < today ? 'expired' : 'open';
}

/** The way that the customer said yes to last, by quotes that were not withdrawn; null where they said no such thing. */
export function customersWay(quotes: readonly QuoteRecord[]): QuotedWay | null {
  const yes = quotes.findLast((q) => !q.withdrawn && q.answer && q.answer.wayId !== null);
  return yes?.card.ways.find((w) => w.id === yes.answer!.wayId) ?? null;
}

/** The way that was chosen, and when. */
export interface ChosenAt {
  readonly id: string;
  readonly at: string;
}

/**
 * What a job waits for by its quotes that were not withdrawn; null where it waits for nothing. A no to what was found later leaves the yes
 * of before; any other no is settled by whatever way is chosen after it.
 */
export function quoteWaits({ quotes }: Pick<JobSheet, 'quotes'>, chosen: ChosenAt | null): string | null {
  const open = quotes.filter((q) => !q.withdrawn);
  const newest = open.at(-1);
  if (!newest) return null;
  if (!newest.answer) return `the customer’s yes to quote ${newest.number}, valid until ${dayWords(newest.card.validUntil, 'short')}`;
  const said = customersWay(open);
  if (!said) {
    const settled = chosen !== null && Date.parse(chosen.at) > Date.parse(newest.answer.at);
    return settled ? null : `what becomes of it: the customer said no to quote ${newest.number}`;
  }
  return said.id !== chosen?.id ? `the way that the customer chose: ${said.name}` : null;
}

/** Money as it stands on a paper: `385.00 crowns`. */
export const moneyWords = (minorCoins: number, currency: string): string =>
  [(minorCoins / 100).toFixed(2), currency].filter(Boolean).join(' ');

/** What a way costs, in a customer's words: an estimate, to the whole. */
export function priceWords({ priceMinor, lowMinor, highMinor, unpriced }: QuotedWay, currency: string): string {
  if (priceMinor === null) return 'price on request';
  const whole = (coins: number): string => String(Math.round(coins / 100));
  const span = lowMinor !== null && highMinor !== null ? `, between ${whole(lowMinor)} and ${whole(highMinor)}` : '';
  const more = unpriced.length ? `, and the price of ${unpriced.join(', ')}` : '';
  return `about ${[whole(priceMinor), currency].filter(Boolean).join(' ')}${span}${more}`;
}

/** By when a way can be ready: reckoned from the day of the quote, so that it says so. */
export const readyWords = ({ readyBy }: QuotedWay, { madeOn }: Pick<QuoteCard, 'madeOn'>): string =>
  `ready by ${dayWords(readyBy, 'whole')} if you say yes on ${dayWords(madeOn, 'short')}, else later by as many days`;

/**
 * By when a way is ready that the customer said yes to: later than was told by as many days as the yes came later than the quote.
 *
 * @param yesOn day of the yes
 */
export const readyAfterYes = ({ readyBy }: QuotedWay, { madeOn }: Pick<QuoteCard, 'madeOn'>, yesOn: IsoDay): IsoDay =>
  dayAfter(readyBy, Math.max(0, daysUntil(madeOn, yesOn)));

/** The message that goes with a link: its subject, and its text to paste. */
export function quoteMessage(card: QuoteCard, link: string): { readonly subject: string; readonly text: string } {
  const lines = [
    `${card.customer ? `Dear ${card.customer}` : 'Hello'},`,
    '',
    `about your ${card.title.toLowerCase()}${card.machine ? ` (${card.machine})` : ''}, our job ${card.jobNumber}:`,
    ...card.ways.map((w, i) => `${i + 1}. ${w.name}: ${priceWords(w, card.currency)}; ${readyWords(w, card)}.`),
    '',
    'What we found, what each way holds, and a place to say yes or no or to ask:',
    link,
    '',
    `It is open until ${dayWords(card.validUntil)}. Whoever has this link can answer: keep it to yourself.`,
    '',
    card.shop,
  ];
  return { subject: `Quote for job ${card.jobNumber}, ${card.title}`, text: lines.join('\n') };
}
