import { NO_DETAIL, type PlaceRecord, type Problem } from '@iron-patch/core';
import { placeInput, routes, type PlaceInput } from '@iron-patch/contract';
import { componentById } from '../components';
import { statements, type Db } from '../db';
import { invalid, stillInUse, type Editable } from '../http';
import { jobById } from '../jobs';
import sql from './places.sql';

const q = statements(sql, ['byJobs', 'byId', 'insert', 'update', 'users', 'remove', 'instrument']);

const columns = (f: PlaceInput): unknown[] => [
  f.componentId,
  f.name,
  f.side,
  f.startMm,
  f.lengthMm,
  f.land,
  f.matesPlaceId,
  f.stationsMm,
  f.clocksDeg,
  f.instrumentId,
  f.kind,
  f.suspicions,
  JSON.stringify(f.detail),
];

/** A place stored before its kind had some detail has none of it. */
const whole = (f: PlaceRecord): PlaceRecord => ({ ...f, detail: { ...NO_DETAIL, ...f.detail } });

export const placesOf = async (db: Db, jobIds: readonly string[]): Promise<PlaceRecord[]> =>
  (await db.query<PlaceRecord>(q.byJobs, [jobIds])).rows.map(whole);

async function placeById(db: Db, id: string): Promise<PlaceRecord | null> {
  const [found] = (await db.query<PlaceRecord>(q.byId, [id])).rows;
  return found ? whole(found) : null;
}

/** What the schema cannot see: that component, mate and instrument exist, belong to the job, and can fit together. */
async function checkLinks(db: Db, jobId: string, id: string | null, input: PlaceInput): Promise<void> {
  const problems: Problem[] = [];
  const component = await componentById(db, input.componentId);
  if (component?.jobId !== jobId) problems.push({ code: 'unknown', path: 'componentId', message: 'Choose a component of this job.' });
  if ((await db.query(q.instrument, [input.instrumentId])).rowCount === 0)
    problems.push({ code: 'unknown', path: 'instrumentId', message: 'Choose an instrument from the crib.' });
  if (input.matesPlaceId !== null) {
    const mate = await placeById(db, input.matesPlaceId);
    if (mate?.jobId !== jobId || mate.id === id)
      problems.push({ code: 'unknown', path: 'matesPlaceId', message: 'Choose another place of this job.' });
    else if (mate.side === input.side)
      problems.push({ code: 'side', path: 'matesPlaceId', message: 'An outside fits an inside: choose one of the other kind.' });
  }
  const sameSize = input.detail.oneSizeWithId ? await placeById(db, input.detail.oneSizeWithId) : null;
  if (input.detail.oneSizeWithId && (sameSize?.componentId !== input.componentId || sameSize.side !== input.side || sameSize.id === id))
    problems.push({
      code: 'unknown',
      path: 'detail.oneSizeWithId',
      message: 'Choose another place of the same component, outside with outside or inside with inside.',
    });
  if (problems.length) throw invalid(problems);
}

export const places: Editable<typeof placeInput, PlaceRecord> = {
  what: 'place to measure',
  schema: placeInput,
  collection: routes.places(':id'),
  item: routes.place(':id'),
  byId: placeById,
  async insert(db, jobId, input) {
    await jobById(db, jobId);
    await checkLinks(db, jobId, null, input);
    const { rows } = await db.query<{ id: string }>(q.insert, [jobId, ...columns(input)]);
    return (await placeById(db, rows[0]!.id))!;
  },
  async update(db, id, version, input) {
    await checkLinks(db, (await placeById(db, id))!.jobId, id, input);
    const { rowCount } = await db.query(q.update, [id, version, ...columns(input)]);
    return rowCount ? placeById(db, id) : null;
  },
  async remove(db, id, version) {
    const { rows } = await db.query<{ readings: number; mates: number }>(q.users, [id]);
    if (rows[0]!.readings > 0) throw stillInUse('Readings were taken here, and a reading is never lost.');
    if (rows[0]!.mates > 0) throw stillInUse('Another place fits together with this one. Take that off first.');
    return (await db.query(q.remove, [id, version])).rowCount === 1;
  },
};
