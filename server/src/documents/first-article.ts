import { wallTime } from '@iron-patch/contract';
import { countOf, dayWords, firstArticle, formatLength, foretoldWords, type JobSheet, type Repair, type Shop } from '@iron-patch/core';
import { Paper } from './paper';

/** Every dimension of every piece: limits, what was read, with what and how often, who passed it; the play as it was drawn. */
export function firstArticlePaper(sheet: JobSheet, repair: Repair, shop: Shop, timeZone: string): Promise<Buffer> {
  const { job } = sheet;
  const show = (mm: number): string => formatLength(mm, job.unit);
  const paper = new Paper(`First article ${job.number}`, shop.card.decimalMark);
  const articles = firstArticle(repair.items, { shop, unit: job.unit, show, dayOf: (at) => dayWords(wallTime(at, timeZone).day) });
  paper.heading(
    job.number,
    job.title,
    `First-article report of ${shop.card.name} for ${sheet.customer.name}. Sizes in ${job.unit} at 20 °C. Inside means inside by more than the instrument may be off (ISO 14253-1).`,
  );
  for (const a of articles) {
    paper.section(`${a.title}: ${a.passed} of ${countOf(a.due, 'dimension')} passed`);
    paper.table(
      ['Dimension', 'from', 'to', 'read', 'with', 'result'],
      a.rows.map((r) => [r.name, r.from, r.to, r.read, r.by, r.result]),
      [4, 2, 2, 3, 4, 4],
    );
    for (const { mate, play } of a.plays) paper.paragraph(foretoldWords(mate.hole.place.name, play, show));
  }
  if (!articles.length) paper.paragraph('Nothing of this job is made to a drawing.');
  return paper.finish();
}
