import type { ComponentRecord } from '@iron-patch/core';
import { componentInput, routes, type ComponentInput } from '@iron-patch/contract';
import { statements, type Db } from '../db';
import { stillInUse, type Editable } from '../http';
import { jobById } from '../jobs';
import sql from './components.sql';

const q = statements(sql, ['byJobs', 'byId', 'insert', 'update', 'features', 'remove']);

const columns = (c: ComponentInput): unknown[] => [c.name, c.role, c.materialId, c.axisOffsetMm, c.verdict, c.asFound];

export const componentsOf = async (db: Db, jobIds: readonly string[]): Promise<ComponentRecord[]> =>
  (await db.query<ComponentRecord>(q.byJobs, [jobIds])).rows;

export const componentById = async (db: Db, id: string): Promise<ComponentRecord | null> =>
  (await db.query<ComponentRecord>(q.byId, [id])).rows[0] ?? null;

export const components: Editable<typeof componentInput, ComponentRecord> = {
  what: 'component',
  schema: componentInput,
  collection: routes.components(':id'),
  item: routes.component(':id'),
  byId: componentById,
  async insert(db, jobId, input) {
    await jobById(db, jobId);
    const { rows } = await db.query<{ id: string }>(q.insert, [jobId, ...columns(input)]);
    return (await componentById(db, rows[0]!.id))!;
  },
  async update(db, id, version, input) {
    const { rowCount } = await db.query(q.update, [id, version, ...columns(input)]);
    return rowCount ? componentById(db, id) : null;
  },
  async remove(db, id, version) {
    const { rows } = await db.query<{ n: number }>(q.features, [id]);
    if (rows[0]!.n > 0) throw stillInUse('Places to measure hang on this component. Remove those first.');
    return (await db.query(q.remove, [id, version])).rowCount === 1;
  },
};
