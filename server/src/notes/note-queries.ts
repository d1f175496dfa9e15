import type { NoteRecord } from '@iron-patch/core';
import type { NoteInput } from '@iron-patch/contract';
import { statements, type Db } from '../db';
import sql from './notes.sql';

const q = statements(sql, ['byJobs', 'insert']);

export const notesOf = async (db: Db, jobIds: readonly string[]): Promise<NoteRecord[]> =>
  (await db.query<NoteRecord>(q.byJobs, [jobIds])).rows;

export async function addNote(db: Db, jobId: string, input: NoteInput, personId: string): Promise<NoteRecord> {
  await db.query(q.insert, [jobId, input.station, input.text, personId]);
  return (await notesOf(db, [jobId])).at(-1)!;
}
