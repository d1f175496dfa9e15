import {
  choiceKey,
  holdsBack,
  stillHeld,
  workOut,
  type ActChoice,
  type ComebackChoice,
  type FitChoice,
  type ItemChoice,
  type JobSheet,
  type ReturnChoice,
} from '@iron-patch/core';
import type { ChoiceInput } from '@iron-patch/contract';
import type { Db } from '../db';
import { heldBack, invalid } from '../http';
import { jobsById } from '../jobs';
import { loadSheet } from '../sheets';
import { loadShop } from '../shop';

/** A choice with the sheet as it would be with it. */
const withChoice = (sheet: JobSheet, key: string, value: unknown): JobSheet => ({
  ...sheet,
  choices: [
    ...sheet.choices.filter((c) => c.key !== key),
    { jobId: sheet.job.id, key, value, reason: '', personId: '', at: '', version: 1 },
  ],
});

async function guardAct(db: Db, jobId: string, key: string, act: ActChoice): Promise<void> {
  if (act.state !== 'done') return;
  const sheet = withChoice(await loadSheet(db, jobId), key, act);
  if (!sheet.components.some((c) => c.id === act.componentId))
    throw invalid([{ code: 'unknown', path: 'value.componentId', message: 'Choose a component of this job.' }]);
  if (act.placeId && !sheet.places.some((f) => f.id === act.placeId && f.componentId === act.componentId))
    throw invalid([{ code: 'unknown', path: 'value.placeId', message: 'Choose a place of this component.' }]);
  const held = holdsBack(sheet, act, workOut(sheet, await loadShop(db)).places);
  if (held) throw invalid([{ code: 'no-return', path: 'value.override', message: held }]);
}

async function guardReturn(db: Db, jobId: string, given: ReturnChoice): Promise<void> {
  const { holds } = workOut(await loadSheet(db, jobId), await loadShop(db));
  const held = stillHeld(holds, given);
  if (held.length)
    throw heldBack(
      'It cannot be handed over yet.',
      held.map((h) => ({ code: h.code, path: h.passedBy ? `value.${h.passedBy}` : 'value', message: h.message })),
    );
}

/** A fit that will not do for what runs there is refused: a bearing seat by a running fit, clearance on a pressed bush. */
async function guardFit(db: Db, jobId: string, key: string, fit: FitChoice): Promise<void> {
  const { fits, bores } = workOut(withChoice(await loadSheet(db, jobId), key, fit), await loadShop(db));
  const own = fits.find((f) => choiceKey.fit(f.hole.place.id) === key) ?? bores.find((b) => choiceKey.fit(b.shaft.place.id) === key);
  const barred = own?.options.find((o) => o.id === fit.schoolId)?.barred;
  if (barred) throw invalid([{ code: 'barred', path: 'value.schoolId', message: `It will not do for what runs here: ${barred}.` }]);
}

/** What an item names is of its job. */
async function guardItem(db: Db, jobId: string, { componentIds, cuts }: ItemChoice): Promise<void> {
  const { components, places } = await loadSheet(db, jobId);
  const strange = componentIds.find((id) => !components.some((c) => c.id === id));
  if (strange) throw invalid([{ code: 'unknown', path: 'value.componentIds', message: 'Choose components of this job.' }]);
  const at = cuts.findIndex((c) => !places.some((p) => p.id === c.placeId));
  if (at >= 0) throw invalid([{ code: 'unknown', path: `value.cuts.${at}.placeId`, message: 'Choose a place of this job.' }]);
}

/** A job comes back from another one that is on record. */
async function guardComeback(db: Db, jobId: string, { ofJobId }: ComebackChoice): Promise<void> {
  if (ofJobId === jobId || !(await jobsById(db, [ofJobId])).length)
    throw invalid([{ code: 'unknown', path: 'value.ofJobId', message: 'Choose another job that is on record.' }]);
}

/** An act that readings rest on was done: it cannot be taken back as if it had never been planned. */
async function guardTakenBack(db: Db, jobId: string, key: string): Promise<void> {
  const { readings } = await loadSheet(db, jobId);
  if (readings.some((r) => r.afterActId !== null && !r.withdrawn && key === choiceKey.act(r.afterActId)))
    throw invalid([{ code: 'in-use', path: 'value', message: 'Readings were taken after this act: it stays on record.' }]);
}

/** What the shape of a choice cannot tell: that evidence is on record before it is destroyed, that nothing is left loose inside. */
export async function guardChoice(db: Db, jobId: string, key: string, input: ChoiceInput): Promise<void> {
  if (input.value === null) return guardTakenBack(db, jobId, key);
  if (key.startsWith(choiceKey.act(''))) return guardAct(db, jobId, key, input.value as ActChoice);
  if (key.startsWith(choiceKey.fit(''))) return guardFit(db, jobId, key, input.value as FitChoice);
  if (key.startsWith(choiceKey.item(''))) return guardItem(db, jobId, input.value as ItemChoice);
  if (key === choiceKey.comeback) return guardComeback(db, jobId, input.value as ComebackChoice);
  if (key === choiceKey.returned) return guardReturn(db, jobId, input.value as ReturnChoice);
}
