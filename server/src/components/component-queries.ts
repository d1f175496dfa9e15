import type { ComponentRecord } from '@iron-patch/core';
import { componentInput, routes, type ComponentInput } from '@iron-patch/contract';
import { statements, type Db } from '../db';
import { invalid, stillInUse, type Editable } from '../http';
import { jobById } from '../jobs';
import sql from './components.sql';

const q = statements(sql, ['byJobs', 'byId', 'insert', 'update', 'users', 'remove', 'under']);

const columns = (c: ComponentInput): unknown[] => [c.name, c.role, c.materialId, c.axisOffsetMm, c.verdict, c.asFound, c.parentId];

export const componentsOf = async (db: Db, jobIds: readonly string[]): Promise<ComponentRecord[]> =>
  (await db.query<ComponentRecord>(q.byJobs, [jobIds])).rows;

export const componentById = async (db: Db, id: string): Promise<ComponentRecord | null> =>
  (await db.query<ComponentRecord>(q.byId, [id])).rows[0] ?? null;

/** What the schema cannot see: that the parent is on the same job and does not itself come out of this one. */
async function checkParent(db: Db, jobId: string, id: string | null, { parentId }: ComponentInput): Promise<void> {
  if (parentId === null) return;
  const say = (code: string, message: string): never => {
    throw invalid([{ code, path: 'parentId', message }]);
  };
  if ((await componentById(db, parentId))?.jobId !== jobId) say('unknown', 'Choose a component of this job.');
  if (id !== null && (await db.query(q.under, [id, parentId])).rowCount) say('circle', 'A component cannot come out of itself.');
}

export const components: Editable<typeof componentInput, ComponentRecord> = {
  what: 'component',
  schema: componentInput,
  collection: routes.components(':id'),
  item: routes.component(':id'),
  byId: componentById,
  async insert(db, jobId, input) {
    await jobById(db, jobId);
    await checkParent(db, jobId, null, input);
    const { rows } = await db.query<{ id: string }>(q.insert, [jobId, ...columns(input)]);
    return (await componentById(db, rows[0]!.id))!;
  },
  async update(db, id, version, input) {
    await checkParent(db, (await componentById(db, id))!.jobId, id, input);
    const { rowCount } = await db.query(q.update, [id, version, ...columns(input)]);
    return rowCount ? componentById(db, id) : null;
  },
  async remove(db, id, version) {
    const { rows } = await db.query<{ places: number; children: number }>(q.users, [id]);
    if (rows[0]!.children > 0) throw stillInUse('Other components came out of this one. Say first where they belong.');
    if (rows[0]!.places > 0) throw stillInUse('Places to measure hang on this component. Remove those first.');
    return (await db.query(q.remove, [id, version])).rowCount === 1;
  },
};
