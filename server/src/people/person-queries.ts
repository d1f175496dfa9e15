import type { PersonInput } from '@iron-patch/contract';
import type { PersonRecord } from '@iron-patch/core';
import { statements, type Db } from '../db';
import { changedByAnother, invalid } from '../http';
import sql from './people.sql';

const q = statements(sql, ['all', 'byId', 'insert', 'update', 'sameName', 'othersHere']);

/** Who works here and who did, those who left at the end. */
export const allPeople = async (db: Db): Promise<PersonRecord[]> => (await db.query<PersonRecord>(q.all)).rows;

export const personById = async (db: Db, id: string): Promise<PersonRecord | null> =>
  (await db.query<PersonRecord>(q.byId, [id])).rows[0] ?? null;

/** Writes a person: a new one at version 0, else the one that is still at `version`. Somebody always stays. */
export async function savePerson(db: Db, id: string, version: number, { name, role, gone }: PersonInput): Promise<PersonRecord> {
  if ((await db.query(q.sameName, [name, id])).rowCount)
    throw invalid([{ code: 'taken', path: 'name', message: 'Somebody here is called that already: add a letter to tell them apart.' }]);
  if (gone && !(await db.query(q.othersHere, [id])).rowCount)
    throw invalid([{ code: 'last', path: 'gone', message: 'Somebody has to be at the bench: add another first.' }]);
  const stored =
    version === 0 ? await db.query(q.insert, [id, name, role, gone]) : await db.query(q.update, [id, version, name, role, gone]);
  if (stored.rowCount === 0) throw changedByAnother(await personById(db, id));
  return (await personById(db, id))!;
}
