import type { MachineInput } from '@iron-patch/contract';
import type { Machine } from '@iron-patch/core';
import { statements, type Db } from '../db';
import { changedByAnother, invalid } from '../http';
import sql from './machines.sql';

const q = statements(sql, ['all', 'byId', 'insert', 'update', 'sameName']);

interface MachineRow extends Pick<Machine, 'id' | 'name' | 'kind' | 'version'> {
  readonly card: Omit<Machine, 'id' | 'name' | 'kind' | 'version'>;
}
const machineOf = ({ card, ...row }: MachineRow): Machine => ({ ...card, ...row });

/** The machines of the shop, in the order in which they came. */
export const allMachines = async (db: Db): Promise<Machine[]> => (await db.query<MachineRow>(q.all)).rows.map(machineOf);

export const machineById = async (db: Db, id: string): Promise<Machine | null> => {
  const [row] = (await db.query<MachineRow>(q.byId, [id])).rows;
  return row ? machineOf(row) : null;
};

/** Writes a machine: a new one at version 0, else the one that is still at `version`. */
export async function saveMachine(db: Db, id: string, version: number, input: MachineInput): Promise<Machine> {
  const { name, kind, removed, ...card } = input;
  if (!removed && (await db.query(q.sameName, [name, id])).rowCount)
    throw invalid([{ code: 'taken', path: 'name', message: 'Another machine of the shop is called that.' }]);
  const columns = [name, kind, JSON.stringify(card), removed];
  const stored = version === 0 ? await db.query(q.insert, [id, ...columns]) : await db.query(q.update, [id, version, ...columns]);
  if (stored.rowCount === 0) throw changedByAnother(await machineById(db, id));
  return (await machineById(db, id))!;
}
