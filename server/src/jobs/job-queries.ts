import type { JobRecord } from '@iron-patch/core';
import type { JobInput } from '@iron-patch/contract';
import { statements, type Db } from '../db';
import { changedByAnother, notFound } from '../http';
import sql from './jobs.sql';

const q = statements(sql, ['customer', 'insert', 'update', 'byIds']);

const idOf = async (db: Db, text: string, values: unknown[]): Promise<string | null> =>
  (await db.query<{ id: string }>(text, values)).rows[0]?.id ?? null;

const columns = (customerId: string, j: JobInput): unknown[] => [
  customerId,
  j.title,
  j.machine,
  j.complaint,
  j.want,
  j.askBefore,
  j.pieces,
  j.promisedOn,
  j.unit,
  j.shopTempC,
  j.hazards,
  j.changes,
  j.restBy,
];

const customerOf = async (db: Db, j: JobInput): Promise<string> => (await idOf(db, q.customer, [j.customerName, j.customerContact]))!;

/** Jobs by id, in the order of their numbers. */
export const jobsById = async (db: Db, ids: readonly string[]): Promise<JobRecord[]> => (await db.query<JobRecord>(q.byIds, [ids])).rows;

export async function jobById(db: Db, id: string): Promise<JobRecord> {
  const [job] = await jobsById(db, [id]);
  if (!job) throw notFound('job');
  return job;
}

/** Takes a job in; the customer is found by name or made. */
export async function insertJob(db: Db, input: JobInput): Promise<JobRecord> {
  const id = await idOf(db, q.insert, columns(await customerOf(db, input), input));
  return jobById(db, id!);
}

/** Changes a job that is still at `version`; refuses with its present state otherwise. */
export async function updateJob(db: Db, id: string, version: number, input: JobInput): Promise<JobRecord> {
  await jobById(db, id);
  const changed = await idOf(db, q.update, [id, version, ...columns(await customerOf(db, input), input)]);
  if (changed === null) throw changedByAnother(await jobById(db, id));
  return jobById(db, id);
}
