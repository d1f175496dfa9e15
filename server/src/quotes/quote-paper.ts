import { dayWords, moneyWords, priceWords, readyWords, type DecimalMark, type QuoteRecord } from '@iron-patch/core';
import { Paper } from '../documents/paper';

/** A quote on paper: what the customer's page shows, and what was answered. */
export function quotePaper({ card, number, answer, withdrawn }: QuoteRecord, mark: DecimalMark): Promise<Buffer> {
  const paper = new Paper(`Quote ${card.jobNumber}.${number}`, mark);
  paper.heading(
    card.jobNumber,
    card.title,
    `Quote ${number} for ${card.customer}. ${card.machine}. Made ${dayWords(card.madeOn)}, valid until ${dayWords(card.validUntil)}.`,
  );
  if (withdrawn) paper.banner('WITHDRAWN', withdrawn.why);
  paper.section('What you told us');
  paper.quoted(card.complaint || 'Nothing was written down.');
  if (card.cause) {
    paper.section('Why it happened');
    paper.quoted(card.cause);
  }
  if (card.words) paper.quoted(card.words);
  card.ways.forEach((w, i) => {
    paper.section(`${i + 1}  ${w.name}`);
    paper.paragraph(`${priceWords(w, card.currency)}; ${readyWords(w, card)}.`, 12);
    paper.paragraph(`Holds ${w.lasts}.`);
    if (w.risk) paper.quoted(`What can go wrong: ${w.risk}.`);
    if (w.decides) paper.quoted(`It asks for: ${w.decides}.`);
  });
  paper.section('Terms');
  if (card.stopAtMinor !== null)
    paper.paragraph(`We stop and ask before it comes to more than ${moneyWords(card.stopAtMinor, card.currency)}.`);
  paper.quoted(card.notIncluded ? `Not included: ${card.notIncluded}` : 'What is found later is quoted apart, before it is done.');
  for (const c of card.cautions) paper.paragraph(c);
  if (answer) {
    paper.section('Your answer');
    const way = card.ways.find((w) => w.id === answer.wayId);
    paper.quoted([way ? `Yes: ${way.name}.` : 'No.', answer.name, answer.note].filter(Boolean).join(' '));
  }
  return paper.finish();
}
