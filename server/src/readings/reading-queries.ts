import { choiceKey, tellsOfItem, type PlaceKind, type InstrumentRecord, type ReadingRecord } from '@iron-patch/core';
import type { ReadingInput } from '@iron-patch/contract';
import { statements, type Db } from '../db';
import { invalid, type Keyed, type StoredAnswer } from '../http';
import { columnsOf, readingLists, rowOf } from './reading-columns';
import sql from './readings.sql';

const q = statements(sql, ['byJobs', 'byIds', 'insert', 'standsWith', 'take'], readingLists);

export const readingsOf = async (db: Db, jobIds: readonly string[]): Promise<ReadingRecord[]> =>
  (await db.query<ReadingRecord>(q.byJobs, [jobIds])).rows;

const UNIQUE_VIOLATION = '23505';
const FOREIGN_KEY_VIOLATION = '23503';

/** Says what stood in the way of readings, where it is something that changed since they were checked. */
const stored = <T>(insert: Promise<T>): Promise<T> =>
  insert.catch((e: Error & { code?: string }) => {
    if (e.code === UNIQUE_VIOLATION)
      throw invalid([
        { code: 'already', path: 'id', message: 'This reading is on record already, or somebody has just corrected the same one.' },
      ]);
    if (e.code === FOREIGN_KEY_VIOLATION)
      throw invalid([{ code: 'unknown', path: 'placeId', message: 'This place to measure was just taken off the job.' }]);
    throw e;
  });

/** Adds readings in one statement and gives them back as stored. */
export async function insertReadings(db: Db, readings: readonly ReadingRecord[]): Promise<ReadingRecord[]> {
  const insert = db.query(q.insert, columnsOf(readings));
  await stored(insert);
  return (await db.query<ReadingRecord>(q.byIds, [readings.map((r) => r.id)])).rows;
}

export type RangedInstrument = Pick<InstrumentRecord, 'name' | 'kind' | 'rangeLowMm' | 'rangeHighMm'>;

/** What one reading is checked against, as it is stored at one moment. */
export interface StandsWith {
  readonly job: boolean;
  readonly person: boolean;
  /** The answer to this very request, where it was sent before. */
  readonly answered: StoredAnswer | null;
  readonly instrument: RangedInstrument | null;
  readonly place: { readonly jobId: string; readonly kind: PlaceKind } | null;
  /** The newest live reading of the same quantity of the place in the same state of its part; null when none of its newest twenty is. */
  readonly lastMm: number | null;
  /** The act after which it was read is on record as done on the component of the place. */
  readonly actDone: boolean;
  /** The item is one of the job. */
  readonly item: boolean;
  readonly corrected: {
    readonly jobId: string;
    readonly placeId: string | null;
    readonly segmentId: string | null;
    readonly itemId: string;
    readonly piece: number;
    readonly already: boolean;
  } | null;
}

/** One question to the database for all that a reading has to agree with. */
export const standsWith = async (db: Db, jobId: string, personId: string, key: string, r: ReadingInput): Promise<StandsWith> => {
  const act = r.afterActId ?? null;
  const item = r.itemId ?? jobId;
  const values = [
    ...[jobId, personId, key, r.instrumentId, r.placeId, r.quantity, act, choiceKey.act(act ?? ''), r.supersedesId],
    ...[item, tellsOfItem(item)],
  ];
  return (await db.query<StandsWith>({ name: 'standsWith', text: q.standsWith, values })).rows[0]!;
};

/** Stores one reading with the answer to its request; false where somebody who sends the same was faster. */
export async function takeOne(db: Db, screen: string, { key, route, hash }: Keyed, r: ReadingRecord): Promise<boolean> {
  const values = [screen, key, route, hash, JSON.stringify(r), ...rowOf(r)];
  return (await stored(db.query({ name: 'take', text: q.take, values }))).rowCount === 1;
}
