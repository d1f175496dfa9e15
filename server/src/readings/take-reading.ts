import {
  doubtReading,
  PLACE_KINDS,
  outOfRange,
  parseLength,
  QUANTITIES,
  takenReading,
  type Problem,
  type Quantity,
  type ReadingRecord,
} from '@iron-patch/core';
import { CLOCK_SLACK_MIN, type ReadingInput } from '@iron-patch/contract';
import { invalid } from '../http';
import type { StandsWith } from './reading-queries';

type Say = (path: string, code: string, message: string) => void;

function checkPlace(jobId: string, r: ReadingInput, { place, actDone, item }: StandsWith, say: Say): void {
  if (r.purpose === 'found') {
    if (place?.jobId !== jobId) say('placeId', 'unknown', 'This place to measure is not on this job.');
    else if (!(PLACE_KINDS[place.kind].quantities as readonly Quantity[]).includes(r.quantity))
      say('quantity', 'kind', `${PLACE_KINDS[place.kind].name} has no ${QUANTITIES[r.quantity].name}.`);
    // A reading is taken back in whatever state it was taken.
    if (place && r.afterActId && !r.withdrawn && !actDone)
      say('afterActId', 'not-done', 'This act is not on record as done on this part. Record it as done at Strip, or read it as found.');
    if (r.segmentId !== null) say('segmentId', 'mixed', 'A reading as found belongs to a place, not to the new part.');
    if (r.itemId) say('itemId', 'mixed', 'A reading as found belongs to a place, not to an item.');
  } else {
    if (r.quantity !== 'size' && !(r.quantity === 'indicator' && r.purpose === 'proof'))
      say('quantity', 'mixed', 'Of the new part sizes are read, and what an indicator swings by once it is finished.');
    if (r.afterActId) say('afterActId', 'mixed', 'A reading of the new part is neither as found nor after an act.');
    if (r.placeId !== null) say('placeId', 'mixed', 'A reading of the new part belongs to its segment.');
    if (!r.segmentId) say('segmentId', 'needed', 'Which dimension of the new part was measured?');
    if (!item) say('itemId', 'unknown', 'This item is not on this job.');
  }
}

/** A dimension of another item, or of another piece. */
const isOther = (jobId: string, r: ReadingInput, old: NonNullable<StandsWith['corrected']>): boolean =>
  r.segmentId !== null && (old.itemId !== (r.itemId ?? jobId) || old.piece !== (r.piece ?? 1));

function checkCorrection(jobId: string, r: ReadingInput, { corrected: old }: StandsWith, say: Say): void {
  if (r.supersedesId === null) {
    if (r.withdrawn) say('withdrawn', 'nothing', 'Only a reading that was taken can be withdrawn.');
    return;
  }
  if (old?.jobId !== jobId || old.placeId !== r.placeId || old.segmentId !== r.segmentId || isOther(jobId, r, old))
    say('supersedesId', 'unknown', 'The reading to correct was taken at another place.');
  else if (old.already) say('supersedesId', 'already', 'Somebody has corrected this reading already. Look at theirs first.');
}

/** The value as the server reads the typed text; a withdrawal keeps no value of its own. */
function readText(r: ReadingInput, { instrument, lastMm }: StandsWith, say: Say): { valueMm: number; unit: ReadingRecord['unit'] } {
  if (r.withdrawn) return { valueMm: 0, unit: r.unit };
  const signed = r.quantity === 'indicator';
  const parsed = parseLength(r.text, { unit: r.unit, allowNegative: signed, allowZero: signed });
  if (!parsed.ok) {
    say('text', parsed.problems[0]!.code, parsed.problems[0]!.message);
    return { valueMm: 0, unit: r.unit };
  }
  // An indicator swings about nothing: no reading of it is implausible by its size.
  if (r.confirmed || signed) return parsed.value;
  if (instrument && instrument.kind !== 'indicator' && outOfRange(parsed.value.valueMm, instrument))
    say('instrumentId', 'range', `${instrument.name} cannot show ${r.text}: which instrument, or which size?`);
  const doubt = doubtReading(parsed.value.valueMm, parsed.value.unit, r.purpose === 'found' ? lastMm : null);
  if (doubt) say('text', 'implausible', doubt.message);
  return parsed.value;
}

const notAhead = (takenAt: string): string => {
  const latest = Date.now() + CLOCK_SLACK_MIN * 60_000;
  return new Date(Math.min(Date.parse(takenAt), latest)).toISOString();
};

/** Checks one reading against everything stored of its job; every problem at once. */
export function takeReading(jobId: string, personId: string, r: ReadingInput, stands: StandsWith): ReadingRecord {
  const problems: Problem[] = [];
  const say: Say = (path, code, message) => problems.push({ path, code, message });
  checkPlace(jobId, r, stands, say);
  if (!stands.instrument) say('instrumentId', 'unknown', 'This instrument is not in the crib.');
  checkCorrection(jobId, r, stands, say);
  const { valueMm, unit } = problems.some((p) => p.path === 'placeId') ? { valueMm: 0, unit: r.unit } : readText(r, stands, say);
  if (problems.length) throw invalid(problems);
  return takenReading({ ...r, unit, takenAt: notAhead(r.takenAt) }, { jobId, personId, valueMm });
}
