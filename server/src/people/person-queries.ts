import type { PersonInput } from '@iron-patch/contract';
import type { PersonRecord } from '@iron-patch/core';
import { statements, type Db } from '../db';
import { changedByAnother, invalid } from '../http';
import sql from './people.sql';

const q = statements(sql, ['all', 'byId', 'insert', 'update', 'sameName', 'othersHere', 'othersOwn', 'lock']);

/** Who works here and who did, those who left at the end. */
export const allPeople = async (db: Db): Promise<PersonRecord[]> => (await db.query<PersonRecord>(q.all)).rows;

export const personById = async (db: Db, id: string): Promise<PersonRecord | null> =>
  (await db.query<PersonRecord>(q.byId, [id])).rows[0] ?? null;

/**
 * Writes a person: a new one at version 0, else the one that is still at `version`. Somebody always stays, and somebody always owns the
 * shop: whoever is the first, where nothing else is said.
 */
export async function savePerson(db: Db, id: string, version: number, { name, role, gone, access }: PersonInput): Promise<PersonRecord> {
  // Two at once would each leave the other as the last.
  await db.query(q.lock);
  if ((await db.query(q.sameName, [name, id])).rowCount)
    throw invalid([{ code: 'taken', path: 'name', message: 'Somebody here is called that already: add a letter to tell them apart.' }]);
  const othersHere = Boolean((await db.query(q.othersHere, [id])).rowCount);
  if (gone && !othersHere) throw invalid([{ code: 'last', path: 'gone', message: 'Somebody has to be at the bench: add another first.' }]);
  const before = await personById(db, id);
  const given = access ?? before?.access ?? (othersHere ? 'machinist' : 'owner');
  const owned = before?.access === 'owner' && !before.gone;
  if (owned && (gone || given !== 'owner') && !(await db.query(q.othersOwn, [id])).rowCount)
    throw invalid([
      { code: 'last-owner', path: gone ? 'gone' : 'access', message: 'Somebody has to own the shop: make another its owner first.' },
    ]);
  const stored =
    version === 0
      ? await db.query(q.insert, [id, name, role, gone, given])
      : await db.query(q.update, [id, version, name, role, gone, given]);
  if (stored.rowCount === 0) throw changedByAnother(await personById(db, id));
  return (await personById(db, id))!;
}
