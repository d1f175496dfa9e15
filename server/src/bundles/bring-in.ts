import { choiceKey, withFreshIds, type JobBundle, type JobRecord, type Problem, type Shop } from '@iron-patch/core';
import { check, jobInput } from '@iron-patch/contract';
import { addChoice } from '../choices/choice-queries';
import { statements, type Db } from '../db';
import { invalid } from '../http';
import { insertJob } from '../jobs/job-queries';
import { insertPhoto, readPicture } from '../photos';
import { insertReadings } from '../readings/reading-queries';
import { loadShop } from '../shop';
import sql from './bring-in.sql';

const q = statements(sql, ['component', 'parent', 'place', 'mate', 'note']);

const same = (p: string, q_: string): boolean => p.trim().toLowerCase() === q_.trim().toLowerCase();

/** Instruments of the file by those of the crib with the same name; what the crib lacks is told, not guessed. */
function instrumentsHere(bundle: JobBundle, shop: Shop): Map<string, string> {
  const problems: Problem[] = [];
  const here = new Map<string, string>();
  const named = new Set([...bundle.places, ...bundle.readings].map((x) => x.instrumentId));
  bundle.instruments.forEach((i, at) => {
    const own = shop.instruments.find((x) => same(x.name, i.name));
    if (own) here.set(i.id, own.id);
    else problems.push({ code: 'unknown', path: `instruments.${at}`, message: `${i.name} is not in the crib. Add it there first.` });
  });
  for (const id of named)
    if (!here.has(id) && !bundle.instruments.some((i) => i.id === id))
      problems.push({ code: 'unknown', path: 'instruments', message: `The file does not say what instrument ${id} is.` });
  if (problems.length) throw invalid(problems);
  return here;
}

async function bringPhotos(db: Db, jobId: string, bundle: JobBundle, personId: string): Promise<void> {
  for (const [i, { id, caption, markers, jpeg }] of bundle.photos.entries()) {
    const picture = await readPicture(Buffer.from(jpeg, 'base64'));
    if (!picture.ok) throw invalid(picture.problems.map((p) => ({ ...p, path: `photos.${i}.jpeg` })));
    await insertPhoto(db, { id, jobId, caption, markers, personId, picture: picture.value });
  }
}

/**
 * Makes a job out of a checked bundle. Readings keep their text, time and, where they work here, their person. Releases and proofs
 * are of the shop that made them: they stay in the file and are done afresh here.
 */
export async function bringIn(db: Db, given: JobBundle, personId: string, freshId: () => string): Promise<JobRecord> {
  const shop = await loadShop(db);
  const instruments = instrumentsHere(given, shop);
  const fresh = withFreshIds(given, freshId);
  const ticket = check(jobInput, { ...fresh.job, customerName: fresh.customer.name, customerContact: fresh.customer.contact });
  if (!ticket.ok) throw invalid(ticket.problems);
  const job = await insertJob(db, ticket.value);
  // The job's own new part goes by the id that the job has here.
  const own = <T>(rows: T): T => JSON.parse(JSON.stringify(rows).replaceAll(fresh.job.id, job.id)) as T;
  const bundle = { ...fresh, readings: own(fresh.readings), choices: own(fresh.choices) };
  for (const c of bundle.components)
    await db.query(q.component, [c.id, job.id, c.name, c.role, c.materialId, c.axisOffsetMm, c.verdict, c.asFound]);
  for (const c of bundle.components) if (c.parentId !== null) await db.query(q.parent, [c.id, c.parentId]);
  for (const f of bundle.places)
    await db.query(q.place, [
      f.id,
      job.id,
      f.componentId,
      f.name,
      f.side,
      f.startMm,
      f.lengthMm,
      f.land,
      f.stationsMm,
      f.clocksDeg,
      instruments.get(f.instrumentId),
      f.kind,
      f.suspicions,
      JSON.stringify(f.detail),
    ]);
  for (const f of bundle.places) if (f.matesPlaceId !== null) await db.query(q.mate, [f.id, f.matesPlaceId]);
  const nameOf = new Map(bundle.people.map((p) => [p.id, p.name]));
  const personHere = (id: string): string => shop.people.find((p) => same(p.name, nameOf.get(id) ?? ''))?.id ?? personId;
  if (bundle.readings.length)
    await insertReadings(
      db,
      bundle.readings.map((r) => ({
        ...r,
        jobId: job.id,
        instrumentId: instruments.get(r.instrumentId)!,
        personId: personHere(r.personId),
      })),
    );
  // A hand-over is of the shop that gave it, as its releases and proofs are: here it is given anew, and held. What it came back from is not here.
  const choices = bundle.choices.filter((c) => c.key !== choiceKey.returned && c.key !== choiceKey.comeback);
  for (const c of choices) await addChoice(db, job.id, c.key, 0, { value: c.value, reason: c.reason }, personId);
  for (const n of bundle.notes) await db.query(q.note, [n.id, job.id, n.station, n.text, personId]);
  await bringPhotos(db, job.id, bundle, personId);
  return job;
}
