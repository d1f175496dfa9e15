import { quoteInput, quoteLinkInput, quoteWithdrawalInput, routes, wallTime, type QuoteInput } from '@iron-patch/contract';
import { quoteCard, quoteState, workOut, type Problem, type QuoteRecord, type QuoteTold, type Repair } from '@iron-patch/core';
import type { Express, Request } from 'express';
import type { Db, Pool } from '../db';
import { bodyOf, idIn, invalid, personOf, recordIdIn, recordOnce } from '../http';
import { loadSheet } from '../sheets';
import { loadShop } from '../shop';
import { quotePaper } from './quote-paper';
import { addLink, addQuote, quoteById, withdrawQuote } from './quote-queries';

/** What a quote names is of its job as it stands, and it runs for a day at least. */
function quoteProblems(
  { wayIds, photoIds, validUntil, ready }: QuoteTold,
  { routes: ways }: Repair,
  photos: readonly string[],
  today: string,
): Problem[] {
  const open = ways.filter((w) => w.route.value.state !== 'dropped').map((w) => w.route.id);
  return [
    ...(wayIds.every((id) => open.includes(id))
      ? []
      : [{ code: 'unknown', path: 'wayIds', message: 'Pick ways that are weighed for this job.' }]),
    ...(new Set(wayIds).size === wayIds.length ? [] : [{ code: 'twice', path: 'wayIds', message: 'Each way once.' }]),
    ...(photoIds.every((id) => photos.includes(id))
      ? []
      : [{ code: 'unknown', path: 'photoIds', message: 'Pick photographs of this job.' }]),
    ...ready.flatMap(({ wayId, day }, i) => [
      ...(day >= today ? [] : [{ code: 'past', path: `ready.${i}.day`, message: 'It can be ready today at the soonest.' }]),
      ...(wayIds.includes(wayId) && ready.findIndex((r) => r.wayId === wayId) === i
        ? []
        : [{ code: 'unknown', path: `ready.${i}.wayId`, message: 'Each way of the quote once.' }]),
    ]),
    ...(validUntil >= today ? [] : [{ code: 'past', path: 'validUntil', message: 'It has to be valid today at least.' }]),
  ];
}

/** What is done to a quote is done while it is open. */
function mustBeOpen(quote: QuoteRecord, today: string, path: string): void {
  const state = quoteState(quote, today);
  if (state === 'yes' || state === 'no') throw invalid([{ code: 'answered', path, message: 'The customer has answered it already.' }]);
  if (state === 'withdrawn') throw invalid([{ code: 'withdrawn', path, message: 'It is withdrawn already.' }]);
}

/** Calendar of the shop. */
export interface QuoteSetting {
  readonly timeZone: string;
}

export function mountQuotes(app: Express, pool: Pool, { timeZone }: QuoteSetting): void {
  const today = (): string => wallTime(new Date(), timeZone).day;

  /** Its id is the idempotency key, so that a quote sent twice is made once. */
  const make = async (db: Db, req: Request, id: string): Promise<QuoteRecord> => {
    const personId = await personOf(db, req);
    const jobId = idIn(req, 'job');
    const { token, ...told } = bodyOf(quoteInput, req) as QuoteInput;
    const sheet = await loadSheet(db, jobId);
    const shop = await loadShop(db);
    const repair = workOut(sheet, shop);
    const photos = sheet.photos.map((p) => p.id);
    const problems = quoteProblems(told, repair, photos, today());
    if (problems.length) throw invalid(problems);
    return addQuote(db, { id, jobId, card: quoteCard(sheet, repair.routes, shop, told, today()), token, personId });
  };

  app.post(routes.quotes(':id'), (req, res) => {
    const id = recordIdIn(req);
    return recordOnce(pool, req, res, async (db) => ({ status: 201, body: await make(db, req, id) }));
  });

  app.post(routes.quoteLink(':id'), (req, res) =>
    recordOnce(pool, req, res, async (db) => {
      const personId = await personOf(db, req);
      const quote = await quoteById(db, idIn(req, 'quote'));
      mustBeOpen(quote, today(), 'token');
      await addLink(db, quote.id, bodyOf(quoteLinkInput, req).token, personId);
      return { status: 201, body: quote };
    }),
  );

  app.post(routes.quoteWithdrawal(':id'), (req, res) =>
    recordOnce(pool, req, res, async (db) => {
      const personId = await personOf(db, req);
      const quote = await quoteById(db, idIn(req, 'quote'));
      mustBeOpen(quote, today(), 'why');
      await withdrawQuote(db, quote.id, bodyOf(quoteWithdrawalInput, req).why, personId);
      return { status: 201, body: await quoteById(db, quote.id) };
    }),
  );

  app.get(routes.quotePdf(':id'), async (req, res) => {
    const quote = await quoteById(pool, idIn(req, 'quote'));
    const { card } = await loadShop(pool);
    res
      .set('Content-Disposition', `inline; filename="job-${quote.card.jobNumber}-quote-${quote.number}.pdf"`)
      .type('application/pdf')
      .send(await quotePaper(quote, card.decimalMark));
  });
}
