import { formatLength, outsideSlips, type JobSheet, type Repair, type Shop } from '@iron-patch/core';
import { Paper } from './paper';

/** What goes along with parts to a plater, hardener or grinder: each surface as it is now, what is laid on or left, what it has to be after. */
export function outsideSlipPaper(sheet: JobSheet, repair: Repair, shop: Shop): Promise<Buffer> {
  const { job } = sheet;
  const paper = new Paper(`Outside work ${job.number}`, shop.card.decimalMark);
  const slips = outsideSlips(repair.items, (mm) => formatLength(mm, job.unit));
  paper.heading(
    job.number,
    job.title,
    `Outside work for ${shop.card.name}. Diameters in ${job.unit} at 20 °C. Ask before anything else is done to them.`,
  );
  for (const { title, material, rows, minds } of slips) {
    paper.section(`${title}, ${material}`);
    paper.table(
      ['Surface', 'to be', 'now', 'layer or allowance', 'after', 'kept free'],
      rows.map((r) => [r.surface, r.process, r.now, r.layer, r.after, r.masked]),
      [3, 4, 3, 3, 3, 3],
    );
    for (const m of minds) paper.paragraph(m);
  }
  if (!slips.length) paper.paragraph('Nothing of this job goes to another shop.');
  return paper.finish();
}
