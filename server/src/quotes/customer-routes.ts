import { check, isToken, quoteAnswerInput, wallTime } from '@iron-patch/contract';
import { dayWords, inMark, quoteState, type Problem, type QuoteRecord } from '@iron-patch/core';
import express, { type Express, type Request, type Response } from 'express';
import { inTransaction, type Db, type Pool } from '../db';
import { linksLimited } from '../http';
import { pixelsOf } from '../photos/photo-queries';
import { shopCard } from '../shop/shop-queries';
import { customerPage, noSuchQuote, tooManyAsked, type Typed } from './customer-page';
import { answerQuote, askAboutQuote, lockQuote, quoteBehind } from './quote-queries';

const NOTHING: Typed = { say: '', name: '', note: '' };
const MOST_BODY = '16kb';

/** Nothing runs on the page, nothing leads away from it, nobody keeps it or finds it by searching. */
const HEADERS = {
  'Content-Security-Policy':
    "default-src 'none'; style-src 'unsafe-inline'; img-src 'self'; form-action 'self'; base-uri 'none'; frame-ancestors 'none'",
  'Cache-Control': 'no-store',
  // A form that hid where it came from would be taken for one of another site.
  'Referrer-Policy': 'same-origin',
  'X-Robots-Tag': 'noindex, nofollow',
} as const;

const textIn = (body: unknown, name: string): string => {
  const value = (body as Record<string, unknown> | null)?.[name];
  return typeof value === 'string' ? value : '';
};

/** What was answered, where it can be taken: a way of this quote, with a name. */
function answerIn(req: Request, { card }: QuoteRecord): { readonly typed: Typed; readonly problems: readonly Problem[] } {
  const typed = { say: textIn(req.body, 'say'), name: textIn(req.body, 'name'), note: textIn(req.body, 'note') };
  const checked = check(quoteAnswerInput, typed);
  const known = !typed.say.startsWith('yes:') || card.ways.some((w) => typed.say === `yes:${w.id}`);
  if (!checked.ok) return { typed, problems: checked.problems };
  return { typed: checked.value, problems: known ? [] : [{ code: 'unknown', path: 'say', message: 'Choose an answer.' }] };
}

/** The page for the customer at its link: shows one quote, takes one answer or some questions, and knows nothing else. */
export function mountCustomerPage(app: Express, pool: Pool, { timeZone }: { readonly timeZone: string }): void {
  const today = (): string => wallTime(new Date(), timeZone).day;
  const on = (at: string): string => dayWords(wallTime(at, timeZone).day);
  const page = express.Router();

  page.use(
    linksLimited((_req, res) => void res.set(HEADERS).status(429).type('html').send(tooManyAsked())),
    (_req, res, next) => {
      res.set(HEADERS);
      next();
    },
  );

  /** The quote of the link; null where it leads nowhere, or it ran out or was withdrawn before anybody answered. */
  const behind = async (db: Db, req: Request): Promise<QuoteRecord | null> => {
    const token = String(req.params['token']);
    const quote = isToken(token) ? await quoteBehind(db, token) : null;
    return quote && ['open', 'yes', 'no'].includes(quoteState(quote, today())) ? quote : null;
  };

  const gone = (res: Response): void => void res.status(404).type('html').send(noSuchQuote());

  const show = async (req: Request, res: Response, quote: QuoteRecord, typed: Typed, problems: readonly Problem[]): Promise<void> => {
    const { decimalMark } = await shopCard(pool);
    const state = quoteState(quote, today());
    const token = String(req.params['token']);
    const mark = (text: string): string => inMark(text, decimalMark);
    res
      .status(problems.length ? 422 : 200)
      .type('html')
      .send(customerPage({ quote, state, token, typed, problems, on, mark }));
  };

  page.get('/:token', async (req, res) => {
    const quote = await behind(pool, req);
    if (!quote) return gone(res);
    await show(req, res, quote, NOTHING, []);
  });

  page.post('/:token', express.urlencoded({ extended: false, limit: MOST_BODY }), async (req, res) => {
    const token = String(req.params['token']);
    const refused = await inTransaction(pool, '', async (db) => {
      const first = await behind(db, req);
      if (!first) return 'gone';
      await lockQuote(db, first.id);
      const quote = (await behind(db, req)) ?? first;
      // Sent twice, or by two: what was said first stands and is shown.
      if (quote.answer) return null;
      const { typed, problems } = answerIn(req, quote);
      if (problems.length) return { quote, typed, problems };
      if (typed.say !== 'ask') {
        await answerQuote(db, quote.id, typed.say === 'no' ? null : typed.say.slice('yes:'.length), typed.name, typed.note);
        return null;
      }
      if (await askAboutQuote(db, quote.id, typed.name, typed.note)) return null;
      return { quote, typed, problems: [{ code: 'many', path: 'note', message: 'That is a lot of questions: please telephone.' }] };
    });
    if (refused === 'gone') return gone(res);
    if (refused) return show(req, res, refused.quote, refused.typed, refused.problems);
    res.redirect(303, `/q/${token}`);
  });

  page.get('/:token/:id.jpg', async (req, res) => {
    const quote = await behind(pool, req);
    const id = String(req.params['id']);
    const pixels = quote?.card.photoIds.includes(id) ? await pixelsOf(pool, id, 'large') : null;
    if (!pixels) return gone(res);
    res.type('image/jpeg').send(pixels);
  });

  app.use('/q', page);
}
