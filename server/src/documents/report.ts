import {
  CAUTIONS,
  chosenReturn,
  chosenRoute,
  dayWords,
  formatLength,
  LICENSED_HAZARDS,
  otherUnit,
  signedCaution,
  playWords,
  type AssembledState,
  type JobSheet,
  provedOf,
  provedWords,
  trialWords,
  unitBehind,
  writtenValue,
  type JobItem,
  type Repair,
  type Shop,
  type Verdict,
} from '@iron-patch/core';
import { wallTime } from '@iron-patch/contract';
import { measuredRows } from './measured-rows';
import { toldExceptions } from './exceptions';
import { Paper } from './paper';

const VERDICT_WORDS: Readonly<Record<Verdict, string>> = { fits: 'fits', close: 'close to a limit', out: 'out', unknown: 'not measured' };

const RESULTS: Readonly<Record<AssembledState, string>> = { open: '', good: 'good', failed: 'not good', out: 'outside', off: '' };

/** What was done of an item that is no new part: bought, step by step, and how it was tried. */
function toldOf({ name, kind, quantity, route, size, steps, tried }: JobItem): string {
  const did = steps.filter((s) => s.done).map((s) => s.what);
  const words = [route, ...(kind === 'buy' ? ['bought', size] : did)];
  return [`${name}${quantity > 1 ? `, ${quantity} off` : ''}: ${words.filter(Boolean).join('; ')}.`, tried].filter(Boolean).join(' ');
}

/** The report for the customer: what was wrong, what was made, what it measures, what is still to do. */
export function report(
  sheet: JobSheet,
  repair: Repair,
  shop: Shop,
  timeZone: string,
  pictures: readonly { readonly name: string; readonly jpeg: Buffer }[],
): Promise<Buffer> {
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
  const made = provedOf(repair);
  paper.section('What we did');
  paper.quoted(route ? route.route : 'The route is not on record yet.');
  paper.table(
    ['What was made', 'from', 'to', 'measured', 'result'],
    made.map(({ name, proof: p }) => [
      name,
      writtenValue(p.dimension, p.limits.lowerMm, unit),
      writtenValue(p.dimension, p.limits.upperMm, unit) + unitBehind(p.dimension),
      provedWords(p, both) ?? '-',
      p.signed
        ? `${p.signed.passed ? 'passed' : 'failed'} by ${shop.people.find((x) => x.id === p.signed!.personId)?.name ?? ''}`
        : VERDICT_WORDS[p.verdict],
    ]),
    [3, 2, 2, 4, 4],
  );
  for (const { item, press } of repair.items.filter((i) => !i.item.proposed && i.item.kind !== 'make')) {
    paper.paragraph(toldOf(item));
    if (press?.log.length)
      paper.paragraph(`An indicator showed ${both(press.bend.totalMm)} in all before it was straightened, ${both(press.totalMm)} after.`);
  }
  const play = made.flatMap((m) => m.proof.play);
  for (const p of play) {
    const { name, words } = playWords(p.mate.hole.place.name, p.tight.value, p.loose.value, both);
    paper.paragraph(`${name}: ${words}.`);
  }
  for (const { name, proof } of made)
    for (const t of proof.tried?.trials.slice(-1) ?? [])
      paper.quoted(`${name}, tried: ${[trialWords(t, unit), t.remark].filter(Boolean).join('; ')}.`);
  const tried = repair.assembled.filter((c) => c.said && c.state !== 'off');
  if (tried.length) {
    paper.section('Tried assembled');
    paper.table(
      ['What was tried', 'it showed', 'result'],
      tried.map((c) => [
        c.what,
        c.said!.measuredMm === null ? '' : both(c.said!.measuredMm),
        [RESULTS[c.state], c.said!.remark].filter(Boolean).join(': '),
      ]),
      [6, 3, 4],
    );
  }
  if (handed) toldExceptions(paper, handed);
  for (const h of LICENSED_HAZARDS) {
    const signed = signedCaution(sheet, h);
    if (signed && job.hazards.includes(h)) paper.paragraph(`${CAUTIONS[h].what} Decided by ${signed.signedBy}, ${signed.licence}.`);
  }
  if (pictures.length) {
    paper.section('Before and after');
    paper.pictures(pictures);
  }
  if (handed?.oldParts) {
    paper.section('Old parts');
    paper.quoted(handed.oldParts);
  }
  paper.section('What you still do');
  paper.quoted(handed?.stillToDo || 'Nothing is on record.');
  for (const h of job.hazards) paper.paragraph(`${CAUTIONS[h].what} ${CAUTIONS[h].who}`);
  if (shop.card.warranty) {
    paper.section('Warranty');
    paper.quoted(shop.card.warranty);
  }
  return paper.finish();
}
