import { choiceKey, type InstrumentRecord, type Quantity, type ReadingRecord } from '@iron-patch/core';
import { statements, type Db } from '../db';
import { invalid } from '../http';
import sql from './readings.sql';

const q = statements(sql, ['byJobs', 'byIds', 'insert', 'lastOfFeature', 'superseded', 'doneOn', 'instrument']);

export const readingsOf = async (db: Db, jobIds: readonly string[]): Promise<ReadingRecord[]> =>
  (await db.query<ReadingRecord>(q.byJobs, [jobIds])).rows;

const UNIQUE_VIOLATION = '23505';

/** Adds readings in one statement and gives them back as stored. */
export async function insertReadings(db: Db, readings: readonly ReadingRecord[]): Promise<ReadingRecord[]> {
  const column = <K extends keyof ReadingRecord>(key: K): ReadingRecord[K][] => readings.map((r) => r[key]);
  const insert = db.query(q.insert, [
    column('id'),
    column('jobId'),
    column('purpose'),
    column('featureId'),
    column('segmentId'),
    column('stationMm'),
    column('clockDeg'),
    column('text'),
    column('unit'),
    column('valueMm'),
    column('instrumentId'),
    column('partTempC'),
    column('dial'),
    column('personId'),
    column('takenAt'),
    column('supersedesId'),
    column('withdrawn'),
    column('quantity'),
    column('afterActId'),
  ]);
  await insert.catch((e: Error & { code?: string }) => {
    throw e.code === UNIQUE_VIOLATION
      ? invalid([
          { code: 'already', path: 'id', message: 'This reading is on record already, or somebody has just corrected the same one.' },
        ])
      : e;
  });
  return (await db.query<ReadingRecord>(q.byIds, [column('id')])).rows;
}

/** The newest live reading of one quantity of a feature in one state of its part, mm; null when none of its newest twenty is live. */
export const lastSizeOf = async (db: Db, featureId: string, quantity: Quantity, afterActId: string | null): Promise<number | null> =>
  (await db.query<{ valueMm: number }>(q.lastOfFeature, [featureId, quantity, afterActId])).rows[0]?.valueMm ?? null;

/** Is this act on record as done on the component of that place? */
export const isDoneOn = async (db: Db, jobId: string, actId: string, featureId: string): Promise<boolean> =>
  (await db.query<{ done: boolean }>(q.doneOn, [jobId, choiceKey.act(actId), featureId])).rows[0]!.done;

export interface SupersededReading {
  readonly jobId: string;
  readonly featureId: string | null;
  readonly segmentId: string | null;
  readonly already: boolean;
}

export const supersededReading = async (db: Db, id: string): Promise<SupersededReading | null> =>
  (await db.query<SupersededReading>(q.superseded, [id])).rows[0] ?? null;

export type RangedInstrument = Pick<InstrumentRecord, 'name' | 'kind' | 'rangeLowMm' | 'rangeHighMm'>;

export const rangedInstrument = async (db: Db, id: string): Promise<RangedInstrument | null> =>
  (await db.query<RangedInstrument>(q.instrument, [id])).rows[0] ?? null;
