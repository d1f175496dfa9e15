import type { JobSheet } from '@iron-patch/core';
import { choicesOf } from '../choices/choice-queries';
import { componentsOf } from '../components';
import type { Db } from '../db';
import { placesOf } from '../places';
import { notFound } from '../http';
import { jobsById } from '../jobs';
import { notesOf } from '../notes/note-queries';
import { photosOf } from '../photos/photo-queries';
import { proofsOf } from '../proofs/proof-queries';
import { quotesOf } from '../quotes/quote-queries';
import { readingsOf } from '../readings/reading-queries';
import { releasesOf } from '../releases/release-queries';
import { customersById } from '../shop';

const byJob = <T extends { readonly jobId: string }>(rows: readonly T[]): Map<string, T[]> => {
  const found = new Map<string, T[]>();
  for (const row of rows) {
    const there = found.get(row.jobId);
    if (there) there.push(row);
    else found.set(row.jobId, [row]);
  }
  return found;
};

/** Everything stored of some jobs, in the order of their numbers; one query a table however many jobs. */
export async function loadSheets(db: Db, jobIds: readonly string[]): Promise<JobSheet[]> {
  const jobs = await jobsById(db, jobIds);
  const customers = new Map(
    (
      await customersById(
        db,
        jobs.map((j) => j.customerId),
      )
    ).map((c) => [c.id, c]),
  );
  const all = {
    components: byJob(await componentsOf(db, jobIds)),
    places: byJob(await placesOf(db, jobIds)),
    readings: byJob(await readingsOf(db, jobIds)),
    choices: byJob(await choicesOf(db, jobIds)),
    releases: byJob(await releasesOf(db, jobIds)),
    proofs: byJob(await proofsOf(db, jobIds)),
    notes: byJob(await notesOf(db, jobIds)),
    photos: byJob(await photosOf(db, jobIds)),
    quotes: byJob(await quotesOf(db, jobIds)),
  };
  const of = <T>(rows: ReadonlyMap<string, T[]>, jobId: string): T[] => rows.get(jobId) ?? [];
  return jobs.map((job) => ({
    job,
    customer: customers.get(job.customerId)!,
    components: of(all.components, job.id),
    places: of(all.places, job.id),
    readings: of(all.readings, job.id),
    choices: of(all.choices, job.id),
    releases: of(all.releases, job.id),
    proofs: of(all.proofs, job.id),
    notes: of(all.notes, job.id),
    photos: of(all.photos, job.id),
    quotes: of(all.quotes, job.id),
  }));
}

export async function loadSheet(db: Db, jobId: string): Promise<JobSheet> {
  const [sheet] = await loadSheets(db, [jobId]);
  if (!sheet) throw notFound('job');
  return sheet;
}
