import { upgradePart } from '../../making/part';
import { choiceKey, NO_EXCEPTIONS, takenReading } from '../job';
import { BUNDLE_VERSION, type JobBundle } from './bundle';

/** Cautions that were one before 2026-11-25: all of them stand until somebody says which. */
const HAZARDS_APART: Readonly<Record<string, readonly string[]>> = { 'burning-metals': ['magnesium', 'beryllium', 'lead-bronze'] };

/**
 * A file of an earlier version as it would be written today: cautions that are several now, hand-overs without an outcome (they
 * were passes). Who decided a licensed matter without a licence on record is asked again: that choice is left out.
 */
export function upgradeBundle(bundle: JobBundle): JobBundle {
  const hazards = bundle.job.hazards?.flatMap((h) => HAZARDS_APART[h] ?? [h]) as JobBundle['job']['hazards'];
  const choices = bundle.choices.flatMap((c) => {
    // What was taken back says nothing, then as now.
    if (c.value === null) return [c];
    if (c.key.split(':')[0] === choiceKey.part) return [{ ...c, value: upgradePart(c.value) }];
    if (c.key === choiceKey.returned) return [{ ...c, value: { ...NO_EXCEPTIONS, ...(c.value as object) } }];
    const unlicensed = c.key.startsWith(choiceKey.caution('')) && !(c.value as { licence?: string }).licence;
    return unlicensed ? [] : [c];
  });
  // Before parts had states everything was as found; before a job had items what was cut was its one new part.
  const readings = bundle.readings.map((r) => takenReading(r, { jobId: bundle.job.id, personId: r.personId, valueMm: r.valueMm }));
  return { ...bundle, version: BUNDLE_VERSION, readings, job: { ...bundle.job, ...(hazards ? { hazards } : {}) }, choices };
}
