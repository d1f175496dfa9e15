import { NO_DETAIL, type FeatureRecord, type Problem } from '@iron-patch/core';
import { featureInput, routes, type FeatureInput } from '@iron-patch/contract';
import { componentById } from '../components';
import { statements, type Db } from '../db';
import { invalid, stillInUse, type Editable } from '../http';
import { jobById } from '../jobs';
import sql from './features.sql';

const q = statements(sql, ['byJobs', 'byId', 'insert', 'update', 'users', 'remove', 'instrument']);

const columns = (f: FeatureInput): unknown[] => [
  f.componentId,
  f.name,
  f.side,
  f.startMm,
  f.lengthMm,
  f.land,
  f.matesFeatureId,
  f.stationsMm,
  f.clocksDeg,
  f.instrumentId,
  f.kind,
  f.suspicions,
  JSON.stringify(f.detail),
];

/** A place stored before its kind had some detail has none of it. */
const whole = (f: FeatureRecord): FeatureRecord => ({ ...f, detail: { ...NO_DETAIL, ...f.detail } });

export const featuresOf = async (db: Db, jobIds: readonly string[]): Promise<FeatureRecord[]> =>
  (await db.query<FeatureRecord>(q.byJobs, [jobIds])).rows.map(whole);

export async function featureById(db: Db, id: string): Promise<FeatureRecord | null> {
  const [found] = (await db.query<FeatureRecord>(q.byId, [id])).rows;
  return found ? whole(found) : null;
}

/** What the schema cannot see: that component, mate and instrument exist, belong to the job, and can fit together. */
async function checkLinks(db: Db, jobId: string, id: string | null, input: FeatureInput): Promise<void> {
  const problems: Problem[] = [];
  const component = await componentById(db, input.componentId);
  if (component?.jobId !== jobId) problems.push({ code: 'unknown', path: 'componentId', message: 'Choose a component of this job.' });
  if ((await db.query(q.instrument, [input.instrumentId])).rowCount === 0)
    problems.push({ code: 'unknown', path: 'instrumentId', message: 'Choose an instrument from the crib.' });
  if (input.matesFeatureId !== null) {
    const mate = await featureById(db, input.matesFeatureId);
    if (mate?.jobId !== jobId || mate.id === id)
      problems.push({ code: 'unknown', path: 'matesFeatureId', message: 'Choose another place of this job.' });
    else if (mate.side === input.side)
      problems.push({ code: 'side', path: 'matesFeatureId', message: 'An outside fits an inside: choose one of the other kind.' });
  }
  const sameSize = input.detail.oneSizeWithId ? await featureById(db, input.detail.oneSizeWithId) : null;
  if (input.detail.oneSizeWithId && (sameSize?.componentId !== input.componentId || sameSize.side !== input.side || sameSize.id === id))
    problems.push({
      code: 'unknown',
      path: 'detail.oneSizeWithId',
      message: 'Choose another place of the same component, outside with outside or inside with inside.',
    });
  if (problems.length) throw invalid(problems);
}

export const features: Editable<typeof featureInput, FeatureRecord> = {
  what: 'place to measure',
  schema: featureInput,
  collection: routes.features(':id'),
  item: routes.feature(':id'),
  byId: featureById,
  async insert(db, jobId, input) {
    await jobById(db, jobId);
    await checkLinks(db, jobId, null, input);
    const { rows } = await db.query<{ id: string }>(q.insert, [jobId, ...columns(input)]);
    return (await featureById(db, rows[0]!.id))!;
  },
  async update(db, id, version, input) {
    await checkLinks(db, (await featureById(db, id))!.jobId, id, input);
    const { rowCount } = await db.query(q.update, [id, version, ...columns(input)]);
    return rowCount ? featureById(db, id) : null;
  },
  async remove(db, id, version) {
    const { rows } = await db.query<{ readings: number; mates: number }>(q.users, [id]);
    if (rows[0]!.readings > 0) throw stillInUse('Readings were taken here, and a reading is never lost.');
    if (rows[0]!.mates > 0) throw stillInUse('Another place fits together with this one. Take that off first.');
    return (await db.query(q.remove, [id, version])).rowCount === 1;
  },
};
