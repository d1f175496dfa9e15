import {
  choiceKey,
  chosenReturn,
  countOf,
  customersWay,
  dayWords,
  priceWords,
  softParts,
  type JobItem,
  type JobSheet,
  type Repair,
  type Shop,
} from '@iron-patch/core';
import { wallTime } from '@iron-patch/contract';
import { toldExceptions } from './exceptions';
import { Paper } from './paper';

const KIND_WORDS: Readonly<Record<JobItem['kind'], string>> = {
  make: 'made new',
  rework: 'reworked',
  buy: 'bought',
  join: 'joined',
};

/** What is handed over, and what was agreed: signed by whoever takes it. */
export function deliveryNote(sheet: JobSheet, repair: Repair, shop: Shop, timeZone: string, today: string): Promise<Buffer> {
  const { job } = sheet;
  const handed = chosenReturn(sheet);
  const saidAt = sheet.choices.find((c) => c.key === choiceKey.returned && c.value !== null)?.at;
  const day = saidAt ? wallTime(saidAt, timeZone).day : today;
  const paper = new Paper(`Delivery note ${job.number}`, shop.card.decimalMark);
  paper.heading(
    job.number,
    job.title,
    `Delivery note for ${sheet.customer.name}. ${job.machine}. ${shop.card.name}, ${dayWords(day, 'whole')}.`,
  );
  if (handed?.outcome === 'not-passed') paper.banner('HANDED OVER, NOT PASSED', `Before it is used: ${handed.beforeUse}`);
  paper.section('What is handed over');
  const items = repair.items.filter(({ item, part }) => !item.off && (!item.proposed || part !== null));
  // What was only put on the list is not in it.
  const soft = softParts(sheet).filter(({ value }) => value.ordered);
  if (items.length || soft.length)
    paper.table(
      ['What', 'pieces', ''],
      [
        ...items.map(({ item }) => [item.name, String(item.quantity), [KIND_WORDS[item.kind], item.size].filter(Boolean).join(', ')]),
        ...soft.map(({ value: s }) => [`${s.what.replaceAll('-', ' ')} ${s.size}`.trim(), String(s.count), 'new']),
      ],
      [6, 1, 3],
    );
  else paper.paragraph(`${countOf(job.pieces, 'piece')}, as received.`);
  if (handed) toldExceptions(paper, handed);
  const way = customersWay(sheet.quotes);
  const quote = sheet.quotes.find((q) => way && q.card.ways.includes(way));
  if (way && quote) {
    paper.section('What was agreed');
    paper.paragraph(`${way.name}: ${priceWords(way, quote.card.currency)}.`);
    if (quote.card.notIncluded) paper.quoted(`Not included: ${quote.card.notIncluded}`);
  }
  paper.section('Old parts');
  paper.quoted(handed?.oldParts || 'Nothing is on record.');
  paper.section('What you still do');
  paper.quoted(handed?.stillToDo || 'Nothing is on record.');
  if (shop.card.warranty) {
    paper.section('Warranty');
    paper.quoted(shop.card.warranty);
  }
  paper.section('Taken by');
  paper.blanks(['Name', 'Day', 'Signature']);
  return paper.finish();
}
