import type { ProofRecord } from '@iron-patch/core';
import type { ProofInput } from '@iron-patch/contract';
import { statements, type Db } from '../db';
import sql from './proofs.sql';

const q = statements(sql, ['byJobs', 'insert']);

export const proofsOf = async (db: Db, jobIds: readonly string[]): Promise<ProofRecord[]> =>
  (await db.query<ProofRecord>(q.byJobs, [jobIds])).rows;

/** What a signature is given for: the size, and what it was tried with where no instrument reads it. */
type Shown = Pick<ProofRecord, 'measuredMm' | 'gaugedWith'>;

export async function addProof(db: Db, jobId: string, input: ProofInput, shown: Shown, personId: string): Promise<ProofRecord> {
  await db.query(q.insert, [
    jobId,
    input.segmentId,
    input.passed,
    shown.measuredMm,
    input.remark,
    personId,
    input.itemId ?? null,
    input.piece ?? 1,
    shown.gaugedWith,
  ]);
  return (await proofsOf(db, [jobId])).at(-1)!;
}
