import {
  CAUTIONS,
  chosenReturn,
  chosenRoute,
  formatLength,
  LICENSED_HAZARDS,
  otherUnit,
  signedCaution,
  spanWords,
  type JobSheet,
  type Repair,
  type Shop,
  type Verdict,
  inSentence,
} from '@iron-patch/core';
import { wallTime } from '@iron-patch/contract';
import { measuredRows } from './measured-rows';
import { banner, heading, newPage, paragraph, section, table, toBuffer } from './page';

const VERDICT_WORDS: Readonly<Record<Verdict, string>> = { fits: 'fits', close: 'close to a limit', out: 'out', unknown: 'not measured' };

/** The report for the customer: what was wrong, what was made, what it measures, what is still to do. One page. */
export function report(sheet: JobSheet, repair: Repair, shop: Shop, timeZone: string): Promise<Buffer> {
  const { job } = sheet;
  const { unit } = job;
  const both = (mm: number): string => `${formatLength(mm, unit)} (${formatLength(mm, otherUnit(unit))})`;
  const doc = newPage(`Report ${job.number}`);
  heading(
    doc,
    job.number,
    job.title,
    `Report for ${sheet.customer.name}. ${job.machine}. Received ${wallTime(job.receivedAt, timeZone).day}. Sizes in ${unit}, in brackets ${otherUnit(unit)}, at 20 °C.`,
  );
  const handed = chosenReturn(sheet);
  if (handed?.outcome === 'not-passed') banner(doc, 'HANDED OVER, NOT PASSED', `Before it is used: ${handed.beforeUse}`);
  section(doc, 'What you told us');
  paragraph(doc, job.complaint.slice(0, 600) || 'Nothing was written down.');
  const route = chosenRoute(sheet);
  section(doc, 'What we found');
  paragraph(doc, route ? route.cause.slice(0, 500) : 'The cause is not on record yet.');
  table(doc, ['Place', 'smallest', 'largest', 'oval', 'readings'], measuredRows(repair.features, both, unit), [3, 4, 4, 2, 2], 390);
  section(doc, 'What we did');
  paragraph(doc, route ? route.route.slice(0, 500) : 'The route is not on record yet.');
  table(
    doc,
    ['New part', 'from', 'to', 'measured', 'result'],
    repair.proofs.map((p) => [
      p.segment.segment.name,
      formatLength(p.segment.limits.lowerMm, unit),
      formatLength(p.segment.limits.upperMm, unit),
      p.measured ? both(p.measured.value) : '-',
      p.signed
        ? `${p.signed.passed ? 'passed' : 'failed'} by ${shop.people.find((x) => x.id === p.signed!.personId)?.name ?? ''}`
        : VERDICT_WORDS[p.verdict],
    ]),
    [3, 2, 2, 4, 4],
    520,
  );
  const play = repair.proofs.flatMap((p) => p.play);
  for (const p of play.slice(0, 4))
    paragraph(doc, `Play in ${inSentence(p.mate.hole.feature.name)}: ${spanWords(both(p.tight.value), both(p.loose.value))}.`);
  for (const [what, why] of [
    ['Not proved', handed?.unproved],
    ['Planned and not done', handed?.undone],
  ])
    if (why) paragraph(doc, `${what}: ${why.slice(0, 400)}`, 11);
  for (const h of LICENSED_HAZARDS) {
    const signed = signedCaution(sheet, h);
    if (signed && job.hazards.includes(h)) paragraph(doc, `${CAUTIONS[h].what} Decided by ${signed.signedBy}, ${signed.licence}.`);
  }
  section(doc, 'What you still do');
  paragraph(doc, handed?.stillToDo.slice(0, 600) || 'Nothing is on record.');
  for (const h of job.hazards) paragraph(doc, `${CAUTIONS[h].what} ${CAUTIONS[h].who}`);
  return toBuffer(doc);
}
