import {
  CAUTIONS,
  chosenReturn,
  chosenRoute,
  dayWords,
  formatLength,
  LICENSED_HAZARDS,
  otherUnit,
  signedCaution,
  spanWords,
  type JobSheet,
  type ProofFinding,
  type Repair,
  type Shop,
  type Verdict,
  inSentence,
} from '@iron-patch/core';
import { wallTime } from '@iron-patch/contract';
import { measuredRows } from './measured-rows';
import { Paper } from './paper';

const VERDICT_WORDS: Readonly<Record<Verdict, string>> = { fits: 'fits', close: 'close to a limit', out: 'out', unknown: 'not measured' };

/** What had to be proved, and what was read all the same. */
const wanted = (p: ProofFinding): boolean => p.dimension.mustProve || p.readings.length > 0;

/** The report for the customer: what was wrong, what was made, what it measures, what is still to do. */
export function report(sheet: JobSheet, repair: Repair, shop: Shop, timeZone: string): Promise<Buffer> {
  const { job } = sheet;
  const { unit } = job;
  const both = (mm: number): string => `${formatLength(mm, unit)} (${formatLength(mm, otherUnit(unit))})`;
  const paper = new Paper(`Report ${job.number}`, shop.card.decimalMark);
  paper.heading(
    job.number,
    job.title,
    `Report for ${sheet.customer.name}. ${job.machine}. Received ${dayWords(wallTime(job.receivedAt, timeZone).day)}. Sizes in ${unit}, in brackets ${otherUnit(unit)}, at 20 °C.`,
  );
  const handed = chosenReturn(sheet);
  if (handed?.outcome === 'not-passed') paper.banner('HANDED OVER, NOT PASSED', `Before it is used: ${handed.beforeUse}`);
  paper.section('What you told us');
  paper.quoted(job.complaint || 'Nothing was written down.');
  const route = chosenRoute(sheet);
  paper.section('What we found');
  paper.quoted(route ? route.cause : 'The cause is not on record yet.');
  paper.table(['Place', 'smallest', 'largest', 'oval', 'readings'], measuredRows(repair.places, both, unit), [3, 4, 4, 2, 2]);
  paper.section('What we did');
  paper.quoted(route ? route.route : 'The route is not on record yet.');
  paper.table(
    ['New part', 'from', 'to', 'measured', 'result'],
    repair.proofs
      .filter(wanted)
      .map((p) => [
        p.name,
        formatLength(p.limits.lowerMm, unit),
        formatLength(p.limits.upperMm, unit),
        p.measured ? both(p.measured.value) : '-',
        p.signed
          ? `${p.signed.passed ? 'passed' : 'failed'} by ${shop.people.find((x) => x.id === p.signed!.personId)?.name ?? ''}`
          : VERDICT_WORDS[p.verdict],
      ]),
    [3, 2, 2, 4, 4],
  );
  const play = repair.proofs.flatMap((p) => p.play);
  for (const p of play)
    paper.paragraph(`Play in ${inSentence(p.mate.hole.place.name)}: ${spanWords(both(p.tight.value), both(p.loose.value))}.`);
  for (const [what, why] of [
    ['Not proved', handed?.unproved],
    ['Planned and not done', handed?.undone],
  ])
    if (why) paper.quoted(`${what}: ${why}`, 11);
  for (const h of LICENSED_HAZARDS) {
    const signed = signedCaution(sheet, h);
    if (signed && job.hazards.includes(h)) paper.paragraph(`${CAUTIONS[h].what} Decided by ${signed.signedBy}, ${signed.licence}.`);
  }
  paper.section('What you still do');
  paper.quoted(handed?.stillToDo || 'Nothing is on record.');
  for (const h of job.hazards) paper.paragraph(`${CAUTIONS[h].what} ${CAUTIONS[h].who}`);
  return paper.finish();
}
