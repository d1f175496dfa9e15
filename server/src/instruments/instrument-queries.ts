import type { InstrumentCheckRecord, InstrumentRecord } from '@iron-patch/core';
import type { InstrumentCheckInput, InstrumentInput } from '@iron-patch/contract';
import { statements, type Db } from '../db';
import { changedByAnother, invalid } from '../http';
import sql from './instruments.sql';

const q = statements(sql, ['all', 'byId', 'insert', 'update', 'sameName', 'checks', 'insertCheck']);

const columns = (i: InstrumentInput): unknown[] => [
  i.name,
  i.kind,
  i.unit,
  i.uMm,
  i.repeatMm,
  i.resolutionMm,
  i.biasMm,
  i.rangeLowMm,
  i.rangeHighMm,
  i.calibratedOn,
  i.dueOn,
];

export const allInstruments = async (db: Db): Promise<InstrumentRecord[]> => (await db.query<InstrumentRecord>(q.all)).rows;

/** Every check of every instrument, oldest first. */
export const allChecks = async (db: Db): Promise<InstrumentCheckRecord[]> => (await db.query<InstrumentCheckRecord>(q.checks)).rows;

export const instrumentById = async (db: Db, id: string): Promise<InstrumentRecord | null> =>
  (await db.query<InstrumentRecord>(q.byId, [id])).rows[0] ?? null;

/** Writes an instrument's record: a new one at version 0, else the one that is still at `version`. */
export async function saveInstrument(db: Db, id: string, version: number, input: InstrumentInput): Promise<InstrumentRecord> {
  if ((await db.query(q.sameName, [input.name, id])).rowCount)
    throw invalid([{ code: 'taken', path: 'name', message: 'Another instrument of the crib is called that.' }]);
  const stored =
    version === 0 ? await db.query(q.insert, [id, ...columns(input)]) : await db.query(q.update, [id, version, ...columns(input)]);
  if (stored.rowCount === 0) throw changedByAnother(await instrumentById(db, id));
  return (await instrumentById(db, id))!;
}

/** Logs a check; the reading is what the server read of its text. */
export async function addCheck(
  db: Db,
  instrumentId: string,
  input: InstrumentCheckInput,
  readMm: number,
  personId: string,
): Promise<InstrumentCheckRecord> {
  const { reference, referenceMm, text, unit, remark } = input;
  const values = [instrumentId, reference, referenceMm, text, unit, readMm, remark, personId];
  return (await db.query<InstrumentCheckRecord>(q.insertCheck, values)).rows[0]!;
}
